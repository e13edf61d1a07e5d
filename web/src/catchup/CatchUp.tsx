import { Button, Checkbox, Select } from '@mantine/core'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { type CatchUpDay, type PersonDay, useCatchUp } from '../api/catchup'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import { duration } from '../format/margin'
import { away, day as dayOf } from '../format/time'
import { DurationField } from '../ui/DurationField'
import { type Draft, linesOf, planned } from './lines'
import css from './catchup.module.css'

/** Who did what on a day that is past: what was planned is ticked, what was not is added. */
export function CatchUp() {
  const [asked, setAsked] = useState<string>()
  const there = useCatchUp(asked)
  if (!there) return null
  return <Day key={there.day} there={there} onDay={setAsked} />
}

function Day({ there, onDay }: { there: CatchUpDay; onDay: (day: string) => void }) {
  const { board, person } = useBoard()
  const { send, busy } = useSend()
  const [said, setSaid] = useState<Record<string, Partial<Draft>>>({})
  const [added, setAdded] = useState<Draft[]>([])
  const [error, setError] = useState<string>()
  const drafts = [...planned(there.people), ...added].map((d) => ({ ...d, ...said[d.key] }))
  const lines = linesOf(drafts)
  const say = (key: string, more: Partial<Draft>) => {
    setError(undefined)
    setSaid((all) => ({ ...all, [key]: { ...all[key], ...more } }))
  }
  const write = async () => {
    const done = await send(
      async () => {
        await dataOf(client.POST('/api/catch-up', { body: { day: there.day, lines } }))
        return true
      },
      (problem) => {
        setError(problem.message)
        return true
      },
    )
    if (done) {
      setSaid({})
      setAdded([])
    }
  }
  const noon = `${there.day}T12:00:00Z`
  // A guest who did not come has no day.
  const people = there.people.filter(
    (p) => p.inMinutes > 0 || p.written.length > 0 || (person.get(p.personId)?.shifts.length ?? 0) > 0,
  )
  return (
    <section aria-label="Catch up" className={css.day}>
      <div className={css.head}>
        <h2>
          {dayOf(noon, board.zone)}, {away(noon, board.now, board.zone)}
        </h2>
        <button className="link small" onClick={() => onDay(there.before)}>
          the day before
        </button>
        {there.people.length > 1 && (
          <Button
            size="compact-sm"
            variant="default"
            onClick={() => drafts.forEach((d) => say(d.key, { on: true }))}
            disabled={drafts.length === 0}
          >
            All as planned
          </Button>
        )}
      </div>
      <div className={css.people}>
        {people.map((p) => (
          <Person
            key={p.personId}
            day={p}
            drafts={drafts.filter((d) => d.personId === p.personId)}
            onSay={say}
            onAdd={(workId) =>
              setAdded((all) => [
                ...all,
                {
                  key: `${p.personId} ${workId} +`,
                  personId: p.personId,
                  workId,
                  minutes: 60,
                  done: false,
                  on: true,
                },
              ])
            }
          />
        ))}
      </div>
      {error && (
        <p className="hot" role="alert">
          {error}
        </p>
      )}
      <div className={css.foot}>
        <Button loading={busy} disabled={lines.length === 0} onClick={() => void write()}>
          Write down {lines.length > 0 && `${lines.length} ${lines.length === 1 ? 'line' : 'lines'}`}
        </Button>
      </div>
    </section>
  )
}

interface PersonProps {
  day: PersonDay
  drafts: Draft[]
  onSay: (key: string, more: Partial<Draft>) => void
  onAdd: (workId: string) => void
}

function Person({ day, drafts, onSay, onAdd }: PersonProps) {
  const { board, car, person, work } = useBoard()
  const written = day.written.reduce((sum, w) => sum + w.minutes, 0)
  const name = (id: string) => {
    const w = work.get(id)
    return `${car.get(w?.buildId ?? '')?.number ?? ''} ${w?.name ?? 'work that is gone'}`
  }
  const jobs = board.works
    .filter((w) => w.kind === 'JOB' && w.status !== 'DONE' && !drafts.some((d) => d.workId === w.id))
    .map((w) => ({ value: w.id, label: name(w.id) }))
  return (
    <div className={`panel ${css.person}`} role="group" aria-label={person.get(day.personId)?.name}>
      <div className={css.name}>
        <b>{person.get(day.personId)?.name}</b>{' '}
        <span className="soft small">
          {day.inMinutes === 0
            ? 'was not in'
            : `${duration(written)} of ${duration(day.inMinutes)} written down`}
        </span>
      </div>
      {day.written.map((w) => (
        <div key={w.id} className={`small ${css.written}`}>
          {name(w.workId)}, {duration(w.minutes)}
        </div>
      ))}
      {drafts.map((d) => (
        <div key={d.key} className={css.line}>
          <Checkbox
            label={name(d.workId)}
            checked={d.on}
            onChange={(e) => onSay(d.key, { on: e.currentTarget.checked })}
          />
          <DurationField
            size="xs"
            aria-label={`How long, ${name(d.workId)}`}
            value={d.minutes}
            onChange={(minutes) => onSay(d.key, { minutes, on: true })}
          />
          <Checkbox
            label="done"
            checked={d.done}
            onChange={(e) => onSay(d.key, { done: e.currentTarget.checked, on: true })}
          />
        </div>
      ))}
      <Select
        size="xs"
        mt={6}
        searchable
        aria-label={`Something else that ${person.get(day.personId)?.name} did`}
        placeholder="something else"
        data={jobs}
        value={null}
        limit={30}
        onChange={(id) => id && onAdd(id)}
      />
    </div>
  )
}
