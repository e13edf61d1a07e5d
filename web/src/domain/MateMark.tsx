import type { Mate } from '../api/desk'
import layout from '../ui/layout.module.css'

/** Two sides of a joint, drawn: they meet, meet by a piece between, clash, or one is a question. */
export function MateMark({ outcome }: { outcome: Mate['outcome'] }) {
  const hot = outcome === 'DOES_NOT_FIT' || outcome === 'UNKNOWN'
  const ink = hot ? 'var(--hot)' : 'var(--ink)'
  const line = { fill: 'none', stroke: ink, strokeWidth: 1.6 }
  return (
    <svg width="34" height="16" viewBox="0 0 34 16" aria-hidden="true" className={layout.fixed}>
      <path d="M1 2H13V6H9V10H13V14H1Z" {...line} fill={outcome === 'FITS' ? 'var(--quiet-soft)' : 'none'} />
      {outcome === 'FITS' && <path d="M33 2H13V6H9V10H13V14H33" {...line} />}
      {outcome === 'NEEDS_ADAPTER' && (
        <>
          <path d="M14 5H20V11H14Z" {...line} strokeDasharray="2 1.5" />
          <path d="M33 2H23V14H33" {...line} />
        </>
      )}
      {outcome === 'DOES_NOT_FIT' && (
        <>
          <path d="M33 1H20V15H33" {...line} />
          <path d="M15 3L19 13M19 3L15 13" {...line} />
        </>
      )}
      {outcome === 'UNKNOWN' && (
        <text x="25" y="13" fontSize="14" fontWeight="700" textAnchor="middle" fill={ink}>
          ?
        </text>
      )}
    </svg>
  )
}
