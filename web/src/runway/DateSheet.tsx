import { Link } from 'react-router'
import { type Commitment, useBoard } from '../api/board'
import type { Schemas } from '../api/client'
import { useOdds } from '../api/thinking'
import { OddsMark } from '../domain/OddsMark'
import { when } from '../format/time'
import { Rescue } from './Rescue'
import { Spread } from './Spread'
import layout from '../ui/layout.module.css'
import css from './runway.module.css'

const DRIVERS = 4
/** A driver that explains less is not worth naming. */
const WEAK = 0.1

/** A date looked at closely: its chain in a sentence, its odds, what drives them, what would help. */
export function DateSheet({
  date,
  account,
  onClose,
}: {
  date: Commitment
  account: Schemas['Account']
  onClose: () => void
}) {
  const { board, work } = useBoard()
  const { view, of } = useOdds()
  const odds = of.get(date.id)
  const chain = new Set(odds?.chain.map((c) => c.workId))
  const overruns = (view?.overruns ?? []).filter((o) => chain.has(o.workId)).slice(0, DRIVERS)
  const late = (date.marginMinutes ?? -1) < 0
  const old = view !== undefined && view.change < board.change
  return (
    <section
      className={`panel ${css.varied}`}
      aria-label={`Chain of ${date.name}`}
      style={{ borderColor: late ? 'var(--hot)' : 'var(--ink)' }}
    >
      <button className={`link ${layout.aside}`} onClick={onClose}>
        close
      </button>
      <span className={late ? 'strong hot' : 'strong'}>{date.sentence}</span>{' '}
      <span className="soft">
        {[...date.chain].reverse().map((id, i) => (
          <span key={id}>
            {i > 0 && ' → '}
            <Link to={`/build/${work.get(id)?.buildId}?work=${id}`}>{work.get(id)?.name}</Link>
          </span>
        ))}
      </span>
      {odds && view && (
        <div className={css.facts}>
          <Spread date={date} odds={odds} now={board.now} zone={board.zone} />
          <div className={css.chart}>
            <OddsMark chance={odds.chance} size="large" />{' '}
            <span className="soft small">± {Math.max(0.1, Math.round(odds.error * 1000) / 10)} %</span>
            <div className={`soft small ${layout.belowThin}`}>what moves it most</div>
            <ul className={css.drivers}>
              {odds.drivers
                .filter((d) => d.correlation > WEAK)
                .slice(0, DRIVERS)
                .map((d) => (
                  <li key={d.id}>
                    {d.said} <span className="soft small">{Math.round(d.correlation * 100)}</span>
                  </li>
                ))}
              {!odds.drivers.some((d) => d.correlation > WEAK) && (
                <li className="soft">nothing in particular</li>
              )}
            </ul>
            {overruns.length > 0 && (
              <>
                <div className={`soft small ${layout.belowThin}`}>may run past the end of the day</div>
                <ul className={css.drivers}>
                  {overruns.map((o) => (
                    <li key={o.workId}>{o.said}</li>
                  ))}
                </ul>
              </>
            )}
            <div className={`soft small ${layout.belowThin}`}>
              {view.trials} trials, worked out for {when(view.madeFor, board.now, board.zone)}
              {old && '; being worked out again'}
            </div>
          </div>
        </div>
      )}
      <Rescue date={date} account={account} />
    </section>
  )
}
