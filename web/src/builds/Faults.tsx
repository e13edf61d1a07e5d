import { Button, Checkbox, Group, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { whileSame } from '../api/beside'
import { type Car, useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { atFields, useSend } from '../api/send'
import { when } from '../format/time'
import layout from '../ui/layout.module.css'

type Fault = Schemas['FaultResponse']

/** Faults that are looked for: what was checked, how, by whom, and what it is not. */
export function Faults({ car }: { car: Car }) {
  const { looked } = useBoard()
  const { send, busy } = useSend()
  const [symptom, setSymptom] = useState('')
  const [open, setOpen] = useState<string>()
  const faults = useQuery({
    queryKey: ['faults', car.id, looked],
    queryFn: () => dataOf(client.GET('/api/builds/{id}/faults', { params: { path: { id: car.id } } })),
    placeholderData: whileSame(car.id),
  })
  const note = async () => {
    const made = await send(() =>
      dataOf(client.POST('/api/builds/{id}/faults', { params: { path: { id: car.id } }, body: { symptom } })),
    )
    if (!made) return
    setSymptom('')
    setOpen(made.id)
  }
  return (
    <section className="panel" aria-label="Fault finding">
      <h2>Fault finding</h2>
      {(faults.data ?? []).map((f) => (
        <div key={f.id} className={`small ${layout.ruled}`}>
          <button
            className="link strong"
            aria-expanded={open === f.id}
            onClick={() => setOpen(open === f.id ? undefined : f.id)}
          >
            {f.symptom}
          </button>{' '}
          <span className="soft">
            {f.cause
              ? `was ${f.cause}`
              : `${f.checks.length} checked, ${f.checks.filter((c) => c.ruledOut).length} ruled out`}
          </span>
          {open === f.id && <Found fault={f} />}
        </div>
      ))}
      <form
        onSubmit={(e) => {
          e.preventDefault()
          void note()
        }}
      >
        <Group gap={6} mt={8} wrap="nowrap">
          <TextInput
            size="xs"
            aria-label="What is wrong"
            placeholder="misfire above 5,000"
            className={layout.stretch}
            value={symptom}
            onChange={(e) => setSymptom(e.currentTarget.value)}
          />
          <Button size="xs" type="submit" variant="default" loading={busy} disabled={!symptom.trim()}>
            Look for it
          </Button>
        </Group>
      </form>
    </section>
  )
}

function Found({ fault }: { fault: Fault }) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const [cause, setCause] = useState('')
  const form = useForm({ initialValues: { what: '', how: '', result: '', ruledOut: true } })
  const check = async (values: typeof form.values) => {
    const done = await send(
      async () => {
        await dataOf(
          client.POST('/api/faults/{id}/checks', { params: { path: { id: fault.id } }, body: values }),
        )
        return true
      },
      (problem) => atFields(problem, form.setFieldError),
    )
    if (done) form.reset()
  }
  return (
    <div>
      <ul>
        {fault.checks.map((c, i) => (
          <li key={i}>
            <b>{c.what}</b>
            {c.how && `, ${c.how}`}: {c.result}
            {c.ruledOut && <span className="quiet"> not it</span>}{' '}
            <span className="soft">
              {c.byName}, {when(c.at, board.now, board.zone)}
            </span>
          </li>
        ))}
      </ul>
      {!fault.cause && (
        <>
          <form onSubmit={form.onSubmit((v) => void check(v))}>
            <Group grow gap={6} align="start">
              <TextInput size="xs" label="Checked" placeholder="coil 3" {...form.getInputProps('what')} />
              <TextInput size="xs" label="How" placeholder="swapped with 2" {...form.getInputProps('how')} />
              <TextInput
                size="xs"
                label="Result"
                placeholder="stays on 3"
                {...form.getInputProps('result')}
              />
            </Group>
            <Group gap={10} mt={6}>
              <Checkbox size="xs" label="not it" {...form.getInputProps('ruledOut', { type: 'checkbox' })} />
              <Button size="compact-sm" type="submit" variant="default" loading={busy}>
                Write down
              </Button>
            </Group>
          </form>
          <Group gap={6} mt={8} wrap="nowrap">
            <TextInput
              size="xs"
              aria-label="What it was"
              placeholder="plug lead chafed"
              value={cause}
              onChange={(e) => setCause(e.currentTarget.value)}
            />
            <Button
              size="xs"
              disabled={!cause.trim()}
              onClick={() =>
                void send(() =>
                  dataOf(
                    client.POST('/api/faults/{id}/solved', {
                      params: { path: { id: fault.id } },
                      body: { cause },
                    }),
                  ),
                )
              }
            >
              That was it
            </Button>
          </Group>
        </>
      )}
    </div>
  )
}
