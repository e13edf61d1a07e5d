import { describe, expect, it } from 'vitest'
import { laidOut } from './lay'

describe('a loom laid out', () => {
  const points = [
    { name: 'ECU', from: '', length: '', metres: 0 },
    { name: 'bulkhead', from: 'ECU', length: '600 mm', metres: 0.6 },
    { name: 'injectors', from: 'bulkhead', length: '300 mm', metres: 0.3 },
    { name: 'pump', from: 'ECU', length: '2.4 m', metres: 2.4 },
  ]

  it('puts each point as far to the right as it is along the wires', () => {
    const { points: laid } = laidOut(points, 500)
    const x = (name: string) => laid.find((p) => p.name === name)?.x ?? 0
    expect((x('bulkhead') - x('ECU')) / (x('pump') - x('ECU'))).toBeCloseTo(0.25)
    expect((x('injectors') - x('ECU')) / (x('pump') - x('ECU'))).toBeCloseTo(0.375)
  })

  it('gives each end a line of its own', () => {
    const { points: laid, height } = laidOut(points, 500)
    const y = (name: string) => laid.find((p) => p.name === name)?.y
    expect(y('injectors')).toBe(y('ECU'))
    expect(y('pump')).toBeGreaterThan(y('injectors') ?? 0)
    expect(height).toBeGreaterThan(y('pump') ?? 0)
  })
})
