import { expect, test } from 'vitest'
import type { Board } from './board'
import { applyNews } from './news'

const board = (parts: Partial<Record<keyof Board, unknown>>) =>
  ({
    edition: 'a',
    cars: [],
    works: [],
    links: [],
    parts: [],
    commitments: [],
    people: [],
    stations: [],
    vendors: [],
    pins: [],
    loads: [],
    ...parts,
  }) as unknown as Board

const before = board({
  works: [
    { id: 'weld', note: 'as it was' },
    { id: 'paint', note: 'as it was' },
  ],
  pins: [{ id: 'old' }],
  loads: [
    { personId: 'bo', day: '2026-11-25', plannedMinutes: 60 },
    { stationId: 'lift', day: '2026-11-25', plannedMinutes: 90 },
    { personId: 'bo', day: '2026-11-26', plannedMinutes: 120 },
  ],
})

test('what is different takes its place, and the rest stays the very same', () => {
  const changed = board({
    edition: 'b',
    works: [{ id: 'paint', note: 'later' }],
    loads: [{ personId: 'bo', day: '2026-11-26', plannedMinutes: 0 }],
  })
  const after = applyNews(before, { changed, lists: {} })
  expect(after.edition).toBe('b')
  expect(after.works.map((w) => w.note)).toEqual(['as it was', 'later'])
  expect(after.works[0]).toBe(before.works[0])
  expect(after.loads.map((l) => l.plannedMinutes)).toEqual([60, 90, 0])
  expect(after.pins).toBe(before.pins)
})

test('what went is gone, and what came stands where it came', () => {
  const changed = board({ edition: 'b', works: [{ id: 'fit' }, { id: 'weld' }, { id: 'test' }] })
  const lists = {
    works: {
      gone: ['weld'],
      came: [{ key: 'fit' }, { key: 'weld', after: 'paint' }, { key: 'test', after: 'weld' }],
    },
    pins: { gone: ['old'], came: [] },
  }
  const after = applyNews(before, { changed, lists })
  expect(after.works.map((w) => w.id)).toEqual(['fit', 'paint', 'weld', 'test'])
  expect(after.works[1]).toBe(before.works[1])
  expect(after.pins).toEqual([])
  expect(after.loads).toBe(before.loads)
})

test('a whole board is the board', () => {
  const whole = board({ edition: 'c' })
  expect(applyNews(before, { whole, lists: {} })).toBe(whole)
})
