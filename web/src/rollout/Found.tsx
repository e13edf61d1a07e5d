import { Button, NativeSelect, NumberInput, TextInput } from '@mantine/core'
import { type FormEvent, useState } from 'react'
import { client, dataOf, done } from '../api/client'
import { type Finding, type RollOut } from '../api/rollout'
import { useSend } from '../api/send'
import layout from '../ui/layout.module.css'
import { useSent } from '../ui/useSent'
import css from './rollout.module.css'

const AFTER_ALL = ''

const places = (rollOut: RollOut) => [
  ...rollOut.steps.map((s) => ({ value: s.key, label: `before ${s.name.toLowerCase()}` })),
  { value: AFTER_ALL, label: 'after all the steps' },
]

/** What was found on the way, and before which step each is put right; that may be put off, on purpose. */
export function Found({ car, rollOut }: { car: string; rollOut: RollOut }) {
  return (
    <section aria-label="Found on the way">
      <h2>Found on the way</h2>
      {rollOut.findings.length === 0 && <p className="small soft">Nothing yet.</p>}
      {rollOut.findings.map((f) => (
        <FindingRow key={f.id} finding={f} rollOut={rollOut} />
      ))}
      <Add car={car} rollOut={rollOut} />
    </section>
  )
}

function FindingRow({ finding, rollOut }: { finding: Finding; rollOut: RollOut }) {
  const { send } = useSend()
  const put = useSent(finding.before ?? AFTER_ALL, (before) =>
    send(() =>
      done(
        client.PUT('/api/rollout-findings/{finding}', {
          params: { path: { finding: finding.id } },
          body: { before: before || undefined },
        }),
      ),
    ),
  )
  return (
    <div className={css.finding}>
      <div className={layout.spread}>
        <b>{finding.what}</b>
        <span className={`small ${finding.fixed ? 'quiet' : 'hot'}`}>{finding.state}</span>
      </div>
      <div className={layout.spread}>
        <span className="small soft">
          {finding.during}, {finding.by}
        </span>
        {!finding.fixed && (
          <NativeSelect
            size="xs"
            aria-label={`When ${finding.what} is put right`}
            value={put.shown}
            data={places(rollOut)}
            disabled={put.sending}
            onChange={(e) => put.choose(e.currentTarget.value)}
          />
        )}
      </div>
    </div>
  )
}

function Add({ car, rollOut }: { car: string; rollOut: RollOut }) {
  const [what, setWhat] = useState('')
  const [minutes, setMinutes] = useState<number | string>(30)
  const [before, setBefore] = useState(rollOut.here ?? AFTER_ALL)
  const [errors, setErrors] = useState<Record<string, string>>({})
  const { send, busy } = useSend()
  const add = (event: FormEvent) => {
    event.preventDefault()
    setErrors({})
    void send(
      () =>
        dataOf(
          client.POST('/api/builds/{id}/rollout/findings', {
            params: { path: { id: car } },
            body: { what, minutes: Number(minutes) || 0, before: before || undefined },
          }),
        ).then(() => setWhat('')),
      (problem) => {
        setErrors(Object.fromEntries(problem.problems.map((p) => [p.field, p.message])))
        return problem.problems.length > 0
      },
    )
  }
  return (
    <form onSubmit={add} className={css.add}>
      <TextInput
        aria-label="Something found"
        placeholder="fan comes in at 104 °C"
        value={what}
        onChange={(e) => setWhat(e.currentTarget.value)}
        error={errors.what}
        className={css.wide}
      />
      <NumberInput
        aria-label="Minutes of work"
        suffix=" min"
        min={5}
        step={5}
        value={minutes}
        onChange={setMinutes}
        error={errors.minutes}
      />
      <NativeSelect
        aria-label="To be put right"
        value={before}
        data={places(rollOut)}
        onChange={(e) => setBefore(e.currentTarget.value)}
      />
      <Button type="submit" variant="default" loading={busy} disabled={!what.trim()} className={css.wide}>
        I found something
      </Button>
    </form>
  )
}
