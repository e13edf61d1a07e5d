import { Link } from 'react-router'
import { useBoard } from '../api/board'
import { calledAt, type RaceEvent } from '../api/events'
import { useSpares } from '../api/season'
import layout from '../ui/layout.module.css'

/** How far each spare car is from running. */
export function Spares({ event }: { event: RaceEvent }) {
  const { looked } = useBoard()
  const spares = useSpares(event.id, looked)
  if (!spares || spares.length === 0) return null
  return (
    <section aria-label="Spare car">
      <h2>Spare car</h2>
      {spares.map((s) => (
        <div key={s.buildId} className={layout.ruled}>
          <Link to={`/build/${s.buildId}`} className="strong">
            {calledAt(event, s.buildId)}
          </Link>
          <div className={`small ${s.complete ? 'quiet' : ''}`}>{s.said}</div>
        </div>
      ))}
    </section>
  )
}
