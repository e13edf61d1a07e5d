import { Button, Drawer, Group, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useState } from 'react'
import { useBoard, type Vendor } from '../api/board'
import { client, dataOf, done, type Schemas } from '../api/client'
import { atFields, useSend } from '../api/send'
import { dayKey, instantOf, localOf } from '../format/time'
import { keptWord } from '../format/words'
import { Closures, saidClosures } from './Closures'
import { type OfferRow, Offers, type TimeRow, Times } from './Offers'
import { Hours, hoursOf, saidHours } from './Hours'
import layout from '../ui/layout.module.css'
import css from './shop.module.css'

/** The outside firms, with their hours. */
export function Vendors({ changes }: { changes: boolean }) {
  const { board } = useBoard()
  const [editing, setEditing] = useState<Vendor | 'new'>()
  return (
    <>
      <table className={`plain ${css.wide}`}>
        <thead>
          <tr>
            <th>Vendor</th>
            <th>Trade</th>
            <th>Telephone</th>
            <th>Kept its word</th>
            <th>Open</th>
          </tr>
        </thead>
        <tbody>
          {board.vendors.map((v) => (
            <tr key={v.id}>
              <td>
                <button className="link strong" onClick={() => setEditing(v)}>
                  {v.name}
                </button>
              </td>
              <td>{v.trade}</td>
              <td>{v.phone}</td>
              <td className="small">{keptWord(v)}</td>
              <td className="small">
                {saidHours(v.hours)}
                {v.closures.length > 0 && <div className="soft">{saidClosures(v.closures)}</div>}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {board.vendors.length === 0 && <p className="soft">No vendors yet.</p>}
      {changes && (
        <Button mt="md" variant="default" onClick={() => setEditing('new')}>
          Note a vendor
        </Button>
      )}
      {editing && (
        <VendorForm
          vendor={editing === 'new' ? undefined : editing}
          changes={changes}
          onClose={() => setEditing(undefined)}
        />
      )}
    </>
  )
}

function VendorForm({
  vendor,
  changes,
  onClose,
}: {
  vendor?: Vendor
  changes: boolean
  onClose: () => void
}) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const form = useForm({
    initialValues: {
      name: vendor?.name ?? '',
      trade: vendor?.trade ?? '',
      phone: vendor?.phone ?? '',
      email: vendor?.email ?? '',
      hours: hoursOf(vendor?.hours ?? [1, 2, 3, 4, 5].map((d) => ({ day: d, start: '08:00', end: '17:00' }))),
      closures: vendor?.closures ?? [],
      offers: (vendor?.offers ?? []).map((o): OfferRow => ({ ...o, price: o.price ?? '' })),
      times: (vendor?.times ?? []).map((t): TimeRow => ({
        ...t,
        from: localOf(t.from, board.zone),
        to: localOf(t.to, board.zone),
      })),
    },
  })
  const save = async (values: typeof form.values) => {
    const { offers, times, ...rest } = values
    const empty = times.findIndex((t) => !t.from || !t.to)
    if (empty >= 0) {
      form.setFieldError(`slots.${empty}`, 'From when to when?')
      return
    }
    const body: Schemas['VendorRequest'] = {
      ...rest,
      offers: offers.map((o) => ({
        what: o.what,
        price: o.price === '' ? undefined : Number(o.price),
        lowDays: Number(o.lowDays),
        likelyDays: Number(o.likelyDays),
        highDays: Number(o.highDays),
      })),
      slots: times.map((t) => ({
        id: t.id,
        from: instantOf(t.from, board.zone)!,
        to: instantOf(t.to, board.zone)!,
        note: t.note,
      })),
      version: vendor?.version ?? 0,
    }
    const done = await send(
      async () => {
        if (vendor)
          await dataOf(client.PUT('/api/vendors/{id}', { params: { path: { id: vendor.id } }, body }))
        else await dataOf(client.POST('/api/vendors', { body }))
        return true
      },
      (problem) => atFields(problem, form.setFieldError),
    )
    if (done) onClose()
  }
  return (
    <Drawer opened onClose={onClose} position="right" size={560} title={vendor?.name ?? 'A new vendor'}>
      <form onSubmit={form.onSubmit((v) => void save(v))}>
        <fieldset disabled={!changes} className={layout.bare}>
          <TextInput label="Name" {...form.getInputProps('name')} />
          <TextInput label="Trade" mt={8} {...form.getInputProps('trade')} />
          <TextInput label="Telephone" mt={8} {...form.getInputProps('phone')} />
          <TextInput label="Mail" mt={8} {...form.getInputProps('email')} />
          <div className={`small strong ${layout.below}`}>Open</div>
          <Hours
            field="hours"
            hours={form.values.hours}
            errors={form.errors}
            onChange={(h) => form.setFieldValue('hours', h)}
          />
          <div className={`small strong ${layout.below}`}>Shut</div>
          <Closures
            closures={form.values.closures}
            errors={form.errors}
            today={dayKey(board.now, board.zone)}
            onChange={(c) => form.setFieldValue('closures', c)}
          />
          <div className={`small strong ${layout.below}`}>Price list</div>
          <Offers
            offers={form.values.offers}
            errors={form.errors}
            onChange={(o) => form.setFieldValue('offers', o)}
          />
          <div className={`small strong ${layout.below}`}>Times it offers</div>
          <Times
            times={form.values.times}
            errors={form.errors}
            onChange={(t) => form.setFieldValue('times', t)}
          />
          {changes && (
            <Group mt={16} gap={8}>
              <Button type="submit" loading={busy}>
                Save
              </Button>
              {vendor && (
                <Button
                  variant="default"
                  onClick={() =>
                    void send(() =>
                      done(client.DELETE('/api/vendors/{id}', { params: { path: { id: vendor.id } } })),
                    ).then((gone) => gone && onClose())
                  }
                >
                  Remove
                </Button>
              )}
            </Group>
          )}
        </fieldset>
      </form>
    </Drawer>
  )
}
