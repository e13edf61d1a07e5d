import { Button, Checkbox, NativeSelect, TextInput } from '@mantine/core'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { calledAt, type RaceEvent } from '../api/events'
import { type TestDay, useTestDays } from '../api/season'
import { useSend } from '../api/send'
import { clock } from '../format/time'
import layout from '../ui/layout.module.css'
import { TakeIn } from '../ui/TakeIn'
import { useLine } from '../ui/useLine'
import { FixList } from './FixList'
import { JudgedLaps } from './JudgedLaps'
import { RunSheet } from './RunSheet'
import { changed } from './runs'
import css from './season.module.css'

interface Props {
  event: RaceEvent
  changes: boolean
}

/** The day at the track: runs in order, a sheet for each, what the laps say, what is to be fixed. */
export function TestDays({ event, changes }: Props) {
  const { looked } = useBoard()
  const days = useTestDays(event.id, looked)
  const tests = event.sessions.some((s) => s.kind === 'TEST')
  const shown = (days ?? []).filter(
    (d) =>
      d.runs.length > 0 ||
      d.findings.length > 0 ||
      (tests && !event.cars.some((c) => c.buildId === d.buildId && c.spare)),
  )
  if (shown.length === 0) return null
  return (
    <section aria-label="Test day" id="test-day">
      <h2>Test day</h2>
      {shown.map((d) => (
        <OfCar
          key={d.buildId}
          event={event}
          day={d}
          name={shown.length > 1 ? calledAt(event, d.buildId) : ''}
          changes={changes}
        />
      ))}
    </section>
  )
}

/** What a run is worth to know. */
const WORTH = [
  { value: '3', label: 'what the day is for' },
  { value: '2', label: 'worth knowing' },
  { value: '1', label: 'if there is time' },
]

interface OfCarProps extends Props {
  day: TestDay
  name: string
}

function OfCar({ event, day, name, changes }: OfCarProps) {
  const { board } = useBoard()
  const [open, setOpen] = useState<string>()
  const [rain, setRain] = useState(false)
  const { send, busy } = useSend()
  const order = (ids: string[] | undefined) =>
    void send(() =>
      dataOf(
        client.PUT('/api/events/{id}/test-order', {
          params: { path: { id: event.id } },
          body: { buildId: day.buildId, order: ids, rain },
        }),
      ),
    )
  const move = (from: number, to: number) => {
    const ids = day.runs.map((r) => r.id)
    ids.splice(to, 0, ...ids.splice(from, 1))
    order(ids)
  }
  const sheet = day.runs.find((r) => r.id === open)
  return (
    <div>
      {name && <h3>{name}</h3>}
      <ol className={css.runs}>
        {day.runs.map((r, i) => (
          <li key={r.id} className={css.run}>
            <span className={css.nth}>{i + 1}</span>
            <span className={r.ranAt ? css.driven : ''}>
              <button type="button" className="link strong" onClick={() => setOpen(r.id)}>
                {changed(r)}
              </button>{' '}
              <span className="small soft">
                {[
                  r.set,
                  r.dry && 'needs it dry',
                  WORTH.find((w) => w.value === String(r.value))?.label,
                  r.ranAt && `driven ${clock(r.ranAt, board.zone)}`,
                  r.laps && `${r.laps.trim().split(/\s+/).length} laps`,
                ]
                  .filter(Boolean)
                  .join(', ')}
              </span>
            </span>
            {changes && !r.ranAt && (
              <span className="no-print">
                <button
                  type="button"
                  className="link"
                  disabled={busy || i === 0}
                  aria-label={`Run ${i + 1} earlier`}
                  onClick={() => move(i, i - 1)}
                >
                  earlier
                </button>
              </span>
            )}
          </li>
        ))}
      </ol>
      {day.remarks.map((r) => (
        <p key={r} className="small hot strong">
          {r}
        </p>
      ))}
      {changes && <AddRun event={event.id} build={day.buildId} />}
      <div className={`no-print ${layout.row} ${layout.belowThin}`}>
        {changes && day.runs.length > 1 && (
          <>
            <Checkbox
              label="rain is expected"
              checked={rain}
              onChange={(e) => setRain(e.currentTarget.checked)}
            />
            <Button size="compact-sm" variant="default" loading={busy} onClick={() => order(undefined)}>
              Put in order
            </Button>
          </>
        )}
        <a
          className="small"
          href={`/api/events/${event.id}/run-sheets.pdf?build=${day.buildId}`}
          target="_blank"
          rel="noreferrer"
        >
          Run sheets on paper
        </a>
        {day.runs.length > 0 && (
          <TakeIn<{ runs: number }>
            to={`/api/events/${event.id}/test-laps/import?build=${day.buildId}`}
            label="Take laps in (CSV)"
            said={(a) => `the laps of ${a.runs} ${a.runs === 1 ? 'run' : 'runs'}`}
          />
        )}
      </div>
      <JudgedLaps runs={day.runs} />
      <FixList event={event.id} day={day} changes={changes} />
      {sheet && (
        <RunSheet
          key={sheet.id}
          build={day.buildId}
          run={sheet}
          nth={day.runs.indexOf(sheet) + 1}
          onClose={() => setOpen(undefined)}
          changes={changes}
        />
      )}
    </div>
  )
}

function AddRun({ event, build }: { event: string; build: string }) {
  const [value, setValue] = useState('2')
  const [dry, setDry] = useState(false)
  const line = useLine((what) =>
    dataOf(
      client.POST('/api/events/{id}/test-runs', {
        params: { path: { id: event } },
        body: {
          buildId: build,
          changes: what
            .split(';')
            .map((c) => c.trim())
            .filter(Boolean),
          value: Number(value),
          dry,
          ran: false,
          version: 0,
        },
      }),
    ),
  )
  return (
    <form onSubmit={line.submit} className={`no-print ${layout.row}`}>
      <TextInput
        size="xs"
        aria-label="What the run changes"
        placeholder="rear bar softer; none for a baseline"
        value={line.text}
        error={line.error}
        onChange={(e) => line.setText(e.currentTarget.value)}
        w={230}
      />
      <NativeSelect
        size="xs"
        aria-label="What it is worth"
        value={value}
        data={WORTH}
        onChange={(e) => setValue(e.currentTarget.value)}
      />
      <Checkbox
        size="xs"
        label="needs it dry"
        checked={dry}
        onChange={(e) => setDry(e.currentTarget.checked)}
      />
      <Button type="submit" size="xs" variant="default" loading={line.busy}>
        {line.text.trim() ? 'Add the run' : 'Add a baseline'}
      </Button>
    </form>
  )
}
