import { TextInput, type TextInputProps } from '@mantine/core'

/** A date and time of the shop, as local text ("2026-11-25T14:00"); `instantOf` and `localOf` make instants of it. */
export function MomentField(props: Omit<TextInputProps, 'type'>) {
  return <TextInput type="datetime-local" {...props} />
}
