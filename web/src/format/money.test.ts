import { expect, it } from 'vitest'
import { amount, hours } from './money'

it.each([
  [undefined, undefined, '—'],
  [0, 'EUR', '0.00 EUR'],
  [1234.5, undefined, '1 234.50'],
  [-1234567.891, 'EUR', '−1 234 567.89 EUR'],
  [999.999, undefined, '1 000.00'],
])('an amount of %s %s is %s', (value, currency, said) => expect(amount(value, currency)).toBe(said))

it.each([
  [12, '12 h'],
  [12.55, '12.6 h'],
  [0.04, '0 h'],
])('%s hours are %s', (value, said) => expect(hours(value)).toBe(said))
