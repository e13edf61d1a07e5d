import { day } from '../format/time'
import { TOP } from './sizes'

interface DaysProps {
  keys: string[]
  first: number
  shift: number
  pixels: number
  height: number
  zone: string
  midnights: number[]
}

/** The days as columns, weekends shaded. */
export function Days({ keys, first, shift, pixels, height, zone, midnights }: DaysProps) {
  const every = pixels > 44 ? 1 : pixels > 15 ? 7 : 14
  return (
    <g transform={`translate(${shift} 0)`}>
      {keys.map((key, i) => {
        const x = (first + i) * pixels
        const weekdayNumber = new Date(`${key}T12:00:00Z`).getUTCDay()
        const weekend = weekdayNumber === 0 || weekdayNumber === 6
        const label = every === 1 || (weekdayNumber === 1 && (every === 7 || (first + i) % 14 < 7))
        return (
          <g key={key}>
            {weekend && <rect x={x} y={TOP - 12} width={pixels} height={height} fill="var(--rest)" />}
            <line
              x1={x}
              x2={x}
              y1={TOP - 12}
              y2={height}
              stroke="var(--line)"
              strokeWidth={weekdayNumber === 1 ? 1.2 : 0.5}
            />
            {label && (
              <text
                x={every === 1 ? x + pixels / 2 : x + 2}
                y="14"
                textAnchor={every === 1 ? 'middle' : 'start'}
                fontSize="11.5"
                fill="var(--muted)"
              >
                {pixels > 70 || every > 1
                  ? day((midnights[first + i] ?? 0) + 43_200_000, zone)
                  : day((midnights[first + i] ?? 0) + 43_200_000, zone)
                      .split(' ')
                      .slice(0, 2)
                      .join(' ')}
              </text>
            )}
          </g>
        )
      })}
    </g>
  )
}
