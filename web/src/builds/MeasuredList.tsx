import { Link } from 'react-router'
import { type Car, useBoard } from '../api/board'
import { when } from '../format/time'

/** What was measured at the car last, in the order of measuring; what is stale says by what. */
export function MeasuredList({ car }: { car: Car }) {
  const { board } = useBoard()
  if (car.measurements.length === 0) return null
  return (
    <section className="panel" aria-label="Measured">
      <h2>Measured</h2>
      {car.measurements.map((m) => (
        <div key={m.what} className="small">
          <Link
            to={`/gauges/${car.id}${m.gauge ? `/${m.gauge}` : ''}`}
            className={m.staleBecause || m.missed ? 'hot strong' : 'strong'}
          >
            {m.what}
          </Link>{' '}
          {m.value}{' '}
          <span className="soft">
            {when(m.at, board.now, board.zone)}, {m.by}
          </span>
          {m.staleBecause && <span className="hot"> stale: {m.staleBecause}</span>}
          {m.missed && <span className="hot"> not as it should be</span>}
        </div>
      ))}
    </section>
  )
}
