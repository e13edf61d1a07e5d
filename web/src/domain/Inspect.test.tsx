// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Arrival } from '../api/desk'
import { inRoom } from '../testing/room'
import { askedFor, newServer, on, Refusal } from '../testing/server'
import { Inspect } from './Inspect'

const INSPECT = 'POST /api/parts/p1/inspection'
const ARRIVAL = {
  id: 'p1',
  buildId: 'b61',
  name: 'Wheel studs',
  state: 'ARRIVED',
  quantity: 10,
  received: 4,
  vendor: 'Anvil Fasteners',
  specification: 'M12x1.5, 60 long',
  mates: [
    { place: 'hub', kind: 'THREAD', carSide: 'M12x1.5 female', partSide: '', outcome: 'UNKNOWN', said: '' },
  ],
} as unknown as Arrival

let closed = vi.fn()
const look = () => inRoom(<Inspect arrival={ARRIVAL} onClose={closed} />)

describe('looking a delivery over', () => {
  beforeEach(() => {
    newServer()
    closed = vi.fn()
    on('GET /api/board/news', () => ({ lists: {} }))
  })

  it('begins with what is still open, and says what to measure', () => {
    look()
    expect(screen.getByText(/more of 10 from Anvil Fasteners/)).toBeDefined()
    expect(screen.getByText(/to meet M12x1.5 female/)).toBeDefined()
    expect((screen.getByLabelText('How many came') as HTMLInputElement).value).toBe('6')
  })

  it('accepts with what was counted and measured', async () => {
    on(INSPECT, () => ({ state: 'ACCEPTED', cost: [] }))
    look()
    await userEvent.type(screen.getByLabelText('Measured'), '60.1')
    await userEvent.click(screen.getByRole('button', { name: 'Accept' }))
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(askedFor(INSPECT).body).toMatchObject({
      counted: 6,
      rightVariant: true,
      sizes: '60.1',
      damage: '',
      accepted: true,
    })
    expect(await screen.findByText('Wheel studs accepted')).toBeDefined()
  })

  it('refuses with the reason, and tells what it costs', async () => {
    on(INSPECT, () => ({ state: 'REFUSED', cost: ['Shakedown: +5 h → −2 h'] }))
    look()
    await userEvent.click(screen.getByLabelText('It is the variant that was asked for'))
    await userEvent.type(screen.getByLabelText('Refused because'), 'fine thread')
    await userEvent.click(screen.getByRole('button', { name: 'Refuse' }))
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(askedFor(INSPECT).body).toMatchObject({
      rightVariant: false,
      reason: 'fine thread',
      accepted: false,
    })
    expect(await screen.findByText(/It costs: Shakedown: \+5 h → −2 h/)).toBeDefined()
  })

  it('stays open with each problem at its field', async () => {
    on(
      INSPECT,
      () =>
        new Refusal(422, {
          detail: 'Not so.',
          problems: [
            { field: 'counted', message: '6 are open.' },
            { field: 'accepted', message: 'The wrong variant is refused.' },
          ],
        }),
    )
    look()
    await userEvent.click(screen.getByRole('button', { name: 'Accept' }))
    expect(await screen.findByText('6 are open.')).toBeDefined()
    expect(screen.getByText('The wrong variant is refused.')).toBeDefined()
    expect(closed).toHaveBeenCalledTimes(0)
  })
})
