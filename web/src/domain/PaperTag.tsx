import type { Tag } from '../api/board'
import layout from '../ui/layout.module.css'
import css from './domain.module.css'

interface Props {
  tag: Tag
  said?: string
  /** Whether a person must do something about it now; what waits its turn, or for its day, is quiet. */
  hot?: boolean
}

const SHAPE = 'polygon(9px 0, 100% 0, 100% 100%, 9px 100%, 0 50%)'

/** A paper tag with its hole: why something cannot go on, as a word. */
export function PaperTag({ tag, said, hot }: Props) {
  const colour = hot ? 'var(--hot)' : 'var(--ink)'
  return (
    <span className={css.frame} style={{ background: colour, clipPath: SHAPE }}>
      <span className={css.tag} style={{ color: colour, clipPath: SHAPE }}>
        <svg width="6" height="6" aria-hidden="true" className={layout.fixed}>
          <circle cx="3" cy="3" r="2.2" fill="none" stroke={colour} strokeWidth="1.2" />
        </svg>
        <b className={layout.fixed}>{tag}</b>
        {said && (
          <span className={layout.ellipsis} title={said}>
            {said}
          </span>
        )}
      </span>
    </span>
  )
}
