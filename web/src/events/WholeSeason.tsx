import { scaleTime } from 'd3-scale'
import { Link } from 'react-router'
import { type Car, useBoard } from '../api/board'
import { type RaceEvent } from '../api/events'
import { MarginMark } from '../domain/MarginMark'
import { duration } from '../format/margin'
import { day } from '../format/time'
import layout from '../ui/layout.module.css'
import { backOf, collisions, workFor } from './season'
import css from './season.module.css'

const WIDTH = 900
const HEIGHT = 34
const DAY_MILLIS = 86_400_000
const HOUR = 60

/** Every car on a line with its events in time; what collides, and what each costs in work and in life. */
export function WholeSeason({ events }: { events: RaceEvent[] }) {
  const { board, car } = useBoard()
  const ahead = events.filter((e) => !e.over)
  if (ahead.length === 0) return <p className="soft">No event lies ahead.</p>
  const from = Date.parse(board.now)
  const to = Math.max(...ahead.map(backOf)) + DAY_MILLIS
  const x = scaleTime().domain([from, to]).range([0, WIDTH])
  const cars = [...new Set(ahead.flatMap((e) => e.cars.map((c) => c.buildId)))].flatMap(
    (id) => car.get(id) ?? [],
  )
  const clashes = collisions(ahead)
  return (
    <section aria-label="Whole season">
      <div className={css.season}>
        <span />
        <div className={css.scale} aria-hidden="true">
          {x.ticks(6).map((t) => (
            <span key={+t} style={{ left: `${(100 * x(t)) / WIDTH}%` }}>
              {day(t, board.zone)}
            </span>
          ))}
        </div>
        {cars.map((c) => (
          <Lane key={c.id} car={c} events={ahead} x={(at) => x(at)} />
        ))}
      </div>
      {clashes.length > 0 && (
        <p className="small">
          Away at the same time: {clashes.map(([a, b]) => `${a.name} and ${b.name}${crews(a, b)}`).join('; ')}
          .
        </p>
      )}
      <table className={css.costs}>
        <thead>
          <tr>
            {['event', 'car', 'in hand', 'work still open for it', 'takes out of the car'].map((h) => (
              <th key={h}>{h}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ahead.flatMap((e) =>
            e.cars.map((c) => (
              <Cost key={e.id + c.buildId} event={e} build={c.buildId} spare={c.spare} events={ahead} />
            )),
          )}
        </tbody>
      </table>
    </section>
  )
}

const crews = (a: RaceEvent, b: RaceEvent) =>
  a.crew.some((p) => b.crew.includes(p)) ? ', with the same people' : ''

function Lane({ car, events, x }: { car: Car; events: RaceEvent[]; x: (at: number) => number }) {
  const own = events.filter((e) => e.cars.some((c) => c.buildId === car.id))
  return (
    <>
      <Link to={`/build/${car.id}`} className="strong">
        {car.number || car.name}
      </Link>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        width="100%"
        role="img"
        aria-label={`${car.name}: ${own.map((e) => e.name).join(', ')}`}
        preserveAspectRatio="none"
        className={css.lane}
      >
        <line x1={0} x2={WIDTH} y1={HEIGHT - 6} y2={HEIGHT - 6} className={css.ground} />
        {own.map((e) => {
          const left = x(Date.parse(e.loadsAt))
          return (
            <rect
              key={e.id}
              x={left}
              y={6}
              width={Math.max(4, x(backOf(e)) - left)}
              height={HEIGHT - 12}
              className={e.cars.find((c) => c.buildId === car.id)?.spare ? css.spareSpan : css.span}
            >
              <title>{e.name}</title>
            </rect>
          )
        })}
      </svg>
    </>
  )
}

interface CostProps {
  event: RaceEvent
  build: string
  spare: boolean
  events: RaceEvent[]
}

function Cost({ event, build, spare, events }: CostProps) {
  const { board, car, commitment } = useBoard()
  const its = car.get(build)
  const date = event.cars.find((c) => c.buildId === build)?.commitmentId
  const next = events
    .flatMap((e) => e.cars.filter((c) => c.buildId === build))
    .map((c) => c.commitmentId)
    .find(Boolean)
  const hours = event.sessions.reduce((sum, s) => sum + s.minutes, 0) / HOUR
  const km = event.sessions.reduce((sum, s) => sum + s.km, 0)
  return (
    <tr>
      <td>
        <Link to={`/events/${event.id}`}>{event.name}</Link>
      </td>
      <td>
        {its?.number || its?.name}
        {spare && ' spare'}
      </td>
      <td>{date && <MarginMark minutes={commitment.get(date)?.marginMinutes} size="narrow" />}</td>
      <td className="number">{its ? duration(workFor(its, board.works, date, next)) : ''}</td>
      <td className={`number ${layout.nowrap}`}>
        {spare || hours === 0 ? '' : `${hours.toFixed(1)} h, ${Math.round(km)} km`}
      </td>
    </tr>
  )
}
