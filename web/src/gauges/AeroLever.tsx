import { type Fields, figure } from '../api/gauges'
import css from './gauges.module.css'

const WIDTH = 420
const HEIGHT = 190
const GROUND = 120
const WHEEL = 16

/** The car as a lever from the side: what each device pushes where, and what comes of it at the axles. */
export function AeroLever({ answer }: { answer: Fields }) {
  const devices = (answer.devices ?? []) as Fields[]
  const wheelbase = figure(answer, 'wheelbase')?.value
  if (!wheelbase || devices.length === 0) return null
  const at = devices.map((d) => figure(d, 'position')?.value ?? 0)
  const from = Math.min(0, ...at)
  const to = Math.max(wheelbase, ...at)
  const x = (v: number) => 50 + ((v - from) / (to - from)) * (WIDTH - 100)
  const pushes = devices.map((d) => figure(d, 'down')?.value ?? 0)
  const most = Math.max(1, ...pushes.map(Math.abs))
  const axles = [
    { name: 'front axle', x: x(0), load: figure(answer, 'front axle') },
    { name: 'rear axle', x: x(wheelbase), load: figure(answer, 'rear axle') },
  ]
  return (
    <svg
      className={css.curve}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`front axle ${axles[0]?.load?.said ?? ''}, rear axle ${axles[1]?.load?.said ?? ''}`}
    >
      <line
        x1={x(from)}
        x2={x(to)}
        y1={GROUND - WHEEL}
        y2={GROUND - WHEEL}
        stroke="var(--ink)"
        strokeWidth="3"
      />
      <line x1={10} x2={WIDTH - 10} y1={GROUND} y2={GROUND} stroke="var(--line)" />
      {axles.map((a) => (
        <g key={a.name}>
          <circle
            cx={a.x}
            cy={GROUND - WHEEL}
            r={WHEEL}
            fill="var(--card)"
            stroke="var(--ink)"
            strokeWidth="2"
          />
          <text x={a.x} y={GROUND + 20} textAnchor="middle" fontSize="12" fontWeight="700" fill="var(--ink)">
            {`${(a.load?.value ?? 0) < 0 ? 'lifted ' : '+'}${plain(a.load?.said)}`}
          </text>
          <text x={a.x} y={GROUND + 36} textAnchor="middle" fontSize="11" fill="var(--muted)">
            {a.name}
          </text>
        </g>
      ))}
      {devices.map((d, i) => {
        const push = pushes[i] ?? 0
        const long = 14 + (46 * Math.abs(push)) / most
        const px = x(at[i] ?? 0)
        const foot = GROUND - WHEEL - 3
        const [tip, tail] = push >= 0 ? [foot, foot - long] : [foot - long, foot]
        const head = push >= 0 ? -7 : 7
        const behind = (at[i] ?? 0) > wheelbase || (at[i] ?? 0) < 0
        return (
          <g key={i} stroke={behind ? 'var(--hot)' : 'var(--quiet)'} strokeWidth="2" fill="none">
            <path
              d={`M${px},${tail} L${px},${tip} M${px - 5},${tip + head} L${px},${tip} L${px + 5},${tip + head}`}
            />
            <text
              x={px}
              y={foot - long - 6 - (i % 2) * 13}
              textAnchor="middle"
              fontSize="11"
              stroke="none"
              fill="var(--ink)"
            >
              {`${String(d.device)} ${plain(figure(d, 'down')?.said)}`}
            </text>
          </g>
        )
      })}
      <text x={WIDTH / 2} y={HEIGHT - 8} textAnchor="middle" fontSize="11" fill="var(--muted)">
        front is left; what pushes beyond an axle lifts the other one
      </text>
    </svg>
  )
}

const plain = (said: string | undefined) => (said ?? '').replace(/ \(.*/, '').replace(/^[-−]/, '')
