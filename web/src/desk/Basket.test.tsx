// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Line } from '../api/desk'
import { boardWith, inRoom } from '../testing/room'
import { askedFor, newServer, on, Refusal } from '../testing/server'
import { Basket } from './Basket'

const ORDER = 'POST /api/vendors/v1/orders'
const part = (id: string, more = {}) => ({
  id,
  name: id,
  buildId: 'b61',
  vendorId: 'v1',
  quantity: 1,
  toOrder: true,
  state: 'WANTED',
  ...more,
})
const line = (id: string, more = {}) =>
  ({ kind: 'PART', id, name: id, buildId: 'b61', vendorId: 'v1', quantity: 1, ...more }) as unknown as Line

const BOARD = boardWith({
  parts: [
    part('Seal', { price: 12.5 }),
    part('Boot'),
    part('Shaft'),
    part('Belt', { vendorId: 'v2' }),
    part('Hose', { toOrder: false }),
  ],
  vendors: [
    { id: 'v1', name: 'Fenwick Parts', offers: [{ what: 'BOOT', price: 7, likelyDays: 4 }], times: [] },
    { id: 'v2', name: 'Northgate', offers: [], times: [] },
  ],
})
const LINES = [
  line('Seal', { quantity: 2 }),
  line('Boot'),
  line('Shaft', { held: 'Its bore is unknown.' }),
  line('Belt', { vendorId: 'v2' }),
  line('Hose'),
  line('Roof', { kind: 'OUTWORK' }),
]

let closed = vi.fn()
const basket = (lines = LINES) => inRoom(<Basket lines={lines} onClose={closed} />, BOARD)
const tick = (name: RegExp) => screen.getByRole<HTMLInputElement>('checkbox', { name })

describe('several lines of one vendor', () => {
  beforeEach(() => {
    newServer()
    closed = vi.fn()
    on('GET /api/board/news', () => ({ lists: {} }))
  })

  it('offers what is to be ordered from that vendor, and leaves out what is held', () => {
    basket()
    expect(tick(/2 × Seal/).checked).toBe(true)
    expect(tick(/Boot/).checked).toBe(true)
    expect(tick(/Shaft/).checked).toBe(false)
    expect(screen.getByText('held: Its bore is unknown.')).toBeDefined()
    for (const other of [/Belt/, /Hose/, /Roof/])
      expect(screen.queryByRole('checkbox', { name: other })).toBeNull()
    expect(screen.getByText('by its list 4 working days')).toBeDefined()
  })

  it('takes prices as known, else by the list, and sends what is ticked in one go', async () => {
    on(ORDER, () => undefined)
    basket()
    expect(screen.getByLabelText<HTMLInputElement>('Price of Seal').value).toBe('12.5')
    expect(screen.getByLabelText<HTMLInputElement>('Price of Boot').value).toBe('7')
    await userEvent.type(screen.getByLabelText('Promised for'), 'tomorrow 14:00')
    await userEvent.tab()
    await userEvent.click(screen.getByRole('button', { name: 'Order 2 lines' }))
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(askedFor(ORDER).body).toEqual({
      low: '2026-11-26T13:00:00.000Z',
      likely: '2026-11-26T13:00:00.000Z',
      // Nobody said when at the latest: two days more.
      high: '2026-11-28T13:00:00.000Z',
      lines: [
        { partId: 'Seal', price: 12.5 },
        { partId: 'Boot', price: 7 },
      ],
    })
  })

  it('puts what is wrong with a line at that line, whichever are ticked, and orders none', async () => {
    on(
      ORDER,
      () => new Refusal(422, { problems: [{ field: 'lines.0', message: 'Boot was ordered a minute ago.' }] }),
    )
    basket()
    await userEvent.click(tick(/Seal/))
    await userEvent.click(screen.getByRole('button', { name: 'Order 1 line' }))
    const said = await screen.findByText('Boot was ordered a minute ago.')
    expect(said.closest('tr')?.textContent).toContain('Boot')
    expect(closed).toHaveBeenCalledTimes(0)
  })

  it('cannot order nothing, and says where nobody is named to order from', async () => {
    const { unmount } = basket()
    await userEvent.click(tick(/Seal/))
    await userEvent.click(tick(/Boot/))
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Order 0 lines' }).disabled).toBe(true)
    unmount()
    basket([line('Hose')])
    expect(screen.getByText(/Nothing is to be ordered from anybody/)).toBeDefined()
  })
})
