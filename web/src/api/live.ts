import { useEffect, useRef } from 'react'
import { isAway, isBack } from './away'
import { client, dataOf, type Schemas } from './client'

/** What every screen hears of a change. */
export interface LiveChange {
  change: number
  at: string
  actor: string
  summary: string
  moved: number
  margins: string[]
  toTell: string[]
}

/** What is new on the board since an edition of it, told without asking. */
export interface PushedNews {
  since: string
  news: Schemas['BoardNews']
}

/** A closed connection is opened again after this long. */
const RETRY_MILLIS = 1_000
/** The server gives a sign of life every five seconds; one that gave none for so long is lost. */
const SILENT_MILLIS = 20_000

const read = <T>(event: Event) => JSON.parse((event as MessageEvent<string>).data) as T

/** What is done with what is heard. */
export interface Listener {
  /** Somebody changed something. */
  onChange: (change: LiveChange) => void
  /** The stream is open; that was the last change before it. One that came after the page was read is not told again. */
  onOpened: (last: number) => void
  /** The server, or its database, is back: anything may have been missed. */
  onBack: () => void
  /** Long thinking is further, or at its end. */
  onThought: () => void
  /** The board has changed, and this is what is new on it. */
  onNews: (pushed: PushedNews) => void
}

/** Listens to changes, and to whether the server and its database are there; heals by itself. */
export function useLive(listener: Listener) {
  const now = useRef(listener)
  useEffect(() => {
    now.current = listener
  })
  useEffect(() => {
    let source: EventSource | undefined
    let timer: number | undefined
    let silent: number | undefined
    let lost = false
    const lose = () => {
      lost = true
      isAway('news', 'stream')
      // Whether it is the stream alone, or the server, is seen by asking.
      void dataOf(client.GET('/api/me')).catch(() => undefined)
    }
    const again = () => {
      source?.close()
      window.clearTimeout(timer)
      timer = window.setTimeout(open, RETRY_MILLIS)
    }
    const heard = () => {
      window.clearTimeout(silent)
      silent = window.setTimeout(() => {
        lose()
        again()
      }, SILENT_MILLIS)
    }
    const open = () => {
      source = new EventSource('/api/live')
      heard()
      source.addEventListener('hello', (event) => {
        heard()
        isBack('stream')
        const { last } = read<{ last?: number }>(event)
        if (lost) now.current.onBack()
        else if (last !== undefined) now.current.onOpened(last)
        lost = false
      })
      source.addEventListener('away', () => {
        heard()
        lost = true
        isAway('database', 'stream')
      })
      source.addEventListener('beat', heard)
      source.addEventListener('change', (event) => now.current.onChange(read(event)))
      source.addEventListener('news', (event) => now.current.onNews(read(event)))
      source.addEventListener('thought', () => now.current.onThought())
      source.onerror = () => {
        lose()
        if (source?.readyState === EventSource.CLOSED) again()
      }
    }
    open()
    return () => {
      source?.close()
      window.clearTimeout(timer)
      window.clearTimeout(silent)
      // Nobody listens any more, so nothing is missed.
      isBack('stream')
    }
  }, [])
}
