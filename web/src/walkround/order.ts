import type { Board, Car } from '../api/board'

/** The cars in the order of the walk: by station, then those waiting outside, then those away. */
export function walkOrder(board: Board): Car[] {
  const { inside, waiting, away } = places(board)
  return [...board.stations.flatMap((s) => inside.get(s.id) ?? []), ...waiting, ...away]
}

/** Where the cars are: at a station, waiting outside, or away. */
export function places(board: Board): { inside: Map<string, Car>; waiting: Car[]; away: Car[] } {
  const inside = new Map<string, Car>()
  const waiting: Car[] = []
  const away: Car[] = []
  for (const car of board.cars) {
    if (car.awayWorkId) away.push(car)
    else if (car.stationId && !inside.has(car.stationId)) inside.set(car.stationId, car)
    else waiting.push(car)
  }
  return { inside, waiting, away }
}
