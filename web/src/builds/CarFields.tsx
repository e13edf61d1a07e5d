import { Group, NumberInput, Select, TextInput } from '@mantine/core'
import type { UseFormReturnType } from '@mantine/form'
import type { Schemas } from '../api/client'
import { BODIES } from './choices'

export type CarValues = Schemas['BuildRequest']

export const NEW_CAR: CarValues = {
  number: '',
  name: '',
  body: 'SALOON',
  customer: '',
  discipline: '',
  weight: 1,
  limitFront: 2,
  limitEngineBay: 2,
  limitCockpit: 2,
  limitUnderside: 2,
  limitRear: 2,
  version: 0,
}

/** The fields of a car. */
export function CarFields({ form }: { form: UseFormReturnType<CarValues> }) {
  return (
    <>
      <Group grow align="start">
        <TextInput label="Number" {...form.getInputProps('number')} />
        <TextInput label="Name" data-autofocus {...form.getInputProps('name')} />
        <Select label="Body" allowDeselect={false} data={BODIES} {...form.getInputProps('body')} />
      </Group>
      <Group grow mt={8} align="start">
        <TextInput label="Customer" {...form.getInputProps('customer')} />
        <TextInput label="Discipline" {...form.getInputProps('discipline')} />
        <NumberInput label="How much it matters" step={0.5} {...form.getInputProps('weight')} />
      </Group>
    </>
  )
}
