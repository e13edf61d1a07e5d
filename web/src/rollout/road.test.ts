import { describe, expect, it } from 'vitest'
import { type GateState, type RollOut } from '../api/rollout'
import { gateKey, hereOf, postsOf } from './road'

const gate = (name: GateState['gate'], state: GateState['state'], open = 0): GateState => ({
  gate: name,
  state,
  lines: Array.from({ length: open }, (_, i) => ({
    key: `${name}-${i}`,
    text: 'something',
    asks: 'SIGNED',
    met: false,
    never: false,
    open: [],
    signatureHolds: false,
  })),
})

const step = (key: string, asks: GateState['gate'] | undefined, done: boolean) => ({
  key,
  name: key,
  limits: '',
  gate: asks,
  gatePassed: true,
  before: [],
  after: [],
  channels: [],
  done,
  tries: 0,
  blocked: [],
})

const rollOut = (done: number, found: string[] = []): RollOut => ({
  steps: [
    step('fire', 'FIRST_FIRE', done > 0),
    step('metres', 'GROUND', done > 1),
    step('cold', undefined, done > 2),
    step('speed', 'TEST', done > 3),
  ],
  here: ['fire', 'metres', 'cold', 'speed'][done],
  over: [],
  findings: found.map((before, i) => ({
    id: `f${i}`,
    what: 'weep',
    during: 'fire',
    before,
    fixed: false,
    state: 'job open',
    at: '2026-03-02T08:00:00Z',
    by: 'Sef',
  })),
  fires: [],
  people: [],
  started: 0,
  complete: 0,
})

const GATES = [
  gate('POWER_UP', 'PASSED'),
  gate('FIRST_FIRE', 'PASSED'),
  gate('GROUND', 'PASSED'),
  gate('TEST', 'SHUT', 2),
  gate('EVENT', 'SHUT', 5),
]

describe('the road of a car', () => {
  it('has each gate before the first step that asks for it, and what no step asks for at its end', () => {
    expect(postsOf(rollOut(1), GATES).map((p) => p.key)).toEqual([
      gateKey('POWER_UP'),
      gateKey('FIRST_FIRE'),
      'fire',
      gateKey('GROUND'),
      'metres',
      'cold',
      gateKey('TEST'),
      'speed',
      gateKey('EVENT'),
    ])
  })

  it('says what is open at a gate, and what was found before a step', () => {
    const posts = postsOf(rollOut(2, ['speed']), GATES)
    expect(posts.find((p) => p.key === gateKey('TEST'))).toMatchObject({ state: 'shut', held: '2 open' })
    expect(posts.find((p) => p.key === gateKey('GROUND'))?.held).toBeUndefined()
    expect(posts.find((p) => p.key === 'speed')).toMatchObject({ state: 'ahead', held: 'weep' })
    expect(posts.find((p) => p.key === 'cold')?.state).toBe('here')
  })

  it('opens at the try that is open, else at the gate that holds the next step, else at the step', () => {
    const open = { ...rollOut(2), open: { step: 'metres' } } as RollOut
    expect(hereOf(open, postsOf(open, GATES))).toBe('metres')
    expect(hereOf(rollOut(2), postsOf(rollOut(2), GATES))).toBe('cold')
    expect(hereOf(rollOut(3), postsOf(rollOut(3), GATES))).toBe(gateKey('TEST'))
    const tested = GATES.map((g) => (g.gate === 'TEST' ? gate('TEST', 'PASSED') : g))
    expect(hereOf(rollOut(4), postsOf(rollOut(4), tested))).toBe(gateKey('EVENT'))
  })

  it('goes back to a gate that is open again', () => {
    const again = [gate('FIRST_FIRE', 'OPEN_AGAIN', 1), ...GATES.slice(2)]
    const posts = postsOf(rollOut(2), again)
    expect(posts[0]).toMatchObject({ state: 'open again', held: '1 open' })
    expect(hereOf(rollOut(2), posts)).toBe(gateKey('FIRST_FIRE'))
  })
})
