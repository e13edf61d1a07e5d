// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import { inRoom } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { NewBuild } from './NewBuild'

const MAKE = 'POST /api/builds'
const TEMPLATE = {
  id: 'strip-and-rebuild',
  name: 'Strip and rebuild',
  jobs: 80,
  likelyMinutes: 9000,
  stages: ['strip', 'build'],
}

let made: string[] = []
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }))
async function toItsDate() {
  inRoom(<NewBuild onClose={() => undefined} onDone={(id) => made.push(id)} />)
  await userEvent.type(screen.getByLabelText('Name'), 'Barn find')
  await screen.findByRole('radio', { name: /None/ })
  await press('Next: the date')
}

describe('a new build', () => {
  beforeEach(() => {
    newServer()
    made = []
    on('GET /api/board/news', () => ({ lists: {} }))
    on('GET /api/templates', () => [TEMPLATE])
    on(MAKE, () => ({ id: 'new' }))
  })

  it('needs a name before its date is asked for', async () => {
    inRoom(<NewBuild onClose={() => undefined} onDone={() => undefined} />)
    await press('Next: the date')
    expect(await screen.findByText('What is the car called?')).toBeDefined()
  })

  it('is taken in with its template and its first date', async () => {
    await toItsDate()
    await userEvent.type(screen.getByLabelText('What must it be ready for?'), 'Hill climb')
    await userEvent.type(screen.getByLabelText('When'), '12.12. 7:00')
    await press('Take it in')
    await waitFor(() => expect(made).toEqual(['new']))
    expect(askedFor(MAKE).body).toMatchObject({
      build: { name: 'Barn find' },
      template: 'strip-and-rebuild',
      dateName: 'Hill climb',
      dateKind: 'EVENT',
      dateDue: '2026-12-12T06:00:00.000Z',
    })
  })

  it('may have no date yet; one that is named is not lost for want of a day', async () => {
    await toItsDate()
    await userEvent.type(screen.getByLabelText('What must it be ready for?'), 'Hill climb')
    await press('Take it in')
    expect(await screen.findByText('When is that?')).toBeDefined()
    expect(asked(MAKE)).toHaveLength(0)
    await userEvent.clear(screen.getByLabelText('What must it be ready for?'))
    await press('Take it in')
    await waitFor(() => expect(made).toEqual(['new']))
    expect(askedFor(MAKE).body).not.toHaveProperty('dateName')
  })

  it('begins empty where the usual template is not on the house’s list any more', async () => {
    on('GET /api/templates', () => [{ ...TEMPLATE, id: 'own', name: 'Our own' }])
    await toItsDate()
    await press('Take it in')
    await waitFor(() => expect(made).toEqual(['new']))
    expect(askedFor(MAKE).body).not.toHaveProperty('template')
  })

  it('goes back to the car for what is wrong with the car, and keeps the date', async () => {
    on(
      MAKE,
      () => new Refusal(422, { problems: [{ field: 'build.name', message: 'There is a Barn find.' }] }),
    )
    await toItsDate()
    await userEvent.type(screen.getByLabelText('What must it be ready for?'), 'Hill climb')
    await userEvent.type(screen.getByLabelText('When'), '12.12. 7:00')
    await press('Take it in')
    expect(await screen.findByText('There is a Barn find.')).toBeDefined()
    await press('Next: the date')
    expect(screen.getByDisplayValue('Hill climb')).toBeDefined()
  })
})
