// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Schemas } from '../api/client'
import { boardWith, inRoom, job } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { MyDay } from './MyDay'

const BO = { username: 'bo', name: 'Bo', role: 'HAND', personId: 'bo' } as Schemas['Account']
const GOING = job('Bleed brakes', {
  status: 'STARTED',
  job: { ...job('x').job, startedBy: ['bo'], remainingMinutes: 25 },
})
const NEXT = job('Fit loom', { note: 'Mind the battery' })
const LATER = job('Set toe', { placed: { ...job('x').placed, start: '2026-12-01T08:00:00Z' } })

function day(more: Partial<Schemas['MyDayResponse']> = {}): Schemas['MyDayResponse'] {
  return {
    personId: 'bo',
    now: ['Bleed brakes'],
    next: ['Fit loom'],
    later: ['Set toe'],
    nextUntil: '2026-11-29T23:00:00Z',
    publishedAt: '2026-11-24T15:00:00Z',
    changes: [],
    ...more,
  }
}

const shown = () => inRoom(<MyDay account={BO} />, boardWith({ works: [GOING, NEXT, LATER] }))
const card = (name: string) => screen.findByRole('article', { name })

describe('a hand’s day', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/my-day', () => day())
    on('POST /api/my-day/looked', () => undefined)
    on('GET /api/my-day/could', () => [])
    on('GET /api/arrivals', () => [])
    on('GET /api/supplies', () => [])
    on('GET /api/board/news', () => ({ lists: {} }))
  })

  it('says what goes on with its car, what is left of it and what is next', async () => {
    shown()
    const going = await card('Bleed brakes')
    expect(within(going).getByText('61')).toBeDefined()
    expect(within(going).getByText('25 min to go')).toBeDefined()
    expect(within(going).queryByRole('button', { name: 'Start' })).toBeNull()
    const next = await card('Fit loom')
    expect(within(next).getByText(/09:00 · 1 h/)).toBeDefined()
    expect(within(next).getByText('Mind the battery')).toBeDefined()
    expect(within(next).queryByRole('button', { name: 'Done' })).toBeNull()
    expect(screen.getByText('Tue 1 Dec')).toBeDefined()
  })

  it('sends what a hand does with it', async () => {
    for (const verb of ['start', 'done', 'pause']) {
      const name = verb === 'start' ? 'Fit%20loom' : 'Bleed%20brakes'
      on(`POST /api/works/${name}/${verb}`, () => undefined)
    }
    shown()
    const user = userEvent.setup()
    await user.click(within(await card('Fit loom')).getByRole('button', { name: 'Start' }))
    await user.click(within(await card('Bleed brakes')).getByRole('button', { name: 'Pause' }))
    await user.click(within(await card('Bleed brakes')).getByRole('button', { name: 'Done' }))
    expect(asked('POST /api/works/Fit%20loom/start')).toHaveLength(1)
    expect(asked('POST /api/works/Bleed%20brakes/pause')).toHaveLength(1)
    expect(asked('POST /api/works/Bleed%20brakes/done')).toHaveLength(1)
  })

  it('holds with one tap for the reason, in words of its own where none are given', async () => {
    on('POST /api/works/Fit%20loom/hold', () => undefined)
    shown()
    const user = userEvent.setup()
    await user.click(within(await card('Fit loom')).getByRole('button', { name: 'Held' }))
    await user.click(await screen.findByRole('button', { name: /HANDS/ }))
    await waitFor(() =>
      expect(asked('POST /api/works/Fit%20loom/hold').map((a) => a.body)).toEqual([
        { reason: 'HANDS', note: 'needs a second hand' },
      ]),
    )
  })

  it('keeps what was typed of a hold that is refused, and says why', async () => {
    on('POST /api/works/Fit%20loom/hold', () => new Refusal(422, { detail: 'It is done already.' }))
    shown()
    const user = userEvent.setup()
    await user.click(within(await card('Fit loom')).getByRole('button', { name: 'Held' }))
    await user.type(await screen.findByLabelText(/What exactly/), 'left gasket')
    await user.click(screen.getByRole('button', { name: /PART/ }))
    expect(await screen.findByText('It is done already.')).toBeDefined()
    expect(screen.getByDisplayValue('left gasket')).toBeDefined()
  })

  it('takes a finding down with the car that the hand is on, and says before what it will be', async () => {
    on('POST /api/builds/b61/capture/understand', () => ({
      said: 'Found: Weeping union.',
      clear: true,
      choices: [],
    }))
    on('POST /api/builds/b61/capture', () => ({ said: 'Found: Weeping union.' }))
    shown()
    const user = userEvent.setup()
    await card('Bleed brakes')
    await user.click(screen.getByRole('button', { name: 'I found something' }))
    await user.type(await screen.findByLabelText('In your words'), 'weeping union')
    expect(await screen.findByText('Found: Weeping union.')).toBeDefined()
    await user.click(screen.getByRole('button', { name: 'Write it down' }))
    await waitFor(() => expect(screen.queryByLabelText('In your words')).toBeNull())
    expect(askedFor('POST /api/builds/b61/capture').body).toEqual({ text: 'weeping union', chosen: [] })
  })

  it('asks which part, and says in one tap that a job needs longer', async () => {
    on('POST /api/works/Bleed%20brakes/more', () => undefined)
    shown()
    const user = userEvent.setup()
    await user.click(within(await card('Fit loom')).getByRole('button', { name: 'Held' }))
    await user.click(await screen.findByRole('button', { name: /PART/ }))
    expect(await screen.findByText('Which part? A word will do.')).toBeDefined()
    await user.keyboard('{Escape}')
    await user.click(within(await card('Bleed brakes')).getByRole('button', { name: 'Needs 2 h more' }))
    await waitFor(() =>
      expect(asked('POST /api/works/Bleed%20brakes/more').map((a) => a.body)).toEqual([{ minutes: 120 }]),
    )
  })

  it('says on a Friday evening how far it looks', async () => {
    on('GET /api/my-day', () => day({ now: [], next: [], later: [] }))
    on('GET /api/my-day/could', () => ['Fit loom'])
    shown()
    expect(await screen.findByText('Nothing more up to Mon 30 Nov.')).toBeDefined()
    expect(screen.getByText('Nothing is planned for you just now.')).toBeDefined()
    const could = await screen.findByRole('region', { name: 'Could be done now' })
    await userEvent.click(within(could).getByRole('button', { name: /Fit loom/ }))
    expect(await screen.findByRole('button', { name: 'Start' })).toBeDefined()
  })

  it('shows what has changed since it was published until it is seen, and by itself says that nothing has', async () => {
    on('GET /api/my-day', () =>
      day({ changes: [{ workId: 'Fit loom', said: 'Fit loom from 08:00 to 09:00' }] }),
    )
    const { unmount } = shown()
    await userEvent.click(await screen.findByRole('button', { name: /1 changed/ }))
    expect(await screen.findByText('Fit loom from 08:00 to 09:00')).toBeDefined()
    expect(asked('POST /api/my-day/looked')).toHaveLength(0)
    await userEvent.click(screen.getByRole('button', { name: 'Seen' }))
    await waitFor(() => expect(asked('POST /api/my-day/looked')).toHaveLength(1))
    unmount()
    newServer()
    on('GET /api/my-day', () => day())
    on('POST /api/my-day/looked', () => undefined)
    on('GET /api/arrivals', () => [])
    on('GET /api/supplies', () => [])
    shown()
    await waitFor(() => expect(asked('POST /api/my-day/looked')).toHaveLength(1))
  })

  it('opens a job of a later day, which can be held or begun from there', async () => {
    on('POST /api/works/Set%20toe/start', () => undefined)
    shown()
    const user = userEvent.setup()
    await user.click(await screen.findByRole('button', { name: /Set toe/ }))
    await user.click(within(await card('Set toe')).getByRole('button', { name: 'Start' }))
    await waitFor(() => expect(asked('POST /api/works/Set%20toe/start')).toHaveLength(1))
  })

  it('ticks off what the supply run brings', async () => {
    on('GET /api/supplies', () => [
      { id: 's1', name: 'Safety wire', quantity: '2 rolls', boughtFrom: 'The yard' },
    ])
    on('POST /api/supplies/s1/bought', () => undefined)
    shown()
    await userEvent.click(await screen.findByLabelText('Safety wire, 2 rolls'))
    await waitFor(() => expect(askedFor('POST /api/supplies/s1/bought').body).toEqual({ bought: true }))
  })
})
