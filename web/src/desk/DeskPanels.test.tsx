// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Schemas } from '../api/client'
import { CallForm } from '../domain/CallForm'
import { boardWith, inRoom, job } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { Calls } from './Calls'
import { DeskRoom } from './DeskRoom'
import { ErrandForm } from './ErrandForm'
import { Errands } from './Errands'
import { Shelf } from './Shelf'
import { Slots } from './Slots'

const MARA = { username: 'mara', name: 'Mara', role: 'MANAGER' } as Schemas['Account']
const HAND = { username: 'bo', name: 'Bo', role: 'HAND' } as Schemas['Account']
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }))
const type = (label: string, text: string) => userEvent.type(screen.getByLabelText(label), text)
const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label)

beforeEach(() => {
  newServer()
  on('GET /api/board/news', () => ({ lists: {} }))
})

describe('the shelf', () => {
  const item = (id: string, more = {}) =>
    ({
      id,
      name: id,
      place: 'rack 3',
      quantity: 5,
      reserved: 0,
      least: 2,
      version: 4,
      ...more,
    }) as Schemas['ShelfView']

  it('says what runs out: what is not spoken for is fewer than there must be', () => {
    inRoom(<Shelf shelf={[item('hose'), item('clips', { reserved: 4 }), item('bolts', { quantity: 2 })]} />)
    const row = (name: string) => screen.getByRole('button', { name }).closest('tr')?.textContent
    expect(row('clips')).toContain('running out: order more')
    expect(row('hose')).not.toContain('running out')
    expect(row('bolts')).not.toContain('running out')
  })

  it('is counted anew in the version that was read, the vendor as it was', async () => {
    const SAVE = 'PUT /api/shelf/hose'
    on(SAVE, () => new Refusal(422, { problems: [{ field: 'quantity', message: '4 are reserved.' }] }))
    inRoom(<Shelf shelf={[item('hose', { vendorId: 'v1' })]} />)
    await press('hose')
    await userEvent.clear(await screen.findByLabelText('There'))
    await type('There', '3')
    await press('Save')
    expect(await screen.findByText('4 are reserved.')).toBeDefined()
    on(SAVE, () => undefined)
    await press('Save')
    await waitFor(() => expect(screen.queryByLabelText('There')).toBeNull())
    expect(askedFor(SAVE, 1).body).toEqual({
      name: 'hose',
      place: 'rack 3',
      quantity: 3,
      least: 2,
      vendorId: 'v1',
      version: 4,
    })
  })

  it('takes something new', async () => {
    on('POST /api/shelf', () => ({ id: 'new' }))
    inRoom(<Shelf shelf={[]} />)
    expect(screen.getByText('The shelf is empty.')).toBeDefined()
    await press('Put something on the shelf')
    await userEvent.type(await screen.findByLabelText('What'), 'rivet nuts')
    await press('Save')
    await waitFor(() => askedFor('POST /api/shelf'))
    expect(askedFor('POST /api/shelf').body).toMatchObject({
      name: 'rivet nuts',
      quantity: 1,
      least: 0,
      version: 0,
    })
  })
})

describe('errands', () => {
  const BOARD = boardWith({
    works: [
      job('e1', {
        kind: 'ERRAND',
        name: 'Fetch hoses',
        placed: {
          start: '2026-11-25T09:00:00Z',
          end: '2026-11-25T10:00:00Z',
          crew: ['bo'],
          stationId: 'van',
          at: [],
        },
      }),
      job('e2', { kind: 'ERRAND', name: 'Take the rims', placed: undefined }),
    ],
    stations: [
      { id: 'van', name: 'Van', kind: 'vehicle' },
      { id: 'lift', name: 'Lift', kind: 'lift' },
    ],
  })

  it('say who goes with what, and hot what is back too late', async () => {
    on('GET /api/errands', () => [
      { workId: 'e1', byAt: '2026-11-25T09:30:00Z', forBuildId: 'b61' },
      { workId: 'e2', byAt: '2026-11-25T12:00:00Z' },
      { workId: 'gone', byAt: '2026-11-25T12:00:00Z' },
    ])
    on('DELETE /api/errands/e2', () => undefined)
    inRoom(<Errands />, BOARD)
    expect((await screen.findByText(/Bo with the Van, 10:00, back too late for 10:30/)).className).toBe('hot')
    expect(screen.getByText(/cannot be planned; back by 13:00/)).toBeDefined()
    await userEvent.click(screen.getAllByRole('button', { name: 'Call it off' })[1]!)
    await waitFor(() => askedFor('DELETE /api/errands/e2'))
  })

  it('are planned with a day by which, by whoever can', async () => {
    on('POST /api/errands', () => ({ id: 'new' }))
    const closed = vi.fn()
    inRoom(
      <ErrandForm start={{ what: 'Fetch the shaft', place: 'Fenwick', partId: 'p1' }} onClose={closed} />,
      BOARD,
    )
    await press('Plan it')
    expect(await screen.findByText('By when?')).toBeDefined()
    expect(asked('POST /api/errands')).toHaveLength(0)
    await type('Back by', 'tomorrow 12:00')
    await userEvent.clear(field('There and back'))
    await type('There and back', '1½ h')
    await press('Plan it')
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(askedFor('POST /api/errands').body).toEqual({
      what: 'Fetch the shaft',
      place: 'Fenwick',
      partId: 'p1',
      vehicleId: 'van',
      minutes: 90,
      by: '2026-11-26T11:00:00.000Z',
    })
  })
})

describe('calls', () => {
  it('that are due are hot; one that is made says what was said and when the next is', async () => {
    on('GET /api/calls', () => [
      {
        id: 'c1',
        who: 'A. Customer',
        about: 'pads',
        buildId: 'b61',
        due: '2026-11-25T06:00:00Z',
        said: '',
        byName: '',
      },
      { id: 'c2', who: 'Fenwick', about: 'shaft', due: '2026-11-26T08:00:00Z', said: '', byName: '' },
      {
        id: 'c3',
        who: 'Tuner',
        about: 'slot',
        due: '2026-11-24T08:00:00Z',
        doneAt: '2026-11-24T08:10:00Z',
        said: '',
        byName: 'Mara',
      },
    ])
    on('POST /api/calls/c1/done', () => undefined)
    inRoom(<Calls />)
    expect((await screen.findByText('07:00')).className).toBe('hot')
    expect(screen.getByText('Thu 09:00').className).toBe('soft')
    expect(screen.getByText('Tuner, Tue 24 Nov 09:10: rung')).toBeDefined()
    await press('A. Customer')
    await userEvent.type(await screen.findByLabelText('What was said'), 'soft ones')
    await type('Ring again', 'Fri 14:00')
    await press('Done')
    await waitFor(() => askedFor('POST /api/calls/c1/done'))
    expect(askedFor('POST /api/calls/c1/done').body).toEqual({
      said: 'soft ones',
      next: '2026-11-27T13:00:00.000Z',
    })
  })

  it('that come in are noted from any room', async () => {
    const ADD = 'POST /api/calls'
    on(ADD, () => new Refusal(422, { problems: [{ field: 'who', message: 'Who is it?' }] }))
    const closed = vi.fn()
    inRoom(<CallForm onClose={closed} />)
    await type('What was said', 'wants it red')
    await press('Note it')
    expect(await screen.findByText('Who is it?')).toBeDefined()
    on(ADD, () => undefined)
    await type('Who', 'B. Other')
    await press('Note it')
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(askedFor(ADD, 1).body).toEqual({ who: 'B. Other', about: '', said: 'wants it red' })
  })
})

describe('times that a vendor offers', () => {
  const BOARD = boardWith({
    works: [job('o1', { kind: 'OUTWORK' })],
    commitments: [{ id: 'd1', buildId: 'b61', name: 'Hill climb' }],
    vendors: [{ id: 'v', name: 'Tuner', times: [{ id: 's1', note: 'with the new rollers' }], offers: [] }],
  })
  const SLOTS = 'GET /api/outworks/o1/slots'
  const slot = (id: string, from: string, more = {}) => ({ id, from, to: from, ...more })

  it('stand with the chance of each, what it does, and whether it would be missed', async () => {
    on(SLOTS, () => ({
      offered: [
        slot('s1', '2026-11-26T08:00:00Z', {
          missed: true,
          effect: [{ commitment: 'd1', beforeMinutes: 120, afterMinutes: -60 }],
        }),
        slot('s2', '2026-11-27T08:00:00Z'),
      ],
    }))
    on('GET /api/odds', () => ({
      odds: {
        odds: [],
        harm: [],
        overruns: [],
        departures: [
          {
            workId: 'o1',
            p50: '2026-11-25T15:00:00Z',
            p80: '2026-11-26T10:00:00Z',
            offered: [{ slotId: 's1', chance: 0.45 }],
          },
        ],
      },
    }))
    inRoom(<Slots id="o1" />, BOARD)
    expect(await screen.findByText('45 %')).toBeDefined()
    const text = screen.getByRole('region', { name: 'Times offered' }).textContent
    expect(text).toContain('It can leave by 16:00 in half of the trials, by Thu 11:00 in four of five.')
    expect(text).toContain('Thu 09:00, with the new rollers it misses this by the plan')
    expect(screen.getByText(/Red coupe, Hill climb: \+2 h → −1 h \(late\)/)).toBeDefined()
  })

  it('are asked for one by one where they are far away, booked, and given back', async () => {
    on(SLOTS, () => ({ booked: '2026-11-26T08:00:00Z', offered: [slot('s2', '2026-11-27T08:00:00Z')] }))
    on('GET /api/odds', () => ({}))
    on('GET /api/outworks/o1/slots/s2', () =>
      slot('s2', '2026-11-27T08:00:00Z', { missed: false, effect: [] }),
    )
    on('POST /api/outworks/o1/slot', () => undefined)
    inRoom(<Slots id="o1" />, BOARD)
    expect(await screen.findByText('Booked: Thu 09:00')).toBeDefined()
    expect(asked('GET /api/outworks/o1/slots/s2')).toHaveLength(0)
    await press('What would it do?')
    expect(await screen.findByText('It moves no date.')).toBeDefined()
    await press('Book it')
    await waitFor(() => askedFor('POST /api/outworks/o1/slot'))
    await waitFor(() =>
      expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Give it back' }).disabled).toBe(false),
    )
    await press('Give it back')
    await waitFor(() => askedFor('POST /api/outworks/o1/slot', 1))
    expect(asked('POST /api/outworks/o1/slot').map((a) => a.body)).toEqual([{ slotId: 's2' }, {}])
  })
})

describe('the desk', () => {
  const line = (name: string, more = {}) => ({
    kind: 'PART',
    id: name,
    name,
    buildId: 'b61',
    quantity: 1,
    received: 0,
    state: 'ORDERED',
    kit: '',
    ...more,
  })

  it('is not for hands', () => {
    inRoom(<DeskRoom account={HAND} />)
    expect(screen.getByText("The Desk is the manager's and the leads'")).toBeDefined()
  })

  it('finds lines by part, car, kit or state', async () => {
    on('GET /api/desk', () => ({
      lines: [line('shaft'), line('seal', { kit: 'gearbox' }), line('hose', { state: 'SHIPPED' })],
      kits: [],
      supplies: [],
      shelf: [],
      change: 2,
      harmOf: 1,
    }))
    for (const other of ['calls', 'errands', 'arrivals', 'loans', 'findings', 'fitted-for-now'])
      on(`GET /api/${other}`, () => [])
    const car = { id: 'b61', number: '61', name: 'Red coupe', forNow: [], restrictions: [] }
    inRoom(<DeskRoom account={MARA} />, boardWith({ cars: [car] }))
    expect(
      await screen.findByText(/3 outside or to order · what a day more costs is being worked out/),
    ).toBeDefined()
    const chase = () =>
      within(screen.getByRole('region', { name: 'Chase list' }))
        .getAllByRole('button')
        .map((b) => b.textContent)
    await type('Find a line', 'gearbox')
    expect(chase()).toEqual(['seal'])
    await userEvent.clear(field('Find a line'))
    await type('Find a line', 'shipped')
    expect(chase()).toEqual(['hose'])
    await userEvent.clear(field('Find a line'))
    await type('Find a line', 'red coupe')
    expect(chase()).toEqual(['shaft', 'seal', 'hose'])
  })
})
