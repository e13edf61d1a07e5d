import type { Car, Work } from '../api/board'
import type { RaceEvent } from '../api/events'

/** When an event's cars are back: as entered, else when its last session ends. */
export function backOf(event: RaceEvent): number {
  if (event.backAt) return Date.parse(event.backAt)
  const ends = event.sessions.map((s) => Date.parse(s.start) + s.minutes * 60_000)
  return Math.max(Date.parse(event.loadsAt), ...ends)
}

/** Events that are away at the same time, each pair once, the earlier first. */
export function collisions(events: RaceEvent[]): [RaceEvent, RaceEvent][] {
  const pairs: [RaceEvent, RaceEvent][] = []
  events.forEach((a, i) => {
    events.slice(i + 1).forEach((b) => {
      if (Date.parse(a.loadsAt) < backOf(b) && Date.parse(b.loadsAt) < backOf(a)) pairs.push([a, b])
    })
  })
  return pairs
}

/** Minutes of open work of a car that are for this date of it: named for it, laid in its round, or for the next date. */
export function workFor(car: Car, works: Work[], date: string | undefined, next: string | undefined): number {
  const rounds = new Map(car.rounds.map((r) => [r.id, r.dateId]))
  return works
    .filter((w) => w.buildId === car.id && w.job && w.status !== 'DONE' && !w.afterDates)
    .filter((w) => (w.dateId ?? (w.roundId && rounds.get(w.roundId)) ?? next) === date)
    .reduce((sum, w) => sum + (w.job?.remainingMinutes ?? 0) * Math.max(1, w.job?.crew.length ?? 1), 0)
}
