import { type Schemas } from '../api/client'
import { TakeIn } from '../ui/TakeIn'
import { type Values } from './values'

/** Takes a logged temperature trace in from a table: as the first trace of the sheet, or as the one after a change. */
export function TraceIn({ onRead }: { onRead: (values: Values) => void }) {
  return (
    <>
      {(['', ' after'] as const).map((which) => (
        <TakeIn<Schemas['TraceTableResponse']>
          key={which}
          to="/api/traces/read"
          label={which ? 'Take the trace after it in (CSV)' : 'Take a trace in (CSV)'}
          said={(table) => {
            onRead({
              [`times${which}`]: table.times.join('; '),
              [`temperatures${which}`]: table.temperatures.join('; '),
            })
            return `${table.column}, ${table.samples} samples`
          }}
        />
      ))}
    </>
  )
}
