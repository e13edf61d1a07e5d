import { margin } from '../format/margin'
import layout from '../ui/layout.module.css'

/** A working week to spare or over fills the mark; longer is capped, not scaled. */
const FULL_MINUTES = 40 * 60
const TICK = 66
const REACH = 58

const WIDTHS = { narrow: 62, small: 84, large: 120 }

interface Props {
  minutes: number | undefined
  size?: 'narrow' | 'small' | 'large'
}

/**
 * The margin, the same everywhere: an upright tick is the date, a wedge whose point touches it is time to spare, a
 * hatched block beyond it is time over; the figure beside it.
 */
export function MarginMark({ minutes, size = 'small' }: Props) {
  const late = minutes === undefined || minutes < 0
  const length =
    minutes === undefined
      ? 22
      : Math.max(3, (Math.min(Math.abs(minutes), FULL_MINUTES) / FULL_MINUTES) * REACH)
  const over = Math.min(length, 30)
  return (
    <span className={layout.mark}>
      <svg width={WIDTHS[size]} viewBox="0 0 100 20" aria-hidden="true" className={layout.fixed}>
        <line x1="4" x2="98" y1="10" y2="10" stroke="var(--line)" strokeWidth="1.5" />
        {late ? (
          <>
            <rect
              x={TICK}
              y="4"
              width={over}
              height="12"
              fill="var(--card)"
              stroke="var(--hot)"
              strokeWidth="1.2"
            />
            {Array.from({ length: Math.ceil(over / 5) }, (_, i) => (
              <line
                key={i}
                x1={TICK + i * 5}
                x2={Math.min(TICK + i * 5 + 5, TICK + over)}
                y1="16"
                y2="4"
                stroke="var(--hot)"
                strokeWidth="1.4"
              />
            ))}
          </>
        ) : (
          <path d={`M ${TICK - length} 4 L ${TICK} 10 L ${TICK - length} 16 Z`} fill="var(--quiet)" />
        )}
        <rect x={TICK - 1.2} y="1" width="2.4" height="18" fill="var(--ink)" />
      </svg>
      <span
        className={`${late ? 'hot' : ''} ${layout.bold}`}
        style={{ fontSize: size === 'large' ? 17 : 13.5 }}
      >
        {margin(minutes)}
      </span>
    </span>
  )
}
