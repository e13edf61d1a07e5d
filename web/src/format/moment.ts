import { clock, day, dayKey, instantOf, localOf, monthLeads } from './time'

/** Dates and times as people type them, read into local text ("2026-11-25T14:00") in the shop's zone. */

const DAYS = ['sunday', 'monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday']
const MONTHS = [
  'january',
  'february',
  'march',
  'april',
  'may',
  'june',
  'july',
  'august',
  'september',
  'october',
  'november',
  'december',
]
/** A day without a time, where no time stood there before. */
const NOON = '12:00'
/** A date without a year is the one that begins this many days back at the earliest. */
const DAYS_BACK = 90
const DAY_MILLIS = 86_400_000

/** What to say where a text is none of them. */
export const MOMENT_HINT = 'Try "Fri 14:00", "4 Dec 9:30", "tomorrow 8" or "+2 days".'

/**
 * The moment that a text means: "Fri 14:00", "4 Dec", "tomorrow 7.30", "16:00", "2pm", "+3 h", "2026-12-04 09:30".
 * A time alone is on the day that stood there before, else the next such time; a day alone keeps the time that stood
 * there, else noon. Undefined where it cannot be read.
 */
export function readMoment(text: string, now: string, zone: string, before?: string): string | undefined {
  const said = text.trim().toLowerCase().replace(/\s+/g, ' ')
  const later = /^(?:in |\+ ?)(\d{1,4}) ?(min|m|h|hours?|d|days?|w|weeks?)$/.exec(said)
  if (later) return ahead(Number(later[1]), later[2]![0]!, now, zone, before)
  const { date, rest } = leadingDay(said, dayKey(now, zone))
  const time = readTime(rest)
  if (date === undefined || time === undefined || (!date && !time)) return undefined
  if (date instanceof Date) return `${key(date)}T${time || before?.slice(11, 16) || NOON}`
  if (typeof date === 'number') return nextWeekday(date, time || before?.slice(11, 16) || NOON, now, zone)
  if (before) return `${before.slice(0, 10)}T${time}`
  const today = `${dayKey(now, zone)}T${time}`
  return today > localOf(now, zone) ? today : `${key(plus(parse(dayKey(now, zone)), 1))}T${time}`
}

/** What to say where a text is no day. */
export const DAY_HINT = 'Try "Fri", "4 Dec", "tomorrow" or "+2 days".'

/** The day that a text means, as "2026-12-04"; a day of the week is today or the next one. Undefined where it is none. */
export function readDay(text: string, now: string, zone: string): string | undefined {
  const said = text.trim().toLowerCase().replace(/\s+/g, ' ')
  const later = /^(?:in |\+ ?)(\d{1,4}) ?(d|days?|w|weeks?)$/.exec(said)
  if (later) return ahead(Number(later[1]), later[2]![0]!, now, zone).slice(0, 10)
  const { date, rest } = leadingDay(said, dayKey(now, zone))
  if (date === undefined || date === '' || rest.trim()) return undefined
  return date instanceof Date ? key(date) : nextWeekday(date, '23:59', now, zone).slice(0, 10)
}

/** "Fri 4 Dec", with the year where it would be taken for another. */
export function sayDay(local: string, now: string, zone: string): string {
  const at = instantOf(`${local}T${NOON}`, zone)
  return at ? `${day(at, zone)}${year(local, now, zone)}` : ''
}

/** "Fri 4 Dec 14:00", with the year where the date alone would be taken for another. */
export function sayMoment(local: string, now: string, zone: string): string {
  const at = instantOf(local, zone)
  return at ? `${day(at, zone)}${year(local, now, zone)} ${clock(at, zone)}` : ''
}

function year(local: string, now: string, zone: string): string {
  const date = parse(local.slice(0, 10))
  const obvious = key(inYear(date.getUTCDate(), date.getUTCMonth(), parse(dayKey(now, zone)))!) === key(date)
  return obvious ? '' : ` ${date.getUTCFullYear()}`
}

const parse = (of: string) => new Date(`${of}T00:00Z`)
const key = (date: Date) => date.toISOString().slice(0, 10)
const plus = (date: Date, days: number) => new Date(date.getTime() + days * DAY_MILLIS)

function ahead(count: number, unit: string, now: string, zone: string, before?: string): string {
  if (unit === 'h' || unit === 'm') {
    const millis = count * (unit === 'h' ? 3_600_000 : 60_000)
    return localOf(new Date(Date.parse(now) + millis).toISOString(), zone)
  }
  const date = plus(parse(dayKey(now, zone)), unit === 'w' ? 7 * count : count)
  return `${key(date)}T${before?.slice(11, 16) || NOON}`
}

/** A day at the beginning: a date, a day of the week (0 is Sunday), '' where there is none, undefined where it is no day. */
function leadingDay(said: string, today: string): { date: Date | number | '' | undefined; rest: string } {
  const iso = /^(\d{4})-(\d{2})-(\d{2})(?:[t ]|$)(.*)$/.exec(said)
  if (iso) return { date: dated(Number(iso[3]), Number(iso[2]) - 1, Number(iso[1])), rest: iso[4]! }
  const word = /^([a-z]{3,})\b ?(.*)$/.exec(said)
  if (word?.[1] === 'today') return { date: parse(today), rest: word[2]! }
  if (word?.[1] === 'tomorrow') return { date: plus(parse(today), 1), rest: word[2]! }
  const weekday = word ? named(DAYS, word[1]!) : -1
  if (weekday < 0) return leadingDate(said, today)
  const { date, rest } = leadingDate(word![2]!, today)
  if (date === '') return { date: weekday, rest }
  return { date: date && date.getUTCDay() === weekday ? date : undefined, rest }
}

/** "4 Dec", "4 Dec 2027", "Dec 4", "4.12.", "4/12" in the order of the shop, at the beginning. */
function leadingDate(said: string, today: string): { date: Date | '' | undefined; rest: string } {
  const dayFirst = /^(\d{1,2})\.? ?([a-z]{3,})\b\.?(?: (\d{4}))?(?: (.*))?$/.exec(said)
  const monthFirst = /^([a-z]{3,})\b\.? (\d{1,2})(?:,? (\d{4}))?(?: (.*))?$/.exec(said)
  const figures = /^(\d{1,2})\.(\d{1,2})\.(\d{4})?(?: (.*))?$/.exec(said)
  const slashes = /^(\d{1,2})\/(\d{1,2})(?:\/(\d{4}))?(?: (.*))?$/.exec(said)
  const [dayAt, monthAt] = monthLeads() ? ([2, 1] as const) : ([1, 2] as const)
  const found = dayFirst
    ? [dayFirst[1], named(MONTHS, dayFirst[2]!), dayFirst[3], dayFirst[4]]
    : monthFirst
      ? [monthFirst[2], named(MONTHS, monthFirst[1]!), monthFirst[3], monthFirst[4]]
      : figures
        ? [figures[1], Number(figures[2]) - 1, figures[3], figures[4]]
        : slashes
          ? [slashes[dayAt], Number(slashes[monthAt]) - 1, slashes[3], slashes[4]]
          : undefined
  if (!found) return { date: '', rest: said }
  const [number, month, year, rest] = [Number(found[0]), Number(found[1]), found[2], String(found[3] ?? '')]
  return {
    date: year ? dated(number, month, Number(year)) : inYear(number, month, parse(today)),
    rest,
  }
}

/** Which of the names a beginning of at least three letters means; −1 where none. */
const named = (names: string[], said: string) => names.findIndex((n) => n.startsWith(said))

/** The date, undefined where there is no such day. */
function dated(number: number, month: number, year: number): Date | undefined {
  const date = new Date(Date.UTC(year, month, number))
  return month >= 0 && date.getUTCMonth() === month && date.getUTCDate() === number ? date : undefined
}

/** The date of that day and month that is nearest ahead, a little back allowed. */
function inYear(number: number, month: number, today: Date): Date | undefined {
  const first = plus(today, -DAYS_BACK)
  // Eight years find every 29 February.
  for (let year = first.getUTCFullYear(); year < first.getUTCFullYear() + 9; year++) {
    const date = dated(number, month, year)
    if (date && date >= first) return date
  }
  return undefined
}

function nextWeekday(weekday: number, time: string, now: string, zone: string): string {
  const today = parse(dayKey(now, zone))
  const first = plus(today, (weekday - today.getUTCDay() + 7) % 7)
  const local = `${key(first)}T${time}`
  return local > localOf(now, zone) ? local : `${key(plus(first, 7))}T${time}`
}

/** "14:00" of "14", "14:00", "7.30", "2pm", "14 h"; '' of nothing, undefined of anything else. */
function readTime(said: string): string | undefined {
  if (!said.trim()) return ''
  const match = /^(?:at )?(\d{1,2})(?:[:.](\d{2})(?::\d{2}(?:\.\d+)?)?)? ?(am|pm|h)?$/.exec(said.trim())
  if (!match) return undefined
  const half = match[3] === 'am' || match[3] === 'pm'
  const written = Number(match[1])
  if (half && (written < 1 || written > 12)) return undefined
  const hour = half ? (written % 12) + (match[3] === 'pm' ? 12 : 0) : written
  const minute = Number(match[2] ?? 0)
  if (hour > 23 || minute > 59) return undefined
  return `${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}`
}
