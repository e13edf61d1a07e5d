import { Link } from 'react-router'
import { useBoard, type Work } from '../api/board'
import { type RaceEvent } from '../api/events'
import { gateAddress } from '../domain/gates'
import { MarginMark } from '../domain/MarginMark'
import { dayKey } from '../format/time'
import css from './events.module.css'

const DAYS = 14
const DAY_MILLIS = 86_400_000
const HOUR_MILLIS = 3_600_000
const WIDTH = 640
const HEIGHT = 46
const COLUMN = WIDTH / (DAYS + 1)
/** As much work on one car in one day is two people all day. */
const FULL_HOURS = 16

interface Day {
  key: string
  back: number
  hours: number
  jobs: string[]
}

/** The last two weeks before loading: how much work stands on each day, for each car. */
export function LastDays({ event }: { event: RaceEvent }) {
  const { board, commitment } = useBoard()
  const days = Array.from({ length: DAYS + 1 }, (_, i) => DAYS - i)
  return (
    <section aria-label="What must be true, and by when">
      <h2>What must be true, and by when</h2>
      <div className={css.days}>
        <span />
        <ol className={css.scale} aria-hidden="true">
          {days.map((d) => (
            <li key={d} className={d === 0 ? 'strong' : 'soft'}>
              {d === 0 ? 'load' : d}
            </li>
          ))}
        </ol>
        <span />
        {event.cars.map((c) => {
          const date = c.commitmentId ? commitment.get(c.commitmentId) : undefined
          const works = board.works.filter(
            (w) => w.buildId === c.buildId && w.kind === 'JOB' && w.status !== 'DONE' && w.placed,
          )
          const plan = perDay(works, event.loadsAt, board.zone)
          return (
            <LineOf
              key={c.buildId}
              name={`${c.called} ${c.spare ? 'spare' : ''}`.trim()}
              address={gateAddress(c.buildId, 'EVENT')}
              plan={plan.days}
              after={plan.after}
              margin={date?.marginMinutes}
              sentence={date?.sentence ?? 'It has no date any more.'}
            />
          )
        })}
      </div>
    </section>
  )
}

interface LineProps {
  name: string
  address: string
  plan: Day[]
  after: string[]
  margin?: number
  sentence: string
}

function LineOf({ name, address, plan, after, margin, sentence }: LineProps) {
  return (
    <>
      <Link to={address} className="strong">
        {name}
      </Link>
      <div>
        <svg
          viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
          width="100%"
          className={css.line2}
          role="img"
          aria-label={said(plan)}
        >
          <line x1={0} x2={WIDTH} y1={HEIGHT - 1} y2={HEIGHT - 1} className={css.axis} />
          {plan.map((d) => {
            const height = Math.min(1, d.hours / FULL_HOURS) * (HEIGHT - 14)
            const x = (DAYS - d.back) * COLUMN
            return (
              <g key={d.key}>
                <title>{`${d.jobs.length} jobs, ${Math.round(d.hours)} h: ${d.jobs.join(', ')}`}</title>
                <rect
                  x={x + 6}
                  y={HEIGHT - 1 - height}
                  width={COLUMN - 12}
                  height={height}
                  className={d.hours > FULL_HOURS ? css.much : css.some}
                />
                <text x={x + COLUMN / 2} y={HEIGHT - 5 - height} className={css.count}>
                  {d.jobs.length}
                </text>
              </g>
            )
          })}
          <line x1={WIDTH - COLUMN / 2} x2={WIDTH - COLUMN / 2} y1={2} y2={HEIGHT} className={css.tick} />
        </svg>
        <div className="small soft">
          {sentence} {after.length > 0 && <span className="hot">After loading: {after.join(', ')}.</span>}
        </div>
      </div>
      <MarginMark minutes={margin} />
    </>
  )
}

const said = (plan: Day[]) =>
  plan.length === 0
    ? 'No work in the last two weeks'
    : plan.map((d) => `${d.back} days before: ${d.jobs.length} jobs`).join('; ')

/** The work of a car by days before its loading, as the plan has it; and what the plan has only after it. */
function perDay(works: Work[], loadsAt: string, zone: string): { days: Day[]; after: string[] } {
  const loads = Date.parse(dayKey(loadsAt, zone))
  const days = new Map<string, Day>()
  const after: string[] = []
  for (const work of works) {
    const placed = work.placed!
    if (Date.parse(placed.end) > Date.parse(loadsAt)) {
      if (work.essential && !work.afterDates) after.push(work.name)
      continue
    }
    for (const stretch of placed.at) {
      const key = dayKey(stretch.from, zone)
      const back = Math.round((loads - Date.parse(key)) / DAY_MILLIS)
      if (back < 0 || back > DAYS) continue
      const day = days.get(key) ?? { key, back, hours: 0, jobs: [] }
      day.hours +=
        ((Date.parse(stretch.to) - Date.parse(stretch.from)) / HOUR_MILLIS) * Math.max(1, placed.crew.length)
      if (!day.jobs.includes(work.name)) day.jobs.push(work.name)
      days.set(key, day)
    }
  }
  return { days: [...days.values()].sort((a, b) => b.back - a.back), after }
}
