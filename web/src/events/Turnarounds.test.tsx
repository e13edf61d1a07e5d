// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import type { RaceEvent } from '../api/events'
import { boardWith, inRoom, job } from '../testing/room'
import { askedFor, newServer, on } from '../testing/server'
import { Turnarounds } from './Turnarounds'

const EVENT = {
  id: 'e2',
  name: 'Second',
  cars: [{ buildId: 'b61', called: '61', spare: false }],
} as unknown as RaceEvent
const line = (key: string, more = {}) => ({
  key,
  name: key,
  labour: 120,
  fits: true,
  done: false,
  because: '',
  canFollow: false,
  ...more,
})
const turnaround = (more = {}) => ({
  buildId: 'b61',
  last: 'First',
  from: '2026-11-30T07:00:00Z',
  to: '2026-12-04T12:00:00Z',
  there: 1200,
  free: 300,
  lines: [line('wash'), line('gearbox', { labour: 240, because: '6 of 8 events', canFollow: true })],
  ...more,
})
const LAY = 'POST /api/events/e2/turnarounds'
const shown = async (t: unknown, changes = true) => {
  on('GET /api/events/e2/turnarounds', () => [t])
  inRoom(
    <Turnarounds event={EVENT} changes={changes} />,
    boardWith({ works: [job('wheels', { note: 'mind the left' })] }),
  )
  return within(await screen.findByRole('region', { name: 'Turnaround' }))
}

describe('a turnaround', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
  })

  it('says what is asked for against the hours that are left', async () => {
    const of = await shown(turnaround())
    expect(of.getByText(/comes from First, back Mon 08:00; loads Fri 4 Dec 13:00/)).toBeDefined()
    expect(
      of.getByRole('img', {
        name: '2½ days of hands are in: 15 h have other work, 6 h are asked for here, 1 h more than there are',
      }),
    ).toBeDefined()
    expect(of.getByText('6 of 8 events; can follow')).toBeDefined()
  })

  it('is planned with what is ticked', async () => {
    on(LAY, () => undefined)
    const of = await shown(turnaround())
    await userEvent.click(of.getByRole('checkbox', { name: 'wash' }))
    expect(of.getByRole('img').getAttribute('aria-label')).toContain('4 h are asked for here')
    await userEvent.click(of.getByRole('button', { name: 'Plan it: 4 h of work' }))
    await waitFor(() => askedFor(LAY))
    expect(askedFor(LAY).body).toEqual({ buildId: 'b61', lines: ['gearbox'] })
  })

  it('says once it is planned what does not fit, and what would help', async () => {
    const of = await shown(
      turnaround({
        laid: 'r1',
        dateId: 'd1',
        lines: [
          line('wash', { done: true }),
          line('wheels', { end: '2026-12-03T15:00:00Z' }),
          line('gearbox', { end: '2026-12-05T15:00:00Z', fits: false }),
        ],
      }),
    )
    expect(of.getByRole('alert').textContent).toBe('Does not fit: gearbox. What would help')
    expect(of.getByText('only Sat 5 Dec 16:00').className).toBe('hot strong')
    expect(of.getByText('by Thu 3 Dec 16:00')).toBeDefined()
    expect(of.getByText('mind the left')).toBeDefined()
    expect(of.queryByRole('button')).toBeNull()
    // What is done is not asked for any more.
    expect(of.getByRole('img').getAttribute('aria-label')).toContain('4 h are asked for here')
  })

  it('is read by who may not plan', async () => {
    const of = await shown(turnaround(), false)
    expect(of.queryByRole('checkbox')).toBeNull()
    expect(of.queryByRole('button')).toBeNull()
  })
})
