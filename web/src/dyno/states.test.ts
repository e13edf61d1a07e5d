import { describe, expect, it } from 'vitest'
import { type Run } from '../api/dyno'
import { commonRange, firstSides, statesOf, usualStandard } from './states'

const run = (state: string, from = 2000, to = 7400) => ({ state, from, to }) as Run

describe('states of runs', () => {
  it('come in the order of driving', () => {
    expect(statesOf([run('b'), run('a'), run('b')])).toEqual(['b', 'a'])
  })

  it('are compared with the one before them', () => {
    expect(firstSides([run(''), run('pulley'), run('map')])).toEqual({ before: 'pulley', after: 'map' })
    expect(firstSides([run('')])).toEqual({ before: '', after: undefined })
    expect(firstSides([])).toEqual({ before: '', after: undefined })
  })

  it('share the speeds that all of them go through', () => {
    expect(commonRange([run('', 2000, 7400), run('', 2600, 7000)])).toEqual({ from: 2600, to: 7000 })
    expect(commonRange([run('', 2000, 3000), run('', 4000, 7000)])).toBeUndefined()
    expect(commonRange([])).toBeUndefined()
  })

  it('are corrected by SAE J1349 where the air is known, and a boosted engine is not', () => {
    const aired = { ...run(''), airPressure: '992 hPa', airTemperature: '21 °C', boosted: false }
    expect(usualStandard([aired, aired])).toBe('sae j1349')
    expect(usualStandard([aired, { ...aired, boosted: true }])).toBe('none')
    expect(usualStandard([aired, { ...aired, airPressure: '' }])).toBe('none')
  })
})
