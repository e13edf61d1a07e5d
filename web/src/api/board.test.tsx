// @vitest-environment jsdom
import { act, renderHook, waitFor } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { asked, askedFor, newServer, on } from '../testing/server'
import { Around, boardWith, job, newQueries } from '../testing/room'
import { useBoardQuery, useRefresh } from './board'

const NEWS = 'GET /api/board/news'

function screenOf() {
  const queries = newQueries()
  return renderHook(() => ({ board: useBoardQuery(), refresh: useRefresh() }), {
    wrapper: ({ children }) => <Around queries={queries}>{children}</Around>,
  })
}

describe('the board', () => {
  let change = 1
  const kept = job('kept')
  beforeEach(() => {
    newServer()
    change = 1
    on('GET /api/board', () => boardWith({ works: [kept, job('moved')] }))
    on(NEWS, () => ({
      changed: boardWith({
        change,
        edition: `of ${change}`,
        works: change > 1 ? [job('moved', { note: 'later' })] : [],
      }),
      lists: {},
    }))
  })

  it('is fetched whole once, and then only what is new since its edition', async () => {
    const { result } = screenOf()
    await waitFor(() => expect(result.current.board.data?.work.size).toBe(2))
    const before = result.current.board.data
    change = 2
    await act(() => result.current.refresh())
    const after = result.current.board.data
    expect(asked('GET /api/board')).toHaveLength(1)
    expect(asked(NEWS).map((a) => a.query.get('since'))).toEqual(['first'])
    expect(after?.work.get('moved')?.note).toBe('later')
    expect(after?.work.get('kept')).toBe(before?.work.get('kept'))
    change = 3
    await act(() => result.current.refresh())
    expect(askedFor(NEWS, 1).query.get('since')).toBe('of 2')
  })

  it('is not asked for again for a change that it has', async () => {
    const { result } = screenOf()
    await waitFor(() => expect(result.current.board.data).toBeDefined())
    await act(() => result.current.refresh(1))
    expect(asked(NEWS)).toEqual([])
    change = 2
    await act(() => Promise.all([result.current.refresh(2), result.current.refresh(2)]))
    expect(asked(NEWS)).toHaveLength(1)
    await waitFor(() => expect(result.current.board.data?.board.change).toBe(2))
  })

  it('asks once more where the news on their way were of an earlier change', async () => {
    const { result } = screenOf()
    await waitFor(() => expect(result.current.board.data).toBeDefined())
    let release: () => void = () => undefined
    on(NEWS, async () => {
      const first = asked(NEWS).length === 1
      if (first) await new Promise<void>((done) => (release = () => done()))
      const of = first ? 1 : 2
      return { changed: boardWith({ change: of, edition: `of ${of}` }), lists: {} }
    })
    let going: Promise<unknown> = Promise.resolve()
    act(() => {
      going = result.current.refresh()
    })
    await waitFor(() => expect(asked(NEWS)).toHaveLength(1))
    await act(async () => {
      const heard = result.current.refresh(2)
      release()
      await Promise.all([going, heard])
    })
    await waitFor(() => expect(result.current.board.data?.board.change).toBe(2))
  })
})
