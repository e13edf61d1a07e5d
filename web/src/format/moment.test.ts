import { describe, expect, it } from 'vitest'
import { readDay, readMoment, sayDay, sayMoment } from './moment'
import { instantOf, localOf } from './time'

const ZONE = 'Europe/Berlin'
/** Wednesday 25 November 2026, 08:10 in Berlin. */
const NOW = '2026-11-25T07:10:00Z'
const read = (text: string, before?: string) => readMoment(text, NOW, ZONE, before)

describe('a moment as it is typed', () => {
  it.each([
    ['2026-12-04T09:30', '2026-12-04T09:30'],
    ['2026-12-04 9:30', '2026-12-04T09:30'],
    ['2026-12-04', '2026-12-04T12:00'],
    ['today 17', '2026-11-25T17:00'],
    ['Tomorrow 7.30', '2026-11-26T07:30'],
    ['fri 14:00', '2026-11-27T14:00'],
    ['Friday 2pm', '2026-11-27T14:00'],
    ['Fri', '2026-11-27T12:00'],
    ['Fri 4 Dec 14:00', '2026-12-04T14:00'],
    ['4 Dec', '2026-12-04T12:00'],
    ['4. December 9:05', '2026-12-04T09:05'],
    ['Dec 4, 2027 9:05', '2027-12-04T09:05'],
    ['4.12. 8', '2026-12-04T08:00'],
    ['4.12.2027 8', '2027-12-04T08:00'],
    ['  sept 9   12am ', '2026-09-09T00:00'],
    ['12 pm', '2026-11-25T12:00'],
    ['+2 days', '2026-11-27T12:00'],
    ['in 1 week', '2026-12-02T12:00'],
    ['+3h', '2026-11-25T11:10'],
    ['+90 min', '2026-11-25T09:40'],
    ['29 Feb 10:00', '2028-02-29T10:00'],
  ])('"%s" is %s', (text, moment) => expect(read(text)).toBe(moment))

  it('is the next of its kind: a day of the week or a time that is past is the one after', () => {
    expect(read('wed 8:00')).toBe('2026-12-02T08:00')
    expect(read('wed 9:00')).toBe('2026-11-25T09:00')
    expect(read('8:00')).toBe('2026-11-26T08:00')
    expect(read('9:00')).toBe('2026-11-25T09:00')
    expect(read('2 Jan')).toBe('2027-01-02T12:00')
    expect(read('20 Nov')).toBe('2026-11-20T12:00')
  })

  it('changes only what was typed of the moment that stood there', () => {
    expect(read('16:00', '2026-12-04T09:30')).toBe('2026-12-04T16:00')
    expect(read('mon', '2026-12-04T09:30')).toBe('2026-11-30T09:30')
    expect(read('8 Dec', '2026-12-04T09:30')).toBe('2026-12-08T09:30')
  })

  it.each([
    'soon',
    'fr',
    'Mon 4 Dec',
    '31 Nov',
    '2026-02-29',
    '2026-13-01T10:00',
    '25:00',
    '9:75',
    '13pm',
    '0am',
    'fri afternoon',
    '4 Dec 9:30 or so',
    '-2 days',
    '',
  ])('"%s" is none', (text) => expect(read(text)).toBeUndefined())

  /** Whatever is shown in the field is read as what it is: quarter hours of two years, in three zones. */
  it.each([ZONE, 'America/New_York', 'Australia/Lord_Howe'])('is read back as it is said in %s', (zone) => {
    const now = Date.parse(NOW)
    for (let i = 0; i < 3000; i++) {
      const at = new Date(now + ((i * 7919) % 70_080) * 900_000 - 35_040 * 900_000).toISOString()
      const local = localOf(at, zone)
      expect(readMoment(sayMoment(local, NOW, zone), NOW, zone)).toBe(local)
      expect(instantOf(local, zone)).toBeDefined()
    }
  })

  it('says the year only where it is not the one that anybody would take', () => {
    expect(sayMoment('2026-12-04T14:00', NOW, ZONE)).toBe('Fri 4 Dec 14:00')
    expect(sayMoment('2027-12-04T14:00', NOW, ZONE)).toBe('Sat 4 Dec 2027 14:00')
    expect(sayMoment('2026-03-02T14:00', NOW, ZONE)).toBe('Mon 2 Mar 2026 14:00')
    expect(sayMoment('', NOW, ZONE)).toBe('')
  })
})

describe('a day as it is typed', () => {
  const day = (text: string) => readDay(text, NOW, ZONE)

  it.each([
    ['2026-12-04', '2026-12-04'],
    ['today', '2026-11-25'],
    ['Tomorrow', '2026-11-26'],
    // Wednesday is today: a whole day is not past before it is over.
    ['wed', '2026-11-25'],
    ['fri', '2026-11-27'],
    ['4 Dec', '2026-12-04'],
    ['31 Dec 2029', '2029-12-31'],
    ['+2 days', '2026-11-27'],
    ['in 1 week', '2026-12-02'],
  ])('"%s" is %s', (text, is) => expect(day(text)).toBe(is))

  it.each(['', 'soon', '14:00', '4 Dec 14:00', '+3 h', '31 Nov', '2026-02-29'])('"%s" is none', (text) =>
    expect(day(text)).toBeUndefined(),
  )

  it('is read again as it is said, whichever day it is', () => {
    for (let ahead = -60; ahead < 900; ahead += 7) {
      const date = new Date(Date.UTC(2026, 10, 25 + ahead)).toISOString().slice(0, 10)
      expect(day(sayDay(date, NOW, ZONE))).toBe(date)
    }
    expect(sayDay('', NOW, ZONE)).toBe('')
  })
})
