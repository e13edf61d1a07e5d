import { Button, Modal, Textarea, TextInput } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { Link } from 'react-router'
import { type Tag, useBoard, type Work } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { Nothing } from '../ui/Nothing'
import { PaperTag } from '../domain/PaperTag'
import { duration } from '../format/margin'
import { clock, day, weekday, when } from '../format/time'
import { word } from '../format/words'
import { useWorkVerbs } from '../domain/verbs'
import { Goods } from './Goods'
import { Section } from './Section'

const REASONS: Tag[] = ['PART', 'HANDS', 'STATION', 'DECIDE', 'AFTER', 'SAFETY']
const SAID: Record<string, string> = {
  PART: 'a part is missing or wrong',
  HANDS: 'needs a second hand',
  STATION: 'no place for the car',
  DECIDE: 'somebody must decide',
  AFTER: 'other work comes first',
  SAFETY: 'not safe as it is',
}

/** A hand's day on the phone: now, next, later; start, done, held because, a finding. */
export function MyDay({ account }: { account: Schemas['Account'] }) {
  const { board, work, person } = useBoard()
  const mine = useQuery({
    queryKey: ['my-day', board.change, board.now],
    queryFn: () => dataOf(client.GET('/api/my-day', { params: { query: {} } })),
    enabled: Boolean(account.personId),
    placeholderData: (before) => before,
  })
  const [holding, setHolding] = useState<Work>()
  const [finding, setFinding] = useState(false)
  const works = (ids: string[] = []) => ids.flatMap((id) => work.get(id) ?? [])
  if (!account.personId)
    return <Nothing title="This account is nobody's" text="Only people of the shop have a day here." />
  const day_ = mine.data
  return (
    <div style={{ maxWidth: 460, margin: '0 auto', padding: '12px 12px 90px' }}>
      <div style={{ display: 'flex', alignItems: 'baseline', gap: 10 }}>
        <h1 style={{ margin: 0, fontSize: 26 }}>{person.get(account.personId)?.name}</h1>
        <span className="soft">
          {weekday(board.now, board.zone)} {clock(board.now, board.zone)}
        </span>
        <Leave role={account.role} />
      </div>
      {day_ && <News day={day_} />}
      <Section title="Now">
        {works(day_?.now).map((w) => (
          <Card key={w.id} work={w} now onHold={() => setHolding(w)} />
        ))}
        {day_?.now.length === 0 && <p className="soft">Nothing started. Start what is next.</p>}
      </Section>
      <Section title="Next">
        {works(day_?.next).map((w) => (
          <Card key={w.id} work={w} onHold={() => setHolding(w)} />
        ))}
        {day_?.next.length === 0 && (
          <p className="soft">Nothing more up to {day(day_.nextUntil, board.zone)}.</p>
        )}
      </Section>
      <Section title="Later">
        {works(day_?.later).map((w) => (
          <Later key={w.id} work={w} />
        ))}
      </Section>
      <Goods />
      <div
        style={{
          position: 'fixed',
          insetInline: 0,
          bottom: 0,
          padding: 10,
          background: 'var(--paper)',
          borderTop: '2px solid var(--ink)',
        }}
      >
        <Button fullWidth size="lg" variant="default" onClick={() => setFinding(true)}>
          I found something
        </Button>
      </div>
      {holding && <HoldSheet work={holding} onClose={() => setHolding(undefined)} />}
      {finding && (
        <FindingSheet
          suggested={works(day_?.now)[0]?.buildId ?? works(day_?.next)[0]?.buildId}
          onClose={() => setFinding(false)}
        />
      )}
    </div>
  )
}

/** What the last publishing changed for this hand, until it says that it has seen it. */
function News({ day: mine }: { day: Schemas['MyDayResponse'] }) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const published = mine.publishedAt
  const seen = useRef<string>(undefined)
  const nothing = mine.changes.length === 0
  useEffect(() => {
    if (!published || !nothing || seen.current === published) return
    seen.current = published
    void client.POST('/api/my-day/looked')
  }, [published, nothing])
  if (!published) return <p className="soft">Nothing has been published yet. Ask what is next.</p>
  if (nothing) return null
  return (
    <section className="panel" aria-label="What changed" style={{ borderColor: 'var(--hot)', marginTop: 12 }}>
      <div className="strong hot">Changed {when(published, board.now, board.zone)}</div>
      <ul style={{ margin: '4px 0 8px', paddingLeft: 18 }}>
        {mine.changes.map((c) => (
          <li key={c.workId}>{c.said}</li>
        ))}
      </ul>
      <Button
        fullWidth
        size="lg"
        variant="default"
        loading={busy}
        onClick={() => void send(() => dataOf(client.POST('/api/my-day/looked')))}
      >
        Seen
      </Button>
    </section>
  )
}

function Leave({ role }: { role: string }) {
  const queries = useQueryClient()
  const { send } = useSend()
  if (role !== 'HAND') {
    return (
      <Link to="/walk" style={{ marginLeft: 'auto' }}>
        Walkround
      </Link>
    )
  }
  return (
    <button
      className="link"
      style={{ marginLeft: 'auto', padding: '8px 0' }}
      onClick={() =>
        void send(async () => {
          await dataOf(client.POST('/api/logout' as never))
          await queries.resetQueries()
        })
      }
    >
      Sign out
    </button>
  )
}

/** One job with its big buttons. */
function Card({ work, now, onHold }: { work: Work; now?: boolean; onHold: () => void }) {
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

function Later({ work }: { work: Work }) {
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

/** Why it cannot go on: one tap for the reason, a word for what. */
function HoldSheet({ work, onClose }: { work: Work; onClose: () => void }) {
  const [reason, setReason] = useState<Tag>()
  const [note, setNote] = useState('')
  const [error, setError] = useState<string>()
  const { send, busy } = useSend()
  const hold = async (tag: Tag) => {
    const done = await send(
      async () => {
        await dataOf(
          client.POST('/api/works/{id}/hold', {
            params: { path: { id: work.id } },
            body: { reason: tag, note: note || SAID[tag] || '' },
          }),
        )
        return true
      },
      (problem) => {
        setError(problem.message)
        return true
      },
    )
    if (done) onClose()
  }
  return (
    <Modal opened onClose={onClose} title={`Held: ${work.name}`} fullScreen>
      <TextInput
        label="What exactly? (a word will do)"
        placeholder="left gasket"
        size="lg"
        value={note}
        error={error}
        onChange={(e) => setNote(e.currentTarget.value)}
      />
      <div style={{ display: 'grid', gap: 8, marginTop: 14 }}>
        {REASONS.map((tag) => (
          <Button
            key={tag}
            size="xl"
            variant={reason === tag ? 'filled' : 'default'}
            loading={busy && reason === tag}
            justify="space-between"
            rightSection={<span style={{ fontSize: 14, fontWeight: 400 }}>{SAID[tag]}</span>}
            onClick={() => {
              setReason(tag)
              void hold(tag)
            }}
          >
            {tag}
          </Button>
        ))}
      </div>
    </Modal>
  )
}

function FindingSheet({ suggested, onClose }: { suggested?: string; onClose: () => void }) {
  const { board } = useBoard()
  const [build, setBuild] = useState(suggested)
  const [text, setText] = useState('')
  const [error, setError] = useState<string>()
  const { send, busy } = useSend()
  const note = async () => {
    if (!build) {
      setError('On which car?')
      return
    }
    const as = await send(
      () =>
        dataOf(
          client.POST('/api/builds/{id}/capture', {
            params: { path: { id: build } },
            body: { text: `finding: ${text}` },
          }),
        ),
      (problem) => {
        setError(problem.message)
        return true
      },
    )
    if (as) {
      notifications.show({ title: 'Taken down', message: as.said, color: 'quiet' })
      onClose()
    }
  }
  return (
    <Modal opened onClose={onClose} title="What did you find?" fullScreen>
      <div
        style={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 6 }}
        role="group"
        aria-label="Car"
      >
        {board.cars.map((c) => (
          <Button
            key={c.id}
            size="md"
            px={4}
            variant={build === c.id ? 'filled' : 'default'}
            onClick={() => setBuild(c.id)}
          >
            {c.number || c.name.split(' ')[0]}
          </Button>
        ))}
      </div>
      <Textarea
        mt="md"
        size="lg"
        label="Finding"
        placeholder="weeping union rear left @underside 30m"
        autosize
        minRows={3}
        value={text}
        error={error}
        onChange={(e) => {
          setText(e.currentTarget.value)
          setError(undefined)
        }}
      />
      <Button size="xl" fullWidth mt="md" loading={busy} onClick={() => void note()}>
        Write it down
      </Button>
    </Modal>
  )
}
