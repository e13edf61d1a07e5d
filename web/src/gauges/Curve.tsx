import { scaleLinear } from 'd3-scale'
import { type Fields, type Figure } from '../api/gauges'
import css from './gauges.module.css'

const WIDTH = 420
const HEIGHT = 150
const EDGE = 34

interface Props {
  gauge: string
  answer: Fields
}

/** What is better seen than read: toe over travel, speed over gears, cylinder beside cylinder. */
export function Curve({ gauge, answer }: Props) {
  if (gauge === 'bump-steer') return <BumpSteer rows={(answer.readings ?? []) as Reading[]} />
  if (gauge === 'compression') {
    return <Bars rows={(answer.cylinders ?? []) as Fields[]} of="compression" name="cylinder" />
  }
  if (gauge === 'gearing') return <Bars rows={(answer.gears ?? []) as Fields[]} of="speed" name="gear" />
  return null
}

interface Reading {
  travel: Figure
  toe: Figure
}

const reach = (values: number[]) => [Math.min(...values), Math.max(...values)]

function BumpSteer({ rows }: { rows: Reading[] }) {
  if (rows.length < 2) return null
  const x = scaleLinear()
    .domain(reach([0, ...rows.map((r) => r.toe.value)]))
    .nice()
    .range([EDGE, WIDTH - EDGE])
  const y = scaleLinear()
    .domain(reach(rows.map((r) => r.travel.value)))
    .nice()
    .range([HEIGHT - 18, 10])
  const sorted = [...rows].sort((a, b) => a.travel.value - b.travel.value)
  return (
    <svg
      className={css.curve}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`toe over travel: ${sorted.map((r) => `${r.travel.said} ${r.toe.said}`).join(', ')}`}
    >
      <line x1={x(0)} x2={x(0)} y1={8} y2={HEIGHT - 16} stroke="var(--line)" />
      <line x1={EDGE} x2={WIDTH - EDGE} y1={y(0)} y2={y(0)} stroke="var(--line)" />
      <polyline
        points={sorted.map((r) => `${x(r.toe.value)},${y(r.travel.value)}`).join(' ')}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.6"
      />
      {sorted.map((r) => (
        <circle key={r.travel.value} cx={x(r.toe.value)} cy={y(r.travel.value)} r="3" fill="var(--ink)" />
      ))}
      <text x={WIDTH - EDGE} y={HEIGHT - 4} textAnchor="end" fontSize="10" fill="var(--muted)">
        toe in →
      </text>
      <text x={x(0) + 4} y={14} fontSize="10" fill="var(--muted)">
        bump ↑
      </text>
    </svg>
  )
}

function Bars({ rows, of, name }: { rows: Fields[]; of: string; name: string }) {
  const values = rows.map((r) => (r[of] as Figure | undefined)?.value ?? 0)
  const most = Math.max(...values)
  if (!(most > 0)) return null
  const each = (WIDTH - 2 * EDGE) / rows.length
  return (
    <svg
      className={css.curve}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`${of} of each ${name}: ${values.map((v) => v.toFixed(1)).join(', ')}`}
    >
      {rows.map((row, i) => {
        const height = ((values[i] ?? 0) / most) * (HEIGHT - 40)
        return (
          <g key={i}>
            <rect
              x={EDGE + i * each + each * 0.2}
              width={each * 0.6}
              y={HEIGHT - 20 - height}
              height={height}
              fill={row.good === false ? 'var(--hot)' : 'var(--quiet)'}
            />
            <text
              x={EDGE + (i + 0.5) * each}
              y={HEIGHT - 6}
              textAnchor="middle"
              fontSize="11"
              fill="var(--ink)"
            >
              {String(row[name] ?? i + 1)}
            </text>
            <text
              x={EDGE + (i + 0.5) * each}
              y={HEIGHT - 25 - height}
              textAnchor="middle"
              fontSize="10"
              fill="var(--muted)"
            >
              {(row[of] as Figure | undefined)?.said.replace(/ \(.*/, '')}
            </text>
          </g>
        )
      })}
    </svg>
  )
}
