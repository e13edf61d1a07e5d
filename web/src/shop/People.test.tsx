// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import { boardWith, inRoom } from '../testing/room'
import { askedFor, newServer, on, Refusal } from '../testing/server'
import { saidHours } from './Hours'
import { People } from './People'

const WEEK = [1, 2, 3, 4, 5].map((day) => ({ day, start: '07:30:00', end: '16:00:00' }))
const BOARD = boardWith({
  people: [
    {
      id: 'bo',
      name: 'Bo',
      skills: [{ skill: 'weld', level: 'LEAD' }],
      shifts: WEEK,
      changes: [
        {
          id: 'c1',
          kind: 'LEAVE',
          from: '2026-12-01',
          to: '2026-12-03',
          start: '00:00',
          end: '00:00',
          note: 'a course',
        },
        {
          id: 'c2',
          kind: 'EXTRA',
          from: '2026-12-05',
          to: '2026-12-05',
          start: '08:00',
          end: '12:00',
          note: '',
        },
      ],
      costPerHour: 52,
      inNow: true,
      version: 3,
    },
  ],
})
const people = (changes = true) => inRoom(<People changes={changes} />, BOARD)
const open = () => userEvent.click(screen.getByRole('button', { name: 'Bo' }))

describe('people', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
  })

  it('says when somebody is in, away, and in besides', () => {
    people()
    expect(screen.getByText('Mon–Fri 07:30–16:00')).toBeDefined()
    const text = document.body.textContent
    expect(text).toContain('away Tue 1 Dec to Thu 3 Dec a course')
    expect(text).toContain('extra Sat 5 Dec 08:00–12:00')
    expect(text).toContain('52.00')
  })

  it('saves hours, skills and cost in the version that was read', async () => {
    const SAVE = 'PUT /api/people/bo'
    on(SAVE, () => undefined)
    people()
    await open()
    await userEvent.click(screen.getByRole('button', { name: 'One more skill' }))
    await userEvent.type(screen.getAllByLabelText('Skill')[1]!, 'wire')
    await userEvent.click(screen.getAllByRole('button', { name: 'Remove these hours' })[4]!)
    await userEvent.click(screen.getByRole('button', { name: 'Save' }))
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Save' })).toBeNull())
    expect(askedFor(SAVE).body).toEqual({
      name: 'Bo',
      skills: [
        { skill: 'weld', level: 'LEAD' },
        { skill: 'wire', level: 'ABLE' },
      ],
      shifts: WEEK.slice(0, 4).map((h) => ({ ...h, start: '07:30', end: '16:00' })),
      costPerHour: 52,
      version: 3,
    })
  })

  it('stays open with what was typed where somebody cannot be taken off the list', async () => {
    on('DELETE /api/people/bo', () => new Refusal(409, { detail: 'Bo is on a job.' }))
    people()
    await open()
    await userEvent.type(screen.getByLabelText('Name'), ' Marten')
    await userEvent.click(screen.getByRole('button', { name: 'Take off the list' }))
    expect(await screen.findByText('Bo is on a job.')).toBeDefined()
    expect(screen.getByDisplayValue('Bo Marten')).toBeDefined()
  })

  it('notes leave of part of a day, and puts what is wrong at its field', async () => {
    const LEAVE = 'POST /api/people/bo/shift-changes'
    on(
      LEAVE,
      () => new Refusal(422, { problems: [{ field: 'to', message: 'That is before the first day.' }] }),
    )
    people()
    await userEvent.click(screen.getByRole('button', { name: 'Leave or extra shift for Bo' }))
    const form = within(await screen.findByRole('dialog'))
    expect(form.getByLabelText<HTMLInputElement>('First day').value).toBe('Wed 25 Nov')
    await userEvent.type(form.getByLabelText('From (empty: all day)'), '13:00')
    await userEvent.type(form.getByLabelText('Note'), 'dentist')
    await userEvent.click(form.getByRole('button', { name: 'Save' }))
    expect(await form.findByText('That is before the first day.')).toBeDefined()
    on(LEAVE, () => ({ id: 'c3' }))
    await userEvent.click(form.getByRole('button', { name: 'Save' }))
    await waitFor(() => expect(screen.queryByLabelText('First day')).toBeNull())
    expect(askedFor(LEAVE, 1).body).toEqual({
      kind: 'LEAVE',
      from: '2026-11-25',
      to: '2026-11-25',
      start: '13:00',
      note: 'dentist',
    })
  })

  it('takes leave back, by who may change it', async () => {
    on('DELETE /api/people/bo/shift-changes/c1', () => undefined)
    const { unmount } = people()
    await userEvent.click(screen.getAllByRole('button', { name: 'take back' })[0]!)
    await waitFor(() => askedFor('DELETE /api/people/bo/shift-changes/c1'))
    unmount()
    people(false)
    expect(screen.queryByRole('button', { name: 'take back' })).toBeNull()
    expect(screen.queryByRole('button', { name: 'Add a person' })).toBeNull()
  })
})

describe('weekly hours in a line', () => {
  const at = (day: number, start = '08:00', end = '12:00') => ({ day, start, end })
  it.each([
    [[], 'no shifts'],
    [[at(1)], 'Mon 08:00–12:00'],
    [[at(1), at(2), at(3)], 'Mon–Wed 08:00–12:00'],
    [[at(1), at(3)], 'Mon, Wed 08:00–12:00'],
    [[at(5), at(1, '08:00', '16:00')], 'Mon 08:00–16:00; Fri 08:00–12:00'],
    [[at(2), at(2, '13:00', '17:00')], 'Tue 08:00–12:00, 13:00–17:00'],
    [[at(6, '22:00', '00:00'), at(7, '22:00', '00:00')], 'Sat–Sun 22:00–00:00'],
  ])('%j is %s', (hours, said) => expect(saidHours(hours)).toBe(said))
})
