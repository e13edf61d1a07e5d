import { useEffect, useRef, useState, useSyncExternalStore } from 'react'

/**
 * What is looked up beside the board follows each change that is made here at once; of those that others make, the first
 * soon and then no more than one in so long: a screen of a busy shop would else ask for all its lists all the time.
 */
export const LOOKS_MILLIS = 8_000
/** Screens that hear of something at the same moment look it up at different ones. */
const SPREAD_MILLIS = 3_000

/** How long this screen waits, for others not to ask at the same moment. */
export const spread = () => Math.random() * SPREAD_MILLIS

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
  const [begin] = useState(spread)
  const last = useRef({ at: 0, here, spread: begin })
  useEffect(() => {
    if (change === undefined || change === looked) return
    const first = looked === undefined
    const look = () => {
      last.current = { at: first ? 0 : Date.now(), here, spread: spread() }
      setLooked(change)
    }
    const others = () => Math.max(0, last.current.at + LOOKS_MILLIS - Date.now()) + last.current.spread
    const timer = window.setTimeout(look, first || here !== last.current.here ? 0 : others())
    return () => window.clearTimeout(timer)
  }, [change, looked, here])
  return looked
}
