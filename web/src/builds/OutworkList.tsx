import { Link } from 'react-router'
import { type Car, useBoard } from '../api/board'
import { when } from '../format/time'
import layout from '../ui/layout.module.css'

interface Props {
  car: Car
  changes: boolean
  onPick: (work: string) => void
}

/** What other firms do on the car or on parts of it. */
export function OutworkList({ car, changes, onPick }: Props) {
  const { board, vendor } = useBoard()
  const works = board.works.filter((w) => w.buildId === car.id && w.kind === 'OUTWORK')
  if (works.length === 0) return null
  return (
    <section className="panel" aria-label="Outside work">
      <h2>Outside work</h2>
      {works.map((w) => (
        <div key={w.id} className={`small ${layout.ruled}`}>
          <button className="link strong" onClick={() => onPick(w.id)}>
            {w.name}
          </button>{' '}
          <span className="soft">
            {vendor.get(w.outwork?.vendorId ?? '')?.name}
            {w.outwork?.wholeCar && ', the whole car'}
          </span>
          <div>
            {w.status === 'DONE' && (
              <span className="quiet">back {when(w.doneAt ?? board.now, board.now, board.zone)}</span>
            )}
            {w.status === 'STARTED' &&
              `away, back likely ${when(w.outwork?.backLikely ?? board.now, board.now, board.zone)}`}
            {w.status === 'TODO' &&
              w.placed &&
              `leaves ${when(w.placed.start, board.now, board.zone)}, back ${when(w.placed.end, board.now, board.zone)}`}
            {w.placed?.slotMissed && <span className="hot"> misses its slot</span>}
            {w.cannot && <span className="hot">cannot be planned: {w.cannot}</span>}
          </div>
          {changes && w.status !== 'DONE' && (
            <Link to={`/desk?outwork=${w.id}`}>
              {w.status === 'TODO' ? 'checklist and sending out' : 'it is back'}
            </Link>
          )}
        </div>
      ))}
    </section>
  )
}
