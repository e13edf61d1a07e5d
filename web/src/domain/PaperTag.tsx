import type { Tag } from '../api/board'

interface Props {
  tag: Tag
  said?: string
}

const SHAPE = 'polygon(9px 0, 100% 0, 100% 100%, 9px 100%, 0 50%)'

/** A paper tag with its hole: why something cannot go on, as a word. */
export function PaperTag({ tag, said }: Props) {
  const needsSomebody =
    tag === 'PART' || tag === 'DECIDE' || tag === 'SAFETY' || tag === 'OUT' || tag === 'HANDS'
  const colour = needsSomebody ? 'var(--hot)' : 'var(--ink)'
  return (
    <span
      style={{
        display: 'inline-block',
        verticalAlign: 'middle',
        maxWidth: '100%',
        background: colour,
        padding: 1.5,
        clipPath: SHAPE,
      }}
    >
      <span
        style={{
          display: 'flex',
          alignItems: 'center',
          gap: 5,
          padding: '1px 7px 1px 11px',
          background: 'var(--card)',
          color: colour,
          clipPath: SHAPE,
          fontSize: 12,
          lineHeight: 1.3,
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
