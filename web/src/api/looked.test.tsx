// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { lookNow, LOOKS_MILLIS, useLooked } from './looked'

describe('what is looked up beside the board', () => {
  beforeEach(() => {
    vi.useFakeTimers()
    vi.spyOn(Math, 'random').mockReturnValue(0)
  })
  afterEach(() => {
    vi.useRealTimers()
    vi.restoreAllMocks()
  })

  const pass = (millis: number) => act(() => void vi.advanceTimersByTime(millis))
  const screenAt = (change?: number) =>
    renderHook(({ change }: { change?: number | undefined }) => useLooked(change), {
      initialProps: { change },
    })

  it('follows the first change of others at once, and then one in so long', () => {
    const { result, rerender } = screenAt(1)
    rerender({ change: 2 })
    pass(1)
    expect(result.current).toBe(2)
    for (let change = 3; change < 20; change++) {
      rerender({ change })
      pass(LOOKS_MILLIS / 20)
    }
    expect(result.current).toBe(2)
    pass(LOOKS_MILLIS)
    expect(result.current).toBe(19)
  })

  it('is not put off by changes without an end', () => {
    const { result, rerender } = screenAt(1)
    const seen = new Set<number | undefined>()
    for (let change = 2; change < 402; change++) {
      rerender({ change })
      pass(LOOKS_MILLIS / 100)
      seen.add(result.current)
    }
    expect(seen.size).toBeGreaterThanOrEqual(4)
    expect(seen.size).toBeLessThanOrEqual(6)
  })

  it('begins with the board, however soon something is changed here', () => {
    vi.spyOn(Math, 'random').mockReturnValue(0.9)
    const { result, rerender } = screenAt()
    expect(result.current).toBeUndefined()
    rerender({ change: 1 })
    pass(1)
    expect(result.current).toBe(1)
    rerender({ change: 2 })
    act(() => lookNow())
    pass(1)
    expect(result.current).toBe(2)
  })

  it('is not looked up by all screens at the same moment', () => {
    vi.spyOn(Math, 'random').mockReturnValue(0.5)
    const { result, rerender } = screenAt(1)
    rerender({ change: 2 })
    pass(1_400)
    expect(result.current).toBe(1)
    pass(200)
    expect(result.current).toBe(2)
  })

  it('follows what is changed here at once', () => {
    const { result, rerender } = screenAt(1)
    rerender({ change: 2 })
    pass(1)
    rerender({ change: 3 })
    act(() => lookNow())
    pass(1)
    expect(result.current).toBe(3)
  })
})
