import { Button } from '@mantine/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { useBoard, type Work } from '../api/board'
import { AskSheet } from './AskSheet'
import { MoreTime } from '../domain/MoreTime'
import { PaperTag } from '../domain/PaperTag'
import { Restricted } from '../domain/Restricted'
import { duration } from '../format/margin'
import { when } from '../format/time'
import { word } from '../format/words'
import { useWorkVerbs } from '../domain/verbs'
import layout from '../ui/layout.module.css'
import css from './day.module.css'

/** One job with its big buttons. */
export function WorkCard({ work, now, onHold }: { work: Work; now?: boolean; onHold: () => void }) {
  const { board, car, station, part, person } = useBoard()
  const verbs = useWorkVerbs()
  const [asking, setAsking] = useState(false)
  const of = car.get(work.buildId)
  const at = work.placed
  const me = work.job?.startedBy ?? []
  const others = (at?.crew ?? []).filter((p) => !me.includes(p) || (at?.crew.length ?? 0) > 1)
  const over = work.job?.overMinutes ?? 0
  const waits = work.hold === undefined && at?.tag !== undefined && at.start > board.now
  return (
    <article
      className={`panel ${css.job}`}
      style={{ borderColor: now ? 'var(--quiet)' : 'var(--line)', borderWidth: now ? 3 : 1.5 }}
      aria-label={work.name}
    >
      <div className={css.card}>
        <span className={`number ${css.number}`}>{of?.number || '—'}</span>
        <div className={css.body}>
          <div className={`strong ${css.name}`}>{work.name}</div>
          <div className="soft">
            {of?.name}
            {work.job?.onCar && `, ${word(work.job.zone)}`}
            {at?.stationId && ` · ${station.get(at.stationId)?.name}`}
          </div>
          <Restricted car={of} />
          <div>
            {now
              ? `${duration(work.job?.remainingMinutes ?? 0)} to go${over > 0 ? `, ${duration(over)} past its time` : ''}`
              : `${at ? when(at.start, board.now, board.zone) : ''} · ${duration(work.job?.remainingMinutes ?? 0)}`}
            {others.length > 1 && ` · ${others.map((p) => person.get(p)?.name).join(' and ')}`}
          </div>
        </div>
      </div>
      {work.note && <p className={css.hot}>{work.note}</p>}
      {(work.job?.parts ?? []).map((p) => (
        <div key={p} className={`small ${layout.belowThin}`}>
          Part: {part.get(p)?.name}, {word(part.get(p)?.state ?? '')}
        </div>
      ))}
      {work.hold && (
        <div className={layout.belowThin}>
          <PaperTag tag={work.hold.reason} said={work.hold.note} hot={!work.hold.until} />
        </div>
      )}
      {waits && at?.tag && (
        <div className={layout.belowThin}>
          <PaperTag tag={at.tag} /> <span className="small">{at.said}</span>
        </div>
      )}
      {now && (
        <div className={layout.belowThin}>
          <Link to={`/gauges/${work.buildId}`}>Measure at the car</Link>{' '}
          <Link to={`/rollout/${work.buildId}`}>Roll-out</Link>{' '}
          <button className="link" onClick={() => setAsking(true)}>
            Ask the lead
          </button>
          {asking && <AskSheet work={work} onClose={() => setAsking(false)} />}
        </div>
      )}
      {now && work.kind === 'JOB' && <MoreTime work={work.id} big />}
      {work.kind === 'JOB' && (
        <div className={css.buttons} style={{ gridTemplateColumns: now ? '1fr 1fr 1fr' : '1fr 1fr' }}>
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
