import { Button, Group, Modal, Select, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useState } from 'react'
import { type Car, isCar, useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { useLoans } from '../api/loans'
import { atFields, useSend } from '../api/send'
import { day } from '../format/time'
import layout from '../ui/layout.module.css'

/** What the car has borrowed, and what it has lent and waits for. */
export function Loans({ car, changes }: { car: Car; changes: boolean }) {
  const { board, car: cars } = useBoard()
  const { send } = useSend()
  const [borrowing, setBorrowing] = useState(false)
  const mine = useLoans().filter((l) => l.toBuildId === car.id || l.fromBuildId === car.id)
  const named = (id: string | undefined) =>
    id ? `${cars.get(id)?.number ?? ''} ${cars.get(id)?.name ?? ''}`.trim() : 'the shelf'
  return (
    <section className="panel" aria-label="Borrowed">
      <h2>
        Borrowed and lent
        {changes && (
          <Button
            size="compact-xs"
            variant="default"
            className={layout.aside}
            onClick={() => setBorrowing(true)}
          >
            Borrow
          </Button>
        )}
      </h2>
      {mine.length === 0 && <span className="soft small">Nothing is owed.</span>}
      {mine.map((l) => (
        <div key={l.id} className={`small ${layout.ruled}`}>
          <b>{l.what}</b>{' '}
          {l.toBuildId === car.id ? `of ${named(l.fromBuildId)}` : `lent to ${named(l.toBuildId)}`}{' '}
          <span className="soft">
            {l.byName}, {day(l.at, board.zone)}
          </span>{' '}
          {changes && (
            <button
              className="link"
              onClick={() =>
                void send(() =>
                  dataOf(client.POST('/api/loans/{id}/returned', { params: { path: { id: l.id } } })),
                )
              }
            >
              given back
            </button>
          )}
        </div>
      ))}
      {borrowing && <Borrow car={car} onClose={() => setBorrowing(false)} />}
    </section>
  )
}

function Borrow({ car, onClose }: { car: Car; onClose: () => void }) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const form = useForm({ initialValues: { what: '', from: '' } })
  const save = async (values: typeof form.values) => {
    const done = await send(
      () =>
        dataOf(
          client.POST('/api/builds/{id}/loans', {
            params: { path: { id: car.id } },
            body: { what: values.what, fromBuildId: values.from || undefined },
          }),
        ),
      (problem) => atFields(problem, form.setFieldError),
    )
    if (done) onClose()
  }
  return (
    <Modal opened onClose={onClose} title={`${car.number} ${car.name} borrows`}>
      <form onSubmit={form.onSubmit((v) => void save(v))}>
        <Group grow align="start">
          <TextInput label="What" placeholder="left mirror" data-autofocus {...form.getInputProps('what')} />
          <Select
            label="Of"
            description="a car that lends waits for it: a job to refit it, and a line on the Desk"
            data={[
              { value: '', label: 'the shelf' },
              ...board.cars
                .filter(isCar)
                .filter((c) => c.id !== car.id)
                .map((c) => ({ value: c.id, label: `${c.number} ${c.name}`.trim() })),
            ]}
            allowDeselect={false}
            {...form.getInputProps('from')}
          />
        </Group>
        <Button type="submit" mt={12} loading={busy}>
          Borrow it
        </Button>
      </form>
    </Modal>
  )
}
