// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import { boardWith, inRoom } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { Vendors } from './Vendors'

const VENDOR = {
  id: 'v1',
  name: 'Fenwick Tuning',
  trade: 'tuning',
  phone: '0123',
  email: '',
  hours: [1, 2].map((day) => ({ day, start: '08:00:00', end: '17:00:00' })),
  closures: [{ from: '2026-12-24', to: '2027-01-03', reason: 'holidays' }],
  offers: [{ what: 'Rolling road', price: 480, lowDays: 1, likelyDays: 1, highDays: 2 }],
  times: [{ id: 't1', from: '2026-12-01T08:00:00Z', to: '2026-12-01T16:00:00Z', note: '' }],
  deliveries: 0,
  version: 2,
}
const BOARD = boardWith({ vendors: [VENDOR] })
const SAVE = 'PUT /api/vendors/v1'
const open = async (changes = true) => {
  inRoom(<Vendors changes={changes} />, BOARD)
  await userEvent.click(screen.getByRole('button', { name: 'Fenwick Tuning' }))
}
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }))

describe('vendors', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
  })

  it('says when a firm is open and when shut', () => {
    inRoom(<Vendors changes />, BOARD)
    expect(screen.getByText('Mon–Tue 08:00–17:00')).toBeDefined()
    expect(screen.getByText('shut 2026-12-24 to 2027-01-03, holidays')).toBeDefined()
  })

  it('sends offered times as instants of the shop and days as numbers', async () => {
    on(SAVE, () => undefined)
    await open()
    await press('A line')
    await userEvent.type(screen.getAllByLabelText('What it offers')[1]!, 'Injector flow')
    await press('A time')
    await userEvent.type(screen.getAllByLabelText('Offered from')[1]!, '2.12. 9:00')
    await userEvent.type(screen.getAllByLabelText('Offered to')[1]!, '2.12. 12:00')
    await press('Save')
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Save' })).toBeNull())
    expect(askedFor(SAVE).body).toMatchObject({
      version: 2,
      offers: [
        { what: 'Rolling road', price: 480, lowDays: 1, likelyDays: 1, highDays: 2 },
        { what: 'Injector flow', lowDays: 2, likelyDays: 5, highDays: 10 },
      ],
      slots: [
        { id: 't1', from: '2026-12-01T08:00:00.000Z', to: '2026-12-01T16:00:00.000Z', note: '' },
        { from: '2026-12-02T08:00:00.000Z', to: '2026-12-02T11:00:00.000Z', note: '' },
      ],
      closures: VENDOR.closures,
    })
  })

  it('does not send a time that lacks an end', async () => {
    await open()
    await press('A time')
    await press('Save')
    expect(await screen.findByText('From when to when?')).toBeDefined()
    expect(asked(SAVE)).toHaveLength(0)
  })

  it('puts what is wrong with a line of the price list at that line', async () => {
    on(
      SAVE,
      () =>
        new Refusal(422, {
          problems: [{ field: 'offers.0.lowDays', message: 'At best is no more than likely.' }],
        }),
    )
    await open()
    await press('Save')
    expect(await screen.findByText('At best is no more than likely.')).toBeDefined()
    expect(screen.getByDisplayValue('Rolling road')).toBeDefined()
  })

  it('stays open where a firm cannot be removed', async () => {
    on('DELETE /api/vendors/v1', () => new Refusal(409, { detail: 'A part is on order there.' }))
    await open()
    await press('Remove')
    expect(await screen.findByText('A part is on order there.')).toBeDefined()
    expect(screen.getByDisplayValue('Fenwick Tuning')).toBeDefined()
  })

  it('is read by who may not change it', async () => {
    await open(false)
    expect(screen.getByLabelText('Name').closest('fieldset')?.disabled).toBe(true)
    expect(screen.queryByRole('button', { name: 'Save' })).toBeNull()
    expect(screen.queryByRole('button', { name: 'Note a vendor' })).toBeNull()
  })
})
