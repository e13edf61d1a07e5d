// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import { boardWith, inRoom } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { PartSheet } from './PartSheet'

const part = (more = {}) => ({
  id: 'p1',
  name: 'Drive shaft',
  buildId: 'b61',
  vendorId: 'v1',
  quantity: 1,
  state: 'WANTED',
  toOrder: true,
  here: false,
  own: false,
  ...more,
})
const detail = (more = {}) => ({ id: 'p1', mates: [], words: [], inspections: [], mails: [], ...more })
const board = (more = {}) =>
  boardWith({
    parts: [part(more)],
    vendors: [
      {
        id: 'v1',
        name: 'Fenwick Parts',
        phone: '0123',
        deliveries: 0,
        offers: [{ what: 'drive shaft', price: 310, lowDays: 3, likelyDays: 5, highDays: 9 }],
        times: [],
      },
    ],
  })
const ORDER = 'POST /api/parts/p1/order'

const open = async (p = {}, d = {}, manager = true) => {
  on('GET /api/parts/p1', () => detail(d))
  inRoom(<PartSheet id="p1" manager={manager} onClose={() => undefined} onEdit={() => undefined} />, board(p))
  await screen.findByText('Said')
}
const button = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name })

describe('a part', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
    on('GET /api/desk', () => ({ lines: [], kits: [], supplies: [], shelf: [], change: 1, harmOf: 1 }))
  })

  it('is ordered at the price of the list; who says when it is likely gives two days more', async () => {
    on(ORDER, () => undefined)
    await open()
    expect(screen.getByText(/By its list 310.00, in 3 to 9 working days, likely 5/)).toBeDefined()
    await userEvent.type(screen.getByLabelText('Promised for'), '1.12. 9:00')
    await userEvent.click(button('Order it'))
    await waitFor(() => askedFor(ORDER))
    expect(askedFor(ORDER).body).toEqual({
      low: '2026-12-01T08:00:00.000Z',
      likely: '2026-12-01T08:00:00.000Z',
      high: '2026-12-03T08:00:00.000Z',
      price: 310,
    })
  })

  it('is not ordered while it is held, unless a manager says why', async () => {
    on(ORDER, () => undefined)
    await open({}, { held: 'The spline of the hub is unknown.' })
    expect(screen.getByRole('status').textContent).toContain('The spline of the hub is unknown.')
    expect(button('Order it').disabled).toBe(true)
    await userEvent.type(screen.getByLabelText('Order all the same, because'), 'measured by Bo')
    await userEvent.click(button('Order it'))
    await waitFor(() => askedFor(ORDER))
    expect(askedFor(ORDER).body).toMatchObject({ overrideReason: 'measured by Bo' })
  })

  it('gives a lead no way round that', async () => {
    await open({}, { held: 'The spline of the hub is unknown.' }, false)
    expect(screen.queryByLabelText('Order all the same, because')).toBeNull()
    expect(button('Order it').disabled).toBe(true)
  })

  it('says at its field what is wrong with the order', async () => {
    on(ORDER, () => new Refusal(422, { problems: [{ field: 'price', message: 'A price is not negative.' }] }))
    await open()
    await userEvent.click(button('Order it'))
    expect(await screen.findByText('A price is not negative.')).toBeDefined()
  })

  it('is fitted for now before a gate, with why', async () => {
    const FIT = 'POST /api/parts/p1/fit'
    on(FIT, () => undefined)
    await open({ state: 'ACCEPTED', toOrder: false, here: true })
    await userEvent.click(screen.getByLabelText('only for now'))
    await userEvent.type(screen.getByLabelText('Why for now'), 'one bolt short')
    await userEvent.click(button('It is fitted'))
    await waitFor(() => askedFor(FIT))
    expect(askedFor(FIT).body).toEqual({ forNow: true, reason: 'one bolt short', gate: 'EVENT' })
    expect(screen.queryByRole('button', { name: 'Another part instead' })).toBeNull()
  })

  it('notes a call with the new day, and clears the form once that is in', async () => {
    const WORD = 'POST /api/parts/p1/words'
    on(WORD, () => undefined)
    await open({
      state: 'ORDERED',
      toOrder: false,
      expected: '2026-11-27T09:00:00Z',
      arrivalLikely: '2026-11-27T09:00:00Z',
    })
    expect(screen.getByText('Told so far: Fri 10:00')).toBeDefined()
    await userEvent.type(screen.getByLabelText('What they said'), 'Monday, for sure')
    await userEvent.type(screen.getByLabelText('New likely day'), '30.11. 10:00')
    await userEvent.click(button('Note it'))
    await waitFor(() => expect(screen.getByLabelText<HTMLTextAreaElement>('What they said').value).toBe(''))
    expect(askedFor(WORD).body).toEqual({
      said: 'Monday, for sure',
      likely: '2026-11-30T09:00:00.000Z',
      low: '2026-11-30T09:00:00.000Z',
      high: '2026-12-02T09:00:00.000Z',
    })
    await waitFor(() => expect(asked('GET /api/parts/p1').length).toBeGreaterThan(1))
  })

  it('says what was looked over when it came, and what was refused', async () => {
    await open(
      { state: 'REFUSED', toOrder: false },
      {
        inspections: [
          {
            at: '2026-11-24T09:00:00Z',
            by: 'Bo',
            counted: 1,
            accepted: false,
            reason: 'wrong spline',
            sizes: '23 teeth',
            damage: '',
          },
        ],
        insteadOf: 'Drive shaft, short',
      },
    )
    const text = document.body.textContent
    expect(text).toContain('refused, wrong spline')
    expect(text).toContain('measured 23 teeth')
    expect(text).toContain('instead of Drive shaft, short')
  })
})
