import { ActionIcon, Popover, TextInput, type TextInputProps } from '@mantine/core'
import { DatePicker } from '@mantine/dates'
import { useRef, useState } from 'react'
import { useBoard } from '../api/board'
import { DAY_HINT, MOMENT_HINT, readDay, readMoment, sayDay, sayMoment } from '../format/moment'
import { dayKey } from '../format/time'
import css from './ui.module.css'

interface Props extends Omit<TextInputProps, 'type' | 'value' | 'defaultValue' | 'onChange' | 'onBlur'> {
  /** Local text, empty for none. */
  value?: string
  onChange?: (local: string) => void
}

/** How a text is read and said. */
interface Kind {
  read: (text: string, now: string, zone: string, before?: string) => string | undefined
  say: (local: string, now: string, zone: string) => string
  /** What a day that was picked is, where that stood there before. */
  ofDay: (date: string, before: string) => string
  hint: string
  placeholder: string
}

const MOMENT: Kind = {
  read: readMoment,
  say: sayMoment,
  ofDay: (date, before) => `${date}T${before.slice(11, 16) || '12:00'}`,
  hint: MOMENT_HINT,
  placeholder: 'Fri 14:00',
}

const DAY: Kind = { read: readDay, say: sayDay, ofDay: (date) => date, hint: DAY_HINT, placeholder: 'Fri' }

/**
 * A date and time of the shop ("2026-11-25T14:00"; `instantOf` and `localOf` make instants of it), typed as people say it or
 * picked from a month.
 */
export const MomentField = (props: Props) => <Typed {...props} kind={MOMENT} />

/** A day of the shop ("2026-11-25"), typed as people say it or picked from a month. */
export const DayField = (props: Props) => <Typed {...props} kind={DAY} />

/**
 * What was understood stands there when the field is left; what cannot be read stays, is marked, and keeps the form from
 * being sent.
 */
function Typed({ kind, value = '', onChange, error, ...rest }: Props & { kind: Kind }) {
  const { board } = useBoard()
  const { now, zone } = board
  const input = useRef<HTMLInputElement>(null)
  const [typed, setTyped] = useState<string>()
  const [picking, setPicking] = useState(false)
  const [unread, setUnread] = useState(false)
  const understood = typed?.trim() ? kind.read(typed, now, zone, value || undefined) : undefined

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
    const readable = !text.trim() || kind.read(text, now, zone, value || undefined)
    input.current?.setCustomValidity(readable ? '' : `Not understood. ${kind.hint}`)
  }
  const pick = (date: string | null) => {
    setPicking(false)
    if (date) take(kind.ofDay(date, value))
  }
  return (
    <Popover
      opened={picking}
      onChange={setPicking}
      position="bottom-end"
      trapFocus
      returnFocus
      withinPortal
      // A field of text does not open; its button does.
      withRoles={false}
    >
      <Popover.Target>
        <TextInput
          autoComplete="off"
          placeholder={kind.placeholder}
          {...rest}
          ref={input}
          data-moment={value}
          value={typed ?? kind.say(value, now, zone)}
          // What was wrong goes as soon as it is written anew, and not under the click that leaves the field.
          error={unread ? `Not understood. ${kind.hint}` : typed === undefined ? error : undefined}
          description={understood && typed ? `= ${kind.say(understood, now, zone)}` : rest.description}
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
              aria-haspopup="dialog"
              aria-expanded={picking}
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
