import { TextInput, type TextInputProps } from '@mantine/core'
import { useRef, useState } from 'react'
import { exact, readDuration } from '../format/margin'

const HINT = 'Say it as 45 min, 1.5 h, 4 h 30 or half a day.'

interface Props extends Omit<TextInputProps, 'type' | 'value' | 'defaultValue' | 'onChange' | 'onBlur'> {
  /** Minutes of working time; undefined for none. */
  value?: number
  onChange?: (minutes: number | undefined) => void
}

/**
 * Working time, typed as people say it. What was understood stands there when the field is left; what cannot be read
 * stays, is marked, and keeps the form from being sent.
 */
export function DurationField({ value, onChange, error, ...rest }: Props) {
  const input = useRef<HTMLInputElement>(null)
  const [typed, setTyped] = useState<string>()
  const [unread, setUnread] = useState(false)
  /** A bare nought is none. */
  const read = (text: string) => (/^\s*0*\s*(min|h)?\s*$/.test(text) ? 0 : readDuration(text))
  const type = (text: string) => {
    setTyped(text)
    setUnread(false)
    const minutes = read(text)
    input.current?.setCustomValidity(minutes === undefined ? HINT : '')
    if (minutes !== undefined) onChange?.(text.trim() === '' ? undefined : minutes)
  }
  return (
    <TextInput
      autoComplete="off"
      placeholder="1.5 h"
      {...rest}
      ref={input}
      value={typed ?? (value === undefined ? '' : exact(value))}
      error={unread ? HINT : error}
      onChange={(e) => type(e.currentTarget.value)}
      onBlur={() => {
        if (typed === undefined) return
        if (read(typed) === undefined) setUnread(true)
        else setTyped(undefined)
      }}
    />
  )
}

interface MinutesForm {
  values: object
  errors: Record<string, unknown>
  setFieldValue: (field: never, value: never) => void
}

/** What a field of working time needs of a form that keeps it in minutes; nothing said is none. */
export function minutes(form: MinutesForm, field: string): Pick<Props, 'value' | 'error' | 'onChange'> {
  return {
    value: (form.values as Record<string, number>)[field],
    error: form.errors[field] as Props['error'],
    onChange: (said) => form.setFieldValue(field as never, (said ?? 0) as never),
  }
}
