/** A point of a loom as it is drawn. */
export interface Laid {
  name: string
  length: string
  x: number
  y: number
  parent?: Laid
}

interface Point {
  name: string
  from: string
  length: string
  metres: number
}

const LINE = 34
const EDGE = 14
/** Room for the name of the last point, px. */
const NAMES = 110

/** Lays a tree out: x is how far a point is from the first one along the wires, y a line of its own for each end. */
export function laidOut(points: Point[], width: number): { points: Laid[]; height: number } {
  const far = new Map<string, number>()
  const distance = (p: Point): number => {
    const known = far.get(p.name)
    if (known !== undefined) return known
    const parent = points.find((x) => x.name === p.from)
    const sum = parent ? distance(parent) + p.metres : 0
    far.set(p.name, sum)
    return sum
  }
  const most = Math.max(0.001, ...points.map(distance))
  const x = (p: Point) => EDGE + (distance(p) / most) * (width - EDGE - NAMES)
  const laid: Laid[] = []
  let line = 0
  const lay = (p: Point, parent: Laid | undefined) => {
    const here: Laid = { name: p.name, length: p.length, x: x(p), y: EDGE + line * LINE, parent }
    laid.push(here)
    points
      .filter((c) => c.from === p.name)
      .forEach((c, i) => {
        if (i > 0) line++
        lay(c, here)
      })
  }
  points.filter((p) => !p.from).forEach((p) => lay(p, undefined))
  return { points: laid, height: EDGE + line * LINE + 30 }
}
