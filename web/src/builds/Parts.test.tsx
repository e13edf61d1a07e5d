// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Car } from '../api/board'
import { boardWith, inRoom, job } from '../testing/room'
import { askedFor, newServer, on, Refusal } from '../testing/server'
import { Parts } from './Parts'

const part = (id: string, more = {}) => ({
  id,
  name: id,
  buildId: 'b61',
  quantity: 1,
  state: 'ORDERED',
  here: false,
  own: false,
  neededBy: [],
  inspectionMinutes: 15,
  version: 2,
  ...more,
})
const BOARD = boardWith({
  works: [job('loom', { name: 'Fit loom' })],
  vendors: [{ id: 'v1', name: 'Fenwick', offers: [], times: [] }],
  parts: [
    part('shaft', {
      vendorId: 'v1',
      price: 310,
      quantity: 2,
      neededBy: ['loom'],
      arrivalLow: '2026-11-30T09:00:00Z',
      arrivalLikely: '2026-12-01T09:00:00Z',
      arrivalHigh: '2026-12-04T09:00:00Z',
    }),
    part('seal', { state: 'ACCEPTED', here: true, pairedWith: 'shaft' }),
    part('boot', { own: true, pairedWith: 'seal', pairOverride: 'the old one holds' }),
    part('other', { buildId: 'b7' }),
  ],
})
const CAR = BOARD.cars[0] as Car
const SAVE = 'PUT /api/parts/shaft'
const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label)
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }))

let closed = vi.fn()
const shown = (changes = true, picked?: string) =>
  inRoom(<Parts car={CAR} changes={changes} picked={picked} onClosed={closed} />, BOARD)

describe('the parts of a car', () => {
  beforeEach(() => {
    newServer()
    closed = vi.fn()
    on('GET /api/board/news', () => ({ lists: {} }))
    on('GET /api/odds', () => ({}))
  })

  it('say what is here, what comes when, for what, and what is fitted together', () => {
    shown(false)
    const text = screen.getByRole('region', { name: 'Parts' }).textContent
    expect(text).toContain('shaft ordered Tue 1 Dec 10:00')
    expect(text).toContain('2 × · Fenwick · 310.00 · for Fit loom')
    expect(text).toContain('seal accepted')
    expect(text).toContain('pair of shaft, fitted together')
    expect(text).toContain('boot ordered no date')
    expect(text).toContain('the customer brings it')
    expect(text).toContain('pair of seal, may be fitted alone: the old one holds')
    expect(text).not.toContain('other')
    expect(screen.queryByRole('button')).toBeNull()
  })

  it('say until when each may come, and by when it must be ordered', async () => {
    on('GET /api/odds', () => ({
      odds: {
        odds: [],
        departures: [],
        overruns: [],
        harm: [
          { id: 'shaft', neededAt: '2026-11-28T09:00:00Z', orderBy: '2026-11-20T09:00:00Z', daysLeft: -2 },
          { id: 'boot', neededAt: '2026-12-10T09:00:00Z', orderBy: '2026-11-26T09:00:00Z', daysLeft: 1 },
        ],
      },
    }))
    shown()
    expect((await screen.findByText(/comes after it is needed, Sat 10:00/)).className).toBe('hot')
    expect(screen.getByText(/should have been ordered by/).className).toBe('hot strong')
    expect(screen.getByText(/order within 1 day, by Thu 10:00/).className).toBe('strong')
  })

  it('take the earliest and the latest day along with the likely one', async () => {
    on(SAVE, () => undefined)
    shown()
    await press('shaft')
    const likely = await screen.findByLabelText('Likely')
    await userEvent.clear(likely)
    await userEvent.type(likely, '3.12. 10:00')
    await userEvent.tab()
    await press('Save')
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(askedFor(SAVE).body).toMatchObject({
      arrivalLow: '2026-12-02T09:00:00.000Z',
      arrivalLikely: '2026-12-03T09:00:00.000Z',
      arrivalHigh: '2026-12-06T09:00:00.000Z',
      price: 310,
      neededBy: ['loom'],
      version: 2,
    })
  })

  it('are written down with two days of leeway where only the likely day is said', async () => {
    on('POST /api/parts', () => ({ id: 'new' }))
    shown()
    await press('Add')
    await userEvent.type(await screen.findByLabelText('Part'), 'hose')
    await userEvent.type(field('Likely'), '3.12. 10:00')
    await userEvent.tab()
    await press('Save')
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(askedFor('POST /api/parts').body).toMatchObject({
      buildId: 'b61',
      name: 'hose',
      arrivalLow: '2026-12-03T09:00:00.000Z',
      arrivalHigh: '2026-12-05T09:00:00.000Z',
      version: 0,
    })
  })

  it('open at the one that the address asks for, and tell when it is closed', async () => {
    shown(true, 'boot')
    expect((await screen.findByLabelText<HTMLInputElement>('Part')).value).toBe('boot')
    await userEvent.keyboard('{Escape}')
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
  })

  it('keep the form where one cannot be removed', async () => {
    on('DELETE /api/parts/shaft', () => new Refusal(409, { detail: 'It is on order; cancel it first.' }))
    shown()
    await press('shaft')
    await userEvent.click(await screen.findByRole('button', { name: 'Remove' }))
    expect(await screen.findByText('It is on order; cancel it first.')).toBeDefined()
    expect(field('Part').value).toBe('shaft')
    expect(closed).toHaveBeenCalledTimes(0)
  })
})
