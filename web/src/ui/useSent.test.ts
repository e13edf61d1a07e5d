// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useSent } from './useSent'

describe('a field that is sent as soon as it is chosen', () => {
  let answer: (taken: boolean | undefined) => void
  const field = () =>
    renderHook(
      ({ said }: { said: string }) =>
        useSent(said, () => new Promise<boolean | undefined>((done) => (answer = done))),
      { initialProps: { said: 'open' } },
    )

  beforeEach(() => void vi.useFakeTimers())
  afterEach(() => void vi.useRealTimers())

  it('never shows what was before between the answer and what is said next', async () => {
    const { result, rerender } = field()
    act(() => result.current.choose('shut'))
    expect(result.current).toMatchObject({ shown: 'shut', sending: true })
    await act(async () => answer(true))
    expect(result.current).toMatchObject({ shown: 'shut', sending: false })
    rerender({ said: 'shut' })
    expect(result.current.shown).toBe('shut')
    // Somebody else opens it again.
    rerender({ said: 'open' })
    expect(result.current.shown).toBe('open')
  })

  it('goes back where it was not taken', async () => {
    const { result } = field()
    act(() => result.current.choose('shut'))
    await act(async () => answer(undefined))
    expect(result.current).toMatchObject({ shown: 'open', sending: false })
  })

  it('shows what is said where that does not follow: somebody was quicker', async () => {
    const { result } = field()
    act(() => result.current.choose('shut'))
    await act(async () => answer(true))
    act(() => void vi.advanceTimersByTime(14_000))
    expect(result.current.shown).toBe('shut')
    act(() => void vi.advanceTimersByTime(2_000))
    expect(result.current.shown).toBe('open')
  })

  it('takes what is chosen while the one before is not read back', async () => {
    const { result, rerender } = field()
    act(() => result.current.choose('shut'))
    await act(async () => answer(true))
    act(() => result.current.choose('open'))
    expect(result.current).toMatchObject({ shown: 'open', sending: true })
    rerender({ said: 'shut' })
    expect(result.current.shown).toBe('open')
    await act(async () => answer(true))
    expect(result.current.shown).toBe('open')
    rerender({ said: 'open' })
    expect(result.current.shown).toBe('open')
  })
})
