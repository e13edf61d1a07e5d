import { days } from './margin'

/** "ENGINE_BAY" as "engine bay". */
export function word(code: string): string {
  return code.toLowerCase().replaceAll('_', ' ')
}

/** "engine bay" as "Engine bay". */
export function title(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}

/** How a vendor has kept its word, with the sample and how far it is believed. */
export function keptWord(v: { deliveries: number; usualSlipMinutes?: number; believed?: number }): string {
  if (v.deliveries === 0) return 'nothing on record'
  const slips = Math.round((v.usualSlipMinutes ?? 0) / 1440)
  const slip =
    slips === 0
      ? 'usually on the day'
      : slips < 0
        ? `usually ${days(-slips)} early`
        : `usually ${days(slips)} late`
  const sample = `${v.deliveries} ${v.deliveries === 1 ? 'delivery' : 'deliveries'}`
  return slips > 0
    ? `${sample}, ${slip}; ${Math.round((v.believed ?? 0) * 100)} % of that is expected`
    : `${sample}, ${slip}`
}
