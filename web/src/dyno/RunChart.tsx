import { scaleLinear } from 'd3-scale'
import { area, line } from 'd3-shape'
import { type Comparison } from '../api/dyno'
import css from './dyno.module.css'

const WIDTH = 760
const HEIGHT = 430
const LEFT = 46
const RIGHT = 14
const TOP = 18
const POWER_FOOT = 270
const GAIN_TOP = 308
const GAIN_FOOT = 400

interface Side {
  rpm: number
  kilowatts: number
}

interface Gain {
  rpm: number
  difference: number
  least?: number
}

interface Props {
  comparison: Comparison
  before: string
  after: string
}

/** Power over engine speed before and after, and below it what was gained, with the band that the runs can tell apart. */
export function RunChart({ comparison, before, after }: Props) {
  const bins = comparison.bins
  const known = (side: 'before' | 'after') =>
    bins.flatMap((b) => {
      const kilowatts = b[side]
      return kilowatts === undefined ? [] : [{ rpm: b.rpm, kilowatts }]
    })
  const both = bins.flatMap((b) =>
    b.difference === undefined ? [] : [{ rpm: b.rpm, difference: b.difference, least: b.least }],
  )
  if (bins.length < 2) return null
  const powers = [...known('before'), ...known('after')].map((b) => b.kilowatts)
  const x = scaleLinear()
    .domain([bins[0]?.rpm ?? 0, bins.at(-1)?.rpm ?? 1])
    .range([LEFT, WIDTH - RIGHT])
  const y = scaleLinear()
    .domain([Math.min(...powers), Math.max(...powers)])
    .nice()
    .range([POWER_FOOT, TOP])
  const reach = Math.max(1, ...both.map((b) => Math.abs(b.difference) + (b.least ?? 0)))
  const gain = scaleLinear().domain([-reach, reach]).nice().range([GAIN_FOOT, GAIN_TOP])
  const curve = (side: 'before' | 'after') =>
    line<Side>()
      .x((b) => x(b.rpm))
      .y((b) => y(b.kilowatts))(known(side)) ?? ''
  const banded = both.filter((b) => b.least !== undefined)
  const band =
    area<Gain>()
      .x((b) => x(b.rpm))
      .y0((b) => gain(b.difference - (b.least ?? 0)))
      .y1((b) => gain(b.difference + (b.least ?? 0)))(banded) ?? ''
  const label = (side: 'before' | 'after', text: string, above: boolean) => {
    const at = known(side)[Math.floor(known(side).length * 0.62)]
    return (
      at && (
        <text
          x={x(at.rpm)}
          y={y(at.kilowatts) + (above ? -14 : 26)}
          textAnchor="middle"
          className={css.curveName}
        >
          {text}
        </text>
      )
    )
  }
  return (
    <svg
      className={css.chart}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`Power over engine speed. ${comparison.headline}`}
    >
      <defs>
        <pattern
          id="told-apart"
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(35)"
        >
          <line x1="0" y1="0" x2="0" y2="6" stroke="var(--quiet)" strokeWidth="1.2" />
        </pattern>
      </defs>
      {y.ticks(6).map((tick) => (
        <g key={tick}>
          <line x1={LEFT} x2={WIDTH - RIGHT} y1={y(tick)} y2={y(tick)} stroke="var(--line)" />
          <text x={LEFT - 8} y={y(tick) + 4} textAnchor="end" className={css.tick}>
            {tick}
          </text>
        </g>
      ))}
      <text x={LEFT} y={TOP - 5} className={css.axis}>
        kW
      </text>
      {x.ticks(7).map((tick) => (
        <text key={tick} x={x(tick)} y={POWER_FOOT + 18} textAnchor="middle" className={css.tick}>
          {tick}
        </text>
      ))}
      <path d={curve('before')} fill="none" stroke="var(--ink)" strokeWidth="2.4" />
      <path d={curve('after')} fill="none" stroke="var(--quiet)" strokeWidth="2.4" />
      {label('before', before, false)}
      {after && label('after', after, true)}
      {both.length > 1 && (
        <>
          <path d={band} fill="url(#told-apart)" stroke="none" />
          <line x1={LEFT} x2={WIDTH - RIGHT} y1={gain(0)} y2={gain(0)} stroke="var(--ink)" />
          <path
            d={
              line<Gain>()
                .x((b) => x(b.rpm))
                .y((b) => gain(b.difference))(both) ?? ''
            }
            fill="none"
            stroke="var(--quiet)"
            strokeWidth="2"
          />
          {gain.ticks(3).map((tick) => (
            <text key={tick} x={LEFT - 8} y={gain(tick) + 4} textAnchor="end" className={css.tick}>
              {tick > 0 ? `+${tick}` : String(tick).replace('-', '−')}
            </text>
          ))}
          <text x={LEFT} y={HEIGHT - 6} className={css.tick}>
            gained, kW: the hatched band is what these runs can tell apart; where it leaves the line, the
            change is real there
          </text>
        </>
      )}
    </svg>
  )
}
