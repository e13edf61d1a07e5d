import { Button } from '@mantine/core'
import { Link } from 'react-router'
import { useBoard, type Work } from '../api/board'
import type { Schemas } from '../api/client'
import { PaperTag } from '../domain/PaperTag'
import { Pins } from '../domain/Pins'
import { duration } from '../format/margin'
import { when } from '../format/time'
import layout from '../ui/layout.module.css'
import css from './runway.module.css'

interface Props {
  work: Work
  account: Schemas['Account']
  onClose: () => void
}

/** What the plan says of one job: when, who, where, why no sooner; and its pins. */
export function WorkCard({ work, account, onClose }: Props) {
  const { board, car, person, station } = useBoard()
  const p = work.placed
  return (
    <div className={`panel ${css.card}`} role="dialog" aria-label={work.name}>
      <button className={`link ${layout.aside}`} onClick={onClose}>
        close
      </button>
      <div className={`strong ${css.cardTitle}`}>{work.name}</div>
      <div className="soft small">
        {car.get(work.buildId)?.number} {car.get(work.buildId)?.name}
      </div>
      {p && (
        <p className={css.paragraph}>
          {when(p.start, board.now, board.zone)} to {when(p.end, board.now, board.zone)}
          {work.job && `, ${duration(work.job.remainingMinutes)}`}
          {p.crew.length > 0 && `, ${p.crew.map((c) => person.get(c)?.name).join(' and ')}`}
          {p.stationId && `, ${station.get(p.stationId)?.name}`}
          {p.ready > p.end && `; ready ${when(p.ready, board.now, board.zone)}`}
        </p>
      )}
      {p?.slotMissed && <p className="hot">The booked slot cannot be met; it is planned in the queue.</p>}
      {p && (
        <p className={css.paragraph}>
          {p.tag && <PaperTag tag={p.tag} />} No sooner: {p.said}.
        </p>
      )}
      {work.cannot && <p className="hot">Cannot be planned: {work.cannot}</p>}
      <Pins work={work} canPin={account.role === 'MANAGER'} />
      <Button
        component={Link}
        to={`/build/${work.buildId}?work=${work.id}`}
        variant="default"
        size="compact-sm"
        mt="sm"
      >
        Open in the build
      </Button>
    </div>
  )
}
