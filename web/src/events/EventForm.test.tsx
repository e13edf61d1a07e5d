// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import type { RaceEvent } from '../api/events'
import { inRoom } from '../testing/room'
import { askedFor, newServer, on, Refusal } from '../testing/server'
import { EventForm } from './EventForm'

const EVENT = {
  id: 'e1',
  name: 'Autumn hill',
  place: 'Fellside',
  className: '',
  loadsAt: '2026-12-04T06:00:00Z',
  mostSets: 6,
  mostNew: 2,
  uses: 2,
  over: false,
  sessions: [
    { id: 's1', name: 'Practice', kind: 'PRACTICE', start: '2026-12-05T08:00:00Z', minutes: 20, km: 12 },
  ],
  cars: [
    { buildId: 'b61', called: '61', spare: false, driver: 'Ada' },
    { buildId: 'gone', called: '7', spare: true, driver: '' },
  ],
  crew: ['bo'],
  version: 5,
} as unknown as RaceEvent

let kept: string[] = []
const form = (event?: RaceEvent) =>
  inRoom(<EventForm event={event} onClose={() => undefined} onKept={(id) => kept.push(id)} />)

describe('an event', () => {
  beforeEach(() => {
    newServer()
    kept = []
    on('GET /api/board/news', () => ({ lists: {} }))
    on('GET /api/classes', () => [])
    on('GET /api/templates', () => [{ id: 't1', name: 'Nut and bolt week' }])
  })

  it('is entered with its cars and sessions, in the times of the shop', async () => {
    const ENTER = 'POST /api/events'
    on(ENTER, () => ({ id: 'new' }))
    form()
    await userEvent.type(screen.getByLabelText('Event'), 'Night sprint')
    await userEvent.type(screen.getByLabelText('The cars are loaded'), '4.12. 7:00')
    await userEvent.click(screen.getByRole('button', { name: 'Add a car' }))
    await screen.findByRole('option', { name: 'Nut and bolt week' })
    await userEvent.selectOptions(screen.getByLabelText('Work before it'), 'Nut and bolt week')
    await userEvent.click(screen.getByRole('button', { name: 'Add a session' }))
    await userEvent.type(screen.getByLabelText('Session'), 'Race')
    await userEvent.selectOptions(screen.getByLabelText('Kind'), 'race')
    await userEvent.click(screen.getByRole('button', { name: 'Enter it' }))
    await waitFor(() => expect(kept).toEqual(['new']))
    expect(askedFor(ENTER).body).toMatchObject({
      name: 'Night sprint',
      loadsAt: '2026-12-04T06:00:00.000Z',
      cars: [{ buildId: 'b61', spare: false, driver: '', template: 't1' }],
      // A session begins when the cars are loaded, until somebody says when.
      sessions: [{ name: 'Race', kind: 'RACE', start: '2026-12-04T06:00:00.000Z', minutes: 30, km: 0 }],
      version: 0,
    })
  })

  it('keeps a car that was put away since, by its number', async () => {
    const CHANGE = 'PUT /api/events/e1'
    on(CHANGE, () => undefined)
    form(EVENT)
    const second = screen.getAllByLabelText<HTMLSelectElement>('Car')[1]!
    expect(within(second).getByRole<HTMLOptionElement>('option', { name: '7 (put away)' }).selected).toBe(
      true,
    )
    expect(screen.getAllByText('its work is laid')).toHaveLength(2)
    await userEvent.click(screen.getByRole('button', { name: 'Keep' }))
    await waitFor(() => expect(kept).toEqual(['e1']))
    expect(askedFor(CHANGE).body).toMatchObject({
      version: 5,
      cars: [
        { buildId: 'b61', driver: 'Ada', spare: false },
        { buildId: 'gone', driver: '', spare: true },
      ],
      sessions: [{ id: 's1', start: '2026-12-05T08:00:00.000Z', minutes: 20, km: 12 }],
      crew: ['bo'],
    })
  })

  it('says at its place what is wrong with a session, and keeps the rest', async () => {
    on(
      'PUT /api/events/e1',
      () =>
        new Refusal(422, {
          problems: [
            { field: 'sessions[0].minutes', message: 'It lasts a minute at least.' },
            { field: 'cars', message: 'A car is there twice.' },
          ],
        }),
    )
    form(EVENT)
    await userEvent.clear(screen.getByLabelText('Minutes'))
    await userEvent.click(screen.getByRole('button', { name: 'Keep' }))
    const said = await screen.findByText('It lasts a minute at least.')
    expect(said.closest('.mantine-InputWrapper-root')?.contains(screen.getByLabelText('Minutes'))).toBe(true)
    expect(screen.getByText('A car is there twice.')).toBeDefined()
    expect(screen.getByDisplayValue('Fellside')).toBeDefined()
    expect(kept).toEqual([])
  })
})
