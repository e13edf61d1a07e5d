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

/** Listens to changes, and to whether the server and its database are there; heals by itself. */
export function useLive(
  onChange: (change: LiveChange) => void,
  onBack: () => void,
  onThought: () => void,
  onNews: (pushed: PushedNews) => void,
) {
  const change = useRef(onChange)
  const back = useRef(onBack)
  const thought = useRef(onThought)
  const news = useRef(onNews)
  useEffect(() => {
    change.current = onChange
    back.current = onBack
    thought.current = onThought
    news.current = onNews
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
      source.addEventListener('hello', () => {
        heard()
        isBack('stream')
        if (lost) back.current()
        lost = false
      })
      source.addEventListener('away', () => {
        heard()
        lost = true
        isAway('database', 'stream')
      })
      source.addEventListener('beat', heard)
      source.addEventListener('change', (event) =>
        change.current(JSON.parse((event as MessageEvent<string>).data) as LiveChange),
      )
      source.addEventListener('news', (event) =>
        news.current(JSON.parse((event as MessageEvent<string>).data) as PushedNews),
      )
      source.addEventListener('thought', () => thought.current())
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
