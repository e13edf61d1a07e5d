import { Button, Checkbox, Drawer, NativeSelect, NumberInput, Textarea, TextInput } from '@mantine/core'
import { type FormEvent, useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf, done, ProblemError } from '../api/client'
import { type Component, COUNTERS, type Counter } from '../api/components'
import { useSend } from '../api/send'
import { day } from '../format/time'
import layout from '../ui/layout.module.css'
import css from './life.module.css'
import { DayField } from '../ui/MomentField'

interface Props {
  car: string
  component?: Component
  changes: boolean
  onClose: () => void
}

interface Limit {
  counter: Counter
  most: number | string
  service: boolean
}

/** A component: what it is, how long it lives, where it is, and what has been done to it. */
export function ComponentDrawer({ car, component, changes, onClose }: Props) {
  return (
    <Drawer
      opened
      onClose={onClose}
      position="right"
      size="lg"
      title={component ? `${component.name} ${component.identity}`.trim() : 'A component'}
    >
      <Form car={car} component={component} changes={changes} onClose={onClose} />
      {component && <Place car={car} component={component} onClose={onClose} />}
      {component && <History component={component} />}
    </Drawer>
  )
}

function Form({ car, component, changes, onClose }: Props) {
  const [name, setName] = useState(component?.name ?? '')
  const [identity, setIdentity] = useState(component?.identity ?? '')
  const [expires, setExpires] = useState(component?.expires ?? '')
  const [safety, setSafety] = useState(component?.safety ?? false)
  const [note, setNote] = useState(component?.note ?? '')
  const [before, setBefore] = useState<Record<string, number | string>>(component?.before ?? {})
  const [limits, setLimits] = useState<Limit[]>(component?.limits ?? [])
  const [errors, setErrors] = useState<Record<string, string>>({})
  const { send, busy } = useSend()
  const put = (i: number, part: Partial<Limit>) =>
    setLimits((all) => all.map((l, j) => (i === j ? { ...l, ...part } : l)))
  const problem = (p: ProblemError) => {
    setErrors(Object.fromEntries(p.problems.map((x) => [x.field, x.message])))
    return p.problems.length > 0
  }
  const save = (event: FormEvent) => {
    event.preventDefault()
    setErrors({})
    const body = {
      name,
      identity,
      expires: expires || undefined,
      safety,
      note,
      before: Object.fromEntries(Object.entries(before).map(([k, v]) => [k, Number(v) || 0])),
      limits: limits.map((l) => ({ counter: l.counter, most: Number(l.most) || 0, service: l.service })),
      version: component?.version ?? 0,
    }
    const change = async () => {
      if (component) {
        await dataOf(client.PUT('/api/components/{id}', { params: { path: { id: component.id } }, body }))
      } else {
        await dataOf(client.POST('/api/components', { body: { ...body, fittedTo: car } }))
      }
      return true
    }
    void send(change, problem).then((done) => done && onClose())
  }
  return (
    <form onSubmit={save}>
      <fieldset disabled={!changes} className={layout.bare}>
        <div className={css.fields}>
          <TextInput
            label="What it is"
            placeholder="engine, harness, extinguisher"
            value={name}
            error={errors.name}
            onChange={(e) => setName(e.currentTarget.value)}
          />
          <TextInput
            label="Number or mark"
            value={identity}
            error={errors.identity}
            onChange={(e) => setIdentity(e.currentTarget.value)}
          />
          <DayField
            label="Last day it may be used"
            placeholder="31 Dec 2027"
            value={expires}
            error={errors.expires}
            onChange={setExpires}
          />
          <Checkbox
            label="Safety gear: nobody drives with it once it has run out"
            checked={safety}
            onChange={(e) => setSafety(e.currentTarget.checked)}
            mt={26}
          />
        </div>
        <div className={css.limits}>
          <b className="small">How long it lives</b>
          {limits.map((l, i) => (
            <div key={i} className={css.limit}>
              <NativeSelect
                aria-label="Counted in"
                value={l.counter}
                data={COUNTERS}
                error={errors[`limits[${i}].counter`]}
                onChange={(e) => put(i, { counter: e.currentTarget.value as Counter })}
              />
              <NumberInput
                aria-label="At most"
                value={l.most}
                min={0}
                suffix={` ${COUNTERS.find((c) => c.value === l.counter)?.unit ?? ''}`}
                error={errors[`limits[${i}].most`]}
                onChange={(v) => put(i, { most: v })}
              />
              <Checkbox
                label="then a service"
                checked={l.service}
                onChange={(e) => put(i, { service: e.currentTarget.checked })}
              />
              <Button
                variant="default"
                size="compact-sm"
                aria-label="Remove this limit"
                onClick={() => setLimits((all) => all.filter((_, j) => j !== i))}
              >
                Remove
              </Button>
            </div>
          ))}
          <Button
            variant="default"
            size="compact-sm"
            mt={6}
            onClick={() => setLimits((all) => [...all, { counter: 'HOURS', most: '', service: true }])}
          >
            Add a limit
          </Button>
        </div>
        <details className={css.limits}>
          <summary className="small">Used before it was counted here</summary>
          <div className={css.fields}>
            {COUNTERS.map((c) => (
              <NumberInput
                key={c.value}
                label={c.label}
                suffix={` ${c.unit}`}
                min={0}
                value={before[c.value] ?? 0}
                error={errors[`before.${c.value}`]}
                onChange={(v) => setBefore((all) => ({ ...all, [c.value]: v }))}
              />
            ))}
          </div>
        </details>
        <Textarea
          label="Note"
          autosize
          mt={8}
          value={note}
          error={errors.note}
          onChange={(e) => setNote(e.currentTarget.value)}
        />
      </fieldset>
      {errors.buildId && <p className="hot small">{errors.buildId}</p>}
      {changes && (
        <div className={`${layout.row} ${layout.below}`}>
          <Button type="submit" loading={busy}>
            {component ? 'Keep' : 'Fit it to this car'}
          </Button>
          {component && (
            <Button
              variant="default"
              loading={busy}
              onClick={() =>
                void send(() =>
                  done(client.DELETE('/api/components/{id}', { params: { path: { id: component.id } } })),
                ).then((gone) => gone && onClose())
              }
            >
              Remove
            </Button>
          )}
        </div>
      )}
    </form>
  )
}

/** Where it is: taken off one car, fitted to another. */
function Place({ car, component, onClose }: { car: string; component: Component; onClose: () => void }) {
  const { car: cars } = useBoard()
  const { send, busy } = useSend()
  const on = component.buildId ? cars.get(component.buildId) : undefined
  const path = { id: component.id }
  const off = () =>
    void send(() => done(client.POST('/api/components/{id}/take-off', { params: { path } }))).then(
      (gone) => gone && onClose(),
    )
  const fit = () =>
    void send(() =>
      done(client.POST('/api/components/{id}/fit', { params: { path }, body: { buildId: car } })),
    ).then((gone) => gone && onClose())
  return (
    <div className={`${layout.spread} ${layout.below}`}>
      <span>{on ? `On ${`${on.number} ${on.name}`.trim()}.` : 'On the shelf.'}</span>
      {on ? (
        <Button variant="default" loading={busy} onClick={off}>
          Take it off
        </Button>
      ) : (
        <Button variant="default" loading={busy} onClick={fit}>
          Fit it to this car
        </Button>
      )}
    </div>
  )
}

const KINDS = [
  { value: 'SERVICE', label: 'serviced' },
  { value: 'REPAIR', label: 'repaired' },
  { value: 'CRASH', label: 'crashed' },
  { value: 'NOTE', label: 'noted' },
] as const

function History({ component }: { component: Component }) {
  const { board } = useBoard()
  const [kind, setKind] = useState<(typeof KINDS)[number]['value']>('SERVICE')
  const [what, setWhat] = useState('')
  const [error, setError] = useState<string>()
  const { send, busy } = useSend()
  const add = (event: FormEvent) => {
    event.preventDefault()
    setError(undefined)
    void send(
      () =>
        dataOf(
          client.POST('/api/components/{id}/history', {
            params: { path: { id: component.id } },
            body: { kind, what },
          }),
        ).then(() => setWhat('')),
      (problem) => {
        setError(problem.problems[0]?.message)
        return problem.problems.length > 0
      },
    )
  }
  return (
    <section aria-label="History">
      <h3>History</h3>
      <form onSubmit={add} className={layout.row}>
        <NativeSelect
          aria-label="What was done"
          value={kind}
          data={[...KINDS]}
          onChange={(e) => setKind(e.currentTarget.value as typeof kind)}
        />
        <TextInput
          aria-label="In words"
          value={what}
          error={error}
          onChange={(e) => setWhat(e.currentTarget.value)}
          className={layout.stretch}
        />
        <Button type="submit" variant="default" loading={busy}>
          Write it down
        </Button>
      </form>
      {component.history.map((h) => (
        <div key={h.at + h.what} className={`small ${layout.ruledTight}`}>
          <span className="soft">{day(h.at, board.zone)}</span> {h.what} <span className="soft">{h.by}</span>
        </div>
      ))}
    </section>
  )
}
