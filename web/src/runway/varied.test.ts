import { expect, test } from 'vitest'
import type { Tried } from '../api/thinking'
import { varied } from './varied'

const tried = (...kinds: string[]) => ({ kinds }) as Tried

/** The best by itself of each kind is shown, however little it is worth beside the pairs. */
test('no kind of move is crowded out by pairs', () => {
  const pairs = ['b', 'c', 'd', 'e', 'f', 'g'].flatMap((k) => [tried('a', k), tried('a', k)])
  const shown = varied([...pairs, tried('a'), tried('a', 'a'), tried('z')])
  expect(shown).toHaveLength(10)
  expect(shown.map(([t]) => t.kinds.join())).toContain('z')
})

test('the most worth stays first, with its place in the whole list', () => {
  const shown = varied([tried('a', 'b'), tried('a'), tried('a', 'a'), tried('a'), tried('b')])
  expect(shown.map(([, i]) => i)).toEqual([0, 1, 2, 4])
})
