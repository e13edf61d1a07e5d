import { type Fields, figure } from '../api/gauges'
import css from './gauges.module.css'

const SIZE = 240

interface Props {
  answer: Fields
  asked: Fields
}

/** The branch standing on the tubes of its node, seen from the side, and its template on paper. */
export function CopeView({ answer, asked }: Props) {
  const heights = (answer.heights ?? []) as Fields[]
  const tubes = (answer.tubes ?? []) as Fields[]
  const around = figure(answer, 'around')?.value
  const longest = figure(answer, 'longest')?.value
  if (!around || longest === undefined || heights.length === 0) return null
  const radius = around / Math.PI / 2
  const reach = Math.max(...tubes.map((t) => (figure(t, 'diameter')?.value ?? 0) / 2), radius)
  const span = 2 * Math.max(longest + 1.5 * reach, 2.6 * reach)
  const scale = SIZE / span
  // The node is in the lower middle; z goes up the branch.
  const x = (v: number) => SIZE / 2 + v * scale
  const y = (v: number) => SIZE * 0.66 - v * scale
  const end = heights.map((h, i) => {
    const at = (2 * Math.PI * i) / heights.length
    return [x(radius * Math.cos(at)), y(figure(h, 'height')?.value ?? 0)] as const
  })
  const half = heights.length / 2
  const path = (points: (readonly [number, number])[]) => points.map((p) => p.join(',')).join(' ')
  const near = end.slice(0, half + 1)
  const far = [...end.slice(half), ...end.slice(0, 1)]
  const top = y(span * 0.62)
  const link = (file: string, extra = '') =>
    `/api/cope.${file}?${new URLSearchParams({ asked: JSON.stringify(asked) }).toString()}${extra}`
  return (
    <figure className={css.cope}>
      <svg
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        role="img"
        aria-label="the branch standing on its node, from the side"
      >
        {tubes.map((t, i) => {
          const r = ((figure(t, 'diameter')?.value ?? 0) / 2) * scale
          const angle = radians(t, 'angle')
          const dx = Math.sin(angle) * Math.cos(radians(t, 'turned'))
          const dz = Math.cos(angle)
          const tilt = (Math.atan2(-dz, dx) * 180) / Math.PI
          return (
            <rect
              key={i}
              x={-SIZE}
              y={-r}
              width={2 * SIZE}
              height={2 * r}
              transform={`translate(${x(0)} ${y(0)}) rotate(${tilt})`}
              fill="var(--rest)"
              stroke="var(--ink)"
              strokeWidth="1.2"
            />
          )
        })}
        <polygon
          points={`${path(near)} ${x(-radius)},${top} ${x(radius)},${top}`}
          fill="var(--card)"
          stroke="var(--ink)"
          strokeWidth="1.6"
        />
        <polyline points={path(far)} fill="none" stroke="var(--muted)" strokeDasharray="3 3" />
        <text x={x(radius) + 5} y={top + 14} fontSize="11" fill="var(--muted)">
          0° is on this side
        </text>
      </svg>
      <figcaption className="small">
        Template at true size:{' '}
        <a href={link('pdf', '&paper=A4')} target="_blank" rel="noreferrer">
          PDF on A4
        </a>
        ,{' '}
        <a href={link('pdf', '&paper=Letter')} target="_blank" rel="noreferrer">
          PDF on Letter
        </a>
        ,{' '}
        <a href={link('svg')} target="_blank" rel="noreferrer">
          SVG
        </a>
        . Print at 100 %, measure its 50 mm bar, then wrap it.
      </figcaption>
    </figure>
  )
}

/** An angle of a row; nothing said is nothing turned. */
function radians(row: Fields, field: string): number {
  const angle = figure(row, field)
  if (!angle) return 0
  return angle.unit === 'rad' ? angle.value : (angle.value * Math.PI) / 180
}
