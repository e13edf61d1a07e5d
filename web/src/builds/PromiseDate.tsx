import { Button } from '@mantine/core'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import { thinking, useThoughts } from '../api/thinking'
import { day } from '../format/time'
import layout from '../ui/layout.module.css'

interface Props {
  template: string
  onPick: (at: string) => void
}

/** When a build from the template would be ready, with all other dates kept first: asked for, thought about, taken. */
export function PromiseDate({ template, onPick }: Props) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const thought = useThoughts().find((t) => t.kind === 'PROMISE' && t.subject === template)
  const running = thinking(thought)
  const told = thought?.promise
  const rows: [string, string | undefined][] = [
    ['as likely as not', told?.p50],
    ['four times of five', told?.p80],
    ['almost surely', told?.p95],
  ]
  return (
    <section className={`panel ${layout.below}`} aria-label="What could be promised">
      <div className={layout.spread}>
        <b>What could be promised?</b>
        <Button
          size="compact-sm"
          variant="default"
          loading={busy || running}
          onClick={() =>
            void send(() => dataOf(client.POST('/api/thoughts/promise', { body: { template } })))
          }
        >
          {told ? 'Ask again' : 'Ask the plan'}
        </Button>
      </div>
      {running && (
        <p className="small soft">The shop is planned with this car in it, {board.cars.length + 1} in all…</p>
      )}
      {!running && told && (
        <>
          {rows.map(([said, at]) => (
            <div key={said} className={`small ${layout.spread}`}>
              <span>ready, {said}, by</span>
              {at ? (
                <button type="button" className="link strong" onClick={() => onPick(at)}>
                  {day(at, board.zone)}
                </button>
              ) : (
                <span className="hot">cannot be said</span>
              )}
            </div>
          ))}
          <p className={`small soft ${layout.note}`}>
            {told.trials} trials, with the dates of the other cars kept first. Four times of five is what to
            promise.
          </p>
        </>
      )}
      {!running && thought?.state === 'FAILED' && (
        <p className="hot small">It could not be thought out; ask again.</p>
      )}
    </section>
  )
}
