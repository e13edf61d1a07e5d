// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Car } from '../api/board'
import { boardWith, inRoom } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { ChangeForm } from './ChangeForm'

const PRICE = 'POST /api/ledger/b61/changes/price'
const OFFER = 'POST /api/ledger/b61/changes'
const BOARD = boardWith({
  people: [{ id: 'bo', name: 'Bo', skills: [{ skill: 'wire' }, { skill: 'fit' }] }],
  commitments: [{ id: 'c1', buildId: 'b61', name: 'Shakedown' }],
})

let closed = vi.fn()
const form = () => inRoom(<ChangeForm car={BOARD.cars[0] as Car} currency="EUR" onClose={closed} />, BOARD)
const ask = () => userEvent.click(screen.getByRole('button', { name: /What would it cost/ }))

describe('a change that a customer wants', () => {
  beforeEach(() => {
    newServer()
    closed = vi.fn()
    on('GET /api/board/news', () => ({ lists: {} }))
    on(PRICE, () => ({
      total: 1234.5,
      effect: [{ commitment: 'c1', beforeMinutes: 600, afterMinutes: -90 }],
    }))
    on(OFFER, () => ({ id: 'o1' }))
  })

  it('is priced first, with what it does to the dates, and offered only then', async () => {
    form()
    expect(screen.queryByRole('button', { name: 'Offer it to the customer' })).toBeNull()
    await userEvent.type(screen.getByLabelText('What the customer wants'), 'Second fuel pump')
    await ask()
    const cost = await screen.findByLabelText('What it costs')
    expect(cost.textContent).toContain('234.50 EUR')
    expect(cost.textContent).toContain('61 Shakedown')
    expect(cost.textContent).toContain('−1½ h')
    expect(asked(OFFER)).toEqual([])
    await userEvent.click(screen.getByRole('button', { name: 'Offer it to the customer' }))
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(askedFor(OFFER).body).toEqual(askedFor(PRICE).body)
    expect(askedFor(OFFER).body).toMatchObject({
      title: 'Second fuel pump',
      hours: 4,
      skill: 'fit',
      gate: 'EVENT',
    })
  })

  it('must be priced anew once anything in it is another', async () => {
    form()
    await userEvent.type(screen.getByLabelText('What the customer wants'), 'Pump')
    await ask()
    await screen.findByLabelText('What it costs')
    await userEvent.type(screen.getByLabelText('Hours'), '0')
    expect(screen.queryByLabelText('What it costs')).toBeNull()
  })

  it('says at each field what is wrong with it', async () => {
    on(
      PRICE,
      () =>
        new Refusal(422, {
          detail: 'Not yet.',
          problems: [
            { field: 'title', message: 'What is wanted?' },
            { field: 'partsAt', message: 'When do they come?' },
          ],
        }),
    )
    form()
    await ask()
    expect(await screen.findByText('What is wanted?')).toBeDefined()
    expect(screen.getByText('When do they come?')).toBeDefined()
    expect(screen.queryByText('Not yet.')).toBeNull()
    expect(closed).toHaveBeenCalledTimes(0)
  })
})
