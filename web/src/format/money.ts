/** "1 234.50" with the currency where it is given; amounts come from the server to the cent. */
export function amount(value: number | undefined, currency?: string): string {
  if (value === undefined) return '—'
  const [whole, cents] = Math.abs(value).toFixed(2).split('.')
  const grouped = whole!.replace(/\B(?=(\d{3})+(?!\d))/g, ' ')
  return `${value < 0 ? '−' : ''}${grouped}.${cents}${currency ? ` ${currency}` : ''}`
}

/** "12.5 h" */
export function hours(value: number): string {
  return `${Number(value.toFixed(1))} h`
}
