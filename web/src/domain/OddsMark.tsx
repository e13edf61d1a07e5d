import layout from '../ui/layout.module.css'
const NOTCHES = 10
/** From here on a date counts as sure, as far as the figure goes. */
const SURE = 0.995

interface Props {
  chance: number
  /** Narrow leaves the notches to the figure. */
  size?: 'narrow' | 'small' | 'large'
  /** Beside a margin that says the same. */
  quiet?: boolean
}

/** "62 %"; what is nearly sure or nearly lost is not rounded to certainty. */
export function percent(chance: number): string {
  if (chance >= SURE) return chance === 1 ? '100 %' : '> 99 %'
  if (chance > 0 && chance < 0.01) return '< 1 %'
  return `${Math.round(chance * 100)} %`
}

/** The odds of a date, the same everywhere: ten notches, the cut ones are trials that keep it; the figure beside it. */
export function OddsMark({ chance, size = 'small', quiet = false }: Props) {
  const cut = Math.round(chance * NOTCHES)
  const poor = chance < 0.5 && !quiet
  return (
    <span className={layout.mark} title={`kept in ${percent(chance)} of a thousand trials`}>
      {size !== 'narrow' && (
        <svg
          width={size === 'large' ? 96 : 62}
          viewBox="0 0 62 12"
          aria-hidden="true"
          className={layout.fixed}
        >
          <line x1="0" x2="62" y1="11" y2="11" stroke="var(--ink)" strokeWidth="1.2" />
          {Array.from({ length: NOTCHES }, (_, i) => (
            <line
              key={i}
              x1={4 + i * 6}
              x2={4 + i * 6}
              y1={i < cut ? 1 : 8}
              y2="11"
              stroke={i < cut ? (poor ? 'var(--hot)' : 'var(--quiet)') : 'var(--muted)'}
              strokeWidth={i < cut ? 3.2 : 1.2}
            />
          ))}
        </svg>
      )}
      <span
        className={`${poor ? 'hot' : ''} ${layout.bold}`}
        style={{ fontSize: size === 'large' ? 16 : 12.5 }}
      >
        {percent(chance)}
      </span>
    </span>
  )
}
