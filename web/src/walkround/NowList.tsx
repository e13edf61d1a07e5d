import { useState } from 'react'
import { Link } from 'react-router'
import { useAhead } from '../api/ahead'
import { useBoard } from '../api/board'
import { Nothing } from '../ui/Nothing'
import { duration } from '../format/margin'
import { day } from '../format/time'
import layout from '../ui/layout.module.css'
import css from './walkround.module.css'

/** So many jobs are told for each person, and so many holds; the rest on request. */
const SOME = 4
const SOME_HELD = 14

/** What everybody could do this minute, and for the rest the one thing that holds it and who can release it. */
export function NowList() {
  const { board, work, car, person } = useBoard()
  const { ready, held, latest } = useAhead(true)
  const [all, setAll] = useState<string>()
  const [more, setMore] = useState(false)
  if (!ready) return null
  const name = (id: string) => {
    const w = work.get(id)
    const c = car.get(w?.buildId ?? '')
    return (
      <Link to={`/build/${c?.id}?work=${id}`}>
        {c?.number && <b>{c.number} </b>}
        {c?.name}: {w?.name}
      </Link>
    )
  }
  return (
    <div className={css.columns}>
      <section aria-label="Can be worked on now" className={css.column}>
        {ready.map((p) => {
          const who = person.get(p.personId)
          const shown = all === p.personId ? p.works : p.works.slice(0, SOME)
          return (
            <div key={p.personId} className="panel">
              <h2 className={css.listTitle}>
                {who?.name}{' '}
                <span className={`soft small ${css.plain}`}>{who?.inNow ? '' : 'not in now'}</span>
              </h2>
              {p.works.length === 0 && (
                <div className="soft small">Nothing can be worked on; see what holds the rest.</div>
              )}
              {shown.map((r) => {
                const w = work.get(r.workId)
                return (
                  <div key={r.workId} className={`${r.own ? '' : 'soft'} ${css.move}`}>
                    <span>
                      {r.own ? '' : 'could also: '}
                      {name(r.workId)}
                      {w?.status === 'STARTED' && <span className="quiet"> going on</span>}
                    </span>
                    <span className={`small ${layout.nowrap}`}>
                      {duration(w?.job?.remainingMinutes ?? w?.job?.likelyMinutes ?? 0)}
                      {latest.get(r.workId) && `, wanted by ${day(latest.get(r.workId)!, board.zone)}`}
                    </span>
                  </div>
                )
              })}
              {p.works.length > SOME && all !== p.personId && (
                <button className="link small" onClick={() => setAll(p.personId)}>
                  {p.works.length - SOME} more
                </button>
              )}
            </div>
          )
        })}
      </section>
      <section aria-label="What holds the rest">
        <table className="plain">
          <thead>
            <tr>
              <th>Waits</th>
              <th>for</th>
              <th>who can release it</th>
            </tr>
          </thead>
          <tbody>
            {(more ? held : held.slice(0, SOME_HELD)).map((h) => (
              <tr key={h.workId}>
                <td>
                  {name(h.workId)}
                  {h.behind > 0 && <div className="soft small">and {h.behind} behind it</div>}
                </td>
                <td className="small">{h.said}</td>
                <td className="small strong">{h.release}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {held.length === 0 && (
          <Nothing title="Nothing is held" text="All that is open waits only for hands." />
        )}
        {held.length > SOME_HELD && !more && (
          <button className="link small" onClick={() => setMore(true)}>
            {held.length - SOME_HELD} more
          </button>
        )}
      </section>
    </div>
  )
}
