import { Autocomplete } from '@mantine/core'

interface Props {
  label: string
  value: string
  onChange: (value: string) => void
  people: string[]
  error?: string
  disabled?: boolean
}

/** A name: of somebody in the shop, or of whoever else is there. */
export function NameField({ label, value, onChange, people, error, disabled }: Props) {
  return (
    <Autocomplete
      label={label}
      size="md"
      value={value}
      onChange={onChange}
      data={people}
      error={error}
      disabled={disabled}
      maxLength={80}
    />
  )
}
