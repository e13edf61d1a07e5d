import { Button, Checkbox, Group, Modal, NumberInput, Select } from '@mantine/core'
import { useForm } from '@mantine/form'
import { type Part, useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import type { Line } from '../api/desk'
import { atFields, useSend } from '../api/send'
import { instantOf } from '../format/time'
import { MomentField } from '../ui/MomentField'
import layout from '../ui/layout.module.css'
import css from './desk.module.css'

interface Props {
  lines: Line[]
  onClose: () => void
}

const DAY = 86_400_000

/** Several lines of one vendor ordered in one go, all of them or none. */
export function Basket({ lines, onClose }: Props) {
  const { board, part, car, vendor } = useBoard()
  const { send, busy } = useSend()
  const open = lines.filter((l) => l.kind === 'PART' && l.vendorId && part.get(l.id)?.toOrder)
  const vendors = [...new Set(open.map((l) => l.vendorId!))]
  const byList = (p?: Part) =>
    vendor.get(p?.vendorId ?? '')?.offers.find((o) => o.what.toLowerCase() === p?.name.toLowerCase())
  const form = useForm({
    initialValues: {
      vendorId: vendors[0] ?? null,
      likely: '',
      high: '',
      ticked: {} as Record<string, boolean>,
      prices: {} as Record<string, number | string>,
    },
  })
  const its = open.filter((l) => l.vendorId === form.values.vendorId)
  const ticked = its.filter((l) => form.values.ticked[l.id] ?? !l.held)
  const price = (l: Line) =>
    form.values.prices[l.id] ?? part.get(l.id)?.price ?? byList(part.get(l.id))?.price ?? ''
  const save = async (v: typeof form.values) => {
    const likely = v.likely ? instantOf(v.likely, board.zone) : undefined
    const high = v.high ? instantOf(v.high, board.zone) : undefined
    const done = await send(
      async () => {
        await dataOf(
          client.POST('/api/vendors/{id}/orders', {
            params: { path: { id: v.vendorId! } },
            body: {
              low: likely,
              likely,
              high: high ?? (likely && new Date(Date.parse(likely) + 2 * DAY).toISOString()),
              lines: ticked.map((l) => ({
                partId: l.id,
                price: price(l) === '' ? undefined : Number(price(l)),
              })),
            },
          }),
        )
        return true
      },
      (problem) =>
        atFields(problem, (field, message) =>
          form.setFieldError(
            field.replace(/^lines\.(\d+)$/, (_, i) => `line.${ticked[Number(i)]?.id}`),
            message,
          ),
        ),
    )
    if (done) onClose()
  }
  return (
    <Modal opened onClose={onClose} title="Order from a vendor" size="lg">
      {vendors.length === 0 ? (
        <p>Nothing is to be ordered from anybody. Parts without a vendor are ordered one by one.</p>
      ) : (
        <form onSubmit={form.onSubmit((v) => void save(v))}>
          <Group grow align="start">
            <Select
              label="Vendor"
              allowDeselect={false}
              data={vendors.map((id) => ({ value: id, label: vendor.get(id)?.name ?? id }))}
              {...form.getInputProps('vendorId')}
            />
            <MomentField label="Promised for" {...form.getInputProps('likely')} />
            <MomentField label="at the latest" {...form.getInputProps('high')} />
          </Group>
          <table className={`plain ${layout.belowTight}`}>
            <tbody>
              {its.map((l) => (
                <tr key={l.id}>
                  <td>
                    <Checkbox
                      label={`${l.quantity} × ${l.name}, ${car.get(l.buildId)?.name ?? ''}`}
                      checked={form.values.ticked[l.id] ?? !l.held}
                      onChange={(e) => form.setFieldValue(`ticked.${l.id}`, e.currentTarget.checked)}
                    />
                    {l.held && <div className="hot small">held: {l.held}</div>}
                    {form.errors[`line.${l.id}`] && (
                      <div className="hot small">{form.errors[`line.${l.id}`]}</div>
                    )}
                  </td>
                  <td className="soft small">
                    {byList(part.get(l.id)) &&
                      `by its list ${byList(part.get(l.id))!.likelyDays} working days`}
                  </td>
                  <td className={css.price}>
                    <NumberInput
                      size="xs"
                      aria-label={`Price of ${l.name}`}
                      placeholder="price each"
                      decimalScale={2}
                      value={price(l)}
                      onChange={(v) => form.setFieldValue(`prices.${l.id}`, v)}
                    />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {form.errors.lines && <p className="hot small">{form.errors.lines}</p>}
          <Group mt={14} gap={8}>
            <Button type="submit" loading={busy} disabled={ticked.length === 0}>
              Order {ticked.length} {ticked.length === 1 ? 'line' : 'lines'}
            </Button>
            <Button variant="default" onClick={onClose}>
              Never mind
            </Button>
          </Group>
        </form>
      )}
    </Modal>
  )
}
