// @vitest-environment jsdom
import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Car } from '../api/board'
import { boardWith, inRoom, job } from '../testing/room'
import { asked, newServer, on, Refusal } from '../testing/server'
import type { Loom } from './LoomSheet'
import { Modules } from './Modules'

const module = (id: string, more = {}) => ({
  id,
  name: id,
  kind: 'SENSOR',
  decision: 'UNDECIDED',
  needs: [],
  mass: '',
  note: '',
  version: 4,
  ...more,
})
const LOOM = {
  modules: [
    module('wheels', { name: 'wheel speeds', decision: 'TAKE_OUT', mass: '0.2 kg' }),
    module('speed', { name: 'speedometer', kind: 'CONSUMER', decision: 'KEEP', needs: ['wheels'] }),
  ],
  undecided: [],
  broken: ['speedometer stays and needs wheel speeds, which is taken out'],
  saved: { said: '0.2 kg' },
  points: [],
  wires: [],
  version: 1,
} as unknown as Loom
const BOARD = boardWith({ works: [job('loom', { name: 'Engine loom in' })] })
const CHANGE = 'PUT /api/modules/speed'
const shown = (manages = true) =>
  inRoom(<Modules car={BOARD.cars[0] as Car} loom={LOOM} manages={manages} />, BOARD)
const bodies = () =>
  asked(CHANGE).map((a) => a.body as { decision: string; needs: string[]; version: number })

describe('the modules of a rewire', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
    on(CHANGE, () => undefined)
  })

  it('say what becomes of each, and what hangs on what is taken out', () => {
    shown(false)
    const text = screen.getByRole('region', { name: 'Modules' }).textContent
    expect(text).toContain('speedometer stays and needs wheel speeds, which is taken out')
    expect(text).toContain('0 undecided, 0.2 kg taken out')
    expect(within(screen.getByRole('table')).queryAllByRole('button')).toEqual([])
  })

  it('do not collide with what the same person clicked before, however late the list follows', async () => {
    shown()
    fireEvent.change(screen.getByLabelText('what becomes of speedometer'), { target: { value: 'REPLACE' } })
    fireEvent.click(screen.getByRole('button', { name: 'speedometer does not need wheel speeds' }))
    await waitFor(() => expect(asked(CHANGE)).toHaveLength(2))
    expect(bodies()[0]).toMatchObject({ decision: 'REPLACE', needs: ['wheels'], version: 4 })
    expect(bodies()[1]).toMatchObject({ decision: 'REPLACE', needs: [], version: 5 })
  })

  it('go on from the list where a change was refused', async () => {
    on(CHANGE, () => new Refusal(409, { detail: 'Somebody else has changed this module.' }))
    shown()
    fireEvent.change(screen.getByLabelText('what becomes of speedometer'), { target: { value: 'REPLACE' } })
    expect(await screen.findByText('Somebody else has changed this module.')).toBeDefined()
    on(CHANGE, () => undefined)
    fireEvent.click(screen.getByRole('button', { name: 'speedometer does not need wheel speeds' }))
    await waitFor(() => expect(asked(CHANGE)).toHaveLength(2))
    expect(bodies()[1]).toMatchObject({ decision: 'KEEP', needs: [], version: 4 })
  })

  it('are written down one after another, and what is wrong is said at its field', async () => {
    const ADD = 'POST /api/builds/b61/modules'
    on(ADD, () => new Refusal(422, { problems: [{ field: 'mass', message: 'That is no mass.' }] }))
    shown()
    await userEvent.type(screen.getByLabelText('Another module'), 'fuel pump')
    await userEvent.type(screen.getByLabelText('Mass'), 'heavy')
    await userEvent.click(screen.getByRole('button', { name: 'Add' }))
    expect(await screen.findByText('That is no mass.')).toBeDefined()
    on(ADD, () => ({ id: 'new' }))
    await userEvent.clear(screen.getByLabelText('Mass'))
    await userEvent.click(screen.getByRole('button', { name: 'Add' }))
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('Another module').value).toBe(''))
    expect(asked(ADD)[1]?.body).toMatchObject({ name: 'fuel pump', mass: '', decision: 'UNDECIDED' })
  })
})
