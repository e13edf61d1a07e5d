import { Button, Group, Modal, NumberInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useState } from 'react'
import type { Car } from '../api/board'
import { client, dataOf } from '../api/client'
import { atFields, useSend } from '../api/send'
import { CarFields, type CarValues, NEW_CAR } from './CarFields'
import layout from '../ui/layout.module.css'

interface Props {
  car: Car
  onClose: () => void
  onRemoved: () => void
}

/** Changes a car, or removes it with all its work (which undo brings back). */
export function CarForm({ car, onClose, onRemoved }: Props) {
  const { send, busy } = useSend()
  const [sure, setSure] = useState(false)
  const form = useForm<CarValues>({
    initialValues: Object.fromEntries(
      Object.keys(NEW_CAR).map((k) => [k, car[k as keyof Car]]),
    ) as unknown as CarValues,
  })
  const save = async (body: CarValues) => {
    const done = await send(
      async () => {
        await dataOf(client.PUT('/api/builds/{id}', { params: { path: { id: car.id } }, body }))
        return true
      },
      (problem) => atFields(problem, form.setFieldError),
    )
    if (done) onClose()
  }
  const remove = async () => {
    if (!sure) {
      setSure(true)
      return
    }
    await send(() => dataOf(client.DELETE('/api/builds/{id}', { params: { path: { id: car.id } } })))
    onRemoved()
  }
  return (
    <Modal opened onClose={onClose} title={car.name} size="lg">
      <form onSubmit={form.onSubmit((v) => void save(v))}>
        <CarFields form={form} />
        <div className={`small soft ${layout.below}`}>How many people fit in</div>
        <Group grow align="start">
          <NumberInput label="Front" {...form.getInputProps('limitFront')} />
          <NumberInput label="Engine bay" {...form.getInputProps('limitEngineBay')} />
          <NumberInput label="Cockpit" {...form.getInputProps('limitCockpit')} />
          <NumberInput label="Underside" {...form.getInputProps('limitUnderside')} />
          <NumberInput label="Rear" {...form.getInputProps('limitRear')} />
        </Group>
        <Group mt={16} gap={8}>
          <Button type="submit" loading={busy}>
            Save
          </Button>
          <Button variant="default" onClick={() => void remove()}>
            {sure ? `Yes, remove it with its ${car.total} jobs` : 'Remove'}
          </Button>
        </Group>
      </form>
    </Modal>
  )
}
