// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Car } from '../api/board'
import { boardWith, inRoom, job } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { ImportSheet } from './ImportSheet'
import { JobTable } from './JobTable'
import { Links } from './Links'

const CAR = {
  id: 'b61',
  number: '61',
  name: 'Red coupe',
  rounds: [{ id: 'r1', name: 'Between the nights' }],
  stages: [
    { id: 's1', name: 'Strip' },
    { id: 's2', name: 'Check', roundId: 'r1' },
  ],
  restrictions: [],
} as unknown as Car
const PREVIEW = 'POST /api/builds/b61/jobs/preview'
const IMPORT = 'POST /api/builds/b61/jobs/import'

beforeEach(() => {
  newServer()
  on('GET /api/board/news', () => ({ lists: {} }))
})

describe('a sheet that is taken in', () => {
  let closed = vi.fn()
  const choose = async (name = 'jobs.csv') => {
    const input = document.querySelector<HTMLInputElement>('input[type=file]')!
    await userEvent.upload(
      input,
      new File(['job,likely_min,crew\nWeld,60,weld\n'], name, { type: 'text/csv' }),
    )
  }
  const sheet = () => inRoom(<ImportSheet car={CAR} kind="jobs" onClose={closed} />)
  const button = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Import' })
  beforeEach(() => {
    closed = vi.fn()
  })

  it('shows what would be added before it is, and takes that very file', async () => {
    on(PREVIEW, () => ({
      lines: [{ line: 2, stage: 'Strip', job: 'Weld', likelyMinutes: 60 }],
      problems: [],
    }))
    on(IMPORT, () => ({ jobs: 1 }))
    sheet()
    expect(button().disabled).toBe(true)
    await choose()
    expect(await screen.findByText('1 job would be added')).toBeDefined()
    expect(screen.getByRole('row').textContent).toBe('StripWeld1 h')
    await userEvent.click(button())
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(String(askedFor(IMPORT).body)).toContain('name="file"')
  })

  it('says line by line what is wrong, and can then not be taken', async () => {
    on(PREVIEW, () => ({
      lines: [],
      problems: [
        { field: 'line 2, crew', message: 'Nobody has the skill "weld".' },
        { field: 'line 3, after', message: 'There is no line with the ref c.' },
      ],
    }))
    sheet()
    await choose()
    expect((await screen.findByRole('alert')).textContent).toContain('2 problems; nothing has been imported')
    expect(screen.getByText('line 3, after')).toBeDefined()
    expect(button().disabled).toBe(true)
  })

  it('says at the field that a file is none', async () => {
    on(PREVIEW, () => new Refusal(413, { detail: 'The file is larger than 2 MB.' }))
    sheet()
    await choose()
    expect(await screen.findByText('The file is larger than 2 MB.')).toBeDefined()
    expect(asked(IMPORT)).toHaveLength(0)
  })
})

describe('the jobs of a car', () => {
  const WORKS = [
    job('late', { stage: 'Strip', placed: { start: '2026-11-26T08:00:00Z', crew: ['mara'], at: [] } }),
    job('soon', { stage: 'Strip', placed: { start: '2026-11-25T08:00:00Z', crew: ['bo'], at: [] } }),
    job('gone', { stage: 'Strip', status: 'DONE' }),
    job('between', { stage: 'Check', roundId: 'r1', essential: false }),
    job('loose', { dateId: 'd1' }),
    job('out', { kind: 'OUTWORK', job: undefined }),
  ]
  const BOARD = boardWith({ cars: [CAR], works: WORKS, commitments: [{ id: 'd1', name: 'Hill climb' }] })
  let picked: string[] = []
  const table = (changes = true) =>
    inRoom(<JobTable car={CAR} changes={changes} onPick={(id) => picked.push(id)} />, BOARD)
  beforeEach(() => {
    picked = []
  })

  it('stand by stage in the order of the plan, the done ones as a count', () => {
    table()
    const rows = screen.getAllByRole('row').map((r) => r.textContent ?? '')
    expect(rows[1]).toBe('Strip 1 of 3 done')
    expect(rows[2]).toContain('soon')
    expect(rows[2]).toContain('Bo')
    expect(rows[3]).toContain('late')
    expect(rows[4]).toBe('Without a stage 0 of 1 done')
    expect(rows[5]).toContain('loose for Hill climb')
    expect(rows[6]).toBe('Between the nights · Check 0 of 1 done')
    expect(rows[7]).toContain('between can follow')
    expect(document.body.textContent).not.toContain('gone')
  })

  it('are picked by a click, or ticked several at once as done before', async () => {
    const BEFORE = 'POST /api/works/done-before'
    on(BEFORE, () => undefined)
    table()
    await userEvent.click(screen.getByRole('button', { name: 'soon' }))
    expect(picked).toContain('soon')
    await userEvent.click(screen.getByRole('button', { name: 'tick several' }))
    await userEvent.click(screen.getByRole('checkbox', { name: 'soon' }))
    await userEvent.click(screen.getByRole('checkbox', { name: 'late' }))
    await userEvent.click(screen.getByRole('checkbox', { name: 'soon' }))
    await userEvent.click(screen.getByRole('button', { name: '1 was done before' }))
    await waitFor(() => askedFor(BEFORE))
    expect(askedFor(BEFORE).body).toEqual({ workIds: ['late'] })
  })

  it('are only read by who may not change them', () => {
    table(false)
    expect(screen.queryByRole('button', { name: 'tick several' })).toBeNull()
  })
})

describe('what a job waits for', () => {
  const WORKS = [job('a', { name: 'Strip' }), job('b', { name: 'Weld' }), job('c', { name: 'Paint' })]
  const link = (id: string, firstId: string, thenId: string, more = {}) => ({
    id,
    firstId,
    thenId,
    type: 'FINISH_START',
    lagMinutes: 0,
    usedAtRisk: false,
    ...more,
  })
  const BOARD = boardWith({
    cars: [CAR],
    works: WORKS,
    links: [
      link('l1', 'a', 'b', { lagMinutes: 90, because: 'so that it cools' }),
      link('l2', 'b', 'c', { type: 'START_START', riskChance: 0.2, usedAtRisk: true }),
    ],
  })
  const links = (changes = true) => inRoom(<Links work={WORKS[1]!} changes={changes} />, BOARD)

  it('is said with how, how long after and why', () => {
    links(false)
    const text = screen.getByRole('region', { name: 'Links' }).textContent?.replace(/\s+/g, ' ')
    expect(text).toContain('Waits forStrip +1½ h, so that it cools')
    expect(text).toContain('BeforePaint starts after its start at risk 20 %, used by the plan')
    expect(screen.queryByRole('button', { name: 'untie' })).toBeNull()
  })

  it('is tied to another job of the car, and untied', async () => {
    on('POST /api/links', () => ({ id: 'new' }))
    on('DELETE /api/links/l1', () => undefined)
    links()
    await userEvent.click(screen.getByRole('button', { name: 'Tie' }))
    expect(await screen.findByText('Say which job.')).toBeDefined()
    await userEvent.click(screen.getByRole('combobox', { name: 'It also waits for' }))
    await userEvent.click(await screen.findByRole('option', { name: 'Paint' }))
    await userEvent.type(screen.getByLabelText('Waits after it'), '2 h')
    await userEvent.type(screen.getByLabelText('Starts at risk, %'), '25')
    await userEvent.click(screen.getByRole('button', { name: 'Tie' }))
    await waitFor(() => askedFor('POST /api/links'))
    expect(askedFor('POST /api/links').body).toEqual({
      firstId: 'c',
      thenId: 'b',
      type: 'FINISH_START',
      lagMinutes: 120,
      lagWorking: false,
      riskChance: 0.25,
      riskReworkMinutes: 60,
    })
    await userEvent.click(screen.getAllByRole('button', { name: 'untie' })[0]!)
    await waitFor(() => askedFor('DELETE /api/links/l1'))
  })

  it('says why a tie cannot be', async () => {
    on('POST /api/links', () => new Refusal(422, { detail: 'That closes a circle: Weld → Paint → Weld.' }))
    links()
    await userEvent.click(screen.getByRole('combobox', { name: 'It also waits for' }))
    await userEvent.click(await screen.findByRole('option', { name: 'Paint' }))
    await userEvent.click(screen.getByRole('button', { name: 'Tie' }))
    expect(await screen.findByText('That closes a circle: Weld → Paint → Weld.')).toBeDefined()
  })
})
