// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { BoardContext, type Car, indexed } from '../api/board'
import { Around, boardWith, inRoom, job } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { Decisions } from './Decisions'
import { Faults } from './Faults'
import { Loans } from './Loans'
import { SplitJob } from './SplitJob'

const BOARD = boardWith({
  cars: [
    { id: 'b61', number: '61', name: 'Red coupe', restrictions: [] },
    { id: 'b7', number: '7', name: 'Saloon', restrictions: [] },
    { id: 'stock', number: '', name: 'Stock', body: 'NONE', restrictions: [] },
  ],
})
const [RED, SALOON] = BOARD.cars as [Car, Car]
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }))
const type = (label: string, text: string) => userEvent.type(screen.getByLabelText(label), text)

beforeEach(() => {
  newServer()
  on('GET /api/board/news', () => ({ lists: {} }))
})

describe('decisions of a car', () => {
  const LIST = 'GET /api/builds/b61/decisions'
  const decision = (more = {}) => ({
    id: 'd1',
    question: 'Which pads',
    asked: 'the customer',
    due: '2026-11-24T09:00:00Z',
    options: [{ name: 'hard', price: 120, effect: 'a day later' }, { name: 'soft' }],
    kept: false,
    note: '',
    ...more,
  })

  it('say what is asked of whom, and that the day is past', async () => {
    on(LIST, () => [decision(), decision({ id: 'd2', question: 'Which belt', due: undefined })])
    inRoom(<Decisions car={RED} changes />, BOARD)
    expect((await screen.findByText(/by Tue 24 Nov 10:00, asked of the customer/)).className).toBe('hot')
    expect(screen.getByText(/no day by which/)).toBeDefined()
    expect(screen.getAllByText(/hard, .*120.*, a day later/)).toHaveLength(2)
  })

  it('are asked with the options that have a name', async () => {
    const ASK = 'POST /api/builds/b61/decisions'
    on(LIST, () => [])
    on(ASK, () => ({ id: 'new' }))
    inRoom(<Decisions car={RED} changes />, BOARD)
    expect(await screen.findByText('Nothing is to be decided.')).toBeDefined()
    await press('Add')
    await userEvent.type(await screen.findByLabelText('What is to be decided'), 'Which oil')
    await type('By when', '1.12. 9:00')
    await type('Option 1', 'thin')
    await userEvent.type(screen.getAllByLabelText('Price')[0]!, '80')
    await press('Save')
    await waitFor(() => askedFor(ASK))
    expect(askedFor(ASK).body).toEqual({
      question: 'Which oil',
      asked: '',
      due: '2026-12-01T08:00:00.000Z',
      options: [{ name: 'thin', price: 80, effect: '' }],
    })
  })

  it('are made by one press of an option, and may leave it as it was', async () => {
    const DECIDE = 'PUT /api/decisions/d1'
    on(LIST, () => [decision()])
    on(DECIDE, () => undefined)
    inRoom(<Decisions car={RED} changes />, BOARD)
    await userEvent.click(await screen.findByRole('button', { name: 'it is decided' }))
    await userEvent.click(await screen.findByRole('button', { name: 'soft' }))
    await userEvent.click(screen.getByLabelText(/it stays as it was/))
    await press('Save')
    await waitFor(() => askedFor(DECIDE))
    expect(askedFor(DECIDE).body).toEqual({ chosen: 'soft', kept: true, note: '' })
  })

  it('of another car are not shown while those of this one are looked up', async () => {
    on(LIST, () => [decision()])
    on('GET /api/builds/b7/decisions', () => new Promise(() => undefined))
    const { rerender, queries } = inRoom(<Decisions car={RED} changes />, BOARD)
    await screen.findByText('Which pads')
    rerender(
      <Around queries={queries}>
        <BoardContext.Provider value={indexed(BOARD)}>
          <Decisions car={SALOON} changes />
        </BoardContext.Provider>
      </Around>,
    )
    await waitFor(() => expect(asked('GET /api/builds/b7/decisions')).toHaveLength(1))
    expect(screen.queryByText('Which pads')).toBeNull()
  })
})

describe('faults that are looked for', () => {
  const LIST = 'GET /api/builds/b61/faults'
  const fault = (more = {}) => ({
    id: 'f1',
    symptom: 'misfire',
    checks: [
      {
        what: 'coil 3',
        how: 'swapped',
        result: 'stays',
        ruledOut: true,
        byName: 'Bo',
        at: '2026-11-25T06:00:00Z',
      },
    ],
    ...more,
  })

  it('count what was checked and ruled out; each check is written down and the next begun', async () => {
    const CHECK = 'POST /api/faults/f1/checks'
    on(LIST, () => [fault()])
    on(CHECK, () => undefined)
    inRoom(<Faults car={RED} />, BOARD)
    expect(await screen.findByText('1 checked, 1 ruled out')).toBeDefined()
    await press('misfire')
    expect(screen.getByRole('listitem').textContent).toContain('coil 3, swapped: stays not it')
    await type('Checked', 'plug 2')
    await type('Result', 'wet')
    await userEvent.click(screen.getByLabelText('not it'))
    await press('Write down')
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('Checked').value).toBe(''))
    expect(askedFor(CHECK).body).toEqual({ what: 'plug 2', how: '', result: 'wet', ruledOut: false })
  })

  it('end with what it was; then nothing more is checked', async () => {
    const SOLVED = 'POST /api/faults/f1/solved'
    on(LIST, () => [fault(), fault({ id: 'f2', symptom: 'smoke', cause: 'a seal' })])
    on(SOLVED, () => undefined)
    inRoom(<Faults car={RED} />, BOARD)
    await userEvent.click(await screen.findByRole('button', { name: 'smoke' }))
    expect(screen.getByText('was a seal')).toBeDefined()
    expect(screen.queryByRole('button', { name: 'That was it' })).toBeNull()
    await press('misfire')
    await type('What it was', 'lead chafed')
    await press('That was it')
    await waitFor(() => askedFor(SOLVED))
    expect(askedFor(SOLVED).body).toEqual({ cause: 'lead chafed' })
  })
})

describe('what cars borrow', () => {
  it('is said from both sides, given back, and borrowed of a car or the shelf', async () => {
    on('GET /api/loans', () => [
      {
        id: 'l1',
        what: 'left mirror',
        toBuildId: 'b61',
        fromBuildId: 'b7',
        byName: 'Bo',
        at: '2026-11-20T09:00:00Z',
      },
      {
        id: 'l2',
        what: 'jack',
        toBuildId: 'b7',
        fromBuildId: 'b61',
        byName: 'Bo',
        at: '2026-11-20T09:00:00Z',
      },
      { id: 'l3', what: 'hose', toBuildId: 'b61', byName: 'Bo', at: '2026-11-20T09:00:00Z' },
    ])
    on('POST /api/loans/l1/returned', () => undefined)
    on('POST /api/builds/b61/loans', () => ({ id: 'new' }))
    inRoom(<Loans car={RED} changes />, BOARD)
    const panel = within(await screen.findByRole('region', { name: 'Borrowed' }))
    await panel.findByText('left mirror')
    expect(document.body.textContent).toContain('left mirror of 7 Saloon')
    expect(document.body.textContent).toContain('jack lent to 7 Saloon')
    expect(document.body.textContent).toContain('hose of the shelf')
    await userEvent.click(panel.getAllByRole('button', { name: 'given back' })[0]!)
    await waitFor(() => askedFor('POST /api/loans/l1/returned'))
    await press('Borrow')
    await userEvent.type(await screen.findByLabelText('What'), 'pump')
    await press('Borrow it')
    await waitFor(() => askedFor('POST /api/builds/b61/loans'))
    expect(askedFor('POST /api/builds/b61/loans').body).toEqual({ what: 'pump' })
  })
})

describe('a job that is split', () => {
  const SPLIT = 'POST /api/works/loom/split'
  let closed = vi.fn()
  const form = () => inRoom(<SplitJob work={job('loom', { name: 'Fit loom' })} onClose={closed} />)
  beforeEach(() => {
    closed = vi.fn()
  })

  it('gives half of it away under a name that says so', async () => {
    on(SPLIT, () => ({ id: 'new' }))
    form()
    await userEvent.click(screen.getByLabelText(/second pair of hands/))
    await press('Split it')
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(askedFor(SPLIT).body).toEqual({ name: 'Fit loom, second part', minutes: 30, secondHand: true })
  })

  it('says at the field how much may be taken', async () => {
    on(
      SPLIT,
      () => new Refusal(422, { problems: [{ field: 'minutes', message: 'It takes an hour in all.' }] }),
    )
    form()
    await userEvent.clear(screen.getByLabelText('Takes'))
    await type('Takes', '2 h')
    await press('Split it')
    expect(await screen.findByText('It takes an hour in all.')).toBeDefined()
    expect(askedFor(SPLIT).body).toMatchObject({ minutes: 120 })
    expect(closed).toHaveBeenCalledTimes(0)
  })
})
