import { useMediaQuery } from '@mantine/hooks'
import { useCallback, useEffect, useRef, useState } from 'react'
import { useSearchParams } from 'react-router'
import { WIDE } from '../ui/widths'
import { DAYS } from './sizes'

/** Days that fit into the plot at each step of the zoom. */
const ZOOMS = [1.5, 3, 7, 14, 21, 42, 84]
/** The address follows a moving plot after it has come to rest. */
const REST_MILLIS = 250

/**
 * What the runway looks at: kept in the address, so that it can be shared and reloaded; while the plot is moving, kept
 * here, since browsers do not like an address that changes with every frame.
 */
export function useView(today: number) {
  const [search, setSearch] = useSearchParams()
  const wide = useMediaQuery(WIDE, false)
  const [moving, setMoving] = useState<number>()
  const timer = useRef<number>(undefined)
  const latest = useRef(setSearch)
  useEffect(() => {
    latest.current = setSearch
  })
  useEffect(() => () => window.clearTimeout(timer.current), [])
  const put = useCallback((values: Record<string, string | undefined>) => {
    latest.current(
      (old) => {
        const next = new URLSearchParams(old)
        Object.entries(values).forEach(([k, v]) => (v === undefined ? next.delete(k) : next.set(k, v)))
        return next
      },
      { replace: true },
    )
  }, [])
  const toggle = useCallback((key: string, value: string) => {
    latest.current(
      (old) => {
        const next = new URLSearchParams(old)
        if (next.get(key) === value) next.delete(key)
        else next.set(key, value)
        return next
      },
      { replace: true },
    )
  }, [])
  const visible = Number(search.get('days')) || (wide ? 21 : 14)
  const kept = search.has('from') ? Number(search.get('from')) : Math.floor(today) - 0.12
  const from = moving ?? kept
  const pan = (units: number) => {
    const to = Math.max(0, Math.min(DAYS - 2, from + units))
    setMoving(to)
    window.clearTimeout(timer.current)
    timer.current = window.setTimeout(() => {
      put({ from: to.toFixed(3) })
      setMoving(undefined)
    }, REST_MILLIS)
  }
  const zoom = (steps: number) => {
    const at = ZOOMS.findIndex((z) => z >= visible - 0.01)
    const next = ZOOMS[Math.max(0, Math.min(ZOOMS.length - 1, at + steps))] ?? 14
    put({ days: String(next) })
  }
  return {
    visible,
    from,
    car: search.get('car') ?? undefined,
    date: search.get('date') ?? undefined,
    work: search.get('work') ?? undefined,
    put,
    toggle,
    pan,
    zoom,
  }
}

/** Dragging the ground moves through time. */
export function useDrag(pixels: number, pan: (units: number) => void) {
  const last = useRef<number>(undefined)
  return {
    onPointerDown: (e: React.PointerEvent) => {
      last.current = e.clientX
    },
    onPointerMove: (e: React.PointerEvent) => {
      if (last.current === undefined || (e.buttons & 1) === 0) return
      const by = (last.current - e.clientX) / pixels
      if (Math.abs(by * pixels) >= 2) {
        pan(by)
        last.current = e.clientX
      }
    },
    onPointerUp: () => {
      last.current = undefined
    },
  }
}
