import { Button } from '@mantine/core'
import { useBoard, type Work } from '../api/board'
import { PaperTag } from '../domain/PaperTag'
import { duration } from '../format/margin'
import { when } from '../format/time'
import { word } from '../format/words'
import { useWorkVerbs } from '../domain/verbs'

/** One job with its big buttons. */
export function WorkCard({ work, now, onHold }: { work: Work; now?: boolean; onHold: () => void }) {
  const { board, car, station, part, person } = useBoard()
  const verbs = useWorkVerbs()
  const of = car.get(work.buildId)
  const at = work.placed
  const me = work.job?.startedBy ?? []
  const others = (at?.crew ?? []).filter((p) => !me.includes(p) || (at?.crew.length ?? 0) > 1)
  const waits = work.hold === undefined && at?.tag !== undefined && at.start > board.now
  return (
    <article
      className="panel"
      style={{
        marginBottom: 10,
        borderColor: now ? 'var(--quiet)' : 'var(--line)',
        borderWidth: now ? 3 : 1.5,
      }}
      aria-label={work.name}
    >
      <div style={{ display: 'flex', gap: 12 }}>
        <span className="number" style={{ fontSize: 34, minWidth: 42 }}>
          {of?.number || '—'}
        </span>
        <div style={{ minWidth: 0 }}>
          <div className="strong" style={{ fontSize: 18, lineHeight: 1.2 }}>
            {work.name}
          </div>
          <div className="soft">
            {of?.name}
            {work.job?.onCar && `, ${word(work.job.zone)}`}
            {at?.stationId && ` · ${station.get(at.stationId)?.name}`}
          </div>
          <div>
            {now
              ? `${duration(work.job?.remainingMinutes ?? 0)} to go`
              : `${at ? when(at.start, board.now, board.zone) : ''} · ${duration(work.job?.remainingMinutes ?? 0)}`}
            {others.length > 1 && ` · ${others.map((p) => person.get(p)?.name).join(' and ')}`}
          </div>
        </div>
      </div>
      {work.note && (
        <p style={{ margin: '6px 0 0', borderLeft: '4px solid var(--hot)', paddingLeft: 8 }}>{work.note}</p>
      )}
      {(work.job?.parts ?? []).map((p) => (
        <div key={p} className="small" style={{ marginTop: 4 }}>
          Part: {part.get(p)?.name}, {word(part.get(p)?.state ?? '')}
        </div>
      ))}
      {work.hold && (
        <div style={{ marginTop: 6 }}>
          <PaperTag tag={work.hold.reason} said={work.hold.note} />
        </div>
      )}
      {waits && at?.tag && (
        <div style={{ marginTop: 6 }}>
          <PaperTag tag={at.tag} /> <span className="small">{at.said}</span>
        </div>
      )}
      {work.kind === 'JOB' && (
        <div
          style={{
            display: 'grid',
            gridTemplateColumns: now ? '1fr 1fr 1fr' : '1fr 1fr',
            gap: 8,
            marginTop: 10,
          }}
        >
          {now && (
            <Button size="lg" px={6} onClick={() => verbs.done(work.id)}>
              Done
            </Button>
          )}
          {now && (
            <Button size="lg" px={6} variant="default" onClick={() => verbs.pause(work.id)}>
              Pause
            </Button>
          )}
          {!now && !work.hold && (
            <Button size="lg" px={6} onClick={() => verbs.start(work.id)}>
              Start
            </Button>
          )}
          {work.hold ? (
            <Button size="lg" px={6} variant="default" onClick={() => verbs.release(work.id)}>
              Free again
            </Button>
          ) : (
            <Button size="lg" px={6} variant="default" onClick={onHold}>
              Held
            </Button>
          )}
        </div>
      )}
    </article>
  )
}
