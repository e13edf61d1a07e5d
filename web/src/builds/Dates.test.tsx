// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Car } from '../api/board'
import type { Schemas } from '../api/client'
import { MissedSlot } from '../domain/MissedSlot'
import { Parked } from '../domain/Parked'
import { boardWith, inRoom, job } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { Dates } from './Dates'
import { ForDate } from './ForDate'
import { ParkCar } from './ParkCar'
import { Rounds } from './Rounds'

const MARA = { username: 'mara', name: 'Mara', role: 'MANAGER', personId: 'mara' } as Schemas['Account']
const BO = { username: 'bo', name: 'Bo', role: 'HAND', personId: 'bo' } as Schemas['Account']

const date = (id: string, name: string, due: string, more = {}) => ({
  id,
  buildId: 'b61',
  name,
  kind: 'EVENT',
  due,
  gate: 'EVENT',
  weight: 1,
  version: 1,
  marginMinutes: 300,
  chain: [],
  missing: [],
  sentence: '',
  ...more,
})
const ROUND = { id: 'r1', name: 'Between the nights', dateId: 'two', afterId: 'one', version: 3 }
const BOARD = boardWith({
  cars: [{ id: 'b61', number: '61', name: 'Red coupe', stages: [], rounds: [ROUND], restrictions: [] }],
  works: [
    job('Fit loom', { roundId: 'r1' }),
    job('Rolling road', {
      kind: 'OUTWORK',
      job: undefined,
      outwork: { vendorId: 'v', wholeCar: true, slotFrom: '2026-12-01T09:00:00Z' },
    }),
  ],
  commitments: [
    date('one', 'Night one', '2026-12-05T16:00:00Z'),
    date('two', 'Night two', '2026-12-19T16:00:00Z'),
    date('slot', 'Rolling road', '2026-12-01T08:00:00Z', {
      kind: 'SLOT',
      slotOf: 'Rolling road',
      marginMinutes: -540,
      finish: '2026-12-02T09:00:00Z',
    }),
  ],
})
const CAR = BOARD.cars[0] as Car
const LOOM = BOARD.works[0]!

describe('dates of a car', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
    on('GET /api/templates', () => [])
  })

  it('leaves the date of a booked slot to the booking', () => {
    inRoom(<Dates car={CAR} changes />, BOARD)
    expect(screen.getByRole('button', { name: 'Night one' })).toBeDefined()
    expect(screen.queryByRole('button', { name: 'Rolling road' })).toBeNull()
    expect(screen.getByText('move it or give it back').getAttribute('href')).toBe(
      '/desk?outwork=Rolling road',
    )
  })

  it('says in words that a booked slot is missed, from when to when', () => {
    inRoom(<MissedSlot car={CAR} />, BOARD)
    const alert = screen.getByRole('alert').textContent
    expect(alert).toContain('Misses Rolling road')
    expect(alert).toContain('Booked for Tue 1 Dec 10:00')
    expect(alert).toContain('is ready Wed 2 Dec 10:00')
    expect(alert).toContain('−')
  })

  it('says nothing of a slot that is kept', () => {
    const kept = boardWith({
      ...BOARD,
      commitments: BOARD.commitments.map((c) => ({ ...c, marginMinutes: 60 })),
    })
    inRoom(<MissedSlot car={CAR} />, kept)
    expect(screen.queryByRole('alert')).toBeNull()
  })

  it('tells of a round between which dates it lies and how far it is, and changes it', async () => {
    on('PUT /api/rounds/r1', () => undefined)
    inRoom(<Rounds car={CAR} changes />, BOARD)
    expect(screen.getByText('0 of 1 done')).toBeDefined()
    expect(screen.getByText(/after Night one, Sat 5 Dec, for Night two, Sat 19 Dec/)).toBeDefined()
    await userEvent.click(screen.getByRole('button', { name: 'Between the nights' }))
    await userEvent.type(await screen.findByLabelText('Name'), ', second')
    await userEvent.click(screen.getByRole('button', { name: 'Save' }))
    await waitFor(() =>
      expect(askedFor('PUT /api/rounds/r1').body).toMatchObject({
        name: 'Between the nights, second',
        dateId: 'two',
        afterId: 'one',
        version: 3,
      }),
    )
  })

  it('says for which date a job of a round is, and puts a refusal at the field', async () => {
    const SAY = 'PUT /api/works/Fit%20loom/date'
    on(SAY, () => new Refusal(422, { detail: 'Night one asks for less.' }))
    inRoom(<ForDate work={LOOM} changes />, BOARD)
    const field = screen.getAllByLabelText('For which date')[0] as HTMLInputElement
    expect(field.value).toBe('that of its round: Night two')
    await userEvent.click(field)
    expect(screen.queryByRole('option', { name: /Rolling road/ })).toBeNull()
    await userEvent.click(screen.getByRole('option', { name: /Night one/, hidden: true }))
    expect(await screen.findByText('Night one asks for less.')).toBeDefined()
    expect(askedFor(SAY).body).toEqual({ dateId: 'one', afterDates: false })
  })

  it('says who and what a car takes along, has work done there, and asks what it came back with', async () => {
    const NEW = 'POST /api/builds/b61/rounds'
    on(NEW, () => ({ id: 'r2' }))
    on('PUT /api/works/Fit%20loom/date', () => undefined)
    const out = boardWith({
      ...BOARD,
      people: [{ id: 'bo', name: 'Bo', skills: [], shifts: [], changes: [] }],
      stations: [{ id: 't', name: 'Trailer', kind: 'trailer', closures: [] }],
      commitments: [
        date('one', 'Test day', '2026-11-20T08:00:00Z', {
          outing: { back: '2026-12-02T18:00:00Z', crew: ['bo'], takes: ['t'] },
        }),
      ],
    } as never)
    inRoom(
      <>
        <Dates car={CAR} changes />
        <ForDate work={LOOM} changes />
      </>,
      out,
    )
    expect(screen.getByText(/away until .*, with Bo, Trailer/)).toBeDefined()
    await userEvent.click(screen.getAllByLabelText('For which date')[0]!)
    await userEvent.click(screen.getByRole('option', { name: 'done there, at Test day', hidden: true }))
    await waitFor(() =>
      expect(askedFor('PUT /api/works/Fit%20loom/date').body).toEqual({ afterDates: false, thereId: 'one' }),
    )
    await userEvent.click(screen.getByRole('button', { name: 'what it came back with' }))
    await userEvent.type(
      await screen.findByLabelText('What it came back with'),
      'weeping union 40m\n\nseat loose',
    )
    await userEvent.click(screen.getByRole('button', { name: 'Lay the round' }))
    await waitFor(() =>
      expect(askedFor(NEW).body).toMatchObject({
        name: 'back from Test day',
        afterId: 'one',
        lines: ['weeping union 40m', 'seat loose'],
      }),
    )
  })

  it('parks with no end only without promises, and takes back by the manager alone', async () => {
    on('POST /api/builds/b61/park', () => undefined)
    const closed = vi.fn()
    inRoom(<ParkCar car={CAR} onClose={closed} />, BOARD)
    expect(screen.getAllByRole('radio', { name: 'another day' })).toHaveLength(2)
    screen.getAllByRole('radio', { name: 'another day' }).forEach((r) => {
      expect((r as HTMLInputElement).disabled).toBe(true)
    })
    expect(screen.getByText(/Rolling road is booked for/)).toBeDefined()
    await userEvent.click(screen.getByRole('button', { name: 'Park it' }))
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(askedFor('POST /api/builds/b61/park').body).toEqual({ dates: [{ id: 'one' }, { id: 'two' }] })
  })

  it('shows a parked car to all, and its way back to the manager', async () => {
    on('POST /api/builds/b61/take-back', () => undefined)
    const parked = { ...CAR, parked: true, parkedUntil: '2026-12-20T08:00:00Z' } as Car
    const { unmount } = inRoom(<Parked car={parked} account={BO} />, BOARD)
    expect(screen.getByRole('status').textContent).toContain('Parked until Sun 20 Dec')
    expect(screen.queryByRole('button')).toBeNull()
    unmount()
    inRoom(<Parked car={parked} account={MARA} />, BOARD)
    await userEvent.click(screen.getByRole('button', { name: 'Take it back' }))
    await waitFor(() => expect(asked('POST /api/builds/b61/take-back')).toHaveLength(1))
  })
})
