import { useEffect, useRef, useState } from 'react'
import type { Schemas } from './client'

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

/** Listens to changes; heals by itself. Returns whether the connection stands. */
export function useLive(
  onChange: (change: LiveChange) => void,
  onBack: () => void,
  onThought: () => void,
  onNews: (pushed: PushedNews) => void,
): boolean {
  const [connected, setConnected] = useState(true)
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
    let lost = false
    const open = () => {
      source = new EventSource('/api/live')
      source.addEventListener('hello', () => {
        setConnected(true)
        if (lost) back.current()
        lost = false
      })
      source.addEventListener('change', (event) =>
        change.current(JSON.parse((event as MessageEvent<string>).data) as LiveChange),
      )
      source.addEventListener('news', (event) =>
        news.current(JSON.parse((event as MessageEvent<string>).data) as PushedNews),
      )
      source.addEventListener('thought', () => thought.current())
      source.onerror = () => {
        lost = true
        setConnected(false)
        if (source?.readyState === EventSource.CLOSED) timer = window.setTimeout(open, RETRY_MILLIS)
      }
    }
    open()
    return () => {
      source?.close()
      window.clearTimeout(timer)
    }
  }, [])
  return connected
}
