import { Button, NativeSelect, TextInput } from '@mantine/core'
import { client, dataOf, done } from '../api/client'
import { type TestDay, type TestFinding } from '../api/season'
import { useSend } from '../api/send'
import layout from '../ui/layout.module.css'
import { useSent } from '../ui/useSent'
import { useLine } from '../ui/useLine'

const WHEN: { value: TestFinding['decision']; label: string }[] = [
  { value: 'OPEN', label: 'not decided' },
  { value: 'BEFORE', label: 'before the next event' },
  { value: 'AFTER', label: 'after all dates' },
  { value: 'NEVER', label: 'never' },
]

/** What was found at the test; each becomes a job before the next event, one after it, or none. */
export function FixList({ event, day, changes }: { event: string; day: TestDay; changes: boolean }) {
  const line = useLine((what) =>
    dataOf(
      client.POST('/api/events/{id}/test-findings', {
        params: { path: { id: event } },
        body: { buildId: day.buildId, what, minutes: 0 },
      }),
    ),
  )
  return (
    <div role="group" aria-label="Fix list">
      <h3>Fix list</h3>
      {day.findings.length === 0 && <p className="small soft">Nothing was found yet.</p>}
      {day.findings.map((f) => (
        <Row key={f.id} finding={f} changes={changes} />
      ))}
      <form onSubmit={line.submit} className={`no-print ${layout.row}`}>
        <TextInput
          size="xs"
          aria-label="Something to fix"
          placeholder="third gear jumps out"
          value={line.text}
          error={line.error}
          onChange={(e) => line.setText(e.currentTarget.value)}
        />
        <Button type="submit" size="xs" variant="default" loading={line.busy} disabled={!line.text.trim()}>
          Put it on the list
        </Button>
      </form>
    </div>
  )
}

function Row({ finding, changes }: { finding: TestFinding; changes: boolean }) {
  const { send } = useSend()
  const decide = useSent(finding.decision, (decision) =>
    send(() =>
      done(
        client.PUT('/api/test-findings/{finding}', {
          params: { path: { finding: finding.id } },
          body: { decision, minutes: 0 },
        }),
      ),
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
          value={decide.shown}
          disabled={decide.sending}
          data={WHEN}
          onChange={(e) => decide.choose(e.currentTarget.value as TestFinding['decision'])}
        />
      ) : (
        <span className="small">{WHEN.find((w) => w.value === finding.decision)?.label}</span>
      )}
    </div>
  )
}
