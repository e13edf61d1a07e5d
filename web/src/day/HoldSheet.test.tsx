// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { boardWith, inRoom, job } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { FindingSheet } from './FindingSheet'
import { HoldSheet } from './HoldSheet'

const LOOM = job('loom', { name: 'Fit loom', job: { ...job('x').job, parts: ['p1', 'gone'] } })
const BOARD = boardWith({
  works: [LOOM],
  parts: [{ id: 'p1', name: 'Boot', state: 'ORDERED', buildId: 'b61' }],
})
const HOLD = 'POST /api/works/loom/hold'
const CAPTURE = 'POST /api/builds/b61/capture'

let closed = vi.fn()
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }))

describe('a hold on the phone', () => {
  beforeEach(() => {
    newServer()
    closed = vi.fn()
    on('GET /api/board/news', () => ({ lists: {} }))
    on(HOLD, () => undefined)
    inRoom(<HoldSheet work={LOOM} onClose={closed} />, BOARD)
  })

  it('takes one tap where the reason says it all', async () => {
    await press(/^HANDS/)
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(askedFor(HOLD).body).toEqual({ reason: 'HANDS', note: 'needs a second hand' })
  })

  it('asks which part it is, and takes a word for it', async () => {
    await press(/^PART/)
    expect(await screen.findByText('Which part? A word will do.')).toBeDefined()
    expect(asked(HOLD)).toHaveLength(0)
    await userEvent.type(screen.getByLabelText(/What exactly/), 'left gasket')
    expect(screen.queryByText('Which part? A word will do.')).toBeNull()
    await press(/^PART/)
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(askedFor(HOLD).body).toEqual({ reason: 'PART', note: 'left gasket' })
  })

  it('offers the parts of the job by name, each with how it stands', async () => {
    await press('Boot: ordered')
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(askedFor(HOLD).body).toEqual({ reason: 'PART', note: 'Boot', partId: 'p1' })
  })

  it('keeps what was typed where it was not taken', async () => {
    on(HOLD, () => new Refusal(422, { detail: 'Fit loom is done already.' }))
    await userEvent.type(screen.getByLabelText(/What exactly/), 'wrong side')
    await press(/^SAFETY/)
    expect(await screen.findByText('Fit loom is done already.')).toBeDefined()
    expect(screen.getByDisplayValue('wrong side')).toBeDefined()
    expect(closed).toHaveBeenCalledTimes(0)
  })
})

describe('a finding on the phone', () => {
  beforeEach(() => {
    newServer()
    closed = vi.fn()
    on('GET /api/board/news', () => ({ lists: {} }))
    on('POST /api/builds/b61/understood', () => ({}))
    on(CAPTURE, () => ({ said: 'Found: weeping union' }))
  })

  it('asks on which car it is', async () => {
    inRoom(<FindingSheet onClose={closed} />, BOARD)
    await userEvent.type(screen.getByLabelText('In your words'), 'weeping union')
    await press('Write it down')
    expect(await screen.findByText('On which car?')).toBeDefined()
    await press('61')
    await press('Write it down')
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(askedFor(CAPTURE).body).toEqual({ text: 'weeping union', chosen: [] })
  })

  it('begins with the car that one is on, and says what was not understood', async () => {
    on(CAPTURE, () => new Refusal(422, { detail: 'Say what was found.' }))
    inRoom(<FindingSheet suggested="b61" onClose={closed} />, BOARD)
    await press('Write it down')
    expect(await screen.findByText('Say what was found.')).toBeDefined()
    expect(closed).toHaveBeenCalledTimes(0)
  })
})
