// @vitest-environment jsdom
import { MantineProvider } from '@mantine/core'
import { QueryClientProvider } from '@tanstack/react-query'
import { render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { MemoryRouter, Route, Routes, useNavigate } from 'react-router'
import { beforeEach, describe, expect, it } from 'vitest'
import { BoardContext, type Car, indexed } from '../api/board'
import type { Schemas } from '../api/client'
import { boardWith, inRoom, newQueries } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { CustomerLinks } from './CustomerLinks'
import { LedgerRoom } from './LedgerRoom'
import { Rates } from './Rates'

const MARA = { username: 'mara', name: 'Mara', role: 'MANAGER' } as Schemas['Account']
const BOARD = boardWith({
  cars: [
    { id: 'b61', number: '61', name: 'Red coupe', customer: 'A. Customer', restrictions: [] },
    { id: 'b7', number: '7', name: 'Saloon', customer: 'B. Other', restrictions: [] },
  ],
})
const LINKS = 'GET /api/builds/b61/customer-links'
const MAKE = 'POST /api/builds/b61/customer-links'
const link = (id: string, more = {}) => ({
  id,
  madeAt: '2026-11-01T09:00:00Z',
  expiresAt: '2026-12-31T09:00:00Z',
  money: false,
  ...more,
})
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }))

beforeEach(() => {
  newServer()
  on('GET /api/board/news', () => ({ lists: {} }))
})

describe('links to the customer’s page', () => {
  const shown = () => inRoom(<CustomerLinks car={BOARD.cars[0] as Car} />, BOARD)

  it('say until when each is good, and are revoked', async () => {
    on(LINKS, () => [
      link('good', { money: true }),
      link('old', { expiresAt: '2026-11-20T09:00:00Z' }),
      link('gone', { revokedAt: '2026-11-10T09:00:00Z' }),
    ])
    on('POST /api/customer-links/good/revoke', () => undefined)
    shown()
    await screen.findByText(/until Thu 31 Dec, with money/)
    expect(screen.getByText(/ended Fri 20 Nov/)).toBeDefined()
    expect(screen.getByText(/, revoked$/)).toBeDefined()
    expect(screen.getAllByRole('button', { name: 'revoke' })).toHaveLength(1)
    await press('revoke')
    await waitFor(() => askedFor('POST /api/customer-links/good/revoke'))
  })

  it('are shown once when made, for the customer by name', async () => {
    on(LINKS, () => [])
    on(MAKE, () => ({ path: '/customer/abc' }))
    shown()
    await userEvent.clear(screen.getByLabelText('Days'))
    await userEvent.type(screen.getByLabelText('Days'), '14')
    await userEvent.click(screen.getByLabelText('shows money'))
    await press('Make a link')
    expect((await screen.findByRole('link', { name: /customer\/abc$/ })).getAttribute('href')).toMatch(
      /\/customer\/abc$/,
    )
    expect(document.body.textContent).toContain('Send this to A. Customer; it is shown this once')
    expect(askedFor(MAKE).body).toEqual({ days: 14, money: true })
    expect(screen.getByRole('link', { name: 'Report (PDF)' }).getAttribute('href')).toContain('money=true')
  })
})

describe('the ledger of another build', () => {
  function Walk() {
    const navigate = useNavigate()
    return (
      <>
        <button onClick={() => void navigate('/ledger/b7')}>the other</button>
        <button onClick={() => void navigate('/ledger/b61')}>the first</button>
        <LedgerRoom account={MARA} />
      </>
    )
  }

  it('does not offer the link that was made for the first one', async () => {
    const books = { currency: 'EUR', hourRate: 60, taxPercent: 19, builds: [] }
    const ledger = (buildId: string) => ({
      buildId,
      summary: {
        buildId,
        estimated: false,
        agreed: 0,
        committed: 0,
        spent: 0,
        paid: 0,
        owed: 0,
        hoursAgreed: 0,
        hoursWorked: 0,
        hoursToDo: 0,
        offered: 0,
      },
      proposed: { hours: 10, hourRate: 60, parts: 0, outwork: 0, allowancePercent: 10 },
      tax: 0,
      lines: [],
      changes: [],
      payments: [],
      project: { spent: 0 },
    })
    on('GET /api/ledger/b61', () => ledger('b61'))
    on('GET /api/ledger/b7', () => ledger('b7'))
    on('GET /api/ledger', () => books)
    on(LINKS, () => [])
    on('GET /api/builds/b7/customer-links', () => [])
    on(MAKE, () => ({ path: '/customer/abc' }))
    on('GET /api/findings', () => [])
    const queries = newQueries()
    queries.setQueryData(['board'], BOARD)
    // Both are known already: nothing is looked up in between that would clear the room.
    queries.setQueryData(['ledger', 'b61'], ledger('b61'))
    queries.setQueryData(['ledger', 'b7'], ledger('b7'))
    render(
      <MantineProvider env="test">
        <QueryClientProvider client={queries}>
          <MemoryRouter initialEntries={['/ledger/b61']}>
            <BoardContext.Provider value={indexed(BOARD)}>
              <Routes>
                <Route path="/ledger/:id" element={<Walk />} />
              </Routes>
            </BoardContext.Provider>
          </MemoryRouter>
        </QueryClientProvider>
      </MantineProvider>,
    )
    await userEvent.click(await screen.findByRole('button', { name: 'Make a link' }))
    await screen.findByRole('link', { name: /customer\/abc$/ })
    await press('the other')
    await screen.findByText(/7 Saloon/)
    expect(screen.queryByRole('link', { name: /customer\/abc$/ })).toBeNull()
    expect(document.body.textContent).not.toContain('Send this to B. Other')
  })
})

describe('the rates of the shop', () => {
  const BOOKS = {
    currency: 'EUR',
    hourRate: 60,
    taxPercent: 19,
    builds: [],
  } as unknown as Schemas['BooksResponse']
  const SAVE = 'PUT /api/ledger'

  it('are changed together; no limit is no figure', async () => {
    let saved = 0
    on(SAVE, () => new Refusal(422, { problems: [{ field: 'taxPercent', message: '0 to 100 per cent.' }] }))
    inRoom(<Rates books={BOOKS} onSaved={() => saved++} />)
    await press('change')
    await userEvent.clear(screen.getByLabelText('An hour costs'))
    await userEvent.type(screen.getByLabelText('An hour costs'), '72.5')
    await press('Save')
    expect(await screen.findByText('0 to 100 per cent.')).toBeDefined()
    expect(saved).toBe(0)
    on(SAVE, () => undefined)
    await press('Save')
    await waitFor(() => expect(saved).toBe(1))
    expect(askedFor(SAVE, 1).body).toEqual({ currency: 'EUR', hourRate: 72.5, taxPercent: 19 })
    expect(screen.getByRole('button', { name: 'change' })).toBeDefined()
    expect(asked(SAVE)).toHaveLength(2)
  })
})
