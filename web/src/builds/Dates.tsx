import { Button, Modal, NumberInput, Select, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useState } from 'react'
import { Link } from 'react-router'
import { type Car, type Commitment, useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { atFields, useSend } from '../api/send'
import { MarginMark } from '../domain/MarginMark'
import { away, instantOf, localOf, when } from '../format/time'
import { GATES } from '../domain/gates'
import { MomentField } from '../ui/MomentField'
import { PanelHead } from '../ui/PanelHead'
import layout from '../ui/layout.module.css'
import css from './builds.module.css'

/** What was promised of a car, and what the plan makes of it. */
export function Dates({ car, changes }: { car: Car; changes: boolean }) {
  const { board } = useBoard()
  const [editing, setEditing] = useState<Commitment | 'new'>()
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
        </div>
      ))}
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
    },
  })
  const save = async (values: typeof form.values) => {
    const due = instantOf(values.due, board.zone)
    if (!due) {
      form.setFieldError('due', 'Say the day and the hour.')
      return
    }
    const body: Schemas['CommitmentRequest'] = {
      ...values,
      due,
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
          label="Weight against other dates"
          mt="sm"
          min={0}
          step={0.5}
          {...form.getInputProps('weight')}
        />
        <div className={css.actions}>
          <Button type="submit" loading={busy}>
            Save
          </Button>
          {date && (
            <Button
              variant="default"
              onClick={() =>
                void send(() =>
                  dataOf(client.DELETE('/api/commitments/{id}', { params: { path: { id: date.id } } })),
                ).then(onClose)
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
