import { Button, TextInput } from '@mantine/core'
import { type FormEvent, useState } from 'react'
import { type Car, useBoard } from '../api/board'
import { client, dataOf, done, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { when } from '../format/time'
import { useInTurn } from '../ui/useInTurn'
import { type Send, useSent } from '../ui/useSent'
import { type Loom } from './LoomSheet'
import css from './loom.module.css'

type Module = Schemas['ModuleResponse']
type Decision = Module['decision']

const DECISIONS: [Decision, string][] = [
  ['UNDECIDED', 'undecided'],
  ['KEEP', 'keep'],
  ['TAKE_OUT', 'take out'],
  ['REPLACE', 'replace'],
]

const KINDS: [string, string][] = [
  ['CONTROL_UNIT', 'control unit'],
  ['SENSOR', 'sensor'],
  ['CONSUMER', 'consumer'],
]

/** Each module with what becomes of it, what hangs on it, and the job that waits for the decisions. */
export function Modules({ car, loom, manages }: { car: Car; loom: Loom; manages: boolean }) {
  const { board } = useBoard()
  const { send } = useSend()
  const name = (id: string) => loom.modules.find((m) => m.id === id)?.name ?? ''
  const change = useInTurn((m: Module) =>
    send(() => done(client.PUT('/api/modules/{module}', { params: { path: { module: m.id } }, body: m }))),
  )
  return (
    <section className={css.sheet} aria-label="Modules">
      <h2>Modules</h2>
      {loom.broken.map((b) => (
        <p key={b} className="hot">
          {b}
        </p>
      ))}
      <p className="small soft">
        {loom.modules.length === 0
          ? 'A rewire starts as a list: every control unit, sensor and consumer, and what becomes of it.'
          : `${loom.undecided.length} undecided, ${loom.saved.said} taken out`}
      </p>
      {loom.modules.length > 0 && (
        <div className={css.scroll}>
          <table className={css.table}>
            <thead>
              <tr>
                {['module', 'what it is', 'what becomes of it', 'needs', 'mass', ''].map((h) => (
                  <th key={h}>{h}</th>
                ))}
              </tr>
            </thead>
            <tbody>
              {loom.modules.map((m) => (
                <tr key={m.id} className={m.decision === 'TAKE_OUT' ? css.out : undefined}>
                  <td>
                    <b>{m.name}</b>
                    {m.by && m.at && (
                      <div className="small soft">
                        {m.by}, {when(m.at, board.now, board.zone)}
                      </div>
                    )}
                  </td>
                  <td>{KINDS.find(([k]) => k === m.kind)?.[1]}</td>
                  <td>
                    {manages ? (
                      <Becomes module={m} decide={(decision) => change(m, (now) => ({ ...now, decision }))} />
                    ) : (
                      DECISIONS.find(([d]) => d === m.decision)?.[1]
                    )}
                  </td>
                  <td>
                    {m.needs.map((n) => (
                      <span key={n} className={css.need}>
                        {name(n)}
                        {manages && (
                          <button
                            type="button"
                            aria-label={`${m.name} does not need ${name(n)}`}
                            onClick={() =>
                              void change(m, (now) => ({ ...now, needs: now.needs.filter((x) => x !== n) }))
                            }
                          >
                            ×
                          </button>
                        )}
                      </span>
                    ))}
                    {manages && (
                      <select
                        aria-label={`${m.name} needs`}
                        value=""
                        onChange={({ currentTarget: { value } }) =>
                          void change(m, (now) => ({ ...now, needs: [...now.needs, value] }))
                        }
                      >
                        <option value="">needs …</option>
                        {loom.modules
                          .filter((x) => x.id !== m.id && !m.needs.includes(x.id))
                          .map((x) => (
                            <option key={x.id} value={x.id}>
                              {x.name}
                            </option>
                          ))}
                      </select>
                    )}
                  </td>
                  <td className="number">{m.mass}</td>
                  <td>
                    {manages && (
                      <Button
                        size="compact-xs"
                        variant="subtle"
                        aria-label={`take ${m.name} off the list`}
                        onClick={() =>
                          void send(() =>
                            dataOf(
                              client.DELETE('/api/modules/{module}', { params: { path: { module: m.id } } }),
                            ),
                          )
                        }
                      >
                        Off the list
                      </Button>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <NewModule car={car} />
      {manages && <Waits car={car} loom={loom} />}
    </section>
  )
}

function NewModule({ car }: { car: Car }) {
  const [form, setForm] = useState({ name: '', kind: 'CONTROL_UNIT', mass: '' })
  const [wrong, setWrong] = useState<Record<string, string>>({})
  const { send, busy } = useSend()
  const add = (event: FormEvent) => {
    event.preventDefault()
    void send(
      () =>
        dataOf(
          client.POST('/api/builds/{id}/modules', {
            params: { path: { id: car.id } },
            body: { ...form, decision: 'UNDECIDED', needs: [], version: 0 },
          }),
        ),
      (problem) => {
        setWrong(Object.fromEntries(problem.problems.map((p) => [p.field, p.message])))
        return problem.problems.length > 0
      },
    ).then((added) => {
      if (!added) return
      setForm({ ...form, name: '', mass: '' })
      setWrong({})
    })
  }
  return (
    <form onSubmit={add} className={css.line}>
      <TextInput
        size="xs"
        label="Another module"
        placeholder="wheel speeds"
        value={form.name}
        error={wrong.name}
        onChange={(e) => setForm({ ...form, name: e.currentTarget.value })}
      />
      <label className="small">
        What it is{' '}
        <select value={form.kind} onChange={(e) => setForm({ ...form, kind: e.currentTarget.value })}>
          {KINDS.map(([k, said]) => (
            <option key={k} value={k}>
              {said}
            </option>
          ))}
        </select>
      </label>
      <TextInput
        size="xs"
        label="Mass"
        placeholder="1.2 kg"
        value={form.mass}
        error={wrong.mass}
        onChange={(e) => setForm({ ...form, mass: e.currentTarget.value })}
      />
      <Button type="submit" size="compact-md" variant="default" loading={busy}>
        Add
      </Button>
    </form>
  )
}

function Becomes({ module, decide }: { module: Module; decide: Send<Decision> }) {
  const { shown, choose, sending } = useSent(module.decision, decide)
  return (
    <select
      aria-label={`what becomes of ${module.name}`}
      value={shown}
      disabled={sending}
      onChange={(e) => choose(e.currentTarget.value as Decision)}
    >
      {DECISIONS.map(([d, said]) => (
        <option key={d} value={d}>
          {said}
        </option>
      ))}
    </select>
  )
}

/** Which job waits until everything is decided. */
function Waits({ car, loom }: { car: Car; loom: Loom }) {
  const { board } = useBoard()
  const { send } = useSend()
  const jobs = board.works.filter((w) => w.buildId === car.id && w.status !== 'DONE')
  const waits = useSent(loom.workId ?? '', (workId) =>
    send(() =>
      done(
        client.PUT('/api/builds/{id}/loom-job', {
          params: { path: { id: car.id } },
          body: { workId: workId || undefined },
        }),
      ),
    ),
  )
  return (
    <label className="small">
      The job that waits until all are decided{' '}
      <select
        value={waits.shown}
        disabled={waits.sending}
        onChange={(e) => waits.choose(e.currentTarget.value)}
      >
        <option value="">none</option>
        {jobs.map((w) => (
          <option key={w.id} value={w.id}>
            {w.name}
          </option>
        ))}
      </select>
    </label>
  )
}
