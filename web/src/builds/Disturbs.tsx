import { MultiSelect } from '@mantine/core'
import { useBoard, type Work } from '../api/board'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import { useCarried, useStaleGraph } from '../api/stale'

/** What a piece of work disturbs of what was measured: by its words, until somebody says otherwise. */
export function Disturbs({ work, changes }: { work: Work; changes: boolean }) {
  const { looked } = useBoard()
  const graph = useStaleGraph(looked)
  const carried = useCarried(work.id, looked)
  const { send, busy } = useSend()
  if (!graph || !carried) return null
  const say = (disturbances?: string[]) =>
    void send(() =>
      dataOf(
        client.PUT('/api/works/{id}/disturbs', {
          params: { path: { id: work.id } },
          body: { disturbances },
        }),
      ),
    )
  return (
    <div>
      <MultiSelect
        label="Disturbs what was measured, as"
        mt={8}
        disabled={!changes || busy}
        placeholder={carried.disturbances.length ? undefined : 'nothing'}
        data={graph.disturbances.map((d) => ({ value: d.id, label: d.label }))}
        value={carried.disturbances}
        onChange={(v) => say(v)}
      />
      <div className="small soft">
        {carried.stale.length > 0 && `Stale once it is done: ${carried.stale.join(', ')}. `}
        {carried.said ? (
          changes && (
            <button type="button" className="link" onClick={() => say()}>
              Go by its words again
            </button>
          )
        ) : (
          <>By its words.</>
        )}
      </div>
    </div>
  )
}
