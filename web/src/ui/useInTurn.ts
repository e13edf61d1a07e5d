import { useRef } from 'react'

interface Row {
  id: string
  version: number
}

/**
 * Changes of rows that are sent as soon as they are clicked: each waits for the one before it of the same row and goes on
 * from what that made of it, however late the list is that the row was read from. Nobody collides with himself.
 *
 * @param send sends a row as it should be; true where it was taken, which makes its version one higher
 */
export function useInTurn<R extends Row>(send: (row: R) => Promise<boolean | undefined>) {
  const made = useRef(new Map<string, R>())
  const last = useRef(new Map<string, Promise<unknown>>())
  return (row: R, change: (row: R) => R): Promise<boolean | undefined> => {
    const mine = (last.current.get(row.id) ?? Promise.resolve()).then(async () => {
      const own = made.current.get(row.id)
      const next = change(own && own.version > row.version ? own : row)
      const taken = await send(next)
      if (taken) made.current.set(row.id, { ...next, version: next.version + 1 })
      return taken
    })
    last.current.set(
      row.id,
      mine.catch(() => undefined),
    )
    return mine
  }
}
