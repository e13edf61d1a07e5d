import { describe, expect, it } from 'vitest'
import { boardWith, job } from '../testing/room'
import { lanesOf, sameLane } from './lanes'
import { ropePaths, STRANDS, strandOf, twists } from './rope'

const BOARD = boardWith({
  cars: [
    { id: 'b8', number: '8', name: 'Hatch' },
    { id: 'b61', number: '61', name: 'Coupe' },
    { id: 'b99', number: '99', name: 'Truck' },
  ],
  works: [job('Fit loom'), job('Not planned', { placed: undefined }), job('Set toe', { buildId: 'b8' })],
  commitments: [
    { id: 'c8', buildId: 'b8', due: '2026-12-20T08:00:00Z' },
    { id: 'c61', buildId: 'b61', due: '2026-12-01T08:00:00Z' },
  ],
  parts: [
    { id: 'p1', buildId: 'b61', state: 'ORDERED', here: false, arrivalLikely: '2026-11-28T08:00:00Z' },
    { id: 'p2', buildId: 'b61', state: 'ACCEPTED', here: true, arrivalLikely: '2026-11-20T08:00:00Z' },
    { id: 'p3', buildId: 'b61', state: 'WANTED' },
  ],
})

describe('lanes', () => {
  it('stand by their nearest date, those without one last', () => {
    expect(lanesOf(BOARD).map((l) => l.car.number)).toEqual(['61', '8', '99'])
  })

  it('hold what is planned and what is still to come', () => {
    const [lane] = lanesOf(BOARD)
    expect(lane?.works.map((w) => w.id)).toEqual(['Fit loom'])
    expect(lane?.coming.map((p) => p.id)).toEqual(['p1'])
  })

  it('are drawn anew only where their own car is another', () => {
    const [a, b] = lanesOf(BOARD)
    const [again, other] = lanesOf({
      ...BOARD,
      works: BOARD.works.map((w) =>
        w.id === 'Set toe' ? job('Set toe', { buildId: 'b8', note: 'new' }) : w,
      ),
    })
    expect(sameLane(a!, again!)).toBe(true)
    expect(sameLane(b!, other!)).toBe(false)
    expect(sameLane(a!, lanesOf({ ...BOARD, now: '2026-11-25T07:15:00Z' })[0]!)).toBe(false)
  })
})

describe('strands', () => {
  it('are the zones of the car, and what is not on it', () => {
    expect(strandOf(job('a'))).toBe('rear')
    expect(strandOf(job('a', { job: { ...job('a').job, zone: 'ENGINE_BAY' } }))).toBe('engine bay')
    expect(strandOf(job('a', { job: { ...job('a').job, wholeCar: true } }))).toBe('whole car')
    expect(strandOf(job('a', { job: { ...job('a').job, onCar: false } }))).toBe('bench')
    expect(strandOf(job('a', { kind: 'OUTWORK' }))).toBe('outside')
    expect(strandOf(job('a', { kind: 'RUNNING_IN' }))).toBe('whole car')
    expect(new Set(STRANDS).size).toBe(STRANDS.length)
  })
})

/** Hands at work counted minute by minute, against the sweep over the ends of stretches. */
describe('twists of random work', () => {
  const hour = 3_600_000
  const first = Date.parse('2026-11-25T00:00:00Z')
  let state = 7
  const below = (n: number) => (state = (state * 48271) % 2147483647) % n

  it('are as many hands as there are at each minute', () => {
    for (let round = 0; round < 200; round++) {
      const works = Array.from({ length: 1 + below(6) }, (_, i) => {
        const from = below(20)
        const to = from + 1 + below(4)
        const at = (h: number) => new Date(first + h * hour).toISOString()
        return job(`w${i}`, {
          kind: below(5) === 0 ? 'OUTWORK' : 'JOB',
          placed: {
            ...job('x').placed,
            at: [{ from: at(from), to: at(to) }],
            crew: Array.from({ length: below(3) }, (_, p) => `p${p}`),
          },
        })
      })
      const got = twists(works)
      for (let h = 0; h < 25; h++) {
        const now = first + (h + 0.5) * hour
        const hands = works
          .filter((w) => w.kind !== 'OUTWORK')
          .filter((w) => w.placed!.at.some((s) => Date.parse(s.from) <= now && now < Date.parse(s.to)))
          .reduce((sum, w) => sum + Math.max(1, w.placed!.crew.length), 0)
        expect(got.find((t) => t.from <= now && now < t.to)?.hands ?? 0).toBe(hands)
      }
      got.forEach((t, i) => expect(i === 0 || got[i - 1]!.to <= t.from).toBe(true))
      const drawn = ropePaths(
        works,
        (at) => (at - first) / hour,
        (n) => n,
      )
      expect(drawn.flatMap((p) => p.d.match(/M/g) ?? [])).toHaveLength(got.length)
    }
  })
})
