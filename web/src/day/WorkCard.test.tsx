// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { boardWith, inRoom, job } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { WorkCard } from './WorkCard'

const loom = (more = {}, of = {}) =>
  job('loom', {
    name: 'Fit loom',
    job: { ...job('x').job, zone: 'COCKPIT', remainingMinutes: 90, parts: ['p1'], ...of },
    ...more,
  })
const placed = (more = {}) => ({ ...job('x').placed, stationId: 'lift', crew: ['bo', 'mara'], ...more })
const BOARD = boardWith({
  stations: [{ id: 'lift', name: 'Lift 1' }],
  parts: [{ id: 'p1', name: 'Boot', state: 'ORDERED' }],
  cars: [
    {
      id: 'b61',
      number: '61',
      name: 'Red coupe',
      restrictions: [{ id: 'r', text: 'no more than 3000 rpm', because: 'oil' }],
    },
  ],
})
let held = vi.fn()
const card = (work = loom(), now = false) => inRoom(<WorkCard work={work} now={now} onHold={held} />, BOARD)
const text = () => screen.getByRole('article', { name: 'Fit loom' }).textContent
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }))
const buttons = () => screen.getAllByRole('button').map((b) => b.textContent)

describe('a job on the phone', () => {
  beforeEach(() => {
    newServer()
    held = vi.fn()
    on('GET /api/board/news', () => ({ lists: {} }))
  })

  it('says of what is next when, where, for how long, with whom, and what the car may not', () => {
    card(loom({ placed: placed(), note: 'Mind the battery' }))
    expect(text()).toContain('Red coupe, cockpit · Lift 1')
    expect(text()).toContain('09:00 · 1½ h · Bo and Mara')
    expect(text()).toContain('no more than 3000 rpm')
    expect(text()).toContain('Mind the battery')
    expect(text()).toContain('Part: Boot, ordered')
    expect(buttons()).toEqual(['Start', 'Held'])
  })

  it('says of what is going how much is left, and how far it is past its time', () => {
    card(loom({ status: 'STARTED' }, { overMinutes: 30, startedBy: ['bo'] }), true)
    expect(text()).toContain('1½ h to go, 30 min past its time')
    expect(buttons()).toEqual(expect.arrayContaining(['Done', 'Pause', 'Held', 'Ask the lead']))
    expect(screen.queryByRole('button', { name: 'Start' })).toBeNull()
  })

  it('is started, paused and done with one tap each', async () => {
    for (const verb of ['start', 'pause', 'done']) on(`POST /api/works/loom/${verb}`, () => undefined)
    const { unmount } = card()
    await press('Start')
    await waitFor(() => askedFor('POST /api/works/loom/start'))
    unmount()
    card(loom(), true)
    await press('Pause')
    await press('Done')
    await waitFor(() => askedFor('POST /api/works/loom/done'))
    expect(asked('POST /api/works/loom/pause')).toHaveLength(1)
  })

  it('is not started past a gate without being asked', async () => {
    const START = 'POST /api/works/loom/start'
    on(START, () => new Refusal(422, { problems: [{ field: 'gate', message: 'Open is: oil lines.' }] }))
    card()
    await press('Start')
    expect(await screen.findByText('Open is: oil lines.')).toBeDefined()
    on(START, () => undefined)
    await press('Start it all the same')
    await waitFor(() => askedFor(START, 1))
    expect(askedFor(START, 1).query.get('anyway')).toBe('true')
  })

  it('that is held says why, and is set free again instead of started', async () => {
    on('POST /api/works/loom/release', () => undefined)
    card(loom({ hold: { reason: 'PART', note: 'left gasket' } }))
    expect(text()).toContain('left gasket')
    expect(buttons()).toEqual(['Free again'])
    await press('Free again')
    await waitFor(() => askedFor('POST /api/works/loom/release'))
  })

  it('that waits says for what, only while that is so', () => {
    const tag = { tag: 'CURE', said: 'primer until 11:00' }
    const { unmount } = card(loom({ placed: placed(tag) }))
    expect(text()).toContain('primer until 11:00')
    unmount()
    card(loom({ placed: placed({ ...tag, start: '2026-11-25T06:00:00Z' }) }))
    expect(text()).not.toContain('primer until 11:00')
  })

  it('is held through the sheet that asks why', async () => {
    card()
    await press('Held')
    expect(held).toHaveBeenCalledTimes(1)
  })
})
