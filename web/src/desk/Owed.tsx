import { useBoard } from '../api/board'
import { useLoans } from '../api/loans'
import { day } from '../format/time'
import layout from '../ui/layout.module.css'

/** What was borrowed and is not given back. */
export function Owed() {
  const { board, car } = useBoard()
  const loans = useLoans()
  if (loans.length === 0) return null
  return (
    <section className="panel" aria-label="Owed">
      <h2>Owed</h2>
      {loans.map((l) => (
        <div key={l.id} className={`small ${layout.ruled}`}>
          <b>{car.get(l.toBuildId)?.number || car.get(l.toBuildId)?.name}</b> owes {l.what} to{' '}
          {l.fromBuildId ? car.get(l.fromBuildId)?.number || car.get(l.fromBuildId)?.name : 'the shelf'}{' '}
          <span className="soft">since {day(l.at, board.zone)}</span>
        </div>
      ))}
    </section>
  )
}
