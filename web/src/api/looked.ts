import { useEffect, useRef, useState, useSyncExternalStore } from 'react'

/**
 * What is looked up beside the board follows each change that is made here at once; of those that others make, the first
 * at once and then no more than one in so long: a screen of a busy shop would else ask for all its lists all the time.
 */
export const LOOKS_MILLIS = 8_000

let made = 0
const listeners = new Set<() => void>()

/** Something was changed here: what hangs on it is wanted now. */
export function lookNow() {
  made++
  listeners.forEach((listener) => listener())
}

/** The change as of which lists are to be looked up, given the one that the board has. */
export function useLooked(change: number | undefined): number | undefined {
  const here = useSyncExternalStore(
    (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    () => made,
  )
  const [looked, setLooked] = useState(change)
  const last = useRef({ at: 0, here })
  useEffect(() => {
    if (change === undefined || change === looked) return
    const look = () => {
      last.current = { at: Date.now(), here }
      setLooked(change)
    }
    const wait = here === last.current.here ? last.current.at + LOOKS_MILLIS - Date.now() : 0
    const timer = window.setTimeout(look, Math.max(0, wait))
    return () => window.clearTimeout(timer)
  }, [change, looked, here])
  return looked
}
