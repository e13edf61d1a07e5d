import { Button, Drawer, Group, NumberInput, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useState } from 'react'
import { client, dataOf, type Schemas } from '../api/client'
import { atFields, useSend } from '../api/send'
import layout from '../ui/layout.module.css'

type Item = Schemas['ShelfView']

/** What lies on the shelf, what of it is spoken for, and what is running out. */
export function Shelf({ shelf }: { shelf: Item[] }) {
  const [editing, setEditing] = useState<Item | 'new'>()
  return (
    <section aria-label="Shelf" className={layout.measure}>
      <table className="plain">
        <thead>
          <tr>
            <th>What</th>
            <th>Where</th>
            <th className="right">There</th>
            <th className="right">Reserved</th>
            <th className="right">At least</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {shelf.map((s) => {
            const low = s.quantity - s.reserved < s.least
            return (
              <tr key={s.id}>
                <td>
                  <button className="link strong" onClick={() => setEditing(s)}>
                    {s.name}
                  </button>
                </td>
                <td>{s.place}</td>
                <td className="right">{s.quantity}</td>
                <td className="right">{s.reserved || ''}</td>
                <td className="right">{s.least}</td>
                <td className="hot strong">{low && 'running out: order more'}</td>
              </tr>
            )
          })}
        </tbody>
      </table>
      {shelf.length === 0 && <p className="soft">The shelf is empty.</p>}
      <Button mt={12} variant="default" onClick={() => setEditing('new')}>
        Put something on the shelf
      </Button>
      {editing && (
        <ShelfForm item={editing === 'new' ? undefined : editing} onClose={() => setEditing(undefined)} />
      )}
    </section>
  )
}

function ShelfForm({ item, onClose }: { item?: Item; onClose: () => void }) {
  const { send, busy } = useSend()
  const form = useForm({
    initialValues: {
      name: item?.name ?? '',
      place: item?.place ?? '',
      quantity: (item?.quantity ?? 1) as number | string,
      least: (item?.least ?? 0) as number | string,
    },
  })
  const save = async (v: typeof form.values) => {
    const body = {
      ...v,
      quantity: Number(v.quantity),
      least: Number(v.least),
      vendorId: item?.vendorId,
      version: item?.version ?? 0,
    }
    const done = await send(
      async () => {
        if (item) await dataOf(client.PUT('/api/shelf/{id}', { params: { path: { id: item.id } }, body }))
        else await dataOf(client.POST('/api/shelf', { body }))
        return true
      },
      (problem) => atFields(problem, form.setFieldError),
    )
    if (done) onClose()
  }
  return (
    <Drawer opened onClose={onClose} position="right" size={420} title={item?.name ?? 'On the shelf'}>
      <form onSubmit={form.onSubmit((v) => void save(v))}>
        <TextInput label="What" {...form.getInputProps('name')} />
        <TextInput label="Where" mt={8} {...form.getInputProps('place')} />
        <Group grow mt={8} align="start">
          <NumberInput label="There" {...form.getInputProps('quantity')} />
          <NumberInput label="Never fewer than" {...form.getInputProps('least')} />
        </Group>
        <Button type="submit" mt={16} loading={busy}>
          Save
        </Button>
      </form>
    </Drawer>
  )
}
