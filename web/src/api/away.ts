import { useSyncExternalStore } from 'react'

/** What does not come: an answer of the server, one that its database gives, or news of what others do. */
export type Missing = 'server' | 'database' | 'news'

/** What a screen cannot reach just now, and what was not saved for it. */
export interface Away {
  /** What does not answer; absent once it does again. */
  what?: Missing
  /** Since when, by the clock of this screen, in milliseconds. */
  since: number
  /** What was pressed meanwhile and is not saved, in the words on the screen. */
  notSaved: string[]
}

const MOST_TOLD = 8

/** How it is known: by requests, or by the stream of news. Each is back by itself. */
type By = 'requests' | 'stream'

const missing: { [by in By]?: Missing | undefined } = {}
let away: Away | undefined
const listeners = new Set<() => void>()

function set(next: Away | undefined) {
  away = next
  listeners.forEach((listener) => listener())
}

function tell() {
  const what = missing.requests ?? missing.stream
  if (what === away?.what) return
  const notSaved = away?.notSaved ?? []
  if (what) set({ what, since: away?.what ? away.since : Date.now(), notSaved })
  else set(notSaved.length > 0 ? { since: away?.since ?? Date.now(), notSaved } : undefined)
}

/** Something does not answer. */
export function isAway(what: Missing, by: By = 'requests') {
  missing[by] = what
  tell()
}

/** It answers again; what was not saved is still to be told. The stream greets only where all is there. */
export function isBack(by: By = 'requests') {
  delete missing[by]
  if (by === 'stream') delete missing.requests
  tell()
}

/** Something was pressed and is not saved. */
export function wasNotSaved(pressed: string) {
  if (away) set({ ...away, notSaved: [...away.notSaved, pressed].slice(-MOST_TOLD) })
}

/** What was not saved has been read. */
export function forgetNotSaved() {
  if (away) set(away.what ? { ...away, notSaved: [] } : undefined)
}

/** What is away just now, and what was not saved. */
export function useAway(): Away | undefined {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    () => away,
  )
}

const LONGEST = 60

/** What has just been pressed, in the words on the screen: what was typed, or the button and what it belongs to. */
export function pressed(): string {
  const at = document.activeElement
  const said = typed(at) ?? [called(at), button(at)].filter(Boolean).join(': ')
  return said.length > LONGEST ? `${said.slice(0, LONGEST - 1)}…` : said || 'a change'
}

/** What stands in the line that was sent; a password is nobody's to read. */
function typed(at: Element | null): string | undefined {
  const line = (at instanceof HTMLInputElement && at.type === 'text') || at instanceof HTMLTextAreaElement
  return line && at.value.trim() ? `“${at.value.trim()}”` : undefined
}

const called = (at: Element | null) =>
  at?.closest('[role=dialog]')?.querySelector('h2')?.textContent?.trim() ??
  at?.closest('article')?.getAttribute('aria-label')

const button = (at: Element | null) =>
  at === document.body ? '' : (at?.getAttribute('aria-label') ?? at?.textContent ?? '').trim()
