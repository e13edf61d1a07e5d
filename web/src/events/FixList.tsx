import { Button, NativeSelect, TextInput } from '@mantine/core'
import { type FormEvent, useState } from 'react'
import { client, dataOf } from '../api/client'
import { type TestDay, type TestFinding } from '../api/season'
import { useSend } from '../api/send'
import layout from '../ui/layout.module.css'

const WHEN: { value: TestFinding['decision']; label: string }[] = [
  { value: 'OPEN', label: 'not decided' },
  { value: 'BEFORE', label: 'before the next event' },
  { value: 'AFTER', label: 'after all dates' },
  { value: 'NEVER', label: 'never' },
]

/** What was found at the test; each becomes a job before the next event, one after it, or none. */
export function FixList({ event, day, changes }: { event: string; day: TestDay; changes: boolean }) {
  const [what, setWhat] = useState('')
  const [error, setError] = useState<string>()
  const { send, busy } = useSend()
  const add = (submit: FormEvent) => {
    submit.preventDefault()
    setError(undefined)
    void send(
      () =>
        dataOf(
          client.POST('/api/events/{id}/test-findings', {
            params: { path: { id: event } },
            body: { buildId: day.buildId, what, minutes: 0 },
          }),
        ).then(() => setWhat('')),
      (problem) => {
        setError(problem.problems.map((p) => p.message).join(' '))
        return problem.problems.length > 0
      },
    )
  }
  return (
    <div role="group" aria-label="Fix list">
      <h3>Fix list</h3>
      {day.findings.length === 0 && <p className="small soft">Nothing was found yet.</p>}
      {day.findings.map((f) => (
        <Row key={f.id} finding={f} changes={changes} />
      ))}
      <form onSubmit={add} className={`no-print ${layout.row}`}>
        <TextInput
          size="xs"
          aria-label="Something to fix"
          placeholder="third gear jumps out"
          value={what}
          error={error}
          onChange={(e) => setWhat(e.currentTarget.value)}
        />
        <Button type="submit" size="xs" variant="default" loading={busy} disabled={!what.trim()}>
          Put it on the list
        </Button>
      </form>
    </div>
  )
}

function Row({ finding, changes }: { finding: TestFinding; changes: boolean }) {
  const { send, busy } = useSend()
  const decide = (decision: TestFinding['decision']) =>
    void send(() =>
      dataOf(
        client.PUT('/api/test-findings/{finding}', {
          params: { path: { finding: finding.id } },
          body: { decision, minutes: 0 },
        }),
      ),
    )
  return (
    <div className={`${layout.spread} ${layout.ruled}`}>
      <span>
        <b>{finding.what}</b> <span className="small soft">{finding.by}</span>
      </span>
      {changes ? (
        <NativeSelect
          size="xs"
          aria-label={`When ${finding.what} is fixed`}
          value={finding.decision}
          disabled={busy}
          data={WHEN}
          onChange={(e) => decide(e.currentTarget.value as TestFinding['decision'])}
        />
      ) : (
        <span className="small">{WHEN.find((w) => w.value === finding.decision)?.label}</span>
      )}
    </div>
  )
}
