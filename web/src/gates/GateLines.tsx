import { Checkbox, NativeSelect, TextInput } from '@mantine/core'
import { useBoard } from '../api/board'
import { forgetGateLines, type GateLine, keepGateLines, useGateLines, type Whose } from '../api/houseLists'
import { useStaleGraph } from '../api/stale'
import { GATES } from '../domain/gates'
import { ListEditor } from './ListEditor'
import css from './gates.module.css'

const ASKS: { value: GateLine['asks']; label: string }[] = [
  { value: 'SIGNED', label: 'somebody signs for it' },
  { value: 'MEASURED', label: 'it is measured and true' },
  { value: 'JOBS', label: 'all work up to here is done' },
  { value: 'FINDINGS', label: 'what was found is put right' },
  { value: 'FOR_NOW', label: 'what was fitted for now is made good' },
  { value: 'COMPONENTS', label: 'components are in date and life' },
]

/** What gates ask, to be changed. */
export function GateLines({ whose, changes }: { whose: Whose; changes: boolean }) {
  const { looked } = useBoard()
  const lists = useGateLines(whose, looked)
  const graph = useStaleGraph(looked)
  if (!lists || !graph) return null
  const things = graph.measured.map((m) => ({ value: m.name, label: m.label }))
  return (
    <ListEditor<GateLine>
      key={JSON.stringify(whose)}
      list={{ edition: lists.edition, items: lists.lines, own: lists.own }}
      name="what gates ask"
      what="a line"
      field="lines"
      changes={changes}
      blank={() => ({ gate: 'EVENT', text: '', asks: 'SIGNED', never: false })}
      keep={(lines, edition) => keepGateLines(whose, edition, lines)}
      forget={() => forgetGateLines(whose)}
    >
      {(line, put, at) => (
        <div className={css.editLine}>
          <NativeSelect
            size="xs"
            aria-label="Gate"
            value={line.gate}
            data={GATES}
            onChange={(e) => put({ gate: e.currentTarget.value as GateLine['gate'] })}
          />
          <TextInput
            size="xs"
            aria-label="What it asks"
            value={line.text}
            error={at('text')}
            onChange={(e) => put({ text: e.currentTarget.value })}
          />
          <NativeSelect
            size="xs"
            aria-label="How it is checked"
            value={line.asks}
            data={ASKS}
            error={at('asks')}
            onChange={(e) => put({ asks: e.currentTarget.value as GateLine['asks'] })}
          />
          <NativeSelect
            size="xs"
            aria-label="Rests on"
            value={line.restsOn ?? ''}
            disabled={line.asks !== 'SIGNED' && line.asks !== 'MEASURED'}
            data={[{ value: '', label: 'rests on nothing measured' }, ...things]}
            error={at('restsOn')}
            onChange={(e) => put({ restsOn: (e.currentTarget.value || undefined) as GateLine['restsOn'] })}
          />
          <Checkbox
            size="xs"
            label="must be so"
            title="Nobody passes this gate while this is open"
            checked={line.never}
            onChange={(e) => put({ never: e.currentTarget.checked })}
          />
        </div>
      )}
    </ListEditor>
  )
}
