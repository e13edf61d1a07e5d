import { describe, expect, it } from 'vitest'
import { duration, margin } from './margin'
import { away, clock, day, dayKey, instantOf, localOf, when } from './time'
import { keptWord, word } from './words'

const BERLIN = 'Europe/Berlin'
const LORD_HOWE = 'Australia/Lord_Howe'
const HOUR = 3_600_000

describe('local time', () => {
  /** Every two and a half hours of a year, there and back; of an hour that comes twice either is right. */
  it.each([BERLIN, LORD_HOWE, 'America/New_York', 'Asia/Kolkata', 'UTC'])(
    'comes back as it was in %s',
    (zone) => {
      const first = Date.parse('2027-01-01T00:00:00Z')
      for (let at = first; at < first + 366 * 24 * HOUR; at += 2.5 * HOUR) {
        const local = localOf(new Date(at).toISOString(), zone)
        const back = instantOf(local, zone)
        expect(localOf(back, zone)).toBe(local)
        expect(Math.abs(Date.parse(back ?? '') - at)).toBeLessThanOrEqual(HOUR)
      }
    },
  )

  /** Central European Summer Time begins on the last Sunday of March at 01:00 UTC (Directive 2000/84/EC). */
  it('knows when the clocks change', () => {
    expect(instantOf('2027-03-28T01:59', BERLIN)).toBe('2027-03-28T00:59:00.000Z')
    expect(instantOf('2027-03-28T03:00', BERLIN)).toBe('2027-03-28T01:00:00.000Z')
    expect(instantOf('2027-10-31T04:00', BERLIN)).toBe('2027-10-31T03:00:00.000Z')
  })

  it('is none where it is none', () => {
    expect(instantOf('tomorrow', BERLIN)).toBeUndefined()
    expect(instantOf('2027-13-01T10:00', BERLIN)).toBeUndefined()
    expect(localOf(undefined, BERLIN)).toBe('')
  })

  it('is the day of the shop, not of the browser', () => {
    expect(dayKey('2026-11-25T23:30:00Z', BERLIN)).toBe('2026-11-26')
    expect(dayKey('2026-11-25T23:30:00Z', 'America/New_York')).toBe('2026-11-25')
    expect(clock('2026-11-25T23:30:00Z', BERLIN)).toBe('00:30')
    expect(day('2026-12-03T10:00:00Z', BERLIN)).toBe('Thu 3 Dec')
  })
})

describe('when', () => {
  const now = '2026-11-25T08:00:00Z'
  it.each([
    ['2026-11-25T13:00:00Z', '14:00'],
    ['2026-11-26T13:00:00Z', 'Thu 14:00'],
    ['2026-12-01T07:00:00Z', 'Tue 08:00'],
    ['2026-12-01T09:00:00Z', 'Tue 1 Dec 10:00'],
    ['2026-11-24T13:00:00Z', 'Tue 24 Nov 14:00'],
  ])('%s is said as %s', (at, said) => expect(when(at, now, BERLIN)).toBe(said))

  it.each([
    ['2026-11-25T22:30:00Z', 'today'],
    ['2026-11-25T23:30:00Z', 'tomorrow'],
    ['2026-12-02T00:30:00Z', 'in 7 days'],
    ['2026-11-24T00:30:00Z', '1 day ago'],
    ['2026-11-20T00:30:00Z', '5 days ago'],
  ])('%s is %s', (at, said) => expect(away(at, now, BERLIN)).toBe(said))
})

describe('lengths', () => {
  it.each([
    [0, '0 min'],
    [40, '40 min'],
    [60, '1 h'],
    [125, '2 h 05'],
    [720, '12 h'],
  ])('%d minutes of work are %s', (minutes, said) => expect(duration(minutes)).toBe(said))

  it.each([
    [undefined, 'cannot be planned'],
    [0, '+0 min'],
    [-45, '−45 min'],
    [-330, '−5 h 30'],
    [360, '+6 h'],
    [15 * 60 + 29, '+15 h'],
    [15 * 60 + 30, '+2 d'],
    [17 * 60, '+2 d 1 h'],
    [-81 * 60, '−10 d'],
  ])('a margin of %s is %s', (minutes, said) => expect(margin(minutes)).toBe(said))
})

describe('how a vendor has kept its word', () => {
  const vendor = (deliveries: number, usualSlipMinutes?: number) =>
    keptWord({ deliveries, usualSlipMinutes, believed: 0.5 } as Parameters<typeof keptWord>[0])
  it('is said with the sample', () => {
    expect(vendor(0)).toBe('nothing on record')
    expect(vendor(1, 100)).toBe('1 delivery, usually on the day')
    expect(vendor(3, -2880)).toBe('3 deliveries, usually 2 d early')
    expect(vendor(3, 2880)).toBe('3 deliveries, usually 2 d late; 50 % of that is expected')
  })
})

it('codes are said as words', () => expect(word('ENGINE_BAY')).toBe('engine bay'))
