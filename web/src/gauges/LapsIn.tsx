import { type Schemas } from '../api/client'
import { TakeIn } from '../ui/TakeIn'
import { type Values } from './values'

/** Takes lap times in from a table, a row a lap, as runs of the sheet. */
export function LapsIn({ onRead }: { onRead: (runs: Values[]) => void }) {
  return (
    <TakeIn<Schemas['LapTableResponse']>
      to="/api/laps/read"
      label="Take laps in (CSV)"
      said={(table) => {
        onRead(table.runs.map((r) => ({ ...r })))
        return `${table.runs.length} ${table.runs.length === 1 ? 'run' : 'runs'}`
      }}
    />
  )
}
