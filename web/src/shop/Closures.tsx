import { ActionIcon, Button, Group, TextInput } from '@mantine/core'
import { DayField } from '../ui/MomentField'

export interface ClosureRow {
  from: string
  to: string
  reason: string
}

interface Props {
  closures: ClosureRow[]
  errors: Record<string, React.ReactNode>
  today: string
  onChange: (closures: ClosureRow[]) => void
}

/** Days on which a station or a firm is shut. */
export function Closures({ closures, errors, today, onChange }: Props) {
  const put = (i: number, change: Partial<ClosureRow>) =>
    onChange(closures.map((c, at) => (at === i ? { ...c, ...change } : c)))
  return (
    <div>
      {closures.map((c, i) => (
        <div key={i}>
          <Group gap={6} mt={4} wrap="nowrap" align="start">
            <DayField
              size="xs"
              aria-label="Shut from"
              placeholder="first day"
              value={c.from}
              onChange={(day) => put(i, { from: day })}
            />
            <DayField
              size="xs"
              aria-label="Shut to"
              placeholder="last day"
              value={c.to}
              onChange={(day) => put(i, { to: day })}
            />
            <TextInput
              size="xs"
              aria-label="Why"
              placeholder="why"
              value={c.reason}
              onChange={(e) => put(i, { reason: e.currentTarget.value })}
            />
            <ActionIcon
              variant="default"
              aria-label="Remove this closure"
              onClick={() => onChange(closures.filter((_, at) => at !== i))}
            >
              −
            </ActionIcon>
          </Group>
          {errors[`closures.${i}`] && <div className="hot small">{errors[`closures.${i}`]}</div>}
        </div>
      ))}
      {errors.closures && <div className="hot small">{errors.closures}</div>}
      <Button
        size="compact-xs"
        variant="default"
        mt={6}
        onClick={() => onChange([...closures, { from: today, to: today, reason: '' }])}
      >
        A closure
      </Button>
    </div>
  )
}

export function saidClosures(closures: ClosureRow[]): string {
  return closures.map((c) => `shut ${c.from} to ${c.to}${c.reason ? `, ${c.reason}` : ''}`).join('; ')
}
