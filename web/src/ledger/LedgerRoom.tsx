import { useQuery } from '@tanstack/react-query'
import { Link, useNavigate, useParams } from 'react-router'
import { isCar, useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { amount, hours } from '../format/money'
import { Nothing } from '../ui/Nothing'
import { BuildLedger } from './BuildLedger'
import { Rates } from './Rates'
import layout from '../ui/layout.module.css'
import css from './ledger.module.css'

type Books = Schemas['BooksResponse']

/** The money of all builds: agreed, committed, spent, owed; and where estimates were wrong. */
export function LedgerRoom({ account }: { account: Schemas['Account'] }) {
  const { car } = useBoard()
  const { id } = useParams()
  const navigate = useNavigate()
  const manager = account.role === 'MANAGER'
  const books = useQuery({
    queryKey: ['ledger'],
    queryFn: () => dataOf(client.GET('/api/ledger')),
    enabled: manager,
  })
  if (!manager) return <Nothing title="The Ledger is the manager's" />
  if (!books.data) return null
  const picked = car.get(id ?? '')
  return (
    <>
      <div className="room-head">
        <h1>Ledger</h1>
        <div className="soft">
          {picked ? (
            <>
              <Link to="/ledger">all builds</Link> · {picked.number} {picked.name}
            </>
          ) : (
            <>
              {`net, in ${books.data.currency}; ${books.data.hourRate} an hour; tax ${books.data.taxPercent} %`}{' '}
              <Rates books={books.data} onSaved={() => void books.refetch()} />
            </>
          )}
        </div>
        {picked && (
          <a className={`no-print ${layout.push}`} href={`/api/ledger/${picked.id}/invoice.csv`}>
            Invoice lines (CSV)
          </a>
        )}
      </div>
      {picked ? (
        <BuildLedger key={picked.id} car={picked} currency={books.data.currency} />
      ) : (
        <AllBuilds books={books.data} onPick={(b) => navigate(`/ledger/${b}`)} />
      )}
    </>
  )
}

/** Agreed against committed and spent, as one bar: what is left is paper, what is over is hatched. */
function MoneyBar({ agreed, committed, spent }: { agreed: number; committed: number; spent: number }) {
  const all = Math.max(agreed, spent + committed, 1)
  const at = (v: number) => (v / all) * 150
  const over = Math.max(0, spent + committed - agreed)
  return (
    <svg width="150" height="14" aria-hidden="true">
      <rect x="0" y="3" width={at(spent)} height="8" fill="var(--quiet)" />
      <rect x={at(spent)} y="3" width={at(committed)} height="8" fill="var(--quiet-soft)" />
      {over > 0 && agreed > 0 && (
        <rect x={at(agreed)} y="3" width={at(over)} height="8" fill="var(--hot)" opacity="0.75" />
      )}
      {agreed > 0 && <rect x={Math.min(148, at(agreed))} y="0" width="2" height="14" fill="var(--ink)" />}
    </svg>
  )
}

function AllBuilds({ books, onPick }: { books: Books; onPick: (build: string) => void }) {
  const { car } = useBoard()
  return (
    <>
      <table className="plain">
        <thead>
          <tr>
            <th>Build</th>
            <th className="right">Agreed</th>
            <th />
            <th className="right">Committed</th>
            <th className="right">Spent</th>
            <th className="right">Paid</th>
            <th className="right">Owed, with tax</th>
            <th className="right">Hours: agreed</th>
            <th className="right">worked</th>
            <th className="right">to do</th>
          </tr>
        </thead>
        <tbody>
          {books.builds.map((b) => {
            const c = car.get(b.buildId)
            if (c && !isCar(c)) return null
            const over = b.estimated && b.hoursWorked + b.hoursToDo > b.hoursAgreed
            return (
              <tr key={b.buildId}>
                <td>
                  <button className="link" onClick={() => onPick(b.buildId)}>
                    <b>{c?.number}</b> {c?.name}
                  </button>
                  {b.offered > 0 && <span className="hot small"> {b.offered} change waits for a yes</span>}
                </td>
                <td className="right">
                  {b.estimated ? amount(b.agreed) : <span className="hot">no estimate</span>}
                </td>
                <td>
                  <MoneyBar agreed={b.agreed} committed={b.committed} spent={b.spent} />
                </td>
                <td className="right">{amount(b.committed)}</td>
                <td className="right">{amount(b.spent)}</td>
                <td className="right">{amount(b.paid)}</td>
                <td className={b.owed > 0 ? 'right strong' : 'right soft'}>{amount(b.owed)}</td>
                <td className="right">{hours(b.hoursAgreed)}</td>
                <td className="right">{hours(b.hoursWorked)}</td>
                <td className={over ? 'right hot strong' : 'right'}>{hours(b.hoursToDo)}</td>
              </tr>
            )
          })}
        </tbody>
      </table>
      <Wrong books={books} />
    </>
  )
}

/** By kind of work, what the clock said against the estimate; so that the next one is better. */
function Wrong({ books }: { books: Books }) {
  if (books.wrong.length === 0) return null
  return (
    <section className={css.links} aria-label="Where estimates were wrong">
      <h2 className={css.title}>Where estimates were wrong</h2>
      <table className="plain" tabIndex={0}>
        <thead>
          <tr>
            <th>Kind of work</th>
            <th className="right">Jobs</th>
            <th className="right">Estimated</th>
            <th className="right">By the clock</th>
            <th className="right">That is</th>
          </tr>
        </thead>
        <tbody>
          {books.wrong.map((w) => {
            const ratio = Math.round((w.workedMinutes / w.estimatedMinutes - 1) * 100)
            return (
              <tr key={w.skill}>
                <td>{w.skill}</td>
                <td className="right">{w.jobs}</td>
                <td className="right">{hours(w.estimatedMinutes / 60)}</td>
                <td className="right">{hours(w.workedMinutes / 60)}</td>
                <td className={ratio > 10 ? 'right hot strong' : 'right'}>
                  {ratio === 0 ? 'as thought' : ratio > 0 ? `${ratio} % more` : `${-ratio} % less`}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </section>
  )
}
