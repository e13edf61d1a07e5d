// @vitest-environment jsdom
import { notifications } from '@mantine/notifications'
import { act, renderHook, screen, waitFor } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { asked, newServer, on, Refusal } from '../testing/server'
import { Around, boardWith, newQueries } from '../testing/room'
import { useBoardQuery } from './board'
import { client, dataOf } from './client'
import { useSend } from './send'

const PUBLISH = 'POST /api/plan/publish'
const NEWS = 'GET /api/board/news'

/** Both on one screen: a board that is shown, and a button that sends. */
function both() {
  const queries = newQueries()
  const hook = renderHook(() => ({ send: useSend(), board: useBoardQuery() }), {
    wrapper: ({ children }) => <Around queries={queries}>{children}</Around>,
  })
  return { queries, ...hook }
}

const publish = () => dataOf(client.POST('/api/plan/publish'))

describe('sending a change', () => {
  let change = 1
  beforeEach(() => {
    newServer()
    notifications.clean()
    notifications.cleanQueue()
    change = 1
    on('GET /api/board', () => boardWith())
    on(NEWS, () => ({ changed: boardWith({ change, edition: `of ${change}` }), lists: {} }))
    on(PUBLISH, () => {
      change++
      return undefined
    })
  })

  it('shows the new board once it is answered, and asks for it once', async () => {
    const { result } = both()
    await waitFor(() => expect(result.current.board.data?.board.change).toBe(1))
    await act(() => result.current.send.send(async () => (await publish(), 'told')))
    await waitFor(() => expect(result.current.board.data?.board.change).toBe(2))
    expect(asked(NEWS).map((a) => a.query.get('since'))).toEqual(['first'])
    expect(result.current.send.busy).toBe(false)
  })

  it('is busy from the click to the new board', async () => {
    let release: () => void = () => undefined
    on(PUBLISH, () => new Promise<void>((done) => (release = () => done())))
    const { result } = both()
    await waitFor(() => expect(result.current.board.data).toBeDefined())
    let sent: Promise<unknown> = Promise.resolve()
    act(() => {
      sent = result.current.send.send(publish)
    })
    await waitFor(() => expect(result.current.send.busy).toBe(true))
    change = 2
    await act(async () => {
      release()
      await sent
    })
    expect(result.current.send.busy).toBe(false)
  })

  it('says what was refused where no field takes it, and can be sent again', async () => {
    on(PUBLISH, () => new Refusal(422, { detail: 'Bo is on leave.' }))
    const { result } = both()
    await waitFor(() => expect(result.current.board.data).toBeDefined())
    const got = await act(() => result.current.send.send(publish))
    expect(got).toBeUndefined()
    expect(await screen.findByText('Bo is on leave.')).toBeDefined()
    expect(asked(NEWS)).toEqual([])
    expect(result.current.send.busy).toBe(false)
  })

  it('leaves to a form what the form has a place for', async () => {
    on(PUBLISH, () => new Refusal(422, { detail: 'Not so.', problems: [{ field: 'due', message: 'Past.' }] }))
    const { result } = both()
    await waitFor(() => expect(result.current.board.data).toBeDefined())
    const place = document.body.appendChild(document.createElement('p'))
    await act(() =>
      result.current.send.send(publish, (problem) => {
        place.textContent = problem.problems.map((p) => `${p.field}: ${p.message}`).join()
        return true
      }),
    )
    expect(screen.getByText('due: Past.')).toBeDefined()
    expect(screen.queryByText('Not done')).toBeNull()
    place.remove()
  })

  it('waits for a form that is slow to draw, and can be sent again meanwhile', async () => {
    on(PUBLISH, () => new Refusal(422, { detail: 'Not so.', problems: [{ field: 'due', message: 'Past.' }] }))
    const { result } = both()
    await waitFor(() => expect(result.current.board.data).toBeDefined())
    const place = document.body.appendChild(document.createElement('p'))
    const drawn = new Promise<void>((done) =>
      setTimeout(() => {
        place.textContent = 'due: Past.'
        done()
      }, 400),
    )
    await act(() => result.current.send.send(publish, () => true))
    expect(result.current.send.busy).toBe(false)
    expect(place.textContent).toBe('')
    await act(() => drawn)
    await act(() => new Promise((done) => setTimeout(done, 600)))
    expect(screen.queryByText('Not done')).toBeNull()
    place.remove()
  })

  it('says itself what a form took and has no place for', async () => {
    on(PUBLISH, () => new Refusal(422, { detail: 'Not so.', problems: [{ field: 'due', message: 'Past.' }] }))
    const { result } = both()
    await waitFor(() => expect(result.current.board.data).toBeDefined())
    await act(() => result.current.send.send(publish, () => true))
    expect(await screen.findByText('Past.', {}, { timeout: 5_000 })).toBeDefined()
  })

  it('says that nobody answers, and that nothing is lost', async () => {
    on(PUBLISH, () => {
      throw new TypeError('fetch failed')
    })
    const { result } = both()
    await waitFor(() => expect(result.current.board.data).toBeDefined())
    await act(() => result.current.send.send(publish))
    expect(await screen.findByText(/cannot be reached. What you typed is still here/)).toBeDefined()
  })
})
