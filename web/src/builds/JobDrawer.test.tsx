// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Car } from '../api/board'
import type { Schemas } from '../api/client'
import { boardWith, inRoom, job } from '../testing/room'
import { askedFor, newServer, on, Refusal } from '../testing/server'
import { JobDrawer } from './JobDrawer'

const MARA = { username: 'mara', name: 'Mara', role: 'MANAGER', personId: 'mara' } as Schemas['Account']
const BO = { username: 'bo', name: 'Bo', role: 'HAND', personId: 'bo' } as Schemas['Account']
const LOOM = job('Fit loom', {
  version: 7,
  note: 'Mind the battery',
  notBefore: '2026-12-01T08:00:00Z',
  job: {
    ...job('x').job,
    crew: [{ skill: 'wire', least: 'ABLE' }],
    stationKind: '',
    oneGo: false,
    cureMinutes: 0,
    cureLock: 'NOTHING',
    findPercent: 0,
    findMinutes: 0,
  },
})
const BOARD = boardWith({
  cars: [{ id: 'b61', number: '61', name: 'Red coupe', stages: [], restrictions: [] }],
  works: [LOOM],
  people: [{ id: 'bo', name: 'Bo', skills: [{ skill: 'wire' }] }],
})
const SAVE = 'PUT /api/jobs/Fit%20loom'

let closed = vi.fn()
const drawer = (account = MARA) =>
  inRoom(<JobDrawer car={BOARD.cars[0] as Car} work={LOOM} account={account} onClose={closed} />, BOARD)

describe('a job at the desk', () => {
  beforeEach(() => {
    newServer()
    closed = vi.fn()
    on('GET /api/board/news', () => ({ lists: {} }))
  })

  it('sends what was changed with all that was not, and the version it was read in', async () => {
    on(SAVE, () => undefined)
    drawer()
    const name = screen.getByLabelText('Job')
    await userEvent.clear(name)
    await userEvent.type(name, 'Loom in')
    await userEvent.click(screen.getByRole('button', { name: 'Save' }))
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(askedFor(SAVE).body).toMatchObject({
      version: 7,
      note: 'Mind the battery',
      notBefore: '2026-12-01T08:00:00.000Z',
      spec: { name: 'Loom in', likelyMinutes: 60, zone: 'REAR', crew: [{ skill: 'wire', least: 'ABLE' }] },
    })
  })

  it('shows what somebody else has changed meanwhile, and saves over it only when told so', async () => {
    on(
      SAVE,
      () =>
        new Refusal(409, {
          detail: 'Somebody else changed Fit loom meanwhile.',
          version: 9,
          differences: [{ field: 'note', yours: 'Mind the battery', theirs: 'Battery is out' }],
        }),
    )
    drawer()
    await userEvent.click(screen.getByRole('button', { name: 'Save' }))
    expect(await screen.findByText(/Battery is out/)).toBeDefined()
    expect(closed).toHaveBeenCalledTimes(0)
    on(SAVE, () => undefined)
    await userEvent.click(screen.getByRole('button', { name: 'Save mine over theirs' }))
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(askedFor(SAVE, 1).body).toMatchObject({ version: 9, note: 'Mind the battery' })
  })

  it('puts a problem at its field and keeps the rest', async () => {
    on(SAVE, () => new Refusal(422, { problems: [{ field: 'name', message: 'A job needs a name.' }] }))
    drawer()
    await userEvent.click(screen.getByRole('button', { name: 'Save' }))
    expect(await screen.findByText('A job needs a name.')).toBeDefined()
    expect(screen.getByDisplayValue('Mind the battery')).toBeDefined()
    expect(closed).toHaveBeenCalledTimes(0)
  })

  it('asks at a gate after what is open before it, and starts all the same', async () => {
    const START = 'POST /api/works/Fit%20loom/start'
    on(
      START,
      () => new Refusal(422, { problems: [{ field: 'gate', message: 'Still open is: oil lines. Really?' }] }),
    )
    drawer(BO)
    await userEvent.click(screen.getByRole('button', { name: 'Start' }))
    expect(await screen.findByText(/oil lines/)).toBeDefined()
    on(START, () => undefined)
    await userEvent.click(screen.getByRole('button', { name: 'Start it all the same' }))
    await waitFor(() => askedFor(START, 1))
    await waitFor(() => expect(screen.queryByText(/oil lines/)).toBeNull())
  })

  it('moves the best and the worst along with what is likely, and says all of it in words', async () => {
    on(SAVE, () => undefined)
    drawer()
    const takes = screen.getByLabelText('Takes, likely')
    await waitFor(() => expect(document.activeElement).toBe(screen.getByLabelText('Job')))
    await userEvent.clear(takes)
    await userEvent.type(takes, '2 h')
    expect(document.body.textContent).toContain('2 h likely, 1½ h to 3 h; on the car; one hand: wire (able)')
    await userEvent.click(screen.getByRole('button', { name: 'Save' }))
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(askedFor(SAVE).body).toMatchObject({
      spec: { lowMinutes: 100, likelyMinutes: 120, highMinutes: 180 },
    })
  })

  it('can be started and held by a hand, who changes nothing else of it', async () => {
    on('POST /api/works/Fit%20loom/start', () => undefined)
    drawer(BO)
    expect(screen.queryByRole('button', { name: 'Save' })).toBeNull()
    await userEvent.click(screen.getByRole('button', { name: 'Start' }))
    await waitFor(() => askedFor('POST /api/works/Fit%20loom/start'))
    await userEvent.click(screen.getByRole('button', { name: 'Hold' }))
    expect(screen.getByRole('combobox', { name: 'What exactly' })).toBeDefined()
  })
})
