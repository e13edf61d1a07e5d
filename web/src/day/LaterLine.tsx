import { useBoard, type Work } from '../api/board'
import { day } from '../format/time'

/** A job of a later day, in a line. */
export function LaterLine({ work }: { work: Work }) {
  const { board, car } = useBoard()
  const of = car.get(work.buildId)
  return (
    <div style={{ display: 'flex', gap: 10, padding: '7px 0', borderBottom: '1px solid var(--line)' }}>
      <span className="number" style={{ minWidth: 40, fontSize: 18 }}>
        {of?.number || '—'}
      </span>
      <span style={{ flex: 1 }}>{work.name}</span>
      <span className="soft">{work.placed && day(work.placed.start, board.zone)}</span>
    </div>
  )
}
