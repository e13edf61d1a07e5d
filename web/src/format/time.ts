/** Times as people say them, in the shop's zone whatever the browser's. */

/** How the shop writes days and times: "Dec 3" or "3 Dec", "2:00 pm" or "14:00". */
export interface DateStyle {
  monthFirst: boolean
  twelveHours: boolean
}

let style: DateStyle = { monthFirst: false, twelveHours: false }

/** From here on days and times are written in that way; whoever shows a shop says so before all else. */
export function speak(says: DateStyle) {
  style = says
}

/** Whether "3/12" is the twelfth of March. */
export const monthLeads = () => style.monthFirst

const formats = new Map<string, Intl.DateTimeFormat>()

function format(zone: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = zone + JSON.stringify(options)
  let made = formats.get(key)
  if (!made) {
    made = new Intl.DateTimeFormat('en-GB', { timeZone: zone, hourCycle: 'h23', ...options })
    formats.set(key, made)
  }
  return made
}

/** "2026-11-25" in the zone. */
export function dayKey(at: string | number | Date, zone: string): string {
  const parts = format(zone, { year: 'numeric', month: '2-digit', day: '2-digit' }).formatToParts(
    new Date(at),
  )
  const part = (type: string) => parts.find((p) => p.type === type)?.value ?? ''
  return `${part('year')}-${part('month')}-${part('day')}`
}

/** "14:00", whatever the style: as inputs take it. */
function clockOf(at: string | number | Date, zone: string): string {
  return format(zone, { hour: '2-digit', minute: '2-digit' }).format(new Date(at))
}

/** "14:00", or "2:00 pm" */
export function clock(at: string | number | Date, zone: string): string {
  const text = clockOf(at, zone)
  if (!style.twelveHours) return text
  const hour = Number(text.slice(0, 2))
  return `${hour % 12 || 12}${text.slice(2)} ${hour < 12 ? 'am' : 'pm'}`
}

/** "Thu 3 Dec", or "Thu Dec 3" */
export function day(at: string | number | Date, zone: string): string {
  const parts = format(zone, { weekday: 'short', day: 'numeric', month: 'short' }).formatToParts(new Date(at))
  const part = (type: string) => parts.find((p) => p.type === type)?.value ?? ''
  return style.monthFirst
    ? `${part('weekday')} ${part('month')} ${part('day')}`
    : `${part('weekday')} ${part('day')} ${part('month')}`
}

/** "Wednesday" */
export function weekday(at: string | number | Date, zone: string): string {
  return format(zone, { weekday: 'long' }).format(new Date(at))
}

/** "14:00" today, "Thu 14:00" within six days, "Thu 3 Dec 14:00" else. */
export function when(at: string, now: string, zone: string): string {
  if (dayKey(at, zone) === dayKey(now, zone)) return clock(at, zone)
  const ahead = (Date.parse(at) - Date.parse(now)) / 86_400_000
  const date =
    ahead > 0 && ahead < 6 ? format(zone, { weekday: 'short' }).format(new Date(at)) : day(at, zone)
  return `${date} ${clock(at, zone)}`
}

/** "in 3 days", "tomorrow", "today", "yesterday", "2 days ago" */
export function away(at: string, now: string, zone: string): string {
  const days = Math.round((Date.parse(dayKey(at, zone)) - Date.parse(dayKey(now, zone))) / 86_400_000)
  if (days === 0) return 'today'
  if (days === 1) return 'tomorrow'
  if (days === -1) return 'yesterday'
  return days > 0 ? `in ${days} days` : `${-days} days ago`
}

/** The instant of a local date and time ("2026-11-25T14:00") in the zone, as ISO; undefined where it is none. */
export function instantOf(local: string, zone: string): string | undefined {
  const guess = Date.parse(`${local}Z`)
  if (Number.isNaN(guess)) return undefined
  const shown = (at: number) => Date.parse(`${dayKey(at, zone)}T${clockOf(at, zone)}Z`)
  const first = guess - (shown(guess) - guess)
  return new Date(first - (shown(first) - guess)).toISOString()
}

/** The local date and time in the zone, as an input of the kind datetime-local takes it. */
export function localOf(at: string | undefined, zone: string): string {
  return at ? `${dayKey(at, zone)}T${clockOf(at, zone)}` : ''
}
