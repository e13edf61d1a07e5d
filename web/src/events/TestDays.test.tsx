// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import type { RaceEvent } from '../api/events'
import { inRoom } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { TestDays } from './TestDays'

const event = (more = {}) =>
  ({
    id: 'e1',
    name: 'Test',
    sessions: [{ id: 's', kind: 'TEST' }],
    cars: [
      { buildId: 'b61', called: '61', spare: false },
      { buildId: 'b7', called: '7', spare: true },
    ],
    ...more,
  }) as unknown as RaceEvent
const run = (id: string, more = {}) => ({
  id,
  changes: [],
  value: 2,
  dry: false,
  cold: '',
  hot: '',
  fuel: '',
  driver: '',
  conditions: 'DRY',
  air: '',
  track: '',
  laps: '',
  words: '',
  version: 1,
  ...more,
})
const day = (more = {}) => ({ buildId: 'b61', runs: [], remarks: [], findings: [], ...more })
const DAYS = 'GET /api/events/e1/test-days'
const ORDER = 'PUT /api/events/e1/test-order'

const shown = async (days: unknown[], changes = true, e = event()) => {
  on(DAYS, () => days)
  inRoom(<TestDays event={e} changes={changes} />)
  await waitFor(() => expect(asked(DAYS)).toHaveLength(1))
  return screen.findByRole('region', { name: 'Test day' })
}

describe('a day of testing', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
    on('GET /api/tyre-sets', () => [
      { id: 't1', name: 'soft 2', buildId: 'b61' },
      { id: 't2', name: 'other', buildId: 'b7' },
    ])
    on('POST /api/gauges/laps', () => ({ runs: [] }))
  })

  it('lists its runs in order, with what each is for and what was driven', async () => {
    await shown([
      day({
        runs: [
          run('r1', { ranAt: '2026-11-25T09:00:00Z', laps: '61.2 61.0 60.9', value: 3 }),
          run('r2', { changes: ['rear bar softer', 'more toe'], set: 'soft 2', dry: true }),
        ],
        remarks: ['Run 2 needs it dry, and rain is expected.'],
      }),
    ])
    const rows = screen.getAllByRole('listitem').map((l) => l.textContent)
    expect(rows[0]).toContain('1baseline what the day is for, driven 10:00, 3 laps')
    expect(rows[1]).toContain('2rear bar softer, more toe soft 2, needs it dry, worth knowing')
    expect(screen.getByText('Run 2 needs it dry, and rain is expected.')).toBeDefined()
    // What was driven keeps its place.
    expect(within(screen.getAllByRole('listitem')[0]!).queryByRole('button', { name: /earlier/ })).toBeNull()
  })

  it('is put in order, by hand or by worth, with the rain in mind', async () => {
    on(ORDER, () => undefined)
    await shown([day({ runs: [run('r1'), run('r2'), run('r3')] })])
    await userEvent.click(screen.getByRole('button', { name: 'Run 3 earlier' }))
    await waitFor(() => askedFor(ORDER))
    expect(askedFor(ORDER).body).toEqual({ buildId: 'b61', order: ['r1', 'r3', 'r2'], rain: false })
    await userEvent.click(screen.getByLabelText('rain is expected'))
    await userEvent.click(screen.getByRole('button', { name: 'Put in order' }))
    await waitFor(() => askedFor(ORDER, 1))
    expect(askedFor(ORDER, 1).body).toEqual({ buildId: 'b61', rain: true })
  })

  it('takes a run with all that it changes, and one that changes nothing', async () => {
    const ADD = 'POST /api/events/e1/test-runs'
    on(ADD, () => ({ id: 'new' }))
    await shown([day()])
    await userEvent.type(screen.getByLabelText('What the run changes'), 'rear bar softer; ; more toe ')
    await userEvent.selectOptions(screen.getByLabelText('What it is worth'), 'what the day is for')
    await userEvent.click(screen.getByRole('button', { name: 'Add the run' }))
    await waitFor(() => askedFor(ADD))
    expect(askedFor(ADD).body).toMatchObject({
      buildId: 'b61',
      changes: ['rear bar softer', 'more toe'],
      value: 3,
    })
    const baseline = await screen.findByRole<HTMLButtonElement>('button', { name: 'Add a baseline' })
    await waitFor(() => expect(baseline.disabled).toBe(false))
    await userEvent.click(baseline)
    await waitFor(() => askedFor(ADD, 1))
    expect(askedFor(ADD, 1).body).toMatchObject({ changes: [] })
  })

  it('has a sheet for each run, that keeps what was typed where something of it cannot be read', async () => {
    const KEEP = 'PUT /api/test-runs/r1'
    on(KEEP, () => new Refusal(422, { problems: [{ field: 'laps', message: 'Lap 2, "6x", is no time.' }] }))
    await shown([day({ runs: [run('r1')] })])
    await userEvent.click(screen.getByRole('button', { name: 'baseline' }))
    const sheet = within(await screen.findByRole('dialog'))
    const sets = await sheet.findByLabelText('Set of tyres')
    await sheet.findByRole('option', { name: 'soft 2' })
    expect(within(sets).queryByRole('option', { name: 'other' })).toBeNull()
    await userEvent.selectOptions(sets, 'soft 2')
    await userEvent.type(sheet.getByLabelText('Laps'), '61.2 6x')
    await userEvent.click(sheet.getByRole('button', { name: 'It was driven' }))
    expect(await sheet.findByText('Lap 2, "6x", is no time.')).toBeDefined()
    on(KEEP, () => undefined)
    await userEvent.click(sheet.getByRole('button', { name: 'Keep for now' }))
    await waitFor(() => expect(screen.queryByLabelText('Laps')).toBeNull())
    expect(askedFor(KEEP).body).toMatchObject({ ran: true, setId: 't1', laps: '61.2 6x', version: 1 })
    expect(askedFor(KEEP, 1).body).toMatchObject({ ran: false })
  })

  it('decides when each finding is put right, and shows that at once', async () => {
    const DECIDE = 'PUT /api/test-findings/f1'
    on(DECIDE, () => undefined)
    await shown([
      day({
        findings: [
          { id: 'f1', what: 'third jumps out', decision: 'OPEN', by: 'Bo', at: '2026-11-25T09:00:00Z' },
        ],
      }),
    ])
    const when = screen.getByLabelText<HTMLSelectElement>('When third jumps out is fixed')
    await userEvent.selectOptions(when, 'before the next event')
    expect(when.value).toBe('BEFORE')
    await waitFor(() => askedFor(DECIDE))
    expect(askedFor(DECIDE).body).toEqual({ decision: 'BEFORE', minutes: 0 })
  })

  it('is no day at all where nothing is tested', async () => {
    on(DAYS, () => [day()])
    inRoom(<TestDays event={event({ sessions: [{ id: 's', kind: 'RACE' }] })} changes />)
    await waitFor(() => expect(asked(DAYS)).toHaveLength(1))
    await new Promise((later) => setTimeout(later, 50))
    expect(screen.queryByRole('region', { name: 'Test day' })).toBeNull()
  })

  it('names the cars where there are several, the spare only where something was done with it', async () => {
    await shown([day({ runs: [run('r1')] }), day({ buildId: 'b7', runs: [run('r2')] })])
    expect(screen.getAllByRole('heading', { level: 3 }).map((h) => h.textContent)).toEqual(
      expect.arrayContaining(['61', '7']),
    )
  })
})
