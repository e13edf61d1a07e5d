import { ActionIcon, Button, Group, NumberInput, TextInput } from '@mantine/core'
import { MomentField } from '../ui/MomentField'
import layout from '../ui/layout.module.css'

export interface OfferRow {
  what: string
  price: number | string
  lowDays: number | string
  likelyDays: number | string
  highDays: number | string
}

export interface TimeRow {
  id?: string
  /** Local times, as the fields have them. */
  from: string
  to: string
  note: string
}

/** A firm's price list, with its lead times in its working days. */
export function Offers({
  offers,
  errors,
  onChange,
}: {
  offers: OfferRow[]
  errors: Record<string, React.ReactNode>
  onChange: (offers: OfferRow[]) => void
}) {
  const put = (i: number, change: Partial<OfferRow>) =>
    onChange(offers.map((o, at) => (at === i ? { ...o, ...change } : o)))
  return (
    <div>
      {offers.length > 0 && (
        <div className="soft small">what · price · working days: at best, likely, at worst</div>
      )}
      {offers.map((o, i) => (
        <div key={i}>
          <Group gap={4} mt={4} wrap="nowrap">
            <TextInput
              size="xs"
              className={layout.stretch}
              aria-label="What it offers"
              value={o.what}
              onChange={(e) => put(i, { what: e.currentTarget.value })}
            />
            <NumberInput
              size="xs"
              w={80}
              hideControls
              aria-label="Its price"
              decimalScale={2}
              value={o.price}
              onChange={(price) => put(i, { price })}
            />
            {(['lowDays', 'likelyDays', 'highDays'] as const).map((days) => (
              <NumberInput
                key={days}
                size="xs"
                w={44}
                hideControls
                aria-label={
                  { lowDays: 'Days at best', likelyDays: 'Days likely', highDays: 'Days at worst' }[days]
                }
                value={o[days]}
                onChange={(v) => put(i, { [days]: v })}
              />
            ))}
            <ActionIcon
              variant="default"
              aria-label="Remove this line"
              onClick={() => onChange(offers.filter((_, at) => at !== i))}
            >
              −
            </ActionIcon>
          </Group>
          {['what', 'price', 'lowDays'].map(
            (field) =>
              errors[`offers.${i}.${field}`] && (
                <div key={field} className="hot small">
                  {errors[`offers.${i}.${field}`]}
                </div>
              ),
          )}
        </div>
      ))}
      <Button
        size="compact-xs"
        variant="default"
        mt={6}
        onClick={() =>
          onChange([...offers, { what: '', price: '', lowDays: 2, likelyDays: 5, highDays: 10 }])
        }
      >
        A line
      </Button>
    </div>
  )
}

/** Times that a firm offers; what is booked over one takes it. */
export function Times({
  times,
  errors,
  onChange,
}: {
  times: TimeRow[]
  errors: Record<string, React.ReactNode>
  onChange: (times: TimeRow[]) => void
}) {
  const put = (i: number, change: Partial<TimeRow>) =>
    onChange(times.map((t, at) => (at === i ? { ...t, ...change } : t)))
  return (
    <div>
      {times.map((t, i) => (
        <div key={i}>
          <Group gap={4} mt={4} wrap="nowrap">
            <MomentField
              size="xs"
              aria-label="Offered from"
              value={t.from}
              onChange={(from) => put(i, { from })}
            />
            <MomentField size="xs" aria-label="Offered to" value={t.to} onChange={(to) => put(i, { to })} />
            <TextInput
              size="xs"
              w={90}
              aria-label="Note on this time"
              placeholder="note"
              value={t.note}
              onChange={(e) => put(i, { note: e.currentTarget.value })}
            />
            <ActionIcon
              variant="default"
              aria-label="Remove this time"
              onClick={() => onChange(times.filter((_, at) => at !== i))}
            >
              −
            </ActionIcon>
          </Group>
          {errors[`slots.${i}`] && <div className="hot small">{errors[`slots.${i}`]}</div>}
        </div>
      ))}
      <Button
        size="compact-xs"
        variant="default"
        mt={6}
        onClick={() => onChange([...times, { from: '', to: '', note: '' }])}
      >
        A time
      </Button>
    </div>
  )
}
