import { Link } from 'react-router'
import { useBoard } from '../api/board'
import { type GateState, useGates } from '../api/rollout'
import { when } from '../format/time'
import { word } from '../format/words'
import { gateAddress } from './gates'

const SHOWN = 3

/** The next gate of a car with what keeps it shut, and those that are open again. */
export function NextGate({ car }: { car: string }) {
  const { looked } = useBoard()
  const gates = useGates(car, looked)
  if (!gates) return null
  const again = gates.filter((g) => g.state === 'OPEN_AGAIN')
  const next = gates.find((g) => g.state === 'SHUT' || g.state === 'READY')
  return (
    <>
      {[...again, ...(next ? [next] : [])].map((g) => (
        <One key={g.gate} car={car} gate={g} />
      ))}
    </>
  )
}

function One({ car, gate }: { car: string; gate: GateState }) {
  const { board } = useBoard()
  const open = gate.lines.filter((l) => !l.met)
  const never = open.some((l) => l.never)
  return (
    <div aria-label={`Next gate ${word(gate.gate)}`} role="group">
      <Link to={gateAddress(car, gate.gate)} className="strong">
        {word(gate.gate)}
      </Link>
      :{' '}
      <span className={open.length ? 'hot' : 'quiet'}>
        {gate.state === 'OPEN_AGAIN' ? 'open again' : open.length ? 'shut' : 'ready'}
      </span>
      {open.length > 0 && (
        <div className="small soft">
          {open
            .slice(0, SHOWN)
            .map((l) => l.text)
            .join('; ')}
          {open.length > SHOWN && ` and ${open.length - SHOWN} more`}
          {gate.likely ? `; by the plan ${when(gate.likely, board.now, board.zone)}` : ''}
          {never && <span className="hot strong"> Nobody passes it like this.</span>}
        </div>
      )}
    </div>
  )
}
