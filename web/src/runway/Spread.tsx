import { scaleUtc } from 'd3-scale'
import { area, curveMonotoneX } from 'd3-shape'
import type { Commitment } from '../api/board'
import type { Odds } from '../api/thinking'
import { day, when } from '../format/time'
import css from './runway.module.css'

const WIDTH = 430
const HEIGHT = 92
const BASE = 62
const TALL = 46

/** Where the finish of a date may fall, against the date: the hill is how often, its part past the date is hatched. */
export function Spread({
  date,
  odds,
  now,
  zone,
}: {
  date: Commitment
  odds: Odds
  now: string
  zone: string
}) {
  const at = odds.spread.map((t) => Date.parse(t))
  if (at.length < 2) return <p className="hot">It is never ready within the time that is planned ahead.</p>
  const due = Date.parse(date.due)
  const first = Math.min(at[0]!, due)
  const last = Math.max(at[at.length - 1]!, due)
  const room = Math.max(3_600_000, (last - first) * 0.08)
  const x = scaleUtc([first - room, last + room], [6, WIDTH - 6])
  // Equal shares of the trials lie between neighbouring instants: the narrower, the taller.
  const bins = at.slice(1).map((t, i) => {
    const from = at[i]!
    return { middle: (t + from) / 2, tall: 1 / Math.max(t - from, (last - first) / 60 || 1) }
  })
  const most = Math.max(...bins.map((b) => b.tall))
  const hill = [
    { middle: at[0]!, tall: 0 },
    ...bins.map((b, i) => ({
      ...b,
      tall: ((bins[i - 1]?.tall ?? b.tall) + b.tall + (bins[i + 1]?.tall ?? b.tall)) / 3,
    })),
    { middle: at[at.length - 1]!, tall: 0 },
  ]
  const shape =
    area<{ middle: number; tall: number }>()
      .x((p) => x(p.middle))
      .y0(BASE)
      .y1((p) => BASE - (p.tall / most) * TALL)
      .curve(curveMonotoneX)(hill) ?? ''
  const marks = [
    { at: odds.p50, name: 'half' },
    { at: odds.p80, name: '80 %' },
    { at: odds.p95, name: '95 %' },
  ]
  return (
    <figure className={css.figure}>
      <svg
        width={WIDTH}
        height={HEIGHT}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={`Finish of ${date.name} against its date`}
        className={css.fitting}
      >
        <clipPath id="past-due">
          <rect x={x(due)} y="0" width={WIDTH} height={HEIGHT} />
        </clipPath>
        <path d={shape} fill="var(--quiet)" opacity="0.75" />
        <path d={shape} fill="var(--card)" clipPath="url(#past-due)" />
        <path d={shape} fill="url(#over)" stroke="var(--hot)" clipPath="url(#past-due)" />
        <line x1="0" x2={WIDTH} y1={BASE} y2={BASE} stroke="var(--ink)" strokeWidth="1.2" />
        <rect x={x(due) - 1.5} y="4" width="3" height={BASE + 6} fill="var(--ink)" />
        <text
          x={x(due) + (x(due) > WIDTH - 90 ? -6 : 6)}
          y="12"
          fontSize="11.5"
          fontWeight="600"
          fill="var(--ink)"
          textAnchor={x(due) > WIDTH - 90 ? 'end' : 'start'}
        >
          {day(date.due, zone)}
        </text>
        {marks.map(
          (m) =>
            m.at && (
              <path key={m.name} d={`M ${x(Date.parse(m.at))} ${BASE + 2} l 4 7 h -8 Z`} fill="var(--ink)" />
            ),
        )}
      </svg>
      <figcaption className={`small ${css.legend}`}>
        {marks.map((m) => (
          <span key={m.name}>
            <span className="soft">{m.name} by </span>
            <span className="strong">{m.at ? when(m.at, now, zone) : 'never'}</span>
          </span>
        ))}
      </figcaption>
    </figure>
  )
}
