import { useMemo, useState } from 'react'
import type { Work } from '../api/board'

/**
 * A number that is another one whenever something about the work of that person is; what others do changes it not. Work
 * that stays as it is, is the same object from board to board.
 */
export function useOwn(works: Work[], person: string | undefined): number {
  const own = useMemo(
    () => works.filter((w) => person !== undefined && w.placed?.crew.includes(person)),
    [works, person],
  )
  const [kept, setKept] = useState({ own, times: 0 })
  const same = kept.own.length === own.length && own.every((w, i) => w === kept.own[i])
  if (!same) setKept({ own, times: kept.times + 1 })
  return kept.times
}
