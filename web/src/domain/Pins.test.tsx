// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import { boardWith, inRoom, job } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { Pins } from './Pins'

const LOAD = job('Load')
const ADD = 'POST /api/pins'

const pins = (canPin = true, known: unknown[] = []) =>
  inRoom(<Pins work={LOAD} canPin={canPin} />, boardWith({ works: [LOAD, job('Weigh')], pins: known }))

async function choose(label: string, option: string) {
  await userEvent.click(screen.getByRole('combobox', { name: label }))
  await userEvent.click(await screen.findByRole('option', { name: option, hidden: true }))
}

describe('pins', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
  })

  it('say in words what is settled, and which does not hold', () => {
    pins(false, [
      { id: 'p1', workId: 'Load', kind: 'PERSON', personId: 'mara' },
      { id: 'p2', workId: 'Load', kind: 'EXACTLY', at: '2026-11-25T08:00:00Z', broken: 'nobody is in' },
      { id: 'p3', workId: 'Weigh', kind: 'PERSON', personId: 'bo' },
    ])
    expect(screen.getByText('Mara does it', { exact: false })).toBeDefined()
    expect(screen.getByText('exactly 09:00', { exact: false })).toBeDefined()
    expect(screen.getByText('does not hold: nobody is in', { exact: false })).toBeDefined()
    expect(screen.queryByText('Bo does it', { exact: false })).toBeNull()
    expect(screen.queryByRole('button')).toBeNull()
  })

  it('ask which before anything is sent', async () => {
    pins()
    await userEvent.click(screen.getByRole('button', { name: 'Pin' }))
    expect(screen.getByText('Say which.')).toBeDefined()
    expect(asked(ADD)).toEqual([])
  })

  it('send a person by name, and a time as the shop means it', async () => {
    on(ADD, () => ({ id: 'new' }))
    pins()
    await choose('Pin to', 'Mara')
    await userEvent.click(screen.getByRole('button', { name: 'Pin' }))
    await waitFor(() =>
      expect(askedFor(ADD).body).toEqual({ workId: 'Load', kind: 'PERSON', personId: 'mara' }),
    )
    await choose('Kind of pin', 'not before')
    const at = screen.getByLabelText('Pin to')
    await userEvent.type(at, '2026-12-01T09:00')
    await userEvent.click(screen.getByRole('button', { name: 'Pin' }))
    await waitFor(() =>
      expect(askedFor(ADD, 1).body).toEqual({
        workId: 'Load',
        kind: 'NOT_BEFORE',
        at: '2026-12-01T08:00:00.000Z',
      }),
    )
  })

  it('say there why one cannot hold', async () => {
    on(ADD, () => new Refusal(422, { detail: 'The pin on Load cannot hold: Mara is on leave.' }))
    pins()
    await choose('Pin to', 'Mara')
    await userEvent.click(screen.getByRole('button', { name: 'Pin' }))
    expect(await screen.findByText('The pin on Load cannot hold: Mara is on leave.')).toBeDefined()
  })

  it('offer only other open work of the same car to come after', async () => {
    pins()
    await choose('Kind of pin', 'after this job')
    await userEvent.click(screen.getByRole('combobox', { name: 'Pin to' }))
    const options = await screen.findAllByRole('option', { hidden: true })
    const names = options.map((o) => o.textContent)
    expect(names).toContain('Weigh')
    expect(names).not.toContain('Load')
  })
})
