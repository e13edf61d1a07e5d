// @vitest-environment jsdom
import { screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { beforeEach, describe, expect, it } from 'vitest'
import { boardWith, inRoom } from '../testing/room'
import { DayField, MomentField } from './MomentField'

let sent: string[]

function Form({ first = '' }: { first?: string }) {
  const [due, setDue] = useState(first)
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault()
        if (e.currentTarget.checkValidity()) sent.push(due)
      }}
    >
      <MomentField label="Due" value={due} onChange={setDue} />
      <button type="submit">Save</button>
    </form>
  )
}

const due = () => screen.getByLabelText<HTMLInputElement>('Due')
const save = () => userEvent.click(screen.getByRole('button', { name: 'Save' }))

/** The board of the tests is of Wednesday 25 November 2026, 08:10. */
describe('a date and time', () => {
  beforeEach(() => {
    sent = []
  })

  it('says while it is typed what is understood, and stands there in full when left', async () => {
    inRoom(<Form />, boardWith())
    await userEvent.type(due(), 'fri 14')
    expect(screen.getByText('= Fri 27 Nov 14:00')).toBeTruthy()
    await userEvent.tab()
    expect(due().value).toBe('Fri 27 Nov 14:00')
    await save()
    expect(sent).toEqual(['2026-11-27T14:00'])
  })

  it('is sent as typed by Enter', async () => {
    inRoom(<Form first="2026-11-27T14:00" />, boardWith())
    await userEvent.clear(due())
    await userEvent.type(due(), '16:30{Enter}')
    expect(sent).toEqual(['2026-11-27T16:30'])
  })

  it('keeps what cannot be read, says so and lets nothing be sent', async () => {
    inRoom(<Form first="2026-11-27T14:00" />, boardWith())
    await userEvent.clear(due())
    await userEvent.type(due(), 'some day')
    await save()
    expect(due().value).toBe('some day')
    expect(screen.getByText(/Not understood/)).toBeTruthy()
    expect(sent).toEqual([])
    await userEvent.clear(due())
    await save()
    expect(sent).toEqual([''])
  })

  it('takes a day from the month and leaves the time', async () => {
    inRoom(<Form first="2026-11-27T14:15" />, boardWith())
    await userEvent.click(screen.getByRole('button', { name: 'Pick a day' }))
    await userEvent.click(await screen.findByRole('button', { name: /^30 November 2026/ }))
    expect(due().value).toBe('Mon 30 Nov 14:15')
    await save()
    expect(sent).toEqual(['2026-11-30T14:15'])
  })
})

function DayForm() {
  const [last, setLast] = useState('2029-12-31')
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault()
        if (e.currentTarget.checkValidity()) sent.push(last)
      }}
    >
      <DayField label="Last day" value={last} onChange={setLast} />
      <button type="submit">Save</button>
    </form>
  )
}

describe('a day', () => {
  const last = () => screen.getByLabelText<HTMLInputElement>('Last day')

  it('is said without a time, typed or picked', async () => {
    sent = []
    inRoom(<DayForm />, boardWith())
    expect(last().value).toBe('Mon 31 Dec 2029')
    await userEvent.clear(last())
    await userEvent.type(last(), 'fri{Enter}')
    expect(last().value).toBe('Fri 27 Nov')
    await userEvent.click(screen.getByRole('button', { name: 'Pick a day' }))
    await userEvent.click(await screen.findByRole('button', { name: /^30 November 2026/ }))
    await save()
    expect(sent).toEqual(['2026-11-27', '2026-11-30'])
  })

  it('is no time of day', async () => {
    sent = []
    inRoom(<DayForm />, boardWith())
    await userEvent.clear(last())
    await userEvent.type(last(), '14:00')
    await save()
    expect(screen.getByText(/Try "Fri", "4 Dec"/)).toBeTruthy()
    expect(sent).toEqual([])
  })
})
