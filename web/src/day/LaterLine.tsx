import { useBoard, type Work } from '../api/board'
import { day } from '../format/time'
import layout from '../ui/layout.module.css'
import css from './day.module.css'

/** A job of a later day, in a line that opens. */
export function LaterLine({ work, onOpen }: { work: Work; onOpen: () => void }) {
  const { board, car } = useBoard()
  const of = car.get(work.buildId)
  return (
    <button className={css.later} onClick={onOpen}>
      <span className={`number ${css.laterNumber}`}>{of?.number || '—'}</span>
      <span className={layout.stretch}>{work.name}</span>
      <span className="soft">{work.placed && day(work.placed.start, board.zone)}</span>
    </button>
  )
}
