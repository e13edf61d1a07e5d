import { Button, Group, Modal, NumberInput, Select, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { type Part, useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { atFields, useSend } from '../api/send'
import layout from '../ui/layout.module.css'

/** Another part in place of one that is late, wrong or no fit: it meets the same sides of the car. */
export function Instead({ part, onClose }: { part: Part; onClose: () => void }) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const form = useForm({
    initialValues: { name: '', vendorId: part.vendorId ?? null, price: '' as number | string, reason: '' },
  })
  const save = async (v: typeof form.values) => {
    const done = await send(
      async () => {
        await dataOf(
          client.POST('/api/parts/{id}/instead', {
            params: { path: { id: part.id } },
            body: {
              name: v.name,
              vendorId: v.vendorId ?? undefined,
              price: v.price === '' ? undefined : Number(v.price),
              reason: v.reason,
            },
          }),
        )
        return true
      },
      (problem) => atFields(problem, form.setFieldError),
    )
    if (done) onClose()
  }
  const ordered = part.state === 'ORDERED' || part.state === 'SHIPPED'
  return (
    <Modal opened onClose={onClose} title={`Another part instead of ${part.name}`}>
      {ordered && (
        <p className={`hot small ${layout.flush}`}>
          {part.name} is on order; ring {board.vendors.find((v) => v.id === part.vendorId)?.name ?? 'them'} to
          cancel it.
        </p>
      )}
      <form onSubmit={form.onSubmit((v) => void save(v))}>
        <TextInput label="Which part" data-autofocus {...form.getInputProps('name')} />
        <Group grow mt={8} align="start">
          <Select
            label="From"
            clearable
            searchable
            data={board.vendors.map((x) => ({ value: x.id, label: x.name }))}
            {...form.getInputProps('vendorId')}
          />
          <NumberInput label="Price each" decimalScale={2} {...form.getInputProps('price')} />
        </Group>
        <TextInput label="Why" mt={8} {...form.getInputProps('reason')} />
        <p className="soft small">
          The jobs that need it, its kit and the car’s side of each joint stay. Its own sides are asked anew
          before it is ordered.
        </p>
        <Group gap={8}>
          <Button type="submit" loading={busy}>
            Take this one
          </Button>
          <Button variant="default" onClick={onClose}>
            Never mind
          </Button>
        </Group>
      </form>
    </Modal>
  )
}
