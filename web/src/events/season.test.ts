import { describe, expect, it } from 'vitest'
import type { Car, Work } from '../api/board'
import type { RaceEvent } from '../api/events'
import { backOf, collisions, workFor } from './season'

const event = (id: string, loadsAt: string, backAt?: string, start?: string) =>
  ({ id, loadsAt, backAt, sessions: start ? [{ start, minutes: 90 }] : [] }) as unknown as RaceEvent

describe('season', () => {
  it('takes the end of the last session where nobody says when they are back', () => {
    expect(backOf(event('a', '2026-12-05T09:00:00Z', undefined, '2026-12-06T10:00:00Z'))).toBe(
      Date.parse('2026-12-06T11:30:00Z'),
    )
    expect(backOf(event('a', '2026-12-05T09:00:00Z'))).toBe(Date.parse('2026-12-05T09:00:00Z'))
  })

  it('finds every pair that is away at once, and no other', () => {
    const a = event('a', '2026-12-05T09:00:00Z', '2026-12-07T20:00:00Z')
    const b = event('b', '2026-12-07T08:00:00Z', '2026-12-08T20:00:00Z')
    const c = event('c', '2026-12-08T20:00:00Z', '2026-12-09T20:00:00Z')
    expect(collisions([a, b, c])).toEqual([[a, b]])
  })

  it('gives work to the date it is for', () => {
    const car = { id: 'k', rounds: [{ id: 'r', dateId: 'second' }] } as unknown as Car
    const work = (part: object) =>
      ({
        buildId: 'k',
        status: 'TODO',
        job: { remainingMinutes: 60, crew: [1, 2] },
        ...part,
      }) as unknown as Work
    const works = [
      work({}),
      work({ dateId: 'second' }),
      work({ roundId: 'r' }),
      work({ afterDates: true }),
      work({ status: 'DONE' }),
      work({ buildId: 'other' }),
    ]
    expect(workFor(car, works, 'first', 'first')).toBe(120)
    expect(workFor(car, works, 'second', 'first')).toBe(240)
  })
})
