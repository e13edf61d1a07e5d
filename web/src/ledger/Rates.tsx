import { Button, Group, NumberInput, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useState } from 'react'
import { client, dataOf, type Schemas } from '../api/client'
import { atFields, useSend } from '../api/send'

/** What an hour costs, the tax and the currency of the shop. */
export function Rates({ books, onSaved }: { books: Schemas['BooksResponse']; onSaved: () => void }) {
  const [open, setOpen] = useState(false)
  const { send, busy } = useSend()
  const form = useForm({
    initialValues: {
      currency: books.currency,
      hourRate: books.hourRate as number | string,
      taxPercent: books.taxPercent as number | string,
      findingLimit: (books.findingLimit ?? '') as number | string,
    },
  })
  const save = async (values: typeof form.values) => {
    const done = await send(
      async () => {
        await dataOf(
          client.PUT('/api/ledger', {
            body: {
              currency: values.currency,
              hourRate: Number(values.hourRate),
              taxPercent: Number(values.taxPercent),
              findingLimit: values.findingLimit === '' ? undefined : Number(values.findingLimit),
            },
          }),
        )
        return true
      },
      (problem) => atFields(problem, form.setFieldError),
    )
    if (!done) return
    onSaved()
    setOpen(false)
  }
  if (!open)
    return (
      <button className="link" onClick={() => setOpen(true)}>
        change
      </button>
    )
  return (
    <form aria-label="Rates" className="panel" onSubmit={form.onSubmit((v) => void save(v))}>
      <Group align="end">
        <NumberInput label="An hour costs" decimalScale={2} w={110} {...form.getInputProps('hourRate')} />
        <NumberInput label="Tax, %" decimalScale={2} w={90} {...form.getInputProps('taxPercent')} />
        <TextInput label="Currency" w={90} {...form.getInputProps('currency')} />
        <NumberInput
          label="Findings go ahead up to"
          placeholder="any amount"
          decimalScale={2}
          w={170}
          {...form.getInputProps('findingLimit')}
        />
        <Button type="submit" loading={busy}>
          Save
        </Button>
        <Button variant="default" onClick={() => setOpen(false)}>
          Never mind
        </Button>
      </Group>
    </form>
  )
}
