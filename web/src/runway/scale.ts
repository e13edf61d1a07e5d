import { dayKey, instantOf } from '../format/time'

/**
 * The runway's time: one unit a day, of which the working hours take most, so that nights do not push the work apart.
 */
const OPENS = 6
const SHUTS = 18
/** Share of a day's width that the hours between opening and shutting take. */
const OPEN_SHARE = 0.86
const HOUR = 3_600_000

export interface DayScale {
  /** Midnights, first day first, one more than there are days. */
  midnights: number[]
  /** Day keys, "2026-11-25". */
  keys: string[]
  /** Days from the first midnight, with the fraction of the day stretched. */
  units(at: number): number
  /** The instant at so many units. */
  instant(units: number): number
}

/** A scale that begins so many days before the present one. */
export function dayScale(now: string, zone: string, before: number, days: number): DayScale {
  const first = Date.parse(dayKey(now, zone)) - before * 24 * HOUR
  const keys: string[] = []
  const midnights: number[] = []
  for (let i = 0; i <= days; i++) {
    const key = new Date(first + i * 24 * HOUR).toISOString().slice(0, 10)
    keys.push(key)
    midnights.push(Date.parse(instantOf(`${key}T00:00`, zone) ?? key))
  }
  return {
    midnights,
    keys,
    units(at) {
      const index = dayIndex(midnights, at)
      const start = midnights[index] ?? 0
      const length = (midnights[index + 1] ?? start + 24 * HOUR) - start
      return index + stretched(((at - start) / length) * 24)
    },
    instant(units) {
      const index = Math.max(0, Math.min(days - 1, Math.floor(units)))
      const start = midnights[index] ?? 0
      const length = (midnights[index + 1] ?? start + 24 * HOUR) - start
      return start + (relaxed(units - index) / 24) * length
    },
  }
}

function dayIndex(midnights: number[], at: number): number {
  let low = 0
  let high = midnights.length - 2
  while (low < high) {
    const mid = (low + high + 1) >> 1
    if ((midnights[mid] ?? 0) <= at) low = mid
    else high = mid - 1
  }
  return low
}

/** Hours of a day to the fraction of its width. */
export function stretched(hours: number): number {
  const night = (1 - OPEN_SHARE) / (24 - (SHUTS - OPENS))
  if (hours < OPENS) return hours * night
  const morning = OPENS * night
  if (hours < SHUTS) return morning + ((hours - OPENS) / (SHUTS - OPENS)) * OPEN_SHARE
  return morning + OPEN_SHARE + (hours - SHUTS) * night
}

/** The fraction of a day's width to its hours; undoes {@link stretched}. */
export function relaxed(fraction: number): number {
  const night = (1 - OPEN_SHARE) / (24 - (SHUTS - OPENS))
  const morning = OPENS * night
  if (fraction < morning) return fraction / night
  if (fraction < morning + OPEN_SHARE) return OPENS + ((fraction - morning) / OPEN_SHARE) * (SHUTS - OPENS)
  return SHUTS + (fraction - morning - OPEN_SHARE) / night
}
