// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useAway } from './away'
import { newServer, on } from '../testing/server'
import { useLive } from './live'

/** A stream of events whose server is the test. */
class Stream extends EventTarget {
  static readonly CLOSED = 2
  static all: Stream[] = []
  readyState = 1
  onerror: () => void = () => undefined
  constructor(readonly url: string) {
    super()
    Stream.all.push(this)
  }
  close() {
    this.readyState = Stream.CLOSED
  }
  say(name: string, data: unknown = {}) {
    act(() => void this.dispatchEvent(new MessageEvent(name, { data: JSON.stringify(data) })))
  }
  /** The connection is lost; the browser tries again by itself unless it was closed for good. */
  lose(forGood: boolean) {
    if (forGood) this.readyState = Stream.CLOSED
    act(() => this.onerror())
  }
}

const stream = (i: number) => Stream.all[i] as Stream

describe('live news', () => {
  beforeEach(() => {
    Stream.all = []
    vi.useFakeTimers()
    vi.stubGlobal('EventSource', Stream)
    newServer()
    on('GET /api/me', () => ({}))
  })
  afterEach(() => {
    vi.useRealTimers()
    vi.unstubAllGlobals()
  })

  const listening = () => {
    const heard: string[] = []
    const hook = renderHook(() => {
      useLive({
        onChange: (change) => heard.push(`${change.actor} ${change.summary}`),
        onOpened: (change) => heard.push(`opened at ${change}`),
        onBack: () => heard.push('back'),
        onThought: () => heard.push('thought'),
        onNews: (pushed) => heard.push(`news since ${pushed.since}`),
      })
      return useAway()?.what
    })
    return { heard, ...hook }
  }

  it('are heard, changes and thoughts', () => {
    const { heard, result } = listening()
    stream(0).say('hello')
    stream(0).say('change', { actor: 'Mara', summary: 'pinned Load' })
    stream(0).say('news', { since: 'e1', news: {} })
    stream(0).say('thought')
    expect(heard).toEqual(['Mara pinned Load', 'news since e1', 'thought'])
    expect(result.current).toBeUndefined()
  })

  it('say at first which change was the last before them, and after a loss that anything may be missing', () => {
    const { heard } = listening()
    stream(0).say('hello', { last: 7 })
    stream(0).lose(false)
    stream(0).say('hello', { last: 9 })
    expect(heard).toEqual(['opened at 7', 'back'])
  })

  it('say that the database is away, and when it is back', () => {
    const { heard, result } = listening()
    stream(0).say('hello')
    stream(0).say('away')
    expect(result.current).toBe('database')
    stream(0).say('beat')
    expect(result.current).toBe('database')
    stream(0).say('hello')
    expect(result.current).toBeUndefined()
    expect(heard).toEqual(['back'])
  })

  it('are opened anew where nothing at all was heard for too long', () => {
    const { result } = listening()
    stream(0).say('hello')
    act(() => void vi.advanceTimersByTime(15_000))
    stream(0).say('beat')
    act(() => void vi.advanceTimersByTime(15_000))
    expect(result.current).toBeUndefined()
    act(() => void vi.advanceTimersByTime(6_000))
    expect(result.current).toBe('news')
    expect(Stream.all).toHaveLength(2)
    stream(1).say('hello')
    expect(result.current).toBeUndefined()
  })

  it('say that the connection is lost, and ask for all that was missed when it is back', () => {
    const { heard, result } = listening()
    stream(0).say('hello')
    stream(0).lose(false)
    expect(result.current).toBe('news')
    stream(0).say('hello')
    expect(result.current).toBeUndefined()
    expect(heard).toEqual(['back'])
    expect(Stream.all).toHaveLength(1)
  })

  it('are opened anew where the server has shut the stream for good', () => {
    const { heard } = listening()
    stream(0).say('hello')
    stream(0).lose(true)
    act(() => void vi.advanceTimersByTime(999))
    expect(Stream.all).toHaveLength(1)
    act(() => void vi.advanceTimersByTime(1))
    expect(Stream.all).toHaveLength(2)
    stream(1).say('hello')
    expect(heard).toEqual(['back'])
  })

  it('end with the screen', () => {
    const { unmount } = listening()
    stream(0).lose(true)
    unmount()
    act(() => void vi.advanceTimersByTime(5000))
    expect(Stream.all).toHaveLength(1)
    expect(stream(0).readyState).toBe(Stream.CLOSED)
  })
})
