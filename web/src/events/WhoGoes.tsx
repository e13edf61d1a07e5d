import { useBoard } from '../api/board'
import { type RaceEvent } from '../api/events'
import { useStretches } from '../api/season'
import { day } from '../format/time'
import layout from '../ui/layout.module.css'

const WEEK = 5

/** Who goes along, and how long whoever works towards it is at it without a day off. */
export function WhoGoes({ event }: { event: RaceEvent }) {
  const { board, person, looked } = useBoard()
  const stretches = useStretches(event.id, looked)
  const shown = (stretches ?? []).filter(
    (s) => s.warnings.length > 0 || event.crew.includes(s.personId) || s.days > WEEK,
  )
  const crew = event.crew.map((p) => person.get(p)?.name).filter(Boolean)
  return (
    <>
      <section aria-label="Who goes" id="who-goes">
        <h2>Who goes</h2>
        <p className="small">{crew.length ? crew.join(', ') : 'Nobody is named.'}</p>
      </section>
      <section aria-label="Days in a row">
        <h2>Days in a row</h2>
        {stretches && shown.length === 0 && (
          <p className="small soft">Nobody is at it for more than a working week without a day off.</p>
        )}
        {shown.map((s) => (
          <div key={s.personId} className={layout.ruled}>
            <b>{person.get(s.personId)?.name}</b>{' '}
            <span className="small">
              {s.days} {s.days === 1 ? 'day' : 'days'} from {day(`${s.first}T12:00:00Z`, board.zone)}
              {s.nights > 0 && `, ${s.nights} ${s.nights === 1 ? 'night' : 'nights'}`}, at most{' '}
              {Math.round(s.hours)} h in seven days
            </span>
            {s.warnings.map((w) => (
              <div key={w} className="small hot strong">
                {w}
              </div>
            ))}
          </div>
        ))}
      </section>
    </>
  )
}
