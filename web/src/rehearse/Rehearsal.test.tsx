// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { Route, Routes } from 'react-router'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Schemas } from '../api/client'
import { inRoom } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { RehearsalEnd } from './RehearsalEnd'
import { RehearsalRoom } from './RehearsalRoom'

const MARA = { username: 'mara', name: 'Mara', role: 'MANAGER' } as Schemas['Account']
const HAND = { username: 'bo', name: 'Bo', role: 'HAND' } as Schemas['Account']
const DATES = [
  { id: 'd1', buildId: 'b61', name: 'Hill climb', due: '2026-11-28T07:00:00Z', marginMinutes: -90 },
  { id: 'd2', buildId: 'b61', name: 'Sprint', due: '2026-12-05T07:00:00Z', marginMinutes: 480 },
]
const turn = (more = {}) => ({
  id: 'r1',
  weather: 'USUAL',
  turn: 1,
  turns: 10,
  now: '2026-11-25T12:00:00Z',
  events: [{ at: '2026-11-25T09:30:00Z', said: 'Kit is ill', bad: true }],
  choices: [{ id: 'c1', dateId: 'd1', said: 'Bo stays two hours longer', gains: 1.5, effort: 2 }],
  dates: DATES,
  weighing: false,
  ...more,
})
const PLAY = 'POST /api/rehearsals/r1/play'

const room = (account = MARA) =>
  inRoom(
    <Routes>
      <Route path="/" element={<RehearsalRoom account={account} />} />
      <Route path="/rehearse/:id" element={<RehearsalRoom account={account} />} />
    </Routes>,
  )
async function begun(first: unknown = turn()) {
  on('POST /api/rehearsals', () => ({ id: 'r1' }))
  on('GET /api/rehearsals/r1', () => first)
  room()
  await userEvent.click(screen.getByRole('button', { name: 'Begin' }))
}

describe('rehearsing a week', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
  })

  it('is for those who plan', () => {
    room(HAND)
    expect(screen.getByText("Rehearsing is the manager's and the leads'")).toBeDefined()
    expect(screen.queryByRole('button', { name: 'Begin' })).toBeNull()
  })

  it('begins with so many days, as kind as was said', async () => {
    await begun()
    expect(askedFor('POST /api/rehearsals').body).toEqual({ days: 5, weather: 'USUAL' })
    expect(await screen.findByText('turn 1 of 10')).toBeDefined()
    expect(screen.getByText('Kit is ill').className).toBe('hot')
    const dates = within(screen.getByRole('region', { name: 'Dates' }))
    expect(dates.getByText(/Hill climb, Sat 28 Nov/)).toBeDefined()
  })

  it('plays on with what was decided, and forgets that with the next turn', async () => {
    await begun()
    on(PLAY, () => turn({ turn: 2, events: [] }))
    await userEvent.click(await screen.findByRole('checkbox', { name: 'Bo stays two hours longer' }))
    await userEvent.click(screen.getByRole('button', { name: 'Decide that and go on' }))
    expect(await screen.findByText('turn 2 of 10')).toBeDefined()
    expect(screen.getByText('All went as planned.')).toBeDefined()
    expect(screen.getByRole('button', { name: 'Let it go on' })).toBeDefined()
    expect(askedFor(PLAY).body).toEqual({ turn: 1, choices: ['c1'] })
  })

  it('follows another window that has played on', async () => {
    await begun()
    await screen.findByText('turn 1 of 10')
    on(PLAY, () => new Refusal(409, { detail: 'It is turn 3 already.' }))
    on('GET /api/rehearsals/r1', () => turn({ turn: 3 }))
    await userEvent.click(screen.getByRole('button', { name: 'Let it go on' }))
    expect(await screen.findByText('turn 3 of 10')).toBeDefined()
    await waitFor(() => expect(asked(PLAY)).toHaveLength(1))
  })

  it('says that there is none where it was thrown away', async () => {
    await begun(new Refusal(404))
    expect(await screen.findByText('There is no such rehearsal (any more)')).toBeDefined()
  })
})

describe('how it came out', () => {
  const end = (more = {}) =>
    ({
      yours: 2,
      planners: 1.5,
      idle: 9.25,
      dates: [
        { id: 'd1', yours: -120, planners: 30, idle: undefined },
        { id: 'd2', yours: 480, planners: 480, idle: 480 },
      ],
      costs: [
        { turn: 3, said: 'parked 112', hours: 1.25 },
        { turn: 1, said: 'Bo stayed', hours: -4 },
        { turn: 2, said: 'fetched the shaft', hours: 0.01 },
      ],
      ...more,
    }) as unknown as Schemas['EndView']
  const shown = (e = end()) =>
    inRoom(<RehearsalEnd turn={turn() as unknown as Schemas['RehearsalResponse']} end={e} />)
  const row = (name: RegExp) =>
    within(screen.getByRole('row', { name }))
      .getAllByRole('cell')
      .slice(1)
      .map((c) => c.textContent)

  it('counts the dates that were kept three ways, and the hours late', () => {
    shown()
    expect(row(/dates kept, of 2/)).toEqual(['1', '2', '1'])
    expect(row(/hours late/)).toEqual(['2.0', '1.5', '9.3'])
    expect(row(/Hill climb/)).toEqual(['−2 h', '+30 min', 'cannot be planned'])
    expect(screen.queryByRole('row', { name: /Sprint/ })).toBeNull()
  })

  it('names the decision that cost most, and what the others did', () => {
    shown()
    expect(document.body.textContent).toContain(
      'What cost most: parked 112, at turn 3: without it 1.3 h less',
    )
    expect(screen.getAllByRole('listitem').map((l) => l.textContent)).toEqual([
      'turn 3: parked 112 cost 1.3 h',
      'turn 1: Bo stayed saved 4.0 h',
      'turn 2: fetched the shaft changed nothing',
    ])
  })

  it('says so where no decision cost anything', () => {
    shown(end({ costs: [{ turn: 1, said: 'Bo stayed', hours: -4 }] }))
    expect(screen.getByText('None of your decisions cost anything.')).toBeDefined()
  })
})
