import { Button } from '@mantine/core'
import { Link } from 'react-router'
import { useBoard, type Work } from '../api/board'
import type { Schemas } from '../api/client'
import { PaperTag } from '../domain/PaperTag'
import { Pins } from '../domain/Pins'
import { duration } from '../format/margin'
import { when } from '../format/time'

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
    <div
      className="panel"
      role="dialog"
      aria-label={work.name}
      style={{
        position: 'absolute',
        left: 190,
        top: 44,
        width: 380,
        borderColor: 'var(--ink)',
        borderWidth: 2,
        zIndex: 6,
      }}
    >
      <button className="link" style={{ float: 'right' }} onClick={onClose}>
        close
      </button>
      <div className="strong" style={{ fontSize: 17 }}>
        {work.name}
      </div>
      <div className="soft small">
        {car.get(work.buildId)?.number} {car.get(work.buildId)?.name}
      </div>
      {p && (
        <p style={{ margin: '6px 0' }}>
          {when(p.start, board.now, board.zone)} to {when(p.end, board.now, board.zone)}
          {work.job && `, ${duration(work.job.remainingMinutes)}`}
          {p.crew.length > 0 && `, ${p.crew.map((c) => person.get(c)?.name).join(' and ')}`}
          {p.stationId && `, ${station.get(p.stationId)?.name}`}
          {p.ready > p.end && `; ready ${when(p.ready, board.now, board.zone)}`}
        </p>
      )}
      {p?.slotMissed && <p className="hot">The booked slot cannot be met; it is planned in the queue.</p>}
      {p && (
        <p style={{ margin: '6px 0' }}>
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
