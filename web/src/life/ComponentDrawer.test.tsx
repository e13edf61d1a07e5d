// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Component } from '../api/components'
import { inRoom } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { ComponentDrawer } from './ComponentDrawer'

const ADD = 'POST /api/components'
const ENGINE = {
  id: 'e1',
  name: 'Engine',
  identity: '7',
  buildId: 'b61',
  safety: false,
  note: 'Mind the sump',
  before: { HOURS: 12 },
  limits: [{ counter: 'HOURS', most: 40, service: true }],
  due: [],
  history: [{ at: '2026-11-20T09:00:00Z', what: 'serviced: fresh bearings', by: 'Bo' }],
  version: 4,
} as unknown as Component

let closed = vi.fn()
const drawer = (component?: Component, changes = true) =>
  inRoom(<ComponentDrawer car="b61" component={component} changes={changes} onClose={closed} />)
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }))

describe('a component', () => {
  beforeEach(() => {
    newServer()
    closed = vi.fn()
    on('GET /api/board/news', () => ({ lists: {} }))
  })

  it('is written down and fitted in one act', async () => {
    on(ADD, () => ({ id: 'new' }))
    drawer()
    await userEvent.type(screen.getByLabelText('What it is'), 'Harness')
    await userEvent.click(screen.getByLabelText(/Safety gear/))
    await press('Add a limit')
    await userEvent.type(screen.getByLabelText('At most'), '20')
    await press('Fit it to this car')
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(asked(ADD)).toHaveLength(1)
    expect(askedFor(ADD).body).toMatchObject({
      name: 'Harness',
      safety: true,
      fittedTo: 'b61',
      limits: [{ counter: 'HOURS', most: 20, service: true }],
      version: 0,
    })
  })

  it('says what is wrong at the limit that is wrong, and keeps what was typed', async () => {
    on(
      ADD,
      () => new Refusal(422, { problems: [{ field: 'limits[1].most', message: 'A limit is more than 0.' }] }),
    )
    drawer()
    await userEvent.type(screen.getByLabelText('What it is'), 'Harness')
    await press('Add a limit')
    await press('Add a limit')
    await press('Fit it to this car')
    const said = await screen.findByText('A limit is more than 0.')
    const fields = screen.getAllByLabelText('At most')
    expect(fields[1]?.closest('.mantine-InputWrapper-root')?.contains(said)).toBe(true)
    expect(screen.getByDisplayValue('Harness')).toBeDefined()
    expect(closed).toHaveBeenCalledTimes(0)
  })

  it('says so where the car is gone meanwhile', async () => {
    on(
      ADD,
      () => new Refusal(422, { problems: [{ field: 'buildId', message: 'Say which car it is fitted to.' }] }),
    )
    drawer()
    await userEvent.type(screen.getByLabelText('What it is'), 'Harness')
    await press('Fit it to this car')
    expect(await screen.findByText('Say which car it is fitted to.')).toBeDefined()
    expect(closed).toHaveBeenCalledTimes(0)
  })

  it('is changed in the version that was read', async () => {
    const CHANGE = 'PUT /api/components/e1'
    on(CHANGE, () => undefined)
    drawer(ENGINE)
    await userEvent.type(screen.getByLabelText('Note'), ' gasket')
    await press('Keep')
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(askedFor(CHANGE).body).toMatchObject({
      note: 'Mind the sump gasket',
      before: { HOURS: 12 },
      version: 4,
    })
    expect(askedFor(CHANGE).body).not.toHaveProperty('fittedTo')
  })

  it('stays open where it could not be removed or taken off', async () => {
    on('DELETE /api/components/e1', () => new Refusal(409, { detail: 'It has been used.' }))
    on('POST /api/components/e1/take-off', () => new Refusal(409, { detail: 'It is off already.' }))
    drawer(ENGINE)
    await press('Remove')
    expect(await screen.findByText('It has been used.')).toBeDefined()
    await press('Take it off')
    expect(await screen.findByText('It is off already.')).toBeDefined()
    expect(closed).toHaveBeenCalledTimes(0)
  })

  it('is read by who may not change it, who still writes down what was done', async () => {
    const NOTE = 'POST /api/components/e1/history'
    on(NOTE, () => undefined)
    drawer(ENGINE, false)
    expect(screen.queryByRole('button', { name: 'Keep' })).toBeNull()
    expect(screen.getByLabelText('What it is').closest('fieldset')?.disabled).toBe(true)
    const history = within(screen.getByRole('region', { name: 'History' }))
    expect(history.getByText(/fresh bearings/)).toBeDefined()
    await userEvent.type(history.getByLabelText('In words'), 'oil changed')
    await userEvent.click(history.getByRole('button', { name: 'Write it down' }))
    await waitFor(() => askedFor(NOTE))
    expect(askedFor(NOTE).body).toEqual({ kind: 'SERVICE', what: 'oil changed' })
    await waitFor(() => expect(history.getByLabelText<HTMLInputElement>('In words').value).toBe(''))
  })
})
