import { useBoard, type Work } from '../api/board'
import { day } from '../format/time'
import layout from '../ui/layout.module.css'
import css from './day.module.css'

/** A job of a later day, in a line. */
export function LaterLine({ work }: { work: Work }) {
  const { board, car } = useBoard()
  const of = car.get(work.buildId)
  return (
    <div className={css.later}>
      <span className={`number ${css.laterNumber}`}>{of?.number || '—'}</span>
      <span className={layout.stretch}>{work.name}</span>
      <span className="soft">{work.placed && day(work.placed.start, board.zone)}</span>
    </div>
  )
}
