// @vitest-environment jsdom
import { screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Line } from '../api/desk'
import { boardWith, inRoom } from '../testing/room'
import { newServer } from '../testing/server'
import { ChaseList } from './ChaseList'

const BOARD = boardWith({
  commitments: [{ id: 'd1', buildId: 'b61', name: 'Hill climb' }],
  vendors: [
    {
      id: 'v1',
      name: 'Fenwick',
      phone: '0123',
      deliveries: 7,
      usualSlipMinutes: 2 * 24 * 60,
      offers: [],
      times: [],
    },
  ],
})
const line = (name: string, more = {}) =>
  ({
    kind: 'PART',
    id: name,
    name,
    buildId: 'b61',
    vendorId: 'v1',
    quantity: 1,
    received: 0,
    state: 'ORDERED',
    kit: '',
    ...more,
  }) as unknown as Line
const harm = (more = {}) => ({
  inHandMinutes: 0,
  hardestLosesMinutes: 0,
  hardHours: 0,
  promisedHours: 0,
  ...more,
})

let picked: string[] = []
const list = (lines: Line[], pending = false) =>
  inRoom(<ChaseList lines={lines} pending={pending} onPick={(l) => picked.push(l.id)} />, BOARD)
const cells = (name: string) => {
  const row = screen.getByRole('button', { name }).closest('tr')!
  return within(row)
    .getAllByRole('cell')
    .map((c) => c.textContent ?? '')
}

describe('what is chased', () => {
  beforeEach(() => {
    newServer()
    picked = []
  })

  it('says what one more day of each costs, which date, and whether that is late or only margin', () => {
    list([
      line('shaft', { harm: harm({ hardestLosesMinutes: 480, hardest: 'd1', hardHours: 8 }) }),
      line('seal', { harm: harm({ hardestLosesMinutes: 120, hardest: 'd1' }) }),
      line('boot', { harm: harm({ inHandMinutes: 3 * 24 * 60 + 100 }) }),
      line('clip', { harm: harm() }),
      line('hose'),
      line('cap', { state: 'ARRIVED' }),
    ])
    expect(cells('shaft')[0]).toBe('−8 h late, 61: Hill climb')
    expect(cells('seal')[0]).toBe('−2 h of margin, 61: Hill climb')
    expect(cells('boot')[0]).toBe('nothing for 3 days')
    expect(cells('clip')[0]).toBe('nothing yet')
    expect(cells('hose')[0]).toBe('not needed by a job')
    expect(cells('cap')[0]).toBe('inspect')
  })

  it('does not call a line harmless that is still being worked out', () => {
    list([line('hose')], true)
    expect(cells('hose')[0]).toBe('being worked out')
  })

  it('says when it comes, and why that is not when it was promised', () => {
    list([
      line('shaft', { promised: '2026-11-27T09:00:00Z', expected: '2026-11-29T09:00:00Z' }),
      line('seal', { promised: '2026-11-27T09:00:00Z', expected: '2026-11-27T09:00:00Z' }),
      line('boot'),
    ])
    expect(cells('shaft')[2]).toBe(
      'Sun 29 Nov, in 4 dayspromised Fri 27 Nov; 7 deliveries, usually 2 days late',
    )
    expect(cells('seal')[2]).toBe('Fri 27 Nov, in 2 days')
    expect(cells('boot')[2]).toBe('no date')
  })

  it('says by when to order, and when that is past; a held line says why instead', () => {
    list([
      line('shaft', { harm: harm({ orderBy: '2026-11-27T09:00:00Z', daysLeft: 2 }) }),
      line('seal', { harm: harm({ orderBy: '2026-11-20T09:00:00Z', daysLeft: -3 }) }),
      line('boot', { held: 'its bore is unknown', harm: harm({ orderBy: '2026-11-27T09:00:00Z' }) }),
    ])
    expect(cells('shaft')[1]).toContain('order by Fri 27 Nov')
    expect(cells('seal')[1]).toContain('should have been ordered by Fri 20 Nov')
    expect(cells('boot')[1]).toContain('held: its bore is unknown')
    expect(cells('boot')[1]).not.toContain('order by')
  })

  it('says what was written down last, and that the next is due', () => {
    const said = { at: '2026-11-23T09:00:00Z', said: 'on the van', by: 'Mara' }
    list([
      line('shaft', { lastWord: said, nextWordAt: '2026-11-24T09:00:00Z' }),
      line('seal', { lastWord: said, nextWordAt: '2026-11-26T09:00:00Z' }),
    ])
    expect(cells('shaft')[3]).toBe('Fenwick 0123Mon 23 Nov: on the vanword was due Tue 24 Nov 10:00')
    expect(cells('seal')[3]).toContain('next word Thu 10:00')
  })

  it('draws the first sixty of many, the rest when asked, and picks one', async () => {
    list(Array.from({ length: 75 }, (_, i) => line(`part ${i}`)))
    expect(screen.queryByRole('button', { name: 'part 60' })).toBeNull()
    await userEvent.click(screen.getByRole('button', { name: 'Show more of 75' }))
    await userEvent.click(screen.getByRole('button', { name: 'part 74' }))
    expect(picked).toEqual(['part 74'])
  })

  it('says so where nothing is outside', () => {
    list([])
    expect(screen.getByText('Nothing is outside')).toBeDefined()
  })
})
