import { type Run } from '../api/dyno'

/** What was on the car, in words; as it was where nobody said. */
export const stateSaid = (state: string) => state || 'as it was'

/** The states of the runs in the order in which they first come. */
export const statesOf = (runs: Run[]): string[] => [...new Set(runs.map((r) => r.state))]

/** Which two states are compared at first: the last one, and the one before it. */
export function firstSides(runs: Run[]): { before: string; after: string | undefined } {
  const states = statesOf(runs)
  return { before: states.at(-2) ?? states[0] ?? '', after: states.length > 1 ? states.at(-1) : undefined }
}

/** The engine speeds that all of the runs go through, rpm; undefined where there are none. */
export function commonRange(runs: Run[]): { from: number; to: number } | undefined {
  if (runs.length === 0) return undefined
  const from = Math.max(...runs.map((r) => r.from))
  const to = Math.min(...runs.map((r) => r.to))
  return to - from >= 100 ? { from, to } : undefined
}

/** By what runs are corrected where nobody says: SAE J1349, but not a boosted engine, nor where the air was not noted. */
export const usualStandard = (runs: Run[]): string =>
  runs.length > 0 && runs.every((r) => !r.boosted && r.airPressure && r.airTemperature) ? 'sae j1349' : 'none'
