import { Button } from '@mantine/core'
import { simulate } from '../api/devices'
import { useSend } from '../api/send'
import css from './rollout.module.css'

const TOLD: [string, string][] = [
  ['idle', 'Idle'],
  ['warm', 'Warm it'],
  ['drive', 'Drive'],
  ['off', 'Off'],
  ['fail oil', 'Lose oil pressure'],
  ['fail cooling', 'Overheat'],
  ['well', 'All well'],
]

/** What the simulated car can be made to do; only where the logger is simulated. */
export function LoggerStandIn() {
  const { send, busy } = useSend()
  return (
    <details className={css.standIn}>
      <summary>The logger is simulated, and so is the car</summary>
      <div className={css.goRow}>
        {TOLD.map(([what, label]) => (
          <Button
            key={what}
            variant="default"
            size="compact-md"
            disabled={busy}
            onClick={() => void send(() => simulate('logger', what))}
          >
            {label}
          </Button>
        ))}
      </div>
    </details>
  )
}
