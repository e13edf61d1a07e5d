import { describe, expect, it } from 'vitest'
import type { Work } from '../api/board'
import { margin } from '../format/margin'
import { instantOf, localOf } from '../format/time'
import { fitted, labelRoom, rows, twists } from './rope'
import { dayScale, relaxed, stretched } from './scale'

const work = (id: string, from: string, to: string, crew: string[]) =>
  ({
    id,
    kind: 'JOB',
    placed: { start: from, end: to, ready: to, at: [{ from, to }], crew },
  }) as unknown as Work

describe('the runway’s scale', () => {
  it('gives each day one unit, also when the clocks change', () => {
    const scale = dayScale('2027-03-27T12:00:00Z', 'Europe/Berlin', 0, 4)
    scale.midnights.forEach((m, i) => i < 4 && expect(scale.units(m)).toBeCloseTo(i, 6))
    // 28 March 2027 has 23 hours in Berlin (IANA time zone database).
    expect((scale.midnights[2]! - scale.midnights[1]!) / 3_600_000).toBe(23)
  })

  it('goes back and forth', () => {
    const scale = dayScale('2026-11-25T12:00:00Z', 'Europe/Berlin', 1, 10)
    for (const units of [0.1, 1.5, 3.93, 7.25])
      expect(scale.units(scale.instant(units))).toBeCloseTo(units, 5)
    expect(relaxed(stretched(13.5))).toBeCloseTo(13.5, 6)
  })
})

describe('ropes', () => {
  it('are as thick as the hands at work', () => {
    const got = twists([
      work('a', '2026-11-25T08:00:00Z', '2026-11-25T10:00:00Z', ['x']),
      work('b', '2026-11-25T09:00:00Z', '2026-11-25T11:00:00Z', ['y', 'z']),
    ])
    expect(got.map((t) => t.hands)).toEqual([1, 3, 2])
  })

  it('put overlapping work into rows', () => {
    const got = rows([
      work('a', '2026-11-25T08:00:00Z', '2026-11-25T10:00:00Z', ['x']),
      work('b', '2026-11-25T09:00:00Z', '2026-11-25T11:00:00Z', ['y']),
      work('c', '2026-11-25T10:00:00Z', '2026-11-25T12:00:00Z', ['x']),
    ])
    expect([got.get('a'), got.get('b'), got.get('c')]).toEqual([0, 1, 0])
  })
})

describe('labels of strands', () => {
  it('take the room up to the next job of their row', () => {
    const works = [
      work('a', '2026-11-25T08:00:00Z', '2026-11-25T10:00:00Z', ['x']),
      work('b', '2026-11-25T12:00:00Z', '2026-11-25T13:00:00Z', ['x']),
    ]
    const hours = (at: string) => Date.parse(at) / 3_600_000
    expect(labelRoom(works, rows(works), hours).get('a')).toBe(2)
    expect(labelRoom(works, rows(works), hours).get('b')).toBe(Infinity)
  })

  it('are cut where they do not fit and left out where nothing would be said', () => {
    expect(fitted('Bleed brakes', 200)).toBe('Bleed brakes')
    expect(fitted('Bleed brakes', 60)).toBe('Bleed b…')
    expect(fitted('Bleed brakes', 20)).toBe('')
  })
})

describe('what is said', () => {
  it('says margins in hours, then in days of eight', () => {
    expect(margin(-90)).toBe('−1½ h')
    expect(margin(20 * 60)).toBe('+2½ days')
    expect(margin(undefined)).toBe('cannot be planned')
  })

  it('takes local times of the shop, whatever the browser’s zone', () => {
    expect(instantOf('2026-07-01T09:00', 'America/New_York')).toBe('2026-07-01T13:00:00.000Z')
    expect(localOf('2026-12-01T08:00:00Z', 'Europe/Berlin')).toBe('2026-12-01T09:00')
  })
})
