// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { boardWith, inRoom, job } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { OutworkSheet } from './OutworkSheet'

const sheet = (more = {}) => ({
  id: 'o1',
  buildId: 'b61',
  vendorId: 'v1',
  name: 'Rolling road',
  status: 'TODO',
  specification: 'to 98 fuel',
  driver: '',
  trailer: false,
  send: [
    { item: 'oil warm', done: true, answer: '' },
    { item: 'logger fitted', done: false, answer: '' },
  ],
  back: [
    { item: 'plugs looked at', done: false, answer: '' },
    { item: 'a', job: 'Clean injectors', hasJob: false, done: false, answer: '' },
    { item: 'b', job: 'Fresh oil', hasJob: true, done: false, answer: '' },
  ],
  ...more,
})
const board = (status: string) =>
  boardWith({
    works: [
      job('o1', { kind: 'OUTWORK', job: undefined, status, outwork: { backLikely: '2026-11-27T15:00:00Z' } }),
    ],
    vendors: [{ id: 'v1', name: 'Tuner', phone: '0123', offers: [], times: [] }],
  })
const CHECK = 'POST /api/outworks/o1/checks'
const SEND = 'POST /api/outworks/o1/send'

let closed = vi.fn()
const open = (answer = sheet()) => {
  on('GET /api/outworks/o1', () => answer)
  inRoom(<OutworkSheet id="o1" onClose={closed} />, board(answer.status))
}

describe('work outside', () => {
  beforeEach(() => {
    newServer()
    closed = vi.fn()
    on('GET /api/board/news', () => ({ lists: {} }))
    on('GET /api/outworks/o1/slots', () => ({ offered: [] }))
    on('GET /api/odds', () => ({}))
  })

  it('warns of what is open before it leaves, and lets it leave on a second word', async () => {
    on(SEND, () => new Refusal(422, { detail: 'Open is: logger fitted.' }))
    open()
    expect(await screen.findByText('1 open')).toBeDefined()
    expect(screen.queryByRole('button', { name: 'Send it all the same' })).toBeNull()
    await userEvent.click(screen.getByRole('button', { name: 'It has left' }))
    expect((await screen.findByRole('alert')).textContent).toContain('Open is: logger fitted.')
    on(SEND, () => undefined)
    await userEvent.click(screen.getByRole('button', { name: 'Send it all the same' }))
    await waitFor(() => askedFor(SEND, 1))
    expect(asked(SEND).map((a) => a.body)).toEqual([{ anyway: false }, { anyway: true }])
  })

  it('keeps a tick from the press until the list says so', async () => {
    let read = 0
    on(CHECK, () => undefined)
    open()
    on('GET /api/outworks/o1', () => {
      read++
      return sheet()
    })
    const tick = await screen.findByRole<HTMLInputElement>('checkbox', { name: 'logger fitted' })
    await userEvent.click(tick)
    await waitFor(() => askedFor(CHECK))
    expect(askedFor(CHECK).body).toEqual({ side: 'SEND', item: 'logger fitted', done: true, answer: '' })
    // The list is read again and knows nothing of it yet.
    await waitFor(() => expect(read).toBeGreaterThan(0))
    expect(screen.getByRole<HTMLInputElement>('checkbox', { name: 'logger fitted' }).checked).toBe(true)
  })

  it('sends a note before the tick that was pressed to leave it', async () => {
    const slow: (() => void)[] = []
    on(CHECK, () => new Promise<void>((answered) => slow.push(() => answered())))
    open()
    await userEvent.type(await screen.findByLabelText('Note on: logger fitted'), 'on the shelf')
    await userEvent.click(screen.getByRole('checkbox', { name: 'logger fitted' }))
    await waitFor(() => expect(slow).toHaveLength(1))
    slow[0]!()
    await waitFor(() => expect(slow).toHaveLength(2))
    slow[1]!()
    expect(asked(CHECK).map((a) => a.body)).toEqual([
      { side: 'SEND', item: 'logger fitted', done: false, answer: 'on the shelf' },
      { side: 'SEND', item: 'logger fitted', done: true, answer: 'on the shelf' },
    ])
  })

  it('puts back a tick that was not taken', async () => {
    on(CHECK, () => new Refusal(409, { detail: 'It has left already.' }))
    open()
    await userEvent.click(await screen.findByRole('checkbox', { name: 'logger fitted' }))
    expect(await screen.findByText('It has left already.')).toBeDefined()
    expect(screen.getByRole<HTMLInputElement>('checkbox', { name: 'logger fitted' }).checked).toBe(false)
  })

  it('makes jobs of what is ticked on return, not again of what is planned already', async () => {
    const RETURN = 'POST /api/outworks/o1/return'
    on(RETURN, () => ({ jobs: ['Clean injectors'] }))
    open(sheet({ status: 'STARTED', promisedBack: '2026-11-26T15:00:00Z' }))
    expect(await screen.findByText('Fresh oil (is planned already)')).toBeDefined()
    expect(document.body.textContent).toContain('back likely Fri 16:00')
    expect(document.body.textContent).toContain('(promised Thu 16:00)')
    await userEvent.type(screen.getByLabelText('Limits that were met'), 'lean above 7000')
    await userEvent.click(screen.getByRole('button', { name: 'It is back' }))
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(askedFor(RETURN).body).toEqual({ jobs: ['Clean injectors'], limits: 'lean above 7000' })
    expect(await screen.findByText('Planned: Clean injectors.')).toBeDefined()
  })

  it('writes the order down only where something of it was changed', async () => {
    const PUT = 'PUT /api/outworks/o1/sheet'
    on(PUT, () => undefined)
    open()
    const asksFor = await screen.findByLabelText('What is asked, and the questions')
    expect(screen.queryByRole('button', { name: 'Write it down' })).toBeNull()
    await userEvent.type(asksFor, ', two runs')
    await userEvent.type(screen.getByLabelText('Price'), '480.50')
    await userEvent.click(screen.getByRole('button', { name: 'Write it down' }))
    await waitFor(() => askedFor(PUT))
    expect(askedFor(PUT).body).toEqual({
      specification: 'to 98 fuel, two runs',
      driver: '',
      trailer: false,
      price: 480.5,
    })
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Write it down' })).toBeNull())
  })
})
