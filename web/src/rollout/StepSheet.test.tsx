// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Schemas } from '../api/client'
import type { RollOut, StepState } from '../api/rollout'
import { inRoom } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { StepSheet } from './StepSheet'

const SEF = { username: 'sef', name: 'Sef', role: 'LEAD', personId: 'sef' } as Schemas['Account']
const step = (more = {}) =>
  ({
    key: 'block',
    name: 'Round the block',
    limits: 'no more than 3000 rpm',
    gatePassed: true,
    before: ['Pedal firm', 'Harness fast'],
    after: ['No leak'],
    channels: ['oil pressure from 1.0 bar'],
    done: false,
    tries: 0,
    blocked: [],
    ...more,
  }) as StepState
const attempt = (more = {}) => ({
  id: 'a1',
  step: 'block',
  name: 'Round the block',
  number: 1,
  ticks: [],
  opened: '2026-11-25T07:00:00Z',
  done: false,
  seen: '',
  extremes: '',
  waits: ['nobody looks yet', 'Harness fast'],
  ...more,
})
const GOES = {
  went: '2026-11-25T07:05:00Z',
  driver: 'Bo',
  looker: 'Sef',
  waits: [],
  ticks: [{ check: 'Pedal firm', after: false, by: 'Bo', at: '2026-11-25T07:01:00Z' }],
}
const rollOut = (more = {}) =>
  ({ steps: [], findings: [], over: [], people: ['Bo', 'Sef'], ...more }) as unknown as RollOut
const sheet = (r = rollOut(), s = step()) =>
  inRoom(<StepSheet car="b61" step={s} rollOut={r} account={SEF} />)
const button = (name: string | RegExp) => screen.getByRole<HTMLButtonElement>('button', { name })

describe('a step of the roll-out', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
    on('GET /api/builds/b61/rollout/live', () => [])
  })

  it('says what comes before it, what will be looked at, and begins', async () => {
    const BEGIN = 'POST /api/builds/b61/rollout/attempts'
    on(BEGIN, () => ({ id: 'a1' }))
    sheet(rollOut(), step({ blocked: ['the gate ground is shut', 'found before: Leak: weep'], tries: 1 }))
    expect(document.body.textContent).toContain(
      'Before it: the gate ground is shut; found before: Leak: weep',
    )
    expect(screen.getAllByRole('listitem').map((l) => l.textContent)).toEqual([
      'Pedal firm',
      'Harness fast',
      'No leak',
    ])
    expect(screen.getByText(/Watched meanwhile: oil pressure/)).toBeDefined()
    await userEvent.click(button('Try again'))
    await waitFor(() => askedFor(BEGIN))
    expect(askedFor(BEGIN).body).toEqual({ step: 'block' })
  })

  it('is not begun beside another', () => {
    sheet(rollOut({ open: attempt({ step: 'idle', name: 'Idle' }) }))
    expect(screen.getByText('Idle is open; one step at a time.')).toBeDefined()
    expect(screen.queryByRole('button', { name: 'Begin' })).toBeNull()
  })

  it('does not go while anything waits, and says all that does', () => {
    sheet(rollOut({ open: attempt() }))
    expect(button('Go: nobody looks yet').disabled).toBe(true)
    expect(screen.getByText(/also: Harness fast/)).toBeDefined()
    expect(screen.queryByText('Afterwards')).toBeNull()
  })

  it('goes, once nothing waits', async () => {
    const GO = 'POST /api/rollout-attempts/a1/go'
    on(GO, () => undefined)
    sheet(rollOut({ open: attempt({ waits: [] }) }))
    await userEvent.click(button('Go'))
    await waitFor(() => askedFor(GO))
  })

  it('takes the name of who presses, or the one that was typed', async () => {
    const NAMES = 'PUT /api/rollout-attempts/a1/names'
    on(NAMES, () => undefined)
    sheet(rollOut({ open: attempt() }))
    await userEvent.click(button('I look'))
    await waitFor(() => askedFor(NAMES))
    await userEvent.type(screen.getByRole('combobox', { name: 'Drives' }), 'Bo')
    await userEvent.click(button('Keep'))
    await waitFor(() => askedFor(NAMES, 1))
    expect(asked(NAMES).map((a) => a.body)).toEqual([{ looker: 'Sef' }, { driver: 'Bo' }])
  })

  it('says at the name why it was not taken', async () => {
    on(
      'PUT /api/rollout-attempts/a1/names',
      () => new Refusal(422, { problems: [{ field: 'looker', message: 'Who drives does not look.' }] }),
    )
    sheet(rollOut({ open: attempt({ driver: 'Sef' }) }))
    await userEvent.click(button('I look'))
    const said = await screen.findByText('Who drives does not look.')
    expect(said.closest('.mantine-InputWrapper-root')?.textContent).toContain('Looks')
  })

  it('cannot be ticked any more before, once it goes, but afterwards', () => {
    sheet(rollOut({ open: attempt(GOES) }))
    const tick = (name: string) => screen.getByRole<HTMLInputElement>('checkbox', { name })
    expect(tick('Pedal firm').checked).toBe(true)
    expect(tick('Pedal firm').disabled).toBe(true)
    expect(tick('No leak').disabled).toBe(false)
    expect(screen.getByText('Bo 08:01')).toBeDefined()
  })

  it('shouts what the logger asks to stop for', () => {
    sheet(rollOut({ open: attempt({ ...GOES, stop: 'oil pressure 0.6 bar' }) }))
    expect(screen.getByRole('alert').textContent).toBe('STOP: oil pressure 0.6 bar')
  })

  it('is stopped at any time, with what was seen, how far and what leaked', async () => {
    const END = 'POST /api/rollout-attempts/a1/end'
    on(END, () => new Refusal(422, { problems: [{ field: 'seen', message: 'Say what was seen.' }] }))
    sheet(rollOut({ open: attempt({ ...GOES, afterwards: 'No leak is open' }) }))
    expect(button('Done: No leak is open').disabled).toBe(true)
    await userEvent.click(button('Stop here'))
    await userEvent.type(screen.getByLabelText('Gone, km'), 'a bit')
    await userEvent.click(button('Stopped'))
    expect(screen.getByText('A number of kilometres, such as 0.8.')).toBeDefined()
    expect(asked(END)).toHaveLength(0)
    await userEvent.clear(screen.getByLabelText('Gone, km'))
    await userEvent.type(screen.getByLabelText('Gone, km'), '0,8')
    await userEvent.type(screen.getByLabelText('Leaked (makes a job)'), 'weep at the filter')
    await userEvent.click(button('Stopped'))
    expect(await screen.findByText('Say what was seen.')).toBeDefined()
    expect(askedFor(END).body).toEqual({
      done: false,
      seen: '',
      leaked: 'weep at the filter',
      km: 0.8,
      oilPressure: '',
      warm: false,
    })
  })

  it('lists the tries before, with why they were stopped', () => {
    const over = {
      ...attempt({ driver: 'Bo', looker: 'Sef' }),
      ended: '2026-11-25T06:30:00Z',
      stop: 'water 118 °C',
      seen: 'steam',
    }
    sheet(rollOut({ over: [over, { ...over, id: 'a0', step: 'idle', seen: 'other' }] }))
    expect(document.body.textContent).toContain('1. stopped 07:30, Bo drove, Sef looked')
    expect(screen.getByText('the logger asked to stop: water 118 °C')).toBeDefined()
    expect(screen.queryByText('other')).toBeNull()
  })
})
