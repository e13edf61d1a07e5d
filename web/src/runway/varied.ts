import type { Tried } from '../api/thinking'

const MOST = 10
/** So many with the same kinds of move; the others of that kind win less. */
const OF_A_KIND = 2

/** The most worth, of every kind of move some and the best by itself always, each with its place in the list. */
export function varied(tried: Tried[]): [Tried, number][] {
  const seen = new Map<string, number>()
  const of = tried.map((t, i) => {
    const kinds = [...new Set(t.kinds)].sort().join()
    const before = seen.get(kinds) ?? 0
    seen.set(kinds, before + 1)
    return { t, i, before, first: before === 0 && !kinds.includes(',') }
  })
  const firsts = of.filter((o) => o.first)
  const rest = of.filter((o) => !o.first && o.before < OF_A_KIND).slice(0, Math.max(0, MOST - firsts.length))
  return [...firsts, ...rest].sort((a, b) => a.i - b.i).map((o) => [o.t, o.i])
}
