// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Car } from '../api/board'
import type { Schemas } from '../api/client'
import { boardWith, inRoom, job } from '../testing/room'
import { askedFor, newServer, on } from '../testing/server'
import { CarSheet } from './CarSheet'

const SEF = { username: 'sef', name: 'Sef', role: 'LEAD', personId: 'sef' } as Schemas['Account']
const BO = { username: 'bo', name: 'Bo', role: 'HAND', personId: 'bo' } as Schemas['Account']
const car = (more = {}) =>
  ({
    id: 'b61',
    number: '61',
    name: 'Red coupe',
    customer: 'A. Customer',
    restrictions: [],
    doing: [],
    gates: [],
    forNow: [],
    measurements: [],
    done: 12,
    total: 80,
    nextDate: 'd1',
    ...more,
  }) as unknown as Car
const DATE = {
  id: 'd1',
  buildId: 'b61',
  name: 'Hill climb',
  kind: 'EVENT',
  due: '2026-11-28T07:00:00Z',
  marginMinutes: 480,
  sentence: '',
  chain: [],
  missing: [],
}
const board = (of: Car, more = {}) =>
  boardWith({
    cars: [of],
    commitments: [DATE],
    works: [
      job('loom', {
        name: 'Fit loom',
        status: 'STARTED',
        job: { ...job('x').job, startedBy: ['bo'], remainingMinutes: 45, overMinutes: 20 },
        placed: {
          ...job('x').placed,
          at: [{ from: '2026-11-25T08:00:00Z', to: '2026-11-25T09:00:00Z' }],
          crew: ['bo', 'mara'],
        },
      }),
      job('seal', { name: 'Seal', job: { ...job('x').job, crew: [{}, {}] } }),
    ],
    ...more,
  })
const sheet = (of = car(), account = SEF, more = {}) => {
  inRoom(<CarSheet car={of} account={account} />, board(of, more))
  return within(screen.getByRole('complementary', { name: 'Car sheet' }))
}
const text = () => screen.getByRole('complementary', { name: 'Car sheet' }).textContent ?? ''

describe('the sheet of a car', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
    on('GET /api/builds/b61/decisions', () => [])
    on('GET /api/builds/b61/gates', () => [])
    on('GET /api/odds', () => ({}))
  })

  it('says in three lines what is done on it, what is next and what holds it', () => {
    sheet(
      car({
        doing: ['loom'],
        next: 'seal',
        held: { tag: 'PART', said: 'the left gasket', needsSomebody: true },
      }),
    )
    expect(text()).toContain('Fit loom: Bo, 45 min to go, 20 min past its time')
    expect(text()).toContain('Seal, 09:00, 1 h, two hands')
    expect(screen.getByText('the left gasket').className).toBe('hot')
    expect(text()).toContain('Bo, Mara')
    expect(text()).toContain('A. Customer · Hill climb, Sat 08:00, in 3 days')
    expect(text()).toContain('12 of 80 done')
  })

  it('says nothing where nothing is', () => {
    sheet(car({ nextDate: undefined }), SEF, { works: [], commitments: [] })
    expect(text()).toContain('No date promised.')
    expect(text()).toContain('nothing left to plan')
    expect(screen.queryByText('on it today')).toBeNull()
    expect(screen.queryByText('to decide')).toBeNull()
  })

  it('is done from here with one press', async () => {
    on('POST /api/works/loom/done', () => undefined)
    const of = sheet(car({ doing: ['loom'] }))
    await userEvent.click(of.getByRole('button', { name: 'Fit loom is done' }))
    await waitFor(() => askedFor('POST /api/works/loom/done'))
  })

  it('reminds of what is to be decided, hot once its day is past', async () => {
    on('GET /api/builds/b61/decisions', () => [
      { id: 'a', question: 'Which pads', asked: 'the customer', due: '2026-11-24T09:00:00Z', options: [] },
      { id: 'b', question: 'Which belt', due: '2026-11-30T09:00:00Z', options: [] },
      { id: 'c', question: 'Which oil', decidedAt: '2026-11-20T09:00:00Z', options: [] },
    ])
    const of = sheet()
    const pads = await of.findByText(/Which pads/)
    expect(pads.className).toBe('hot')
    expect(pads.textContent).toBe('Which pads, the customer, by Tue 24 Nov 10:00')
    expect(of.getByText(/Which belt/).className).toBe('')
    expect(of.queryByText(/Which oil/)).toBeNull()
  })

  it('reminds of what was fitted for now; those who plan say that it was made good', async () => {
    const forNow = [{ id: 'f1', what: 'road springs', reason: 'others late', gate: 'EVENT' }]
    on('POST /api/fitted-for-now/f1/made-good', () => undefined)
    const of = sheet(car({ forNow }))
    expect(text()).toContain('road springs (others late; before event)')
    await userEvent.click(of.getByRole('button', { name: 'made good' }))
    await waitFor(() => askedFor('POST /api/fitted-for-now/f1/made-good'))
  })

  it('leaves that to them', () => {
    const of = sheet(car({ forNow: [{ id: 'f1', what: 'road springs', reason: '', gate: 'EVENT' }] }), BO)
    expect(of.queryByRole('button', { name: 'made good' })).toBeNull()
  })

  it('shows the three things that were measured first in order, and what of them is stale', () => {
    const measured = ['heights', 'corner weights', 'toe', 'map'].map((what) => ({
      what,
      value: '1',
      at: '2026-11-20T09:00:00Z',
      staleBecause: what === 'toe' ? 'strut spacer fitted' : undefined,
    }))
    const of = sheet(car({ measurements: measured }))
    expect(of.getByText('stale: strut spacer fitted')).toBeDefined()
    expect(of.queryByText(/map: 1/)).toBeNull()
  })

  it('says why the odds are poor although there is time to spare', async () => {
    const odds = (chance: number) => ({
      odds: {
        odds: [
          {
            commitmentId: 'd1',
            chance,
            drivers: [{ said: 'Rolling road takes longer' }],
            chain: [],
            spread: [],
          },
        ],
        harm: [],
        departures: [],
        overruns: [],
      },
    })
    on('GET /api/odds', () => odds(0.3))
    const { unmount } = inRoom(<CarSheet car={car()} account={SEF} />, board(car()))
    expect(await screen.findByText('30 %')).toBeDefined()
    expect(text()).toContain(
      'In time if all takes what is likely; mostly something takes longer: Rolling road takes longer.',
    )
    unmount()
    on('GET /api/odds', () => odds(0.7))
    inRoom(
      <CarSheet car={car()} account={SEF} />,
      board(car(), { commitments: [{ ...DATE, marginMinutes: -60 }] }),
    )
    expect(await screen.findByText('70 %')).toBeDefined()
    expect(text()).toContain('Late if all takes what is likely; mostly something goes quicker.')
  })
})
