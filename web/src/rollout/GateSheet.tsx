import { Button, Textarea } from '@mantine/core'
import { type FormEvent, useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf, done, type Schemas } from '../api/client'
import { type GateState } from '../api/rollout'
import { useSend } from '../api/send'
import { when } from '../format/time'
import { title, word } from '../format/words'
import layout from '../ui/layout.module.css'
import { Tick } from '../ui/Tick'
import { NameField } from './NameField'
import css from './rollout.module.css'

type Line = GateState['lines'][number]

interface Props {
  car: string
  gate: GateState
  people: string[]
  account: Schemas['Account']
}

const STATE: Record<GateState['state'], string> = {
  SHUT: 'shut',
  READY: 'ready: all that it asks is so',
  PASSED: 'passed',
  OPEN_AGAIN: 'open again: what it rested on was disturbed',
}

/** A gate: each thing that it asks, whether it is so, who can make it so and when; and who takes the car past it. */
export function GateSheet({ car, gate, people, account }: Props) {
  const { board } = useBoard()
  const at = (time?: string) => (time ? when(time, board.now, board.zone) : '')
  const open = gate.lines.filter((l) => !l.met)
  const never = open.find((l) => l.never)
  const passed = gate.state === 'PASSED'
  return (
    <section className={css.card} aria-label={`Gate ${title(word(gate.gate))}`}>
      <div className={css.cardHead}>
        <h2>Gate: {word(gate.gate)}</h2>
        <span className={passed ? 'quiet strong' : gate.state === 'READY' ? 'quiet' : 'hot strong'}>
          {STATE[gate.state]}
        </span>
        {gate.date && gate.due && (
          <span className="soft">
            needed for {gate.date}, {at(gate.due)}
            {!passed && open.length > 0 && (
              <>
                {' · '}
                {gate.likely ? (
                  <span className={gate.likely > gate.due ? 'hot' : ''}>by the plan {at(gate.likely)}</span>
                ) : (
                  'the plan does not know when'
                )}
              </>
            )}
          </span>
        )}
      </div>
      <ul className={css.checks}>
        {gate.lines.map((line) => (
          <GateLineRow key={line.key} car={car} line={line} at={at} />
        ))}
      </ul>
      {gate.passing && (
        <p className={passed ? 'quiet' : 'soft'}>
          {passed ? 'Passed' : 'Was passed'} {at(gate.passing.at)}: {gate.passing.did} did it,{' '}
          {gate.passing.looked} looked.
          {gate.passing.reason && ` Lines were open then: ${gate.passing.reason}.`}
        </p>
      )}
      {!passed && <Pass car={car} gate={gate} open={open} never={never} people={people} account={account} />}
    </section>
  )
}

function GateLineRow({ car, line, at }: { car: string; line: Line; at: (time?: string) => string }) {
  const { send } = useSend()
  const path = { id: car, key: line.key }
  const sign = (signed: boolean) =>
    send(() =>
      signed
        ? done(client.PUT('/api/builds/{id}/signatures/{key}', { params: { path } }))
        : done(client.DELETE('/api/builds/{id}/signatures/{key}', { params: { path } })),
    )
  return (
    <li className={css.check}>
      {line.asks === 'SIGNED' ? (
        <Tick label={line.text} ticked={line.met} onTick={sign} />
      ) : (
        <span className={css.mark}>
          <span className={line.met ? css.met : css.unmet} aria-hidden="true" />
          <span className={line.met ? '' : 'strong'}>{line.text}</span>
        </span>
      )}
      <span className={`small ${layout.push}`}>
        {line.met ? (
          <span className="soft">{line.signedBy ? `${line.signedBy} ${at(line.signedAt)}` : 'so'}</span>
        ) : (
          <Opens line={line} at={at} />
        )}
      </span>
    </li>
  )
}

const SHOWN = 3

function Opens({ line, at }: { line: Line; at: (time?: string) => string }) {
  const rest = line.open.length - SHOWN
  return (
    <span className={css.opens}>
      {line.open.slice(0, SHOWN).map((o, i) => (
        <span key={o.what + i}>
          <span className="hot">{o.what}</span>
          {o.who && <span className="soft"> · {o.who}</span>}
          {o.likely && <span className="soft"> · {at(o.likely)}</span>}
        </span>
      ))}
      {rest > 0 && <span className="soft">and {rest} more</span>}
      {line.never && <span className="hot strong">nobody passes while this is open</span>}
    </span>
  )
}

interface PassProps extends Props {
  open: Line[]
  never?: Line
}

function Pass({ car, gate, open, never, people, account }: PassProps) {
  const [did, setDid] = useState('')
  const [looked, setLooked] = useState(account.name)
  const [reason, setReason] = useState('')
  const [errors, setErrors] = useState<Record<string, string>>({})
  const { send, busy } = useSend()
  const manages = account.role === 'MANAGER'
  const shut = open.length > 0
  const pass = (event: FormEvent) => {
    event.preventDefault()
    setErrors({})
    void send(
      () =>
        dataOf(
          client.POST('/api/builds/{id}/gates/{gate}/pass', {
            params: { path: { id: car, gate: gate.gate } },
            body: { did, looked, reason },
          }),
        ),
      (problem) => {
        setErrors(Object.fromEntries(problem.problems.map((p) => [p.field, p.message])))
        return problem.problems.length > 0
      },
    )
  }
  if (never || (shut && !manages)) {
    return (
      <p className="soft">
        {never
          ? 'It cannot be passed before that.'
          : `${open.length} ${open.length === 1 ? 'line is' : 'lines are'} open; only a manager may pass it so.`}
      </p>
    )
  }
  return (
    <form onSubmit={pass} className={css.pass}>
      <NameField label="Who did it" value={did} onChange={setDid} people={people} error={errors.did} />
      <NameField
        label="Who looked"
        value={looked}
        onChange={setLooked}
        people={people}
        error={errors.looked}
      />
      {shut && (
        <Textarea
          label={`Why it is passed though ${open.length} ${open.length === 1 ? 'line is' : 'lines are'} open`}
          value={reason}
          onChange={(e) => setReason(e.currentTarget.value)}
          autosize
          className={css.wide}
        />
      )}
      {errors.gate && <p className={`hot ${css.wide}`}>{errors.gate}</p>}
      {errors.reason && <p className={`hot ${css.wide}`}>{errors.reason}</p>}
      <Button type="submit" size="md" loading={busy} color={shut ? 'hot' : undefined}>
        {shut ? 'Pass it all the same' : 'Pass this gate'}
      </Button>
      <span className="small soft">
        Passing takes two names. The maker&#39;s instructions and the rule book come first.
      </span>
    </form>
  )
}
