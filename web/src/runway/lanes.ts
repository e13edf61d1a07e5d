import { isCar, type Board, type Car, type Commitment, type Part, type Work } from '../api/board'

/** One car with its open work, its dates ahead and the parts that are to come. */
export interface LaneOf {
  car: Car
  works: Work[]
  dates: Commitment[]
  coming: Part[]
  now: string
}

/** The lanes, the car with the nearest date first; work without a car last. */
export function lanesOf(board: Board): LaneOf[] {
  return board.cars
    .map((car) => ({
      car,
      works: board.works.filter((w) => w.buildId === car.id && w.placed),
      dates: board.commitments.filter((c) => c.buildId === car.id),
      coming: board.parts.filter((p) => p.buildId === car.id && p.arrivalLikely && !p.here),
      now: board.now,
    }))
    .sort(
      (a, b) =>
        Number(isCar(b.car)) - Number(isCar(a.car)) ||
        (a.dates[0]?.due ?? '9').localeCompare(b.dates[0]?.due ?? '9'),
    )
}

const same = <T>(a: T[], b: T[]) => a.length === b.length && a.every((x, i) => x === b[i])

/** Whether two lanes show the same, so that one whose car no change has touched need not be drawn again. */
export function sameLane(a: LaneOf, b: LaneOf): boolean {
  return (
    a.car === b.car &&
    a.now === b.now &&
    same(a.works, b.works) &&
    same(a.dates, b.dates) &&
    same(a.coming, b.coming)
  )
}
