const HOUR = 60
/** A working day, as the trade counts one. */
const DAY = 8 * HOUR
const WEEK = 5 * DAY

/** Working time: "45 min" under an hour, "2½ h" up to two working days of eight hours, then "4½ days". */
export function duration(minutes: number): string {
  const all = Math.abs(Math.round(minutes))
  if (all < HOUR) return `${all} min`
  const hours = halves(all, HOUR)
  return hours < 4 * (DAY / HOUR) ? `${said(hours)} h` : `${said(halves(all, DAY))} days`
}

function halves(minutes: number, unit: number): number {
  return Math.floor((2 * minutes + unit / 2) / unit)
}

function said(half: number): string {
  return `${Math.floor(half / 2)}${half % 2 === 0 ? '' : '½'}`
}

/** A margin: the same with its sign, "−9 h", "+4½ days". */
export function margin(minutes: number | undefined): string {
  if (minutes === undefined) return 'cannot be planned'
  return (minutes < 0 ? '−' : '+') + duration(minutes)
}

/** So many days of the calendar: "1 day", "6 days". */
export function days(count: number): string {
  return `${count} ${count === 1 ? 'day' : 'days'}`
}

const WORDS = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten']
const PARTS: Record<string, number> = { '½': 0.5, '¼': 0.25, '¾': 0.75 }
const ONE =
  /^(\d{1,4}(?:[.,]\d{1,2})?|\d{0,3}[½¼¾]|half an?|quarter of an?|three quarters of an?|an?|one|two|three|four|five|six|seven|eight|nine|ten)\s*(mins?|minutes?|m|hours?|hrs?|h|days?|d|weeks?|w)(?![a-z])\.?/
const BARE = /^(\d{1,2})(?!\S)/
const CLOCK = /^(\d{1,2}):([0-5]\d)(?:\s*h)?$/
const HALF_AFTER = /^(an?|one|two|three|four|five|six) (hours?|days?) and a half$/

function number(text: string): number {
  if (text.startsWith('three quarters')) return 0.75
  if (text.startsWith('quarter')) return 0.25
  if (text.startsWith('half')) return 0.5
  if (text === 'a' || text === 'an') return 1
  const word = WORDS.indexOf(text)
  if (word >= 0) return word + 1
  const part = PARTS[text.at(-1) ?? '']
  return part === undefined ? Number(text.replace(',', '.')) : part + Number(text.slice(0, -1) || 0)
}

function unit(text: string): number {
  const sizes: Record<string, number> = { m: 1, h: HOUR, d: DAY, w: WEEK }
  return sizes[text.charAt(0)] ?? 1
}

/**
 * Working time as people write it, in minutes: "1.5h", "45 min", "4 h 30", "half a day", "two hours"; undefined where it is
 * none. A day is eight hours of work. The Java side reads the same table of cases.
 */
export function readDuration(text: string): number | undefined {
  let rest = text.trim().toLowerCase()
  const clock = CLOCK.exec(rest)
  if (clock) return some(Number(clock[1]) * HOUR + Number(clock[2]))
  const half = HALF_AFTER.exec(rest)
  if (half) return some((number(half[1] ?? '') + 0.5) * unit(half[2] ?? ''))
  let minutes = 0
  let smallest = Infinity
  while (rest !== '') {
    const one = ONE.exec(rest)
    const bare = BARE.exec(rest)
    if (one && unit(one[2] ?? '') < smallest) {
      smallest = unit(one[2] ?? '')
      minutes += number(one[1] ?? '') * smallest
      rest = rest.slice(one[0].length).trim()
    } else if (smallest === HOUR && bare) {
      smallest = 1
      minutes += Number(bare[1])
      rest = rest.slice(bare[0].length).trim()
    } else return undefined
    if (rest.startsWith('and ')) rest = rest.slice(4).trim()
  }
  return some(minutes)
}

function some(minutes: number): number | undefined {
  const whole = Math.round(minutes)
  return whole > 0 ? whole : undefined
}

/** Working time as a field shows it, to the minute: "45 min", "4 h 30". */
export function exact(minutes: number): string {
  const hours = Math.floor(minutes / HOUR)
  const rest = minutes % HOUR
  if (hours === 0) return `${rest} min`
  return rest === 0 ? `${hours} h` : `${hours} h ${String(rest).padStart(2, '0')}`
}
