import type { Schemas } from '../api/client'
import { useBoard } from '../api/board'
import { Effects } from '../domain/Effects'
import layout from '../ui/layout.module.css'

/** "3 jobs move; 112 wins 2 h": what rules would do that are not kept yet. */
export function RulesPreview({ preview }: { preview: Schemas['RulesPreviewResponse'] }) {
  const { board, car, commitment } = useBoard()
  const nameOf = (e: Schemas['DateEffect']) => {
    const date = commitment.get(e.commitment)
    return date ? `${car.get(date.buildId)?.number || car.get(date.buildId)?.name} ${date.name}` : ''
  }
  const jobs = (n: number) => (n === 0 ? 'no job moves' : n === 1 ? '1 job moves' : `${n} jobs move`)
  return (
    <section className={`panel ${layout.below}`} aria-label="What they would do">
      <p className="strong">
        With these, {jobs(preview.movedAtOnce)} at once; thought through anew, {jobs(preview.moved)}.
      </p>
      {preview.moved > 0 && <Effects effects={preview.effects} nameOf={nameOf} zone={board.zone} />}
      <p className="soft small">
        Chances of the dates are worked out again once they are kept. Undo takes them back.
      </p>
    </section>
  )
}
