import { ActionIcon, Button, Group, Select, TextInput } from '@mantine/core'
import css from './shop.module.css'

export interface HoursRow {
  day: number
  start: string
  end: string
}

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']

interface Props {
  field: string
  hours: HoursRow[]
  errors: Record<string, React.ReactNode>
  onChange: (hours: HoursRow[]) => void
}

/** Weekly hours, a line a stretch; an end of 00:00 is midnight. */
export function Hours({ field, hours, errors, onChange }: Props) {
  const put = (i: number, change: Partial<HoursRow>) =>
    onChange(hours.map((h, at) => (at === i ? { ...h, ...change } : h)))
  return (
    <div>
      {errors[field] && <div className="hot small">{errors[field]}</div>}
      {hours.map((h, i) => (
        <div key={i}>
          <Group gap={6} mt={4} wrap="nowrap">
            <Select
              aria-label="Day"
              size="xs"
              className={css.level}
              allowDeselect={false}
              data={DAYS.map((label, d) => ({ value: String(d + 1), label }))}
              value={String(h.day)}
              onChange={(v) => put(i, { day: Number(v) })}
            />
            <TextInput
              size="xs"
              type="time"
              aria-label="From"
              value={h.start}
              onChange={(e) => put(i, { start: e.currentTarget.value })}
            />
            <TextInput
              size="xs"
              type="time"
              aria-label="To"
              value={h.end}
              onChange={(e) => put(i, { end: e.currentTarget.value })}
            />
            <ActionIcon
              variant="default"
              aria-label="Remove these hours"
              onClick={() => onChange(hours.filter((_, at) => at !== i))}
            >
              −
            </ActionIcon>
          </Group>
          {errors[`${field}.${i}`] && <div className="hot small">{errors[`${field}.${i}`]}</div>}
        </div>
      ))}
      <Button
        size="compact-xs"
        variant="default"
        mt={6}
        onClick={() => {
          const last = hours[hours.length - 1]
          onChange([
            ...hours,
            {
              day: last ? Math.min(7, last.day + 1) : 1,
              start: last?.start ?? '07:30',
              end: last?.end ?? '16:00',
            },
          ])
        }}
      >
        More hours
      </Button>
    </div>
  )
}

/** "07:30:00" as the input of a time takes it. */
export const hoursOf = (hours: HoursRow[]): HoursRow[] =>
  hours.map((h) => ({ day: h.day, start: h.start.slice(0, 5), end: h.end.slice(0, 5) }))

/** Weekly hours in a line: "Mon–Fri 07:30–12:00, 12:30–16:30". */
export function saidHours(hours: HoursRow[]): string {
  const byDay = new Map<string, number[]>()
  for (let d = 1; d <= 7; d++) {
    const said = hours
      .filter((h) => h.day === d)
      .map((h) => `${h.start.slice(0, 5)}–${h.end.slice(0, 5)}`)
      .join(', ')
    if (said) byDay.set(said, [...(byDay.get(said) ?? []), d])
  }
  return [...byDay].map(([said, days]) => `${span(days)} ${said}`).join('; ') || 'no shifts'
}

function span(days: number[]): string {
  const short = (d: number | undefined) => DAYS[(d ?? 1) - 1]?.slice(0, 3) ?? ''
  const inRow = days.every((d, i) => i === 0 || d === (days[i - 1] ?? 0) + 1)
  return inRow && days.length > 1
    ? `${short(days[0])}–${short(days[days.length - 1])}`
    : days.map(short).join(', ')
}
