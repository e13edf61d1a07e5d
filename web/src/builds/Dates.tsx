import { Button, Modal, MultiSelect, NumberInput, Select, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useState } from 'react'
import { Link } from 'react-router'
import { type Car, type Commitment, useBoard } from '../api/board'
import { client, dataOf, done, type Schemas } from '../api/client'
import { atFields, useSend } from '../api/send'
import { MarginMark } from '../domain/MarginMark'
import { away, instantOf, localOf, when } from '../format/time'
import { GATES } from '../domain/gates'
import { MomentField } from '../ui/MomentField'
import { PanelHead } from '../ui/PanelHead'
import { RoundForm } from './Rounds'
import layout from '../ui/layout.module.css'
import css from './builds.module.css'

/** What was promised of a car, and what the plan makes of it. */
export function Dates({ car, changes }: { car: Car; changes: boolean }) {
  const { board } = useBoard()
  const [editing, setEditing] = useState<Commitment | 'new'>()
  const [back, setBack] = useState<Commitment>()
  const dates = board.commitments.filter((c) => c.buildId === car.id)
  return (
    <section className="panel" aria-label="Dates">
      <PanelHead title="Dates" onAdd={changes ? () => setEditing('new') : undefined} />
      {dates.length === 0 && <span className="soft small">Nothing promised yet.</span>}
      {dates.map((c) => (
        <div key={c.id} className={layout.ruled}>
          <div className={layout.spread}>
            {changes && !c.slotOf ? (
              <button className="link strong" onClick={() => setEditing(c)}>
                {c.name}
              </button>
            ) : (
              <b>{c.name}</b>
            )}
            <span className="soft small" title={c.due}>
              {when(c.due, board.now, board.zone)}, {away(c.due, board.now, board.zone)}
            </span>
          </div>
          <span className={layout.row}>
            <MarginMark minutes={c.marginMinutes} />
            {c.slotOf && (
              <span className="small soft">
                booked time {changes && <Link to={`/desk?outwork=${c.slotOf}`}>move it or give it back</Link>}
              </span>
            )}
          </span>
          <div className="small soft">{c.sentence}</div>
          {c.outing && <Away date={c} changes={changes} onBack={() => setBack(c)} />}
        </div>
      ))}
      {back && <RoundForm car={car} after={back} onClose={() => setBack(undefined)} />}
      {editing && (
        <DateForm
          car={car}
          date={editing === 'new' ? undefined : editing}
          onClose={() => setEditing(undefined)}
        />
      )}
    </section>
  )
}

/** Until when the car is away for a date, and who and what goes along; from then on, what it came back with. */
function Away({ date, changes, onBack }: { date: Commitment; changes: boolean; onBack: () => void }) {
  const { board, person, station } = useBoard()
  if (!date.outing) return null
  const { back, crew, takes } = date.outing
  const along = [
    ...crew.map((id) => person.get(id)?.name ?? ''),
    ...takes.map((id) => station.get(id)?.name ?? ''),
  ]
  return (
    <div className={layout.spread}>
      <span className="small">
        {`away until ${when(back, board.now, board.zone)}${along.length > 0 ? `, with ${along.join(', ')}` : ''}`}
      </span>
      {changes && date.due <= board.now && (
        <button className="link small" onClick={onBack}>
          what it came back with
        </button>
      )}
    </div>
  )
}

function DateForm({ car, date, onClose }: { car: Car; date?: Commitment; onClose: () => void }) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const form = useForm({
    initialValues: {
      name: date?.name ?? '',
      kind: date?.kind ?? ('PROMISE' as Commitment['kind']),
      due: localOf(date?.due, board.zone),
      gate: date?.gate ?? ('EVENT' as Commitment['gate']),
      weight: date?.weight ?? 1,
      back: localOf(date?.outing?.back, board.zone),
      crew: date?.outing?.crew ?? [],
      takes: date?.outing?.takes ?? [],
    },
  })
  const save = async (values: typeof form.values) => {
    const due = instantOf(values.due, board.zone)
    if (!due) {
      form.setFieldError('due', 'Say the day and the hour.')
      return
    }
    const back = instantOf(values.back, board.zone)
    const body: Schemas['CommitmentRequest'] = {
      name: values.name,
      kind: values.kind,
      gate: values.gate,
      weight: values.weight,
      due,
      outing: back ? { back, crew: values.crew, takes: values.takes } : undefined,
      buildId: car.id,
      version: date?.version ?? 0,
    }
    const done = await send(
      async () => {
        if (date)
          await dataOf(client.PUT('/api/commitments/{id}', { params: { path: { id: date.id } }, body }))
        else await dataOf(client.POST('/api/commitments', { body }))
        return true
      },
      (problem) => atFields(problem, form.setFieldError),
    )
    if (done) onClose()
  }
  return (
    <Modal opened onClose={onClose} title={date ? date.name : `A date for ${car.name}`}>
      <form onSubmit={form.onSubmit((v) => void save(v))}>
        <TextInput label="What for" placeholder="hill climb, hand-over" {...form.getInputProps('name')} />
        <Select
          label="Kind"
          mt="sm"
          allowDeselect={false}
          data={[
            { value: 'EVENT', label: 'event: hard' },
            { value: 'SLOT', label: 'paid slot: hard' },
            { value: 'PROMISE', label: 'promise: soft' },
          ]}
          {...form.getInputProps('kind')}
        />
        <MomentField label="Due" mt="sm" {...form.getInputProps('due')} />
        <Select
          label="All essential work up to the gate"
          mt="sm"
          allowDeselect={false}
          data={GATES}
          {...form.getInputProps('gate')}
        />
        <NumberInput
          label="How much it matters"
          description="1 is usual; 2 counts twice as much against other dates"
          mt="sm"
          min={0}
          step={0.5}
          {...form.getInputProps('weight')}
        />
        <MomentField
          label="The car is away until"
          placeholder="it stays in the shop"
          mt="sm"
          {...form.getInputProps('back')}
        />
        {form.values.back && (
          <>
            <MultiSelect
              label="Who goes along"
              mt="sm"
              data={board.people.map((p) => ({ value: p.id, label: p.name }))}
              {...form.getInputProps('crew')}
            />
            <MultiSelect
              label="What goes along"
              mt="sm"
              placeholder="the trailer"
              data={board.stations.map((s) => ({ value: s.id, label: s.name }))}
              {...form.getInputProps('takes')}
            />
          </>
        )}
        <div className={css.actions}>
          <Button type="submit" loading={busy}>
            Save
          </Button>
          {date && (
            <Button
              variant="default"
              onClick={() =>
                void send(() =>
                  done(client.DELETE('/api/commitments/{id}', { params: { path: { id: date.id } } })),
                ).then((gone) => gone && onClose())
              }
            >
              Take back
            </Button>
          )}
        </div>
      </form>
    </Modal>
  )
}
