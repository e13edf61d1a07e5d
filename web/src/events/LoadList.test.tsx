// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import { inRoom } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { LoadList } from './LoadList'

const thing = (id: string, more = {}) => ({
  id,
  name: id,
  box: 'blue box',
  quantity: 1,
  kilograms: 4.4,
  ...more,
})
const list = (more = {}) => ({
  payload: 0,
  usedListed: false,
  items: [
    thing('jack'),
    thing('mirrors', { quantity: 2, by: 'Bo' }),
    thing('awning', { box: '', kilograms: 40 }),
  ],
  ...more,
})
const LIST = 'GET /api/events/e1/load'
const LEAVE = 'POST /api/events/e1/leave'

const shown = (answer: unknown = list(), changes = true) => {
  on(LIST, () => answer)
  inRoom(<LoadList event="e1" changes={changes} />)
}
const tick = (name: string) => screen.findByRole<HTMLInputElement>('checkbox', { name })

describe('what goes aboard', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
  })

  it('counts things and mass, box by box, and says when the trailer cannot take it', async () => {
    shown(list({ payload: 45 }))
    expect((await screen.findByRole('heading')).textContent).toBe('Aboard 1 of 3 things, 4 of 49 kg')
    expect(screen.getByText('49 kg are on the list, and the trailer takes 45 kg.')).toBeDefined()
    expect(screen.getByRole('group', { name: /blue box/ }).textContent).toContain('1/2')
    expect(screen.getByRole('group', { name: /loose/ }).textContent).toContain('0/1')
    await userEvent.click(screen.getByRole('button', { name: 'Show what is missing' }))
    expect(screen.queryByRole('checkbox', { name: 'mirrors × 2' })).toBeNull()
    expect(await tick('jack')).toBeDefined()
  })

  it('ticks a thing at once and asks for the list again; a refused tick goes back', async () => {
    const TICK = 'PUT /api/load-items/jack/tick'
    on(TICK, () => undefined)
    shown()
    on(TICK, () => {
      on(LIST, () => list({ items: [thing('jack', { by: 'Mara' })] }))
      return undefined
    })
    await userEvent.click(await tick('jack'))
    expect(askedFor(TICK).body).toEqual({ aboard: true })
    expect((await tick('jack')).checked).toBe(true)
    expect(await screen.findByText('Mara')).toBeDefined()
    on(TICK, () => new Refusal(422, { detail: 'The trailer has left.' }))
    await userEvent.click(await tick('jack'))
    expect(await screen.findByText('The trailer has left.')).toBeDefined()
    expect((await tick('jack')).checked).toBe(true)
  })

  it('asks by name for what is missing before it leaves without', async () => {
    on(
      LEAVE,
      () => new Refusal(422, { problems: [{ field: 'anyway', message: 'Not aboard: jack, awning.' }] }),
    )
    shown()
    await userEvent.click(await screen.findByRole('button', { name: 'The trailer leaves' }))
    expect((await screen.findByRole('alert')).textContent).toBe('Not aboard: jack, awning.')
    on(LEAVE, () => undefined)
    await userEvent.click(screen.getByRole('button', { name: 'Leave without' }))
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull())
    expect(asked(LEAVE).map((a) => a.body)).toEqual([{ anyway: false }, { anyway: true }])
  })

  it('counts what came back; what is short is what was used', async () => {
    const BACK = 'PUT /api/load-items/mirrors/back'
    on(BACK, () => undefined)
    shown(
      list({
        leftAt: '2026-11-25T06:00:00Z',
        leftBy: 'Bo',
        without: 'jack',
        items: [thing('jack'), thing('mirrors', { quantity: 2, by: 'Bo', back: 1 })],
      }),
    )
    expect(await screen.findByText(/Left 07:00, Bo, without jack/)).toBeDefined()
    const back = screen.getByRole('group', { name: 'What came back' })
    expect(back.textContent).toContain('1 of 1 things that went are counted. Used: mirrors × 1.')
    expect(within(back).getByRole('button', { name: 'Put it on the supply run' })).toBeDefined()
    await userEvent.click(screen.getByRole('button', { name: 'mirrors: one was used' }))
    await waitFor(() => askedFor(BACK))
    expect(askedFor(BACK).body).toEqual({ back: 0 })
    await userEvent.click(await tick('mirrors × 2 back'))
    await waitFor(() => askedFor(BACK, 1))
    expect(askedFor(BACK, 1).body).toEqual({ back: 2 })
    expect(screen.queryByRole('button', { name: 'The trailer leaves' })).toBeNull()
  })

  it('leaves the list to those who plan, the adding to all', async () => {
    shown(list(), false)
    await tick('jack')
    expect(screen.queryByRole('button', { name: 'Take jack off the list' })).toBeNull()
    expect(screen.queryByRole('button', { name: 'Put the usual things on it' })).toBeNull()
    on('POST /api/events/e1/load', () => ({ id: 'new' }))
    await userEvent.type(screen.getByLabelText('Another thing'), 'tow rope')
    await userEvent.type(screen.getByLabelText('Its mass'), '1.5')
    await userEvent.click(screen.getByRole('button', { name: 'Put it on the list' }))
    await waitFor(() => askedFor('POST /api/events/e1/load'))
    expect(askedFor('POST /api/events/e1/load').body).toEqual({
      name: 'tow rope',
      box: '',
      quantity: 1,
      kilograms: 1.5,
    })
  })
})
