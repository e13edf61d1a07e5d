import { ActionIcon, Popover, TextInput, type TextInputProps } from '@mantine/core'
import { DatePicker } from '@mantine/dates'
import { useRef, useState } from 'react'
import { useBoard } from '../api/board'
import { MOMENT_HINT, readMoment, sayMoment } from '../format/moment'
import { dayKey } from '../format/time'
import css from './ui.module.css'

interface Props extends Omit<TextInputProps, 'type' | 'value' | 'defaultValue' | 'onChange' | 'onBlur'> {
  /** Local text ("2026-11-25T14:00"), empty for none; `instantOf` and `localOf` make instants of it. */
  value?: string
  onChange?: (local: string) => void
}

/**
 * A date and time of the shop, typed as people say it or picked from a month. What was understood stands there when
 * the field is left; what cannot be read stays, is marked, and keeps the form from being sent.
 */
export function MomentField({ value = '', onChange, error, ...rest }: Props) {
  const { board } = useBoard()
  const { now, zone } = board
  const input = useRef<HTMLInputElement>(null)
  const [typed, setTyped] = useState<string>()
  const [picking, setPicking] = useState(false)
  const [unread, setUnread] = useState(false)
  const understood = typed?.trim() ? readMoment(typed, now, zone, value || undefined) : undefined

  const take = (local: string) => {
    setTyped(undefined)
    setUnread(false)
    input.current?.setCustomValidity('')
    if (local !== value) onChange?.(local)
  }
  const settle = () => {
    if (typed === undefined) return
    if (!typed.trim()) take('')
    else if (understood) take(understood)
    else {
      setUnread(true)
      if (value) onChange?.('')
    }
  }
  const type = (text: string) => {
    setTyped(text)
    setUnread(false)
    const readable = !text.trim() || readMoment(text, now, zone, value || undefined)
    input.current?.setCustomValidity(readable ? '' : `Not understood. ${MOMENT_HINT}`)
  }
  const pick = (date: string | null) => {
    setPicking(false)
    if (date) take(`${date}T${value.slice(11, 16) || '12:00'}`)
  }
  return (
    <Popover opened={picking} onChange={setPicking} position="bottom-end" trapFocus returnFocus withinPortal>
      <Popover.Target>
        <TextInput
          autoComplete="off"
          placeholder="Fri 14:00"
          {...rest}
          ref={input}
          data-moment={value}
          value={typed ?? sayMoment(value, now, zone)}
          // What was wrong goes as soon as it is written anew, and not under the click that leaves the field.
          error={unread ? `Not understood. ${MOMENT_HINT}` : typed === undefined ? error : undefined}
          description={understood && typed ? `= ${sayMoment(understood, now, zone)}` : rest.description}
          inputWrapperOrder={['label', 'input', 'description', 'error']}
          // What is understood floats: were it to take room, a button would move away from under the click that leaves.
          classNames={{ root: css.moment, description: css.understood }}
          onChange={(e) => type(e.currentTarget.value)}
          onBlur={settle}
          onKeyDown={(e) => {
            if (e.key === 'Enter') settle()
            if (e.key === 'ArrowDown') setPicking(true)
            rest.onKeyDown?.(e)
          }}
          rightSection={
            <ActionIcon
              variant="subtle"
              size="sm"
              color="gray"
              tabIndex={-1}
              aria-label="Pick a day"
              disabled={rest.disabled}
              onClick={() => setPicking((p) => !p)}
            >
              <CalendarMark />
            </ActionIcon>
          }
        />
      </Popover.Target>
      <Popover.Dropdown>
        <DatePicker
          defaultDate={value.slice(0, 10) || dayKey(now, zone)}
          value={value.slice(0, 10) || null}
          firstDayOfWeek={1}
          weekendDays={[]}
          onChange={pick}
        />
      </Popover.Dropdown>
    </Popover>
  )
}

function CalendarMark() {
  return (
    <svg width="14" height="14" viewBox="0 0 14 14" aria-hidden="true" fill="none" stroke="currentColor">
      <rect x="1.5" y="2.5" width="11" height="10" />
      <path d="M1.5 5.5h11M4.5 1v2.5M9.5 1v2.5" />
    </svg>
  )
}
