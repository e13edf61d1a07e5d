import type { Schemas } from './client'

type Board = Schemas['Board']

/** The names of the lists of a board. */
type Listing = { [K in keyof Board]: Board[K] extends unknown[] ? K : never }[keyof Board]

const idOf = (thing: { id: string }) => thing.id

const LISTS: { [K in Listing]: (thing: Board[K][number]) => string } = {
  cars: idOf,
  works: idOf,
  links: idOf,
  parts: idOf,
  commitments: idOf,
  people: idOf,
  stations: idOf,
  vendors: idOf,
  pins: idOf,
  loads: (load) => `${load.personId ?? ''} ${load.stationId ?? ''} ${load.day}`,
}

/** The board that news make of the one before; what did not change stays the very same object. */
export function applyNews(before: Board, news: Schemas['BoardNews']): Board {
  const { whole, changed, lists } = news
  if (whole) return whole
  if (!changed) return before
  const after = { ...changed }
  const keep = <K extends Listing>(name: K) => {
    const key = LISTS[name] as (thing: Board[K][number]) => string
    after[name] = replaced(before[name] as Board[K][number][], changed[name], key, lists[name]) as Board[K]
  }
  ;(Object.keys(LISTS) as Listing[]).forEach(keep)
  return after
}

function replaced<T>(
  before: T[],
  changed: T[],
  key: (thing: T) => string,
  moved?: Schemas['BoardNews']['lists'][string],
): T[] {
  if (changed.length === 0 && !moved) return before
  const by = new Map(changed.map((thing) => [key(thing), thing]))
  if (!moved) return before.map((thing) => by.get(key(thing)) ?? thing)
  const gone = new Set(moved.gone)
  const cameAfter = new Map(moved.came.map((c) => [c.after ?? '', c.key]))
  const after: T[] = []
  const follow = (of: string) => {
    for (let next = cameAfter.get(of); next !== undefined; next = cameAfter.get(next)) {
      const thing = by.get(next)
      if (thing) after.push(thing)
    }
  }
  follow('')
  for (const old of before) {
    const its = key(old)
    if (gone.has(its)) continue
    after.push(by.get(its) ?? old)
    follow(its)
  }
  return after
}
