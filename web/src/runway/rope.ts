import type { Work } from '../api/board'

/** A stretch of a rope: so many hands at work. */
export interface Twist {
  from: number
  to: number
  hands: number
}

/** Hands at work over time on the works of one car, from their stretches; sorted, disjoint, none without hands. */
export function twists(works: Work[]): Twist[] {
  const steps: { at: number; by: number }[] = []
  for (const work of works) {
    if (!work.placed || work.kind === 'OUTWORK') continue
    const hands = Math.max(1, work.placed.crew.length)
    for (const stretch of work.placed.at) {
      steps.push({ at: Date.parse(stretch.from), by: hands }, { at: Date.parse(stretch.to), by: -hands })
    }
  }
  steps.sort((a, b) => a.at - b.at || a.by - b.by)
  const result: Twist[] = []
  let hands = 0
  let since = 0
  for (const step of steps) {
    if (hands > 0 && step.at > since) {
      const last = result[result.length - 1]
      if (last && last.to === since && last.hands === hands) last.to = step.at
      else result.push({ from: since, to: step.at, hands })
    }
    hands += step.by
    since = step.at
  }
  return result
}

/**
 * The twists of a rope as one path for each number of hands, around the height 0 and in units of the scale, so that a zoom
 * need not draw them anew.
 */
export function ropePaths(
  works: Work[],
  units: (at: number) => number,
  thickness: (hands: number) => number,
): { hands: number; d: string }[] {
  const paths = new Map<number, string>()
  for (const { from, to, hands } of twists(works)) {
    const x = units(from)
    const width = units(to) - x
    const thick = thickness(hands)
    paths.set(
      hands,
      `${paths.get(hands) ?? ''}M${x.toFixed(4)} ${-thick / 2}h${width.toFixed(4)}v${thick}h${(-width).toFixed(4)}z`,
    )
  }
  return [...paths].map(([hands, d]) => ({ hands, d }))
}

/** The strand that a work lies in when a rope is opened. */
export type Strand =
  'front' | 'engine bay' | 'cockpit' | 'underside' | 'rear' | 'whole car' | 'bench' | 'outside'

export const STRANDS: Strand[] = [
  'front',
  'engine bay',
  'cockpit',
  'underside',
  'rear',
  'whole car',
  'bench',
  'outside',
]

export function strandOf(work: Work): Strand {
  if (work.kind === 'OUTWORK') return 'outside'
  if (work.kind === 'RUNNING_IN' || work.job?.wholeCar) return 'whole car'
  if (!work.job?.onCar) return 'bench'
  return work.job.zone.toLowerCase().replace('_', ' ') as Strand
}

/** Puts overlapping works of a strand into rows: each work's row, counted from 0. */
export function rows(works: Work[]): Map<string, number> {
  const ends: number[] = []
  const placed = new Map<string, number>()
  const sorted = [...works].sort((a, b) => Date.parse(a.placed!.start) - Date.parse(b.placed!.start))
  for (const work of sorted) {
    const start = Date.parse(work.placed!.start)
    let row = ends.findIndex((end) => end <= start)
    if (row < 0) row = ends.length
    ends[row] = Date.parse(work.placed!.ready)
    placed.set(work.id, row)
  }
  return placed
}

/** Pixels between a job's end and the next job of its row, for each job of a strand. */
export function labelRoom(
  works: Work[],
  placed: Map<string, number>,
  x: (at: string) => number,
): Map<string, number> {
  const room = new Map<string, number>()
  const next = new Map<number, number>()
  const sorted = [...works].sort((a, b) => Date.parse(b.placed!.start) - Date.parse(a.placed!.start))
  for (const work of sorted) {
    const row = placed.get(work.id) ?? 0
    room.set(work.id, (next.get(row) ?? Infinity) - x(work.placed!.ready))
    next.set(row, x(work.placed!.start))
  }
  return room
}

const LETTER_PIXELS = 5.9
const LABEL_GAP = 8
const LEAST_LETTERS = 4

/** As much of a name as fits into so many pixels; nothing where that would not say anything. */
export function fitted(name: string, pixels: number): string {
  const letters = Math.floor((pixels - LABEL_GAP) / LETTER_PIXELS)
  if (letters >= name.length) return name
  return letters > LEAST_LETTERS ? `${name.slice(0, letters - 1)}…` : ''
}
