import { afterEach, describe, expect, it } from 'vitest'
import readings from '../../../core/src/test/resources/durations-read.csv?raw'
import sayings from '../../../core/src/test/resources/durations-said.csv?raw'
import { duration, exact, margin, readDuration } from './margin'
import { away, clock, day, dayKey, instantOf, localOf, when, speak } from './time'
import { readMoment } from './moment'
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
    ['2026-11-24T00:30:00Z', 'yesterday'],
    ['2026-11-20T00:30:00Z', '5 days ago'],
  ])('%s is %s', (at, said) => expect(away(at, now, BERLIN)).toBe(said))
})

/** The tables of the Java side, so that both say and read the same. */
const table = (text: string, mark: string) =>
  text
    .trimEnd()
    .split('\n')
    .slice(1)
    .map((line) => line.split(mark) as [string, string, string])

describe('working time', () => {
  it.each(table(sayings, ','))('of %s minutes is said in one way', (minutes, said, signed) => {
    expect(duration(Number(minutes))).toBe(said)
    expect(margin(Number(minutes))).toBe(signed)
  })
  it('that cannot be kept has no figure', () => expect(margin(undefined)).toBe('cannot be planned'))

  it.each(table(readings, ';'))('"%s" is read as people write it', (text, minutes) =>
    expect(readDuration(text)).toBe(minutes ? Number(minutes) : undefined),
  )
  it.each([40, 60, 125, 720])('%d minutes in a field are read again to the minute', (minutes) =>
    expect(readDuration(exact(minutes))).toBe(minutes),
  )
})

describe('how a vendor has kept its word', () => {
  const vendor = (deliveries: number, usualSlipMinutes?: number) =>
    keptWord({ deliveries, usualSlipMinutes, believed: 0.5 } as Parameters<typeof keptWord>[0])
  it('is said with the sample', () => {
    expect(vendor(0)).toBe('nothing on record')
    expect(vendor(1, 100)).toBe('1 delivery, usually on the day')
    expect(vendor(3, -2880)).toBe('3 deliveries, usually 2 days early')
    expect(vendor(3, 2880)).toBe('3 deliveries, usually 2 days late; 50 % of that is expected')
  })
})

it('codes are said as words', () => expect(word('ENGINE_BAY')).toBe('engine bay'))

describe('how the shop writes days and times', () => {
  afterEach(() => speak({ monthFirst: false, twelveHours: false }))

  it('goes by its rules, inputs do not', () => {
    speak({ monthFirst: true, twelveHours: true })
    expect(when('2026-12-03T13:05:00Z', '2026-11-25T07:10:00Z', BERLIN)).toBe('Thu Dec 3 2:05 pm')
    expect(localOf('2026-12-03T13:05:00Z', BERLIN)).toBe('2026-12-03T14:05')
    expect(clock('2026-12-02T23:05:00Z', BERLIN)).toBe('12:05 am')
    expect(readMoment('12/3 2pm', '2026-11-25T07:10:00Z', BERLIN)).toBe('2026-12-03T14:00')
    speak({ monthFirst: false, twelveHours: false })
    expect(readMoment('12/3 2pm', '2026-11-25T07:10:00Z', BERLIN)).toBe('2027-03-12T14:00')
  })
})
