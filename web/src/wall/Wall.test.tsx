// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { inRoom } from '../testing/room'
import { asked, newServer, on, Refusal } from '../testing/server'
import { Wall } from './Wall'

const CHANGE = 'GET /api/wall//change'
const WALL = 'GET /api/wall/'
const view = (more = {}) => ({
  shop: 'Brackwater Works',
  now: '2026-11-25T07:10:00Z',
  zone: 'Europe/Berlin',
  says: { days: 'DAY_FIRST', clock: 'TWENTY_FOUR' },
  people: [
    { person: 'Bo', on: 'Fit loom', car: '61', at: '2026-11-25T09:00:00Z', begun: true },
    { person: 'Kit', begun: false },
  ],
  cars: [
    {
      number: '61',
      name: 'Red coupe',
      date: 'Hill climb',
      due: '2026-11-28T07:00:00Z',
      open: 3,
      late: true,
      marginMinutes: -120,
    },
    { number: '', name: 'Barn find', open: 0, late: false },
    { number: '7', name: 'Saloon', date: 'Sprint', due: '2026-12-05T07:00:00Z', open: 0, late: true },
  ],
  arrivals: [],
  news: [{ at: '2026-11-25T06:50:00Z', who: 'Bo', what: 'finished Seal' }],
  ...more,
})

describe('the wall', () => {
  beforeEach(() => newServer())

  it('says who is on what, how each car stands, what comes and what happened', async () => {
    on(CHANGE, () => 4)
    on(WALL, () => view())
    inRoom(<Wall />)
    expect((await screen.findByRole('heading', { level: 1 })).textContent).toBe('Brackwater Works')
    const people = within(screen.getByRole('region', { name: 'Who is on what' }))
    expect(people.getByText(/61 · until 10:00/)).toBeDefined()
    expect(people.getByText('nothing today')).toBeDefined()
    const cars = within(screen.getByRole('region', { name: 'Next gate of each car' }))
    expect(cars.getByText('Sat 08:00 · 3 open at its gate')).toBeDefined()
    expect(cars.getByText('−2 h').className).toBe('hot')
    expect(cars.getByText('Barn find').textContent).toContain('no date')
    expect(cars.getByText('not to be kept')).toBeDefined()
    expect(screen.getByText('Nothing more.')).toBeDefined()
    expect(screen.getByRole('region', { name: 'Today' }).textContent).toContain('07:50 Bo finished Seal')
  })

  it('looks again as soon as there was a change', async () => {
    let change = 4
    on(CHANGE, () => change)
    on(WALL, () => view({ shop: `Shop as of ${change}` }))
    inRoom(<Wall />)
    await screen.findByText('Shop as of 4')
    change = 5
    await screen.findByText('Shop as of 5')
    expect(asked(WALL)).toHaveLength(2)
  })

  it('says that a link has ended, and hardly asks any more', async () => {
    on(CHANGE, () => new Refusal(404))
    inRoom(<Wall />)
    expect(await screen.findByText('This link to the wall was revoked, or never was.')).toBeDefined()
    const before = asked(CHANGE).length
    await new Promise((done) => setTimeout(done, 1_500))
    expect(asked(CHANGE)).toHaveLength(before)
  })

  it('stays as it is while the server is away', async () => {
    on(CHANGE, () => 4)
    on(WALL, () => view())
    inRoom(<Wall />)
    await screen.findByText('Brackwater Works')
    let tried = 0
    on(CHANGE, () => {
      tried++
      return new Refusal(503, { title: 'The database is away', away: true })
    })
    await waitFor(() => expect(tried).toBeGreaterThan(1))
    expect(screen.getByText('Brackwater Works')).toBeDefined()
  })
})
