import type { Tag } from '../api/board'

interface Props {
  tag: Tag
  said?: string
}

/** A paper tag with its hole: why something cannot go on, as a word. */
export function PaperTag({ tag, said }: Props) {
  const urgent = tag === 'PART' || tag === 'DECIDE' || tag === 'SAFETY' || tag === 'OUT' || tag === 'HANDS'
  const colour = urgent ? 'var(--hot)' : 'var(--ink)'
  return (
    <span
      style={{
        display: 'inline-block',
        maxWidth: '100%',
        filter: `drop-shadow(0 0 0.5px ${colour}) drop-shadow(0 0 0.5px ${colour})`,
      }}
    >
      <span
        style={{
          display: 'flex',
          alignItems: 'center',
          gap: 5,
          padding: '2px 8px 2px 12px',
          background: 'var(--card)',
          color: colour,
          clipPath: 'polygon(9px 0, 100% 0, 100% 100%, 9px 100%, 0 50%)',
          fontSize: 12,
          lineHeight: 1.35,
        }}
      >
        <svg width="6" height="6" aria-hidden="true" style={{ flex: 'none' }}>
          <circle cx="3" cy="3" r="2.2" fill="none" stroke={colour} strokeWidth="1.2" />
        </svg>
        <b style={{ flex: 'none' }}>{tag}</b>
        {said && (
          <span style={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }} title={said}>
            {said}
          </span>
        )}
      </span>
    </span>
  )
}
