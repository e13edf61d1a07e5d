import { Button, Checkbox, Group, Modal, NumberInput, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useState } from 'react'
import { type Car, useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { type Decision, useDecisions } from '../api/decisions'
import { atFields, useSend } from '../api/send'
import { amount } from '../format/money'
import { day, instantOf, when } from '../format/time'
import { MomentField } from '../ui/MomentField'
import layout from '../ui/layout.module.css'

/** What must be decided about the car and by when; what was, and by whom. "As it was" is a decision too. */
export function Decisions({ car, changes }: { car: Car; changes: boolean }) {
  const { board } = useBoard()
  const [asking, setAsking] = useState(false)
  const [deciding, setDeciding] = useState<Decision>()
  const all = useDecisions(car.id)
  return (
    <section className="panel" aria-label="Decisions">
      <h2>
        Decisions
        {changes && (
          <Button
            size="compact-xs"
            variant="default"
            className={layout.aside}
            onClick={() => setAsking(true)}
          >
            Add
          </Button>
        )}
      </h2>
      {all?.length === 0 && <span className="soft small">Nothing is to be decided.</span>}
      {(all ?? []).map((d) => (
        <div key={d.id} className={`small ${layout.ruled}`}>
          <b>{d.question}</b>
          {d.chosen ? (
            <div className="quiet">
              {d.chosen}
              {d.kept && ', as it was: ask before you change it'}{' '}
              <span className="soft">
                {d.decidedBy}, {day(d.decidedAt ?? board.now, board.zone)}
                {d.note && `: ${d.note}`}
              </span>
            </div>
          ) : (
            <>
              <div className={d.due && d.due < board.now ? 'hot' : 'soft'}>
                {d.due ? `by ${when(d.due, board.now, board.zone)}` : 'no day by which'}
                {d.asked && `, asked of ${d.asked}`}
              </div>
              {d.options.map((o) => (
                <div key={o.name}>
                  {o.name}
                  {o.price !== undefined && `, ${amount(o.price)}`}
                  {o.effect && `, ${o.effect}`}
                </div>
              ))}
              {changes && (
                <button className="link" onClick={() => setDeciding(d)}>
                  it is decided
                </button>
              )}
            </>
          )}
        </div>
      ))}
      {asking && <Ask car={car} onClose={() => setAsking(false)} />}
      {deciding && <Decide decision={deciding} onClose={() => setDeciding(undefined)} />}
    </section>
  )
}

function Ask({ car, onClose }: { car: Car; onClose: () => void }) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const form = useForm({
    initialValues: {
      question: '',
      asked: '',
      due: '',
      options: [
        { name: '', price: '' as string | number, effect: '' },
        { name: '', price: '' as string | number, effect: '' },
      ],
    },
  })
  const save = async (values: typeof form.values) => {
    const done = await send(
      () =>
        dataOf(
          client.POST('/api/builds/{id}/decisions', {
            params: { path: { id: car.id } },
            body: {
              question: values.question,
              asked: values.asked,
              due: values.due ? instantOf(values.due, board.zone) : undefined,
              options: values.options
                .filter((o) => o.name.trim() !== '')
                .map((o) => ({ ...o, price: o.price === '' ? undefined : Number(o.price) })),
            },
          }),
        ),
      (problem) => atFields(problem, form.setFieldError),
    )
    if (done) onClose()
  }
  return (
    <Modal opened onClose={onClose} title={`To decide, ${car.number} ${car.name}`} size="lg">
      <form onSubmit={form.onSubmit((v) => void save(v))}>
        <TextInput
          label="What is to be decided"
          placeholder="which brake pads"
          data-autofocus
          {...form.getInputProps('question')}
        />
        <Group grow mt={8} align="start">
          <TextInput label="Asked of" placeholder="the customer" {...form.getInputProps('asked')} />
          <MomentField label="By when" placeholder="nothing waits for it" {...form.getInputProps('due')} />
        </Group>
        {form.values.options.map((_, i) => (
          <Group key={i} grow mt={8} align="start">
            <TextInput label={`Option ${i + 1}`} {...form.getInputProps(`options.${i}.name`)} />
            <NumberInput label="Price" decimalScale={2} {...form.getInputProps(`options.${i}.price`)} />
            <TextInput
              label="What it does to the dates"
              placeholder="a week later"
              {...form.getInputProps(`options.${i}.effect`)}
            />
          </Group>
        ))}
        <Group mt={12}>
          <Button type="submit" loading={busy}>
            Save
          </Button>
          <Button
            variant="default"
            onClick={() => form.insertListItem('options', { name: '', price: '', effect: '' })}
          >
            One more option
          </Button>
        </Group>
      </form>
    </Modal>
  )
}

function Decide({ decision, onClose }: { decision: Decision; onClose: () => void }) {
  const { send, busy } = useSend()
  const form = useForm({ initialValues: { chosen: '', kept: false, note: '' } })
  const save = async (values: typeof form.values) => {
    const done = await send(
      async () => {
        await dataOf(
          client.PUT('/api/decisions/{id}', { params: { path: { id: decision.id } }, body: values }),
        )
        return true
      },
      (problem) => atFields(problem, form.setFieldError),
    )
    if (done) onClose()
  }
  return (
    <Modal opened onClose={onClose} title={decision.question}>
      <form onSubmit={form.onSubmit((v) => void save(v))}>
        <Group gap={6}>
          {decision.options.map((o) => (
            <Button
              key={o.name}
              size="compact-sm"
              variant={form.values.chosen === o.name ? 'filled' : 'default'}
              onClick={() => form.setFieldValue('chosen', o.name)}
            >
              {o.name}
            </Button>
          ))}
        </Group>
        <TextInput label="What was decided" mt={8} data-autofocus {...form.getInputProps('chosen')} />
        <TextInput label="What was said" mt={8} {...form.getInputProps('note')} />
        <Checkbox
          mt={10}
          label="it stays as it was: said at the car, so that nobody changes it unasked"
          {...form.getInputProps('kept', { type: 'checkbox' })}
        />
        <Button type="submit" mt={12} loading={busy}>
          Save
        </Button>
      </form>
    </Modal>
  )
}
