const HOUR = 60
/** Margins are said in days from this many hours on. */
const DAYS_FROM_HOURS = 16
const HOURS_A_DAY = 8

/** Working time: "40 min", "2 h", "2 h 30", "12 h". */
export function duration(minutes: number): string {
  const whole = Math.floor(minutes / HOUR)
  const rest = minutes % HOUR
  if (whole === 0) return `${rest} min`
  return rest === 0 ? `${whole} h` : `${whole} h ${String(rest).padStart(2, '0')}`
}

/** A margin: "+5 h", "−6 h", "+2 d 1 h" of eight hours; to the whole hour from six hours on. */
export function margin(minutes: number | undefined): string {
  if (minutes === undefined) return 'cannot be planned'
  const sign = minutes < 0 ? '−' : '+'
  const all = Math.abs(minutes)
  if (all < 6 * HOUR) return sign + duration(all)
  const hours = Math.round(all / HOUR)
  if (hours < DAYS_FROM_HOURS) return `${sign}${hours} h`
  const days = Math.floor(hours / HOURS_A_DAY)
  const left = hours % HOURS_A_DAY
  return `${sign}${days} d${left === 0 || days >= 10 ? '' : ` ${left} h`}`
}
