import { Button } from '@mantine/core'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import { thinking, useThoughts } from '../api/thinking'
import layout from '../ui/layout.module.css'

const SECONDS = 60

/** Asks for a better plan in the background; shows how far it is and can end it; what was found comes as an offer. */
export function ThinkHarder() {
  const { send, busy } = useSend()
  const thought = useThoughts().find((t) => t.kind === 'HARDER')
  const told = thought?.harder
  if (thought && thinking(thought)) {
    const won = told ? said(told.before, told.best) : undefined
    return (
      <span className={`small ${layout.row}`} aria-live="polite">
        {told
          ? `thinking, ${Math.round(told.seconds)} of ${thought.seconds} s: ${won ?? 'nothing better yet'}`
          : 'thinking: waiting for its turn'}
        <Button
          size="compact-sm"
          variant="default"
          onClick={() =>
            void send(() =>
              dataOf(client.POST('/api/thoughts/{id}/stop', { params: { path: { id: thought.id } } })),
            )
          }
        >
          Stop
        </Button>
      </span>
    )
  }
  return (
    <Button
      size="compact-sm"
      variant="default"
      loading={busy}
      title={told ? `Last time: ${said(told.before, told.best) ?? 'nothing better'}` : undefined}
      onClick={() =>
        void send(() => dataOf(client.POST('/api/thoughts/harder', { body: { seconds: SECONDS } })))
      }
    >
      Think harder
    </Button>
  )
}

interface Said {
  missing: number
  hard: number
  promised: number
  rest: number
}

/** What was won, by the first figure that differs; undefined where nothing was. */
export function said(before: Said, best: Said): string | undefined {
  const lines: [keyof Said, string][] = [
    ['missing', 'jobs that cannot be planned'],
    ['hard', 'h late at events and slots'],
    ['promised', 'h late at promises'],
    ['rest', 'points of all else'],
  ]
  for (const [key, what] of lines) {
    const won = before[key] - best[key]
    if (Math.abs(won) > 0.05) return won > 0 ? `${Math.round(won * 10) / 10} ${what} won` : undefined
  }
  return undefined
}
