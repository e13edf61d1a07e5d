import { type Board, type Car, isCar } from '../api/board'

/** The cars in the order of the walk: by station, then those waiting outside, those away, those parked. */
export function walkOrder(board: Board): Car[] {
  const { inside, waiting, away, parked } = places(board)
  return [...board.stations.flatMap((s) => inside.get(s.id) ?? []), ...waiting, ...away, ...parked]
}

/** Where the cars are: at a station, waiting outside, away, or parked. */
export function places(board: Board): {
  inside: Map<string, Car>
  waiting: Car[]
  away: Car[]
  parked: Car[]
} {
  const inside = new Map<string, Car>()
  const waiting: Car[] = []
  const away: Car[] = []
  const parked: Car[] = []
  for (const car of board.cars.filter(isCar)) {
    if (car.parked) parked.push(car)
    else if (car.awayWorkId || car.awayAt) away.push(car)
    else if (car.stationId && !inside.has(car.stationId)) inside.set(car.stationId, car)
    else waiting.push(car)
  }
  return { inside, waiting, away, parked }
}
