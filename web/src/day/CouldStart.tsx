import { useQuery } from '@tanstack/react-query'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { duration } from '../format/margin'
import layout from '../ui/layout.module.css'
import { Section } from './Section'
import css from './day.module.css'

/** What could be started now, by whom nothing is planned for now. */
export function CouldStart({ onOpen }: { onOpen: (work: string) => void }) {
  const { board, car, work, looked } = useBoard()
  const could = useQuery({
    queryKey: ['could', looked, board.now],
    queryFn: () => dataOf(client.GET('/api/my-day/could')),
    placeholderData: (before) => before,
  })
  const works = (could.data ?? []).flatMap((id) => work.get(id) ?? [])
  if (works.length === 0) return null
  return (
    <Section title="Could be done now">
      {works.map((w) => (
        <button key={w.id} className={css.later} onClick={() => onOpen(w.id)}>
          <span className={`number ${css.laterNumber}`}>{car.get(w.buildId)?.number || '—'}</span>
          <span className={layout.stretch}>{w.name}</span>
          <span className="soft">{duration(w.job?.remainingMinutes ?? 0)}</span>
        </button>
      ))}
    </Section>
  )
}
