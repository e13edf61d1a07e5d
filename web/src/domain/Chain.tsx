import { Fragment } from 'react'
import { Link } from 'react-router'
import { type Commitment, useBoard } from '../api/board'
import { when } from '../format/time'
import layout from '../ui/layout.module.css'
import css from './domain.module.css'

interface Props {
  date: Commitment
  /** How many links to show before the rest is folded. */
  most?: number
}

/** The chain of a date, from the date back to what it hangs on; each link can be opened. */
export function Chain({ date, most = 99 }: Props) {
  const { board, work, person } = useBoard()
  const late = (date.marginMinutes ?? -1) < 0
  const chain = date.chain.flatMap((id) => work.get(id) ?? [])
  if (date.missing.length > 0) {
    return (
      <section className={layout.belowTight} aria-label="Chain">
        <div className="strong small">Why it cannot be promised</div>
        {date.missing.slice(0, 4).map((id) => (
          <div key={id} className="small hot">
            {work.get(id)?.name}: {work.get(id)?.cannot}
          </div>
        ))}
      </section>
    )
  }
  if (chain.length === 0) return null
  const shown = chain.length > most ? [...chain.slice(0, most - 3), ...chain.slice(-2)] : chain
  const folded = chain.length - shown.length
  const root = chain[chain.length - 1]
  return (
    <section className={layout.belowTight} aria-label="Chain">
      <div className="strong small" title={date.sentence}>
        {late ? `Why ${date.name} is out of reach` : `What ${date.name} hangs on`}
      </div>
      <ol className={css.chain}>
        <Dot filled>
          {when(date.due, board.now, board.zone)} {date.name}
        </Dot>
        {shown.map((w, i) => (
          <Fragment key={w.id}>
            {folded > 0 && i === most - 3 && <Dot>… {folded} more</Dot>}
            <Dot hot={w.id === root?.id && late}>
              {when(w.placed?.start ?? board.now, board.now, board.zone)}{' '}
              <Link to={`/build/${w.buildId}?work=${w.id}`} className={css.link}>
                {w.name}
              </Link>
              {w.placed && w.placed.crew.length > 0 && (
                <span className="soft">, {w.placed.crew.map((p) => person.get(p)?.name).join(' + ')}</span>
              )}
              {w.buildId !== date.buildId && <span className="soft"> (another car)</span>}
            </Dot>
          </Fragment>
        ))}
        {root?.placed && (
          <li className={`${late ? 'hot' : 'soft'} ${css.answer}`}>
            {root.placed.said === 'nothing holds it' ? 'going on or free to start' : root.placed.said}
          </li>
        )}
      </ol>
    </section>
  )
}

function Dot({ children, filled, hot }: { children: React.ReactNode; filled?: boolean; hot?: boolean }) {
  const colour = hot ? 'var(--hot)' : 'var(--ink)'
  return (
    <li className={css.step} style={{ color: hot ? 'var(--hot)' : undefined }}>
      <svg width="12" height="100%" className={css.knot} preserveAspectRatio="none" aria-hidden="true">
        <line x1="6" x2="6" y1="0" y2="100%" stroke="var(--ink)" strokeWidth="1.4" />
        <circle
          cx="6"
          cy="10"
          r="4"
          fill={filled ? 'var(--ink)' : 'var(--card)'}
          stroke={colour}
          strokeWidth="1.6"
        />
      </svg>
      {children}
    </li>
  )
}
