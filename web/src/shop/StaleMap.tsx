import { Button, TextInput } from '@mantine/core'
import { useEffect, useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf, done, type ProblemError } from '../api/client'
import { type Cause, type StaleGraph, useStaleGraph } from '../api/stale'
import { useSend } from '../api/send'
import layout from '../ui/layout.module.css'
import { Typed } from '../ui/Typed'
import css from './stale.module.css'

const ROW = 30
const MIDDLE = 180
const ARCS = 110

type Name = StaleGraph['measured'][number]['name']

/** What disturbs what: kinds of work to the left, what is measured to the right in its order, drawn and edited. */
export function StaleMap({ changes }: { changes: boolean }) {
  const { looked } = useBoard()
  const graph = useStaleGraph(looked)
  if (!graph) return null
  return (
    <Typed said={graph} edition={graph.edition} what="what disturbs what">
      {(shown, onTyping) => <Editor graph={shown} changes={changes} onTyping={onTyping} />}
    </Typed>
  )
}

interface Draft {
  disturbances: Cause[]
  moves: Record<string, Name[]>
}

interface EditorProps {
  graph: StaleGraph
  changes: boolean
  onTyping: (typing: boolean) => void
}

function Editor({ graph, changes, onTyping }: EditorProps) {
  const [draft, setDraft] = useState<Draft>(() => ({
    disturbances: graph.disturbances,
    moves: Object.fromEntries(graph.measured.map((m) => [m.name, m.moves])),
  }))
  const [source, setSource] = useState<string | undefined>(graph.disturbances[0]?.id)
  const [errors, setErrors] = useState<Record<string, string>>({})
  const { send, busy } = useSend()
  const dirty =
    draft.disturbances !== graph.disturbances || graph.measured.some((m) => draft.moves[m.name] !== m.moves)
  useEffect(() => onTyping(dirty), [dirty, onTyping])
  const order = graph.measured.map((m) => m.name)
  const cause = draft.disturbances.find((d) => d.id === source)
  const targets = cause ? cause.first : (draft.moves[source ?? ''] ?? [])
  const put = (id: string, part: Partial<Cause>) =>
    setDraft((d) => ({
      ...d,
      disturbances: d.disturbances.map((c) => (c.id === id ? { ...c, ...part } : c)),
    }))
  const toggle = (name: Name) => {
    const next = targets.includes(name) ? targets.filter((t) => t !== name) : [...targets, name]
    if (cause) put(cause.id, { first: next })
    else if (source) setDraft((d) => ({ ...d, moves: { ...d.moves, [source]: next } }))
  }
  const may = (name: Name) =>
    changes && source !== undefined && (cause || order.indexOf(name) > order.indexOf(source as Name))
  const keep = () =>
    void send(
      () => done(client.PUT('/api/disturbances', { body: { edition: graph.edition, ...draft } })),
      (problem: ProblemError) => {
        setErrors(Object.fromEntries(problem.problems.map((p) => [p.field, p.message])))
        return problem.problems.length > 0
      },
    ).then((kept) => kept && onTyping(false))
  const label = cause?.label ?? graph.measured.find((m) => m.name === source)?.label
  return (
    <div className={css.room}>
      <p className="soft">
        When work is done, what it disturbs is stale until it is measured anew, and so is all that follows.
        Pick a kind of work on the left, or something measured on the right, and {changes ? 'click' : 'see'}{' '}
        what it disturbs. {graph.usual ? 'This is how it usually is.' : 'This house has its own.'}
      </p>
      <div className={css.map}>
        <ol className={css.causes}>
          {draft.disturbances.map((d) => (
            <li key={d.id}>
              <button
                type="button"
                className={d.id === source ? css.picked : css.node}
                aria-pressed={d.id === source}
                onClick={() => setSource(d.id)}
              >
                {d.label || 'new kind of work'}
              </button>
            </li>
          ))}
        </ol>
        <Lines draft={draft} order={order} source={source} />
        <ol className={css.things} aria-label={label ? `What ${label} disturbs` : 'What is measured'}>
          {graph.measured.map((m) => (
            <li key={m.name}>
              <button
                type="button"
                className={m.name === source ? css.picked : css.node}
                aria-label={`from ${m.label}`}
                aria-pressed={m.name === source}
                onClick={() => setSource(m.name)}
              >
                {m.label}
              </button>
              <input
                type="checkbox"
                aria-label={`${label ?? ''} disturbs ${m.label}`}
                checked={targets.includes(m.name)}
                disabled={!may(m.name)}
                onChange={() => toggle(m.name)}
              />
            </li>
          ))}
        </ol>
        <Arcs draft={draft} order={order} source={source} />
      </div>
      {Object.entries(errors)
        .filter(([field]) => !field.startsWith('disturbances['))
        .map(([field, message]) => (
          <p key={field} className="hot small">
            {message}
          </p>
        ))}
      {cause && changes && (
        <div className={css.words}>
          <TextInput
            label="Kind of work"
            value={cause.label}
            error={errors[`disturbances[${draft.disturbances.indexOf(cause)}].label`]}
            onChange={(e) => put(cause.id, { label: e.currentTarget.value })}
          />
          <TextInput
            label="Known by these words in a job's name, between commas; a plural counts too"
            value={cause.words}
            error={errors[`disturbances[${draft.disturbances.indexOf(cause)}].words`]}
            onChange={(e) => put(cause.id, { words: e.currentTarget.value })}
          />
          <Button
            variant="default"
            onClick={() => {
              setDraft((d) => ({ ...d, disturbances: d.disturbances.filter((c) => c.id !== cause.id) }))
              setSource(undefined)
            }}
          >
            Take it out
          </Button>
        </div>
      )}
      {changes && (
        <div className={layout.row}>
          <Button onClick={keep} loading={busy} disabled={!dirty}>
            Keep
          </Button>
          <Button
            variant="default"
            onClick={() => {
              const id = `new-${draft.disturbances.length}-${Date.now()}`
              setDraft((d) => ({
                ...d,
                disturbances: [...d.disturbances, { id, label: '', words: '', first: [] }],
              }))
              setSource(id)
            }}
          >
            Add a kind of work
          </Button>
          {!graph.usual && (
            <Button
              variant="default"
              loading={busy}
              onClick={() => void send(() => dataOf(client.DELETE('/api/disturbances')))}
            >
              As it usually is
            </Button>
          )}
        </div>
      )}
    </div>
  )
}

interface DrawingProps {
  draft: Draft
  order: Name[]
  source?: string
}

const middle = (row: number) => row * ROW + ROW / 2

function Lines({ draft, order, source }: DrawingProps) {
  const rows = Math.max(draft.disturbances.length, order.length)
  return (
    <svg width={MIDDLE} height={rows * ROW} aria-hidden="true">
      {draft.disturbances.flatMap((d, i) =>
        d.first.map((m) => {
          const from = middle(i)
          const to = middle(order.indexOf(m))
          return (
            <path
              key={d.id + m}
              d={`M0 ${from} C ${MIDDLE / 2} ${from}, ${MIDDLE / 2} ${to}, ${MIDDLE} ${to}`}
              className={d.id === source ? css.hotLine : css.line}
            />
          )
        }),
      )}
    </svg>
  )
}

function Arcs({ draft, order, source }: DrawingProps) {
  return (
    <svg width={ARCS} height={order.length * ROW} aria-hidden="true">
      {order.flatMap((name, i) =>
        (draft.moves[name] ?? []).map((m) => {
          const to = order.indexOf(m)
          const out = Math.min(ARCS - 6, 16 + (to - i) * 12)
          return (
            <path
              key={name + m}
              d={`M0 ${middle(i)} C ${out} ${middle(i)}, ${out} ${middle(to)}, 2 ${middle(to)}`}
              className={name === source ? css.hotLine : css.line}
            />
          )
        }),
      )}
    </svg>
  )
}
