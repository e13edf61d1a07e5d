// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Schemas } from '../api/client'
import { boardWith, inRoom } from '../testing/room'
import { asked, newServer, on } from '../testing/server'
import { OfferLine, OnOffer } from './OnOffer'

const MARA = { username: 'mara', name: 'Mara', role: 'MANAGER', personId: 'mara' } as Schemas['Account']
const SEF = { username: 'sef', name: 'Sef', role: 'LEAD', personId: 'sef' } as Schemas['Account']
const BO = { username: 'bo', name: 'Bo', role: 'HAND', personId: 'bo' } as Schemas['Account']
const OFFER = {
  id: 'o1',
  at: '2026-11-25T07:00:00Z',
  kept: false,
  headline: '112 makes Rolling road slot with 6 h to spare',
  detail: '9 jobs move, none before Mon 30 Nov: Kit 4, Bo 3.',
  moves: ['112: Fuel lines from Tue 08:00 to Mon 08:00'],
  works: ['w1'],
}

describe('a better plan on offer', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
  })

  it('says what it wins and what it costs, and what moves when asked', async () => {
    on('GET /api/offers', () => [OFFER])
    inRoom(<OnOffer account={MARA} />, boardWith())
    expect(await screen.findByText(/112 makes Rolling road slot with 6 h to spare/)).toBeTruthy()
    expect(screen.getByText(/9 jobs move, none before Mon 30 Nov/)).toBeTruthy()
    expect(screen.queryByText(/Fuel lines/)).toBeNull()
    await userEvent.click(screen.getByRole('button', { name: 'Show what moves' }))
    expect(screen.getByText(/Fuel lines from Tue 08:00/)).toBeTruthy()
  })

  it.each([
    ['Take it', 'POST /api/offers/o1/take'],
    ['Later', 'POST /api/offers/o1/keep'],
    ['Not this one', 'POST /api/offers/o1/dismiss'],
  ])('is answered by "%s"', async (button, path) => {
    let answered = false
    on('GET /api/offers', () => (answered ? [] : [OFFER]))
    on(path, () => {
      answered = true
    })
    inRoom(<OnOffer account={MARA} />, boardWith())
    await userEvent.click(await screen.findByRole('button', { name: button }))
    await waitFor(() => expect(screen.queryByText(/A better plan:/)).toBeNull())
    expect(answered).toBe(true)
  })

  it('stands in a line beside a change that made a date late, unless it is kept for later', async () => {
    on('GET /api/offers', () => [{ ...OFFER, kept: true, id: 'o0', headline: 'a kept one' }, OFFER])
    inRoom(<OfferLine change={7} />, boardWith())
    expect(await screen.findByText('On offer: 112 makes Rolling road slot with 6 h to spare.')).toBeTruthy()
    expect(screen.queryByText(/a kept one/)).toBeNull()
  })

  it('is read by a lead, who does not decide, and not asked for by a hand', async () => {
    on('GET /api/offers', () => [OFFER])
    inRoom(<OnOffer account={SEF} />, boardWith())
    expect(await screen.findByText(/A better plan:/)).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'Take it' })).toBeNull()
    newServer()
    inRoom(<OnOffer account={BO} />, boardWith())
    expect(asked('GET /api/offers')).toHaveLength(0)
  })

  it('that is kept for later waits behind one line', async () => {
    on('GET /api/offers', () => [{ ...OFFER, kept: true }])
    inRoom(<OnOffer account={MARA} />, boardWith())
    await userEvent.click(await screen.findByText('A better plan is kept for later'))
    expect(screen.getByText(/112 makes Rolling road slot/)).toBeTruthy()
  })
})
