// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import type { RaceEvent } from '../api/events'
import { inRoom } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { Tyres } from './Tyres'

const EVENT = {
  id: 'e1',
  name: 'Hill',
  mostSets: 6,
  mostNew: 2,
  uses: 2,
  sessions: [
    { id: 's1', name: 'practice', kind: 'PRACTICE', start: '2026-12-05T08:00:00Z' },
    { id: 's2', name: 'climb', kind: 'RACE', start: '2026-12-05T12:00:00Z' },
  ],
  cars: [{ buildId: 'b61', called: '61', spare: false }],
} as unknown as RaceEvent
const set = (id: string, more = {}) => ({
  id,
  buildId: 'b61',
  name: id,
  kind: 'DRY',
  state: 'USED',
  cycles: 6,
  ...more,
})
const plan = (more = {}) => ({
  buildId: 'b61',
  served: [
    { sessionId: 's1', setId: 'soft 2', use: 1, locked: true, because: 'chosen by hand' },
    { sessionId: 's2', setId: 'soft 4', use: 1, locked: false, because: 'new, where it counts' },
  ],
  why: [],
  kept: ['wet 1'],
  scuff: [],
  ...more,
})
const SETS = [
  set('soft 2', { madeOn: '2024-10-01' }),
  set('soft 4', { state: 'NEW', cycles: 0, madeOn: '2026-10-20' }),
  set('wet 1', { kind: 'WET' }),
  set('other', { buildId: 'b7' }),
]
const LOCK = 'PUT /api/events/e1/tyre-locks'

const shown = async (changes = true, p = plan()) => {
  on('GET /api/events/e1/tyres', () => [p])
  on('GET /api/tyre-sets', () => SETS)
  inRoom(<Tyres event={EVENT} changes={changes} />)
  return within(await screen.findByRole('region', { name: /Tyres/ }))
}

describe('which set serves which session', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
  })

  it('stands in a table of the dry sets of the car, with why and how old each is', async () => {
    const of = await shown()
    expect(of.getAllByRole('rowheader').map((h) => h.textContent)).toEqual(['soft 2', 'soft 4'])
    expect(of.getByRole('button', { name: 'soft 2 for practice: chosen by hand' }).textContent).toBe(
      'by hand',
    )
    expect(of.getByRole('button', { name: 'soft 4 for climb: new, where it counts' }).textContent).toBe('new')
    expect(of.getByRole('button', { name: 'soft 4 for practice' }).textContent).toBe('')
    expect(of.getByText('25 months old').className).toBe('hot')
    expect(of.getByText('1 month old').className).toBe('')
    expect(
      of.getByText(
        /6 sets are allowed, 2 of them new; a set serves 2 sessions at most. Kept back for rain: wet 1/,
      ),
    ).toBeDefined()
  })

  it('is chosen by hand with a click, and left to the plan with another', async () => {
    on(LOCK, () => undefined)
    const of = await shown()
    await userEvent.click(of.getByRole('button', { name: 'soft 4 for practice' }))
    await waitFor(() => askedFor(LOCK))
    await waitFor(() =>
      expect(of.getByRole<HTMLButtonElement>('button', { name: /soft 2 for practice/ }).disabled).toBe(false),
    )
    await userEvent.click(of.getByRole('button', { name: /soft 2 for practice/ }))
    await waitFor(() => askedFor(LOCK, 1))
    expect(asked(LOCK).map((a) => a.body)).toEqual([
      { buildId: 'b61', sessionId: 's1', setId: 'soft 4' },
      { buildId: 'b61', sessionId: 's1' },
    ])
  })

  it('says why no set serves', async () => {
    const of = await shown(
      true,
      plan({ served: [], why: ['There are 2 sessions and 1 set with a use left.'] }),
    )
    expect(of.getByRole('alert').textContent).toBe('There are 2 sessions and 1 set with a use left.')
  })

  it('takes another set; a new one has no heat cycles', async () => {
    const ADD = 'POST /api/tyre-sets'
    on(ADD, () => new Refusal(422, { problems: [{ field: 'name', message: 'There is a soft 9.' }] }))
    const of = await shown()
    await userEvent.type(of.getByLabelText('Another set'), 'soft 9')
    expect(of.queryByLabelText('Heat cycles')).toBeNull()
    await userEvent.click(of.getByRole('button', { name: 'Add a set' }))
    expect(await of.findByText('There is a soft 9.')).toBeDefined()
    on(ADD, () => ({ id: 'new' }))
    await userEvent.selectOptions(of.getByLabelText('State'), 'used')
    await userEvent.type(of.getByLabelText('Heat cycles'), '7')
    await userEvent.click(of.getByRole('button', { name: 'Add a set' }))
    await waitFor(() => expect(of.getByLabelText<HTMLInputElement>('Another set').value).toBe(''))
    expect(asked(ADD).map((a) => a.body)).toMatchObject([
      { name: 'soft 9', state: 'NEW', cycles: 0 },
      { name: 'soft 9', state: 'USED', cycles: 7, kind: 'DRY', buildId: 'b61' },
    ])
  })

  it('is read by who may not choose', async () => {
    const of = await shown(false)
    expect(of.getByRole<HTMLButtonElement>('button', { name: /soft 2 for practice/ }).disabled).toBe(true)
    expect(of.queryByLabelText('Another set')).toBeNull()
  })
})
