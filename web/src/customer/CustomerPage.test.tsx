// @vitest-environment jsdom
import { render, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { MantineProvider } from '@mantine/core'
import { QueryClientProvider } from '@tanstack/react-query'
import { MemoryRouter, Route, Routes } from 'react-router'
import { beforeEach, describe, expect, it } from 'vitest'
import { newQueries, NOW } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { CustomerPage } from './CustomerPage'

const PAGE = 'GET /api/customer/secret'

function page(more: Record<string, unknown> = {}) {
  return {
    shop: 'Brackwater Works',
    number: '61',
    car: 'Red coupe',
    now: NOW,
    zone: 'Europe/Berlin',
    says: { monthFirst: false, twelveHours: false },
    currency: 'EUR',
    done: 12,
    total: 40,
    stages: [{ name: 'Wiring', done: 1, total: 4 }],
    doing: ['Fit loom'],
    next: ['Set toe'],
    waitsForYou: [],
    dates: [],
    changes: [],
    measured: [],
    photos: [],
    ...more,
  }
}

const shown = () =>
  render(
    <MantineProvider env="test">
      <QueryClientProvider client={newQueries()}>
        <MemoryRouter initialEntries={['/c/secret']}>
          <Routes>
            <Route path="/c/:token" element={<CustomerPage />} />
          </Routes>
        </MemoryRouter>
      </QueryClientProvider>
    </MantineProvider>,
  )

describe('the page of a customer', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/me', () => ({}))
  })

  it('says how far the car is, what goes on and what is next', async () => {
    on(PAGE, () => page())
    shown()
    const progress = await screen.findByLabelText('Progress')
    expect(progress.textContent).toContain('12 of 40 jobs')
    expect(progress.textContent).toContain('Going on: Fit loom')
    expect(progress.textContent).toContain('Next: Set toe')
    expect(progress.querySelectorAll('rect')[1]?.getAttribute('width')).toBe('25')
    expect(screen.getByText('No date is agreed yet.')).toBeDefined()
    expect(screen.queryByLabelText('Money')).toBeNull()
    expect(screen.queryByLabelText('Waits for you')).toBeNull()
  })

  it('says days as odds, as a plan, or that nothing can be said', async () => {
    on(PAGE, () =>
      page({
        dates: [
          {
            name: 'Shakedown',
            due: '2026-12-01T08:00:00Z',
            likelyBy: '2026-11-30T08:00:00Z',
            almostSurelyBy: '2026-12-02T08:00:00Z',
          },
          { name: 'Test', due: '2026-12-20T08:00:00Z', planned: '2026-12-18T08:00:00Z' },
          { name: 'Race', due: '2027-01-20T08:00:00Z' },
        ],
      }),
    )
    shown()
    const dates = (await screen.findByLabelText('Dates')).textContent
    expect(dates).toContain(
      'likely ready by Mon 30 Nov, almost surely by Wed 2 Dec — it is not sure to make it',
    )
    expect(dates).toContain('planned for Fri 18 Dec')
    expect(dates).toContain('cannot be said yet')
  })

  it('shows money only where the link has it', async () => {
    on(PAGE, () => page({ money: { agreed: 1000, spent: 250.5, tax: 47.6, paid: 100, owed: 198.1 } }))
    shown()
    const rows = within(await screen.findByLabelText('Money')).getAllByRole('row')
    expect(rows.map((r) => r.textContent)).toEqual([
      expect.stringMatching(/^agreed, net1.000\.00/),
      'done so far, net250.50',
      'tax on it47.60',
      'paid100.00',
      'open198.10',
    ])
  })

  it('takes a yes with a name, and shows the page anew', async () => {
    const change = { id: 'c1', title: 'Second pump', note: '', total: 800, effect: [], state: 'OFFERED' }
    on(PAGE, () => page({ changes: [change] }))
    on('POST /api/customer/secret/changes/c1', () => undefined)
    shown()
    await screen.findByText(/Second pump/)
    await userEvent.type(screen.getByLabelText(/name/i), 'A. Customer')
    await userEvent.click(screen.getByRole('button', { name: /yes|agree|accept/i }))
    await waitFor(() =>
      expect(askedFor('POST /api/customer/secret/changes/c1').body).toMatchObject({
        accept: true,
        name: 'A. Customer',
      }),
    )
    await waitFor(() => expect(asked(PAGE).length).toBeGreaterThan(1))
  })

  it('says that a link has ended', async () => {
    on(PAGE, () => new Refusal(404, { detail: 'Gone.' }))
    shown()
    expect(await screen.findByText('There is no page here')).toBeDefined()
  })
})
