// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Schemas } from '../api/client'
import type { GateState } from '../api/rollout'
import { inRoom } from '../testing/room'
import { askedFor, newServer, on, Refusal } from '../testing/server'
import { GateSheet } from './GateSheet'

const MARA = { username: 'mara', name: 'Mara', role: 'MANAGER' } as Schemas['Account']
const SEF = { username: 'sef', name: 'Sef', role: 'LEAD' } as Schemas['Account']
const line = (key: string, more = {}) => ({
  key,
  text: key,
  asks: 'SIGNED',
  met: true,
  never: false,
  open: [],
  ...more,
})
const gate = (lines: unknown[], more = {}) =>
  ({ gate: 'GROUND', state: 'SHUT', lines, ...more }) as unknown as GateState
const PASS = 'POST /api/builds/b61/gates/GROUND/pass'
const sheet = (g: GateState, account = SEF) =>
  inRoom(<GateSheet car="b61" gate={g} people={['Bo', 'Sef', 'Mara']} account={account} />)

describe('a gate', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
  })

  it('says of each line what is open, who can make it so and when, the first few', () => {
    const open = ['a', 'b', 'c', 'd', 'e'].map((what) => ({
      what,
      who: 'Bo',
      likely: '2026-11-25T14:00:00Z',
    }))
    sheet(
      gate([line('Brakes bled', { asks: 'JOBS', met: false, open })], {
        date: 'Hill climb',
        due: '2026-11-27T07:00:00Z',
        likely: '2026-11-28T09:00:00Z',
      }),
    )
    const text = document.body.textContent
    expect(text).toContain('needed for Hill climb, Fri 08:00')
    expect(text).toContain('by the plan Sat 10:00')
    expect(text).toContain('c · Bo · 15:00and 2 more')
    expect(screen.getByText('1 line is open; only a manager may pass it so.')).toBeDefined()
  })

  it('is signed and unsigned where a line asks for a name', async () => {
    on('PUT /api/builds/b61/signatures/torque', () => undefined)
    on('DELETE /api/builds/b61/signatures/pedal', () => undefined)
    sheet(
      gate([
        line('torque', { met: false }),
        line('pedal', { signedBy: 'Bo', signedAt: '2026-11-25T06:00:00Z' }),
      ]),
    )
    expect(screen.getByText('Bo 07:00')).toBeDefined()
    await userEvent.click(screen.getByRole('checkbox', { name: 'torque' }))
    await userEvent.click(screen.getByRole('checkbox', { name: 'pedal' }))
    await waitFor(() => askedFor('PUT /api/builds/b61/signatures/torque'))
    await waitFor(() => askedFor('DELETE /api/builds/b61/signatures/pedal'))
  })

  it('is passed with two names', async () => {
    on(PASS, () => new Refusal(422, { problems: [{ field: 'did', message: 'Who did it?' }] }))
    sheet(gate([line('torque')], { state: 'READY' }))
    await userEvent.click(screen.getByRole('button', { name: 'Pass this gate' }))
    const said = await screen.findByText('Who did it?')
    expect(said.closest('.mantine-InputWrapper-root')?.textContent).toContain('Who did it')
    on(PASS, () => undefined)
    await userEvent.type(screen.getByRole('combobox', { name: 'Who did it' }), 'Bo')
    await userEvent.click(screen.getByRole('button', { name: 'Pass this gate' }))
    await waitFor(() => askedFor(PASS, 1))
    expect(askedFor(PASS, 1).body).toEqual({ did: 'Bo', looked: 'Sef', reason: '' })
  })

  it('is passed by a manager though a line is open, with the reason', async () => {
    on(PASS, () => undefined)
    sheet(gate([line('pedal', { met: false })]), MARA)
    await userEvent.type(screen.getByLabelText('Why it is passed though 1 line is open'), 'static only')
    await userEvent.type(screen.getByRole('combobox', { name: 'Who did it' }), 'Bo')
    await userEvent.click(screen.getByRole('button', { name: 'Pass it all the same' }))
    await waitFor(() => askedFor(PASS))
    expect(askedFor(PASS).body).toEqual({ did: 'Bo', looked: 'Mara', reason: 'static only' })
  })

  it('is passed by nobody while a line is open that must be so', () => {
    sheet(gate([line('isolator', { met: false, never: true })]), MARA)
    expect(screen.getByText('nobody passes while this is open')).toBeDefined()
    expect(screen.getByText('It cannot be passed before that.')).toBeDefined()
    expect(screen.queryByRole('button', { name: /Pass/ })).toBeNull()
  })

  it('says who passed it, and what was open then', () => {
    const passing = { did: 'Bo', looked: 'Mara', at: '2026-11-25T06:00:00Z', reason: 'static only' }
    const { unmount } = sheet(gate([line('pedal')], { state: 'PASSED', passing }))
    expect(document.body.textContent).toContain(
      'Passed 07:00: Bo did it, Mara looked. Lines were open then: static only.',
    )
    expect(screen.queryByRole('button', { name: /Pass/ })).toBeNull()
    unmount()
    sheet(gate([line('pedal')], { state: 'OPEN_AGAIN', passing }))
    expect(document.body.textContent).toContain('Was passed 07:00')
    expect(screen.getByRole('button', { name: 'Pass this gate' })).toBeDefined()
  })
})
