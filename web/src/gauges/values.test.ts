import { describe, expect, it } from 'vitest'
import { type GaugeField } from '../api/gauges'
import { askedBy, isEnough, knownOf, split, type Values, valuesOf } from './values'

const field = (name: string, type: GaugeField['type'], more: Partial<GaugeField> = {}): GaugeField => ({
  name,
  label: name,
  type,
  needed: false,
  known: false,
  hint: '',
  choices: [],
  columns: [],
  ...more,
})
const FIELDS = [
  field('', 'WHEELS', { columns: [field('front', 'QUANTITY', { needed: true }), field('rim', 'QUANTITY')] }),
  field('heights', 'CORNERS', { needed: true }),
  field('gears', 'LIST'),
  field('items', 'ROWS', { columns: [field('what', 'TEXT'), field('removed', 'FLAG')] }),
  field('spring', 'PART', { columns: [field('rate', 'QUANTITY')] }),
  field('wheelbase', 'QUANTITY', { known: true }),
]
const four = (value: string) => ({
  'left front': value,
  'right front': value,
  'left rear': value,
  'right rear': value,
})
const FULL: Values = {
  'left front': { front: '1', rim: '' },
  'right front': { front: '2', rim: '' },
  'left rear': { front: '3', rim: '' },
  'right rear': { front: '4', rim: '432 mm' },
  heights: four('118 mm'),
  gears: '2,5; 1.6, 1',
  items: [{ what: 'battery', removed: true }, {}],
  spring: { rate: '' },
  wheelbase: '2500 mm',
}

describe('what stands in a form', () => {
  it('is asked without what is blank, in the shape that the gauge takes', () => {
    expect(askedBy(FIELDS, FULL)).toEqual({
      'left front': { front: '1' },
      'right front': { front: '2' },
      'left rear': { front: '3' },
      'right rear': { front: '4', rim: '432 mm' },
      heights: four('118 mm'),
      gears: ['2,5', '1.6', '1'],
      items: [{ what: 'battery', removed: true }],
      wheelbase: '2500 mm',
    })
  })

  it('comes back as it was asked', () => {
    const asked = askedBy(FIELDS, FULL)
    expect(askedBy(FIELDS, valuesOf(FIELDS, asked))).toEqual(asked)
    expect(valuesOf(FIELDS, { heights: ['1', '2', '3', '4'] }).heights).toEqual({
      'left front': '1',
      'right front': '2',
      'left rear': '3',
      'right rear': '4',
    })
    expect(valuesOf(FIELDS, { heights: '9' }).heights).toEqual(four('9'))
  })

  it('is enough once all that is needed is said', () => {
    expect(isEnough(FIELDS, FULL)).toBe(true)
    expect(isEnough(FIELDS, { ...FULL, heights: { 'left front': '1' } })).toBe(false)
    expect(isEnough(FIELDS, { ...FULL, 'left rear': { rim: '1' } })).toBe(false)
    const optional = [field('offset', 'QUANTITY'), field('target', 'QUANTITY', { known: true })]
    expect(isEnough(optional, { target: '1' })).toBe(false)
    expect(isEnough(optional, { offset: '1' })).toBe(true)
  })

  it('keeps a decimal comma apart from one that lists', () => {
    expect(split('81,5 mm, 82 mm; 80')).toEqual(['81,5 mm', '82 mm', '80'])
  })
})

describe('what is known of a car', () => {
  it('comes from the last sheet of the gauge, and what is shared from any other', () => {
    const fields = [
      field('wheelbase', 'QUANTITY', { known: true }),
      field('target', 'QUANTITY', { known: true }),
      field('pads', 'CORNERS'),
    ]
    const sheets = [
      { gauge: 'strings', asked: { wheelbase: '2400 mm', target: '0.1°' } },
      { gauge: 'corner-weights', asked: { target: '50 %', pads: four('1') } },
      { gauge: 'corner-weights', asked: { target: '49 %' } },
    ]
    expect(knownOf(fields, sheets, 'corner-weights')).toEqual({ target: '50 %', wheelbase: '2400 mm' })
    expect(knownOf(fields, sheets, 'strings')).toEqual({ target: '0.1°', wheelbase: '2400 mm' })
  })

  it('begins with the figures of another gauge, and never with a corrected one', () => {
    const mass = field('mass', 'QUANTITY', { last: { gauge: 'corner-weights', figure: 'total' } })
    const fields = [mass, field('base', 'PART', { known: true, columns: [mass] })]
    const weighed = (value: number, correctedBy?: string) => ({
      gauge: 'corner-weights',
      answered: { total: { value, unit: 'kg', said: '' } },
      correctedBy,
    })
    expect(knownOf(fields, [weighed(577)], 'mass-ledger')).toEqual({
      mass: '577 kg',
      base: { mass: '577 kg' },
    })
    expect(knownOf(fields, [weighed(5770, 'x'), weighed(577)], 'mass-ledger').mass).toBe('577 kg')
    const own = { gauge: 'mass-ledger', asked: { base: { mass: '570 kg' } } }
    expect(knownOf(fields, [weighed(577), own], 'mass-ledger').base).toEqual({ mass: '570 kg' })
  })
})
