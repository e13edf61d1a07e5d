import { Input, SegmentedControl } from '@mantine/core'
import { duration } from '../format/margin'

/** How much a thing counts, as a multiple of what is usual. */
const LEVELS = [
  { label: 'not at all', times: 0 },
  { label: 'a little', times: 1 / 3 },
  { label: 'as usual', times: 1 },
  { label: 'much', times: 3 },
  { label: 'above most', times: 10 },
]

interface Props {
  label: string
  /** What one of it is: "one such start". */
  one: string
  why: string
  usual: number
  value: number
  onChange: (hours: number) => void
}

/** A weight of the house rules in words; its figure is the hours of other work past its date that it counts as. */
export function Weight({ label, one, why, usual, value, onChange }: Props) {
  const at = LEVELS.findIndex((l) => Math.abs(l.times * usual - value) < 0.001)
  const own = { label: 'your own', times: value / usual }
  const levels = at < 0 ? [...LEVELS, own] : LEVELS
  return (
    <Input.Wrapper
      label={label}
      description={`${why} Now ${one} counts as ${duration(Math.round(value * 60))} of other work past its date.`}
      inputWrapperOrder={['label', 'input', 'description']}
      mt={10}
    >
      <div>
        <SegmentedControl
          size="xs"
          aria-label={label}
          data={levels.map((l, i) => ({ value: String(i), label: l.label }))}
          value={String(at < 0 ? LEVELS.length : at)}
          onChange={(v) => onChange(Math.round((levels[Number(v)]?.times ?? 1) * usual * 1000) / 1000)}
        />
      </div>
    </Input.Wrapper>
  )
}
