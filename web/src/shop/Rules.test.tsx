// @vitest-environment jsdom
import { act, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import { inRoom } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { Rules } from './Rules'
import { Units } from './Units'

const SHOP = {
  name: 'Brackwater Works',
  zone: 'Europe/Berlin',
  monthFirst: false,
  twelveHours: false,
  atRiskStart: 4,
  toldOtherwise: 2,
  carInBits: 0.2,
  finishDay: 0.1,
  bufferHours: 8,
  frozenDays: 2,
  tieBreak: 'NEAREST_DATE',
  returnWrong: 0.05,
  stayOnMinutes: 90,
  takeGainHours: 0,
  takeAfterDays: 2,
  unknownArrivalDays: 10,
  version: 3,
}
const SAVE = 'PUT /api/shop'
const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label)
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }))

describe('the rules of the house', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
    on('GET /api/shop', () => SHOP)
    on('GET /api/shop/schools', () => [
      { title: 'Event first', why: 'for race teams', tieBreak: 'OUTSIDE_FIRST', bufferHours: 16 },
    ])
  })
  const shown = async (changes = true) => {
    const drawn = inRoom(<Rules changes={changes} />)
    await screen.findByLabelText('Name of the shop')
    return drawn
  }

  it('are said in per cent and hours, and kept as shares and minutes', async () => {
    on(SAVE, () => undefined)
    await shown()
    expect(field('Outside work that comes back wrong').value).toBe('5 %')
    expect(field('Hours that people stay on past their day').value).toBe('1.5')
    await userEvent.clear(field('Outside work that comes back wrong'))
    await userEvent.type(field('Outside work that comes back wrong'), '7.5')
    await userEvent.clear(field('Hours that people stay on past their day'))
    await userEvent.type(field('Hours that people stay on past their day'), '2')
    await press('Save')
    await waitFor(() => askedFor(SAVE))
    expect(askedFor(SAVE).body).toEqual({ ...SHOP, returnWrong: 0.075, stayOnMinutes: 120 })
  })

  it('begin from what shops of a kind go by', async () => {
    await shown()
    await userEvent.click(await screen.findByRole('button', { name: 'Event first' }))
    expect(screen.getByRole<HTMLInputElement>('radio', { name: /leads to long outside work/ }).checked).toBe(
      true,
    )
    expect(field('Hours that a date should have in hand').value).toBe('16')
    expect(field('Name of the shop').value).toBe('Brackwater Works')
  })

  it('say at their field what cannot be', async () => {
    on(
      SAVE,
      () => new Refusal(422, { problems: [{ field: 'zone', message: 'There is no such time zone.' }] }),
    )
    await shown()
    await userEvent.type(field('Time zone'), 'x')
    await press('Save')
    expect(await screen.findByText('There is no such time zone.')).toBeDefined()
  })

  it('keep what is typed when somebody else has saved, until told to look at that', async () => {
    const { queries } = await shown()
    await userEvent.type(field('Name of the shop'), ' Two')
    on('GET /api/shop', () => ({ ...SHOP, name: 'Theirs', version: 4 }))
    await act(() => queries.invalidateQueries())
    expect((await screen.findByRole('status')).textContent).toContain(
      'Somebody else has changed the house rules',
    )
    expect(field('Name of the shop').value).toBe('Brackwater Works Two')
    await press('Look at theirs; what is typed here goes')
    await waitFor(() => expect(field('Name of the shop').value).toBe('Theirs'))
    expect(screen.queryByRole('status')).toBeNull()
  })

  it('show what is saved here, in its new version', async () => {
    on(SAVE, () => undefined)
    const { queries } = await shown()
    await userEvent.type(field('Name of the shop'), ' Two')
    on('GET /api/shop', () => ({ ...SHOP, name: 'Brackwater Works Two', version: 4 }))
    await press('Save')
    await waitFor(() => askedFor(SAVE))
    await act(() => queries.invalidateQueries())
    await waitFor(() =>
      expect(screen.getByRole<HTMLButtonElement>('button', { name: 'What would they do?' }).disabled).toBe(
        true,
      ),
    )
    expect(screen.queryByRole('status')).toBeNull()
    await press('Save')
    await waitFor(() => expect(askedFor(SAVE, 1).body).toMatchObject({ version: 4 }))
  })

  it('are read by who may not change them', async () => {
    await shown(false)
    expect(field('Name of the shop').closest('fieldset')?.disabled).toBe(true)
    expect(screen.queryByRole('button', { name: 'Save' })).toBeNull()
  })
})

describe('units', () => {
  const KINDS = [
    { kind: 'MASS', label: 'mass', metric: 'kg', customary: 'lb' },
    { kind: 'PRESSURE', label: 'pressure', metric: 'bar', customary: 'psi' },
  ]
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
    on('GET /api/units', () => ({
      kinds: KINDS,
      house: { PRESSURE: 'CUSTOMARY' },
      own: { MASS: 'CUSTOMARY' },
    }))
    on('PUT /api/units/house', () => undefined)
    on('PUT /api/units/mine', () => undefined)
  })
  const choice = (name: string) => screen.findByRole<HTMLSelectElement>('combobox', { name })

  it('are chosen one by one, so that two quick choices do not undo each other', async () => {
    inRoom(<Units changes />)
    expect((await choice('pressure, the house')).value).toBe('CUSTOMARY')
    await userEvent.selectOptions(await choice('mass, the house'), 'lb')
    await userEvent.selectOptions(await choice('pressure, the house'), 'bar')
    await waitFor(() => askedFor('PUT /api/units/house', 1))
    expect(asked('PUT /api/units/house').map((a) => a.body)).toEqual([
      { choices: { MASS: 'CUSTOMARY' } },
      { choices: { PRESSURE: 'METRIC' } },
    ])
    expect((await choice('mass, the house')).value).toBe('CUSTOMARY')
  })

  it('go by the house again where somebody says nothing of their own', async () => {
    inRoom(<Units changes={false} />)
    expect((await choice('mass, the house')).disabled).toBe(true)
    await userEvent.selectOptions(await choice('mass, you'), 'as the house')
    await waitFor(() => askedFor('PUT /api/units/mine'))
    expect(askedFor('PUT /api/units/mine').body).toEqual({ choices: { MASS: null } })
  })
})
