// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Schemas } from '../api/client'
import { boardWith, inRoom } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { said, ThinkHarder } from './ThinkHarder'
import { WhatMoved } from './WhatMoved'

const MARA = { username: 'mara', name: 'Mara', role: 'MANAGER' } as Schemas['Account']
const SEF = { username: 'sef', name: 'Sef', role: 'LEAD' } as Schemas['Account']
const MOVED = 'GET /api/plan/moved'
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }))
const button = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name })

beforeEach(() => {
  newServer()
  on('GET /api/board/news', () => ({ lists: {} }))
})

describe('what moved since people were told', () => {
  let closed = vi.fn()
  const draft = (more = {}) => boardWith({ draft: { moved: 2, thawed: [], ...more } })
  const shown = (board = draft(), account = MARA) =>
    inRoom(<WhatMoved account={account} onClose={closed} />, board)
  beforeEach(() => {
    closed = vi.fn()
    on(MOVED, () => ({
      byPerson: [{ name: 'Bo', said: ['61 Fit loom: Thu 09:00 → Fri 09:00'] }],
      byCar: [{ name: '61 Red coupe', said: ['Fit loom: Bo instead of Kit'] }],
    }))
  })

  it('is told by person or by car', async () => {
    shown()
    expect(await screen.findByText('61 Fit loom: Thu 09:00 → Fri 09:00')).toBeDefined()
    await userEvent.click(screen.getByLabelText('By car'))
    expect(screen.getByText('Fit loom: Bo instead of Kit')).toBeDefined()
    expect(screen.queryByText('61 Fit loom: Thu 09:00 → Fri 09:00')).toBeNull()
  })

  it('names what was frozen and could not stay', async () => {
    shown(draft({ thawed: ['Fit loom on Thursday: Bo is away'] }))
    expect(await screen.findByText('Fit loom on Thursday: Bo is away')).toBeDefined()
  })

  it('is published, or dropped, by the manager alone', async () => {
    on('POST /api/plan/publish', () => undefined)
    const { unmount } = shown()
    await screen.findByText('Bo')
    await press('Publish')
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    // Of what was looked at: what another drafts meanwhile is not told unseen.
    expect(asked('POST /api/plan/publish').map((a) => a.query.get('looked'))).toEqual(['1'])
    unmount()
    shown(draft(), SEF)
    await screen.findByText('Bo')
    expect(screen.queryByRole('button', { name: 'Publish' })).toBeNull()
    expect(screen.queryByRole('button', { name: 'Drop the draft' })).toBeNull()
  })

  it('stays open where it could not be published', async () => {
    on('POST /api/plan/publish', () => new Refusal(409, { detail: 'It was published a moment ago.' }))
    shown()
    await screen.findByText('Bo')
    await press('Publish')
    expect(await screen.findByText('It was published a moment ago.')).toBeDefined()
    expect(closed).toHaveBeenCalledTimes(0)
  })

  it('says that people work to this plan where nothing moved', async () => {
    on(MOVED, () => ({ byPerson: [], byCar: [] }))
    shown(draft({ moved: 0 }))
    expect(await screen.findByText('Nothing. People work to this plan.')).toBeDefined()
    expect(button('Publish').disabled).toBe(true)
  })

  it('says what is wrong where it cannot be looked up', async () => {
    on(MOVED, () => new Refusal(500, { detail: 'That did not work.' }))
    shown()
    expect(await within(screen.getByRole('dialog')).findByText('That did not work.')).toBeDefined()
  })
})

describe('thinking harder', () => {
  const figures = (more = {}) => ({ missing: 0, hard: 10, promised: 4, rest: 20, ...more })
  const thought = (more = {}) => ({
    id: 't1',
    kind: 'HARDER',
    state: 'RUNNING',
    seconds: 60,
    harder: { seconds: 12.4, before: figures(), best: figures({ hard: 7.5 }) },
    ...more,
  })

  it('is asked for a minute of it', async () => {
    on('GET /api/thoughts', () => [])
    on('POST /api/thoughts/harder', () => ({ id: 't1' }))
    inRoom(<ThinkHarder />)
    await press('Think harder')
    await waitFor(() => askedFor('POST /api/thoughts/harder'))
    expect(askedFor('POST /api/thoughts/harder').body).toEqual({ seconds: 60 })
  })

  it('says how far it is and what it has won, and is stopped', async () => {
    on('GET /api/thoughts', () => [thought()])
    on('POST /api/thoughts/t1/stop', () => undefined)
    inRoom(<ThinkHarder />)
    expect(await screen.findByText(/thinking, 12 of 60 s: 2.5 h late at events and slots won/)).toBeDefined()
    await press('Stop')
    await waitFor(() => askedFor('POST /api/thoughts/t1/stop'))
  })

  it('says that it waits for its turn', async () => {
    on('GET /api/thoughts', () => [thought({ state: 'WAITING', harder: undefined })])
    inRoom(<ThinkHarder />)
    expect(await screen.findByText(/waiting for its turn/)).toBeDefined()
  })

  it('remembers what came of the last time', async () => {
    on('GET /api/thoughts', () => [thought({ state: 'DONE' })])
    inRoom(<ThinkHarder />)
    await waitFor(() =>
      expect(button('Think harder').title).toBe('Last time: 2.5 h late at events and slots won'),
    )
  })

  it.each([
    [figures({ missing: 3 }), figures({ missing: 1, hard: 99 }), '2 jobs that cannot be planned won'],
    [figures(), figures({ hard: 9.4 }), '0.6 h late at events and slots won'],
    [figures(), figures({ promised: 1 }), '3 h late at promises won'],
    [figures(), figures({ rest: 19.5 }), '0.5 points of all else won'],
    [figures(), figures({ hard: 10.04 }), undefined],
    // What comes first is lost: nothing that comes after it makes up for that.
    [figures(), figures({ hard: 11, rest: 0 }), undefined],
  ])('compares %j with %j by the first figure that differs', (before, best, words) =>
    expect(said(before, best)).toBe(words),
  )
})
