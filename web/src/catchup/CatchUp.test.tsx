// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import { boardWith, inRoom, job } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { CatchUp } from './CatchUp'

const LIST = 'GET /api/catch-up'
const WRITE = 'POST /api/catch-up'
const day = (more = {}) => ({
  day: '2026-11-24',
  before: '2026-11-23',
  people: [
    {
      personId: 'bo',
      inMinutes: 480,
      written: [{ id: 'w1', workId: 'seal', minutes: 90 }],
      planned: [
        { workId: 'loom', minutes: 120 },
        { workId: 'seal', minutes: 60 },
      ],
    },
    { personId: 'mara', inMinutes: 480, written: [], planned: [{ workId: 'loom', minutes: 120 }] },
    { personId: 'guest', inMinutes: 0, written: [], planned: [] },
  ],
  ...more,
})
const BOARD = boardWith({
  works: [job('loom', { name: 'Fit loom' }), job('seal', { name: 'Seal' }), job('dust', { name: 'Dust' })],
  people: [
    { id: 'bo', name: 'Bo', shifts: [{}] },
    { id: 'mara', name: 'Mara', shifts: [{}] },
    { id: 'guest', name: 'Guest', shifts: [] },
  ],
})
const of = (name: string) => within(screen.getByRole('group', { name }))
const shown = async () => {
  inRoom(<CatchUp />, BOARD)
  await screen.findByRole('region', { name: 'Catch up' })
}

describe('catching up with a day', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
    on(LIST, () => day())
  })

  it('says who was in and what is written down; a guest who did not come is left out', async () => {
    await shown()
    expect(screen.getByRole('heading').textContent).toBe('Tue 24 Nov, yesterday')
    expect(of('Bo').getByText('1½ h of 8 h written down')).toBeDefined()
    expect(of('Bo').getByText('61 Seal, 1½ h')).toBeDefined()
    expect(screen.queryByRole('group', { name: 'Guest' })).toBeNull()
  })

  it('writes down all as planned; who did the same for as long is on one line', async () => {
    on(WRITE, () => undefined)
    await shown()
    await userEvent.click(screen.getByRole('button', { name: 'All as planned' }))
    await userEvent.click(screen.getByRole('button', { name: 'Write down 2 lines' }))
    await waitFor(() => askedFor(WRITE))
    expect(askedFor(WRITE).body).toEqual({
      day: '2026-11-24',
      lines: [
        { workId: 'loom', people: ['bo', 'mara'], minutes: 120, done: false },
        { workId: 'seal', people: ['bo'], minutes: 60, done: false },
      ],
    })
    await waitFor(() =>
      expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Write down' }).disabled).toBe(true),
    )
  })

  it('ticks what is given a time or said to be done', async () => {
    on(WRITE, () => undefined)
    await shown()
    const hours = of('Bo').getByLabelText('How long, 61 Fit loom')
    await userEvent.clear(hours)
    await userEvent.type(hours, '45 min')
    await userEvent.tab()
    await userEvent.click(of('Mara').getByRole('checkbox', { name: 'done' }))
    expect(of('Bo').getByRole<HTMLInputElement>('checkbox', { name: '61 Fit loom' }).checked).toBe(true)
    await userEvent.click(screen.getByRole('button', { name: 'Write down 2 lines' }))
    await waitFor(() => askedFor(WRITE))
    expect(askedFor(WRITE).body).toMatchObject({
      lines: [
        { people: ['bo'], minutes: 45, done: false },
        { people: ['mara'], minutes: 120, done: true },
      ],
    })
  })

  it('adds what was not planned, an hour to begin with', async () => {
    on(WRITE, () => undefined)
    await shown()
    await userEvent.click(of('Mara').getByRole('combobox', { name: 'Something else that Mara did' }))
    await userEvent.click(await screen.findByRole('option', { name: '61 Dust' }))
    await userEvent.click(screen.getByRole('button', { name: 'Write down 1 line' }))
    await waitFor(() => askedFor(WRITE))
    expect(askedFor(WRITE).body).toMatchObject({ lines: [{ workId: 'dust', people: ['mara'], minutes: 60 }] })
  })

  it('keeps all that was said where it was not taken', async () => {
    on(WRITE, () => new Refusal(422, { detail: 'Bo was in for 8 h; that would be 11 h.' }))
    await shown()
    await userEvent.click(screen.getByRole('button', { name: 'All as planned' }))
    await userEvent.click(screen.getByRole('button', { name: 'Write down 2 lines' }))
    expect((await screen.findByRole('alert')).textContent).toBe('Bo was in for 8 h; that would be 11 h.')
    expect(of('Bo').getByRole<HTMLInputElement>('checkbox', { name: '61 Fit loom' }).checked).toBe(true)
  })

  it('goes back day by day, and what is said is of the day that is shown', async () => {
    on(WRITE, () => undefined)
    await shown()
    await userEvent.click(screen.getByRole('button', { name: 'All as planned' }))
    on(LIST, ({ query }) => day({ day: query.get('day'), before: '2026-11-20' }))
    await userEvent.click(screen.getByRole('button', { name: 'the day before' }))
    await screen.findByText('Mon 23 Nov, 2 days ago')
    expect(asked(LIST).at(-1)?.query.get('day')).toBe('2026-11-23')
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Write down' }).disabled).toBe(true)
    await userEvent.click(of('Mara').getByRole('checkbox', { name: '61 Fit loom' }))
    await userEvent.click(screen.getByRole('button', { name: 'Write down 1 line' }))
    await waitFor(() => askedFor(WRITE))
    expect(askedFor(WRITE).body).toMatchObject({ day: '2026-11-23' })
  })
})
