import type { Car, Commitment, Work } from '../api/board'

/** One car with its open work and its dates ahead. */
export interface LaneOf {
  car: Car
  works: Work[]
  dates: Commitment[]
}

/** The lanes, the car with the nearest date first. */
export function lanesOf(cars: Car[], works: Work[], dates: Commitment[]): LaneOf[] {
  return cars
    .map((car) => ({
      car,
      works: works.filter((w) => w.buildId === car.id && w.placed),
      dates: dates.filter((c) => c.buildId === car.id),
    }))
    .sort((a, b) => (a.dates[0]?.due ?? '9').localeCompare(b.dates[0]?.due ?? '9'))
}
