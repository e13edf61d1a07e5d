import { useBoard } from '../api/board'
import { dayKey, when } from '../format/time'
import css from './walkround.module.css'

const MOST = 4

/** What goes on off the cars: jobs at the benches, going on or due today. */
export function Benches({ onPick }: { onPick: (car: string) => void }) {
  const { board, car, person } = useBoard()
  const works = board.works
    .filter(
      (w) =>
        w.job &&
        !w.job.onCar &&
        w.placed &&
        dayKey(w.placed.start, board.zone) === dayKey(board.now, board.zone),
    )
    .sort((a, b) => a.placed!.start.localeCompare(b.placed!.start))
    .slice(0, MOST)
  return (
    <div className={`small ${css.bench}`}>
      <span className="soft">Benches</span>
      {works.length === 0 && <div className="soft">nothing today</div>}
      {works.map((w) => (
        <button key={w.id} className={`link ${css.work}`} onClick={() => onPick(w.buildId)}>
          <b>{car.get(w.buildId)?.number || car.get(w.buildId)?.name}</b> {w.name}
          <span className={w.status === 'STARTED' ? 'quiet' : 'soft'}>
            {' '}
            {w.status === 'STARTED' ? '' : `${when(w.placed!.start, board.now, board.zone)} `}
            {w.placed!.crew.map((p) => person.get(p)?.name).join(' + ')}
          </span>
        </button>
      ))}
    </div>
  )
}
