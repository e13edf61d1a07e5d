import { useEffect, useState } from 'react'

/** What was taken and is still not read back after so long was changed by somebody else. */
const LONGEST_MILLIS = 15_000

export type Send<T> = (value: T) => Promise<boolean | undefined | void>

interface Sent<T> {
  value: T
  taken: boolean
}

/**
 * The value of a field that is sent as soon as it is chosen: what was chosen shows at once and stays until what is said of
 * it has followed, so that it never jumps back in between; what was not taken goes back.
 *
 * @param said what the record says
 * @param send sends what was chosen; true where it was taken
 */
export function useSent<T>(said: T, send: Send<T>) {
  const [sent, setSent] = useState<Sent<T>>()
  // What is said has followed: from here on it leads.
  if (sent?.taken && sent.value === said) setSent(undefined)
  useEffect(() => {
    if (!sent?.taken) return
    const timer = window.setTimeout(() => setSent(undefined), LONGEST_MILLIS)
    return () => window.clearTimeout(timer)
  }, [sent])
  const choose = (value: T) => {
    setSent({ value, taken: false })
    send(value).then(
      (answer) => setSent(answer === true ? { value, taken: true } : undefined),
      () => setSent(undefined),
    )
  }
  return { shown: sent ? sent.value : said, choose, sending: sent?.taken === false }
}
