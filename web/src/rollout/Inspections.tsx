import { Button, TextInput } from '@mantine/core'
import { type FormEvent, useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { type Inspection, useInspections } from '../api/season'
import { useSend } from '../api/send'
import { day, instantOf, localOf, when } from '../format/time'
import layout from '../ui/layout.module.css'
import { MomentField } from '../ui/MomentField'
import css from './rollout.module.css'

type Line = Inspection['lines'][number]

/** What the inspector asks, pass or fail line by line; what failed is a job; signed, it stands in the log book. */
export function Inspections({ car, signs }: { car: string; signs: boolean }) {
  const { board } = useBoard()
  const all = useInspections(car, board.change)
  const { send, busy } = useSend()
  if (!all) return null
  const open = all.find((i) => !i.signedAt)
  const signed = all.filter((i) => i.signedAt)
  const begin = () =>
    void send(() =>
      dataOf(client.POST('/api/builds/{id}/inspections', { params: { path: { id: car } }, body: {} })),
    )
  return (
    <section aria-label="Inspection" className={open ? css.card : css.inspection}>
      <h2>Inspection</h2>
      {open ? (
        <Open inspection={open} signs={signs} />
      ) : (
        <Button variant="default" size="compact-md" loading={busy} onClick={begin}>
          Begin an inspection
        </Button>
      )}
      {signed.length > 0 && <h3>In the log book</h3>}
      {signed.map((i) => (
        <p key={i.id} className={`small ${layout.ruled}`}>
          <b>{day(i.at, board.zone)}</b>: {i.entry} <span className="soft">{i.signedBy}</span>
        </p>
      ))}
    </section>
  )
}

function Open({ inspection, signs }: { inspection: Inspection; signs: boolean }) {
  const { board } = useBoard()
  const { zone } = board
  const [inspector, setInspector] = useState(inspection.inspector)
  const [again, setAgain] = useState(localOf(inspection.againAt, zone))
  const [text, setText] = useState('')
  const [errors, setErrors] = useState<Record<string, string>>({})
  const { send, busy } = useSend()
  const path = { inspection: inspection.id }
  const wrong = (problem: { problems: { field: string; message: string }[] }) => {
    setErrors(Object.fromEntries(problem.problems.map((p) => [p.field, p.message])))
    return problem.problems.length > 0
  }
  const keep = (againAt: string) => {
    setErrors({})
    void send(
      () =>
        dataOf(
          client.PUT('/api/inspections/{inspection}', {
            params: { path },
            body: { inspector, againAt: instantOf(againAt, zone) },
          }),
        ),
      wrong,
    )
  }
  const add = (submit: FormEvent) => {
    submit.preventDefault()
    setErrors({})
    void send(
      () =>
        dataOf(client.POST('/api/inspections/{inspection}/lines', { params: { path }, body: { text } })).then(
          () => setText(''),
        ),
      wrong,
    )
  }
  const sign = () => {
    setErrors({})
    void send(() => dataOf(client.POST('/api/inspections/{inspection}/sign', { params: { path } })), wrong)
  }
  const drop = () =>
    void send(() => dataOf(client.DELETE('/api/inspections/{inspection}', { params: { path } })))
  const passed = inspection.lines.filter((l) => l.result === 'PASS').length
  const failed = inspection.lines.some((l) => l.result === 'FAIL')
  return (
    <div>
      <p className="small">
        {passed} of {inspection.lines.length} passed, begun {when(inspection.at, board.now, zone)}. The rule
        book and the inspector decide.
      </p>
      <div className={css.goRow}>
        <TextInput
          size="xs"
          label="Inspector"
          value={inspector}
          error={errors.inspector}
          onChange={(e) => setInspector(e.currentTarget.value)}
          onBlur={() => inspector !== inspection.inspector && keep(again)}
        />
        {failed && (
          <MomentField
            size="xs"
            label="Looked at again"
            value={again}
            error={errors.againAt}
            onChange={(v) => {
              setAgain(v)
              keep(v)
            }}
          />
        )}
      </div>
      <ul className={css.asked}>
        {inspection.lines.map((l) => (
          <LineRow key={l.id} line={l} />
        ))}
      </ul>
      <form onSubmit={add} className={`no-print ${layout.row}`}>
        <TextInput
          size="xs"
          aria-label="What else is asked"
          placeholder="noise at 98 dB"
          value={text}
          error={errors.text}
          onChange={(e) => setText(e.currentTarget.value)}
        />
        <Button type="submit" size="xs" variant="default" loading={busy} disabled={!text.trim()}>
          Add a line
        </Button>
      </form>
      {errors.lines && (
        <p className="small hot strong" role="alert">
          {errors.lines}
        </p>
      )}
      {signs && (
        <div className={`no-print ${layout.row} ${layout.belowThin}`}>
          <Button size="compact-md" loading={busy} onClick={sign}>
            Sign it into the log book
          </Button>
          <Button size="compact-md" variant="default" loading={busy} onClick={drop}>
            Drop it
          </Button>
        </div>
      )}
    </div>
  )
}

function LineRow({ line }: { line: Line }) {
  const [note, setNote] = useState<string>()
  const [error, setError] = useState<string>()
  const { send, busy } = useSend()
  const say = (result: Line['result'], said: string) => {
    setError(undefined)
    void send(
      () =>
        dataOf(
          client.PUT('/api/inspection-lines/{line}', {
            params: { path: { line: line.id } },
            body: { result, note: said },
          }),
        ).then(() => setNote(undefined)),
      (problem) => {
        setError(problem.problems.map((p) => p.message).join(' '))
        return problem.problems.length > 0
      },
    )
  }
  return (
    <li className={css.askedLine}>
      <span>
        {line.text}
        {line.note && (
          <span className={`small ${line.result === 'FAIL' ? 'hot' : 'soft'}`}> {line.note}</span>
        )}
      </span>
      <span className={css.passFail}>
        <Button
          size="compact-md"
          variant={line.result === 'PASS' ? 'filled' : 'default'}
          aria-pressed={line.result === 'PASS'}
          aria-label={`${line.text}: passes`}
          disabled={busy}
          onClick={() => say('PASS', line.note)}
        >
          pass
        </Button>
        <Button
          size="compact-md"
          variant={line.result === 'FAIL' ? 'filled' : 'default'}
          color={line.result === 'FAIL' ? 'hot' : undefined}
          aria-pressed={line.result === 'FAIL'}
          aria-label={`${line.text}: fails`}
          disabled={busy}
          onClick={() => setNote(line.note)}
        >
          fail
        </Button>
      </span>
      {note !== undefined && (
        <form
          className={css.failed}
          onSubmit={(e) => {
            e.preventDefault()
            say('FAIL', note)
          }}
        >
          <TextInput
            size="xs"
            aria-label={`What is wrong: ${line.text}`}
            placeholder="what is wrong with it"
            value={note}
            error={error}
            autoFocus
            onChange={(e) => setNote(e.currentTarget.value)}
          />
          <Button type="submit" size="xs" variant="default" loading={busy}>
            It fails
          </Button>
        </form>
      )}
    </li>
  )
}
