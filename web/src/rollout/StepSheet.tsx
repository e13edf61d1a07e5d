import { Button } from '@mantine/core'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf, done, type Schemas } from '../api/client'
import { type Attempt, type RollOut, type StepState } from '../api/rollout'
import { useSend } from '../api/send'
import { when } from '../format/time'
import layout from '../ui/layout.module.css'
import { Tick } from '../ui/Tick'
import { Channels } from './Channels'
import { EndForm } from './EndForm'
import { NameField } from './NameField'
import css from './rollout.module.css'

interface Props {
  car: string
  step: StepState
  rollOut: RollOut
  account: Schemas['Account']
}

/** A step: its limits, the checks before and after, two names, go, stop, and what the logger says meanwhile. */
export function StepSheet({ car, step, rollOut, account }: Props) {
  const open = rollOut.open?.step === step.key ? rollOut.open : undefined
  const tries = rollOut.over.filter((a) => a.step === step.key)
  return (
    <section className={css.card} aria-label={`Step ${step.name}`}>
      <div className={css.cardHead}>
        <h2>{step.name}</h2>
        <span className="soft">{step.limits}</span>
        {step.done && !open && <span className={`quiet strong ${layout.push}`}>done</span>}
      </div>
      {open ? (
        <Open car={car} step={step} attempt={open} rollOut={rollOut} account={account} />
      ) : (
        <Closed car={car} step={step} rollOut={rollOut} />
      )}
      {tries.length > 0 && <Tries tries={tries} />}
    </section>
  )
}

function Closed({ car, step, rollOut }: { car: string; step: StepState; rollOut: RollOut }) {
  const { send, busy } = useSend()
  const begin = () =>
    void send(() =>
      dataOf(
        client.POST('/api/builds/{id}/rollout/attempts', {
          params: { path: { id: car } },
          body: { step: step.key },
        }),
      ),
    )
  return (
    <>
      {step.blocked.length > 0 && (
        <p>
          <b>Before it:</b> <span className="hot">{step.blocked.join('; ')}</span>
        </p>
      )}
      <h3>To look at before</h3>
      <ul className={css.plainChecks}>
        {step.before.map((c) => (
          <li key={c}>{c}</li>
        ))}
      </ul>
      {step.after.length > 0 && (
        <>
          <h3>and after</h3>
          <ul className={css.plainChecks}>
            {step.after.map((c) => (
              <li key={c}>{c}</li>
            ))}
          </ul>
        </>
      )}
      <Channels car={car} looking={false} texts={step.channels} />
      {rollOut.open ? (
        <p className="soft">{rollOut.open.name} is open; one step at a time.</p>
      ) : (
        <Button size="md" variant={step.done ? 'default' : undefined} loading={busy} onClick={begin}>
          {step.done ? 'Run it again' : step.tries > 0 ? 'Try again' : 'Begin'}
        </Button>
      )}
    </>
  )
}

interface OpenProps extends Props {
  attempt: Attempt
}

function Open({ car, step, attempt, rollOut, account }: OpenProps) {
  const { send, busy } = useSend()
  const [ending, setEnding] = useState<'done' | 'stop'>()
  const goes = attempt.went !== undefined
  const path = { attempt: attempt.id }
  const go = () =>
    void send(() => dataOf(client.POST('/api/rollout-attempts/{attempt}/go', { params: { path } })))
  const leave = () =>
    void send(() => dataOf(client.DELETE('/api/rollout-attempts/{attempt}', { params: { path } })))
  const waits = attempt.waits
  return (
    <>
      {attempt.stop && goes && (
        <div className={css.stopNow} role="alert">
          STOP: {attempt.stop}
        </div>
      )}
      <Checks attempt={attempt} checks={step.before} after={false} disabled={goes} />
      {goes && step.after.length > 0 && (
        <>
          <h3>Afterwards</h3>
          <Checks attempt={attempt} checks={step.after} after disabled={false} />
        </>
      )}
      <Channels car={car} looking texts={step.channels} />
      <Names attempt={attempt} people={rollOut.people} me={account.name} disabled={goes} />
      {!goes && (
        <div className={css.goRow}>
          <Button size="lg" loading={busy} disabled={waits.length > 0} onClick={go}>
            {waits.length === 0 ? 'Go' : `Go: ${waits[0]}`}
          </Button>
          <Button size="lg" variant="default" loading={busy} onClick={leave}>
            Leave it for now
          </Button>
          <span className="small soft">
            {waits.length > 1 && <span className="hot">also: {waits.slice(1).join('; ')}. </span>}
            Going on takes two names: who drives and who looked. The maker&#39;s instructions and the rule
            book come first.
          </span>
        </div>
      )}
      {goes && !ending && (
        <div className={css.goRow}>
          <Button size="lg" color="hot" variant="outline" onClick={() => setEnding('stop')}>
            Stop here
          </Button>
          <Button size="lg" disabled={attempt.afterwards !== undefined} onClick={() => setEnding('done')}>
            {attempt.afterwards ? `Done: ${attempt.afterwards}` : 'Done'}
          </Button>
          <span className="small soft">
            {attempt.driver} drives, {attempt.looker} looks.
          </span>
        </div>
      )}
      {goes && ending && (
        <EndForm
          attempt={attempt}
          engine={step.channels.length > 0}
          done={ending === 'done'}
          onClose={() => setEnding(undefined)}
        />
      )}
    </>
  )
}

interface ChecksProps {
  attempt: Attempt
  checks: string[]
  after: boolean
  disabled: boolean
}

function Checks({ attempt, checks, after, disabled }: ChecksProps) {
  const { board } = useBoard()
  const { send } = useSend()
  const tick = (check: string, ticked: boolean) =>
    send(() =>
      done(
        client.PUT('/api/rollout-attempts/{attempt}/ticks', {
          params: { path: { attempt: attempt.id } },
          body: { check, after, ticked },
        }),
      ),
    )
  return (
    <ul className={css.checks}>
      {checks.map((check) => {
        const by = attempt.ticks.find((t) => t.check === check && t.after === after)
        return (
          <li key={check} className={css.check}>
            <Tick
              label={check}
              ticked={by !== undefined}
              disabled={disabled}
              onTick={(t) => tick(check, t)}
            />
            {by && (
              <span className={`small soft ${layout.push}`}>
                {by.by} {when(by.at, board.now, board.zone)}
              </span>
            )}
          </li>
        )
      })}
    </ul>
  )
}

interface NamesProps {
  attempt: Attempt
  people: string[]
  me: string
  disabled: boolean
}

/** Who drives and who looks; each may say so on a phone of their own. */
function Names({ attempt, people, me, disabled }: NamesProps) {
  return (
    <div className={css.names}>
      {(['driver', 'looker'] as const).map((role) => (
        <Named
          key={role + (attempt[role] ?? '')}
          role={role}
          attempt={attempt}
          people={people}
          me={me}
          disabled={disabled}
        />
      ))}
    </div>
  )
}

function Named({ role, attempt, people, me, disabled }: NamesProps & { role: 'driver' | 'looker' }) {
  const [value, setValue] = useState(attempt[role] ?? '')
  const [error, setError] = useState<string>()
  const { send, busy } = useSend()
  const say = (name: string) => {
    setError(undefined)
    void send(
      () =>
        dataOf(
          client.PUT('/api/rollout-attempts/{attempt}/names', {
            params: { path: { attempt: attempt.id } },
            body: { [role]: name },
          }),
        ),
      (problem) => {
        setError(problem.problems[0]?.message ?? problem.message)
        return true
      },
    )
  }
  const there = attempt[role] ?? ''
  return (
    <div className={css.named}>
      <NameField
        label={role === 'driver' ? 'Drives' : 'Looks'}
        value={value}
        onChange={setValue}
        people={people}
        error={error}
        disabled={disabled}
      />
      {!disabled && (
        <Button
          variant="default"
          size="md"
          loading={busy}
          onClick={() => say(value && value !== there ? value : me)}
        >
          {value && value !== there ? 'Keep' : role === 'driver' ? 'I drive' : 'I look'}
        </Button>
      )}
    </div>
  )
}

function Tries({ tries }: { tries: Attempt[] }) {
  const { board } = useBoard()
  return (
    <>
      <h3>Tries before</h3>
      <ul className={css.tries}>
        {tries.map((t) => (
          <li key={t.id}>
            <b className={t.done ? 'quiet' : 'hot'}>
              {t.number}. {t.done ? 'done' : 'stopped'}
            </b>{' '}
            <span className="soft">
              {when(t.ended ?? t.opened, board.now, board.zone)}, {t.driver} drove, {t.looker} looked
            </span>
            {t.seen && <div>{t.seen}</div>}
            {t.stop && <div className="hot">the logger asked to stop: {t.stop}</div>}
            {t.extremes && <div className="soft">{t.extremes}</div>}
          </li>
        ))}
      </ul>
    </>
  )
}
