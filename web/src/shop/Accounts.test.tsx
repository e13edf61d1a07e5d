// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Schemas } from '../api/client'
import { inRoom } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { Accounts } from './Accounts'

const MARA = { username: 'mara', name: 'Mara', role: 'MANAGER', personId: 'mara' } as Schemas['Account']
const BO = { username: 'bo', name: 'Bo', role: 'HAND', personId: 'bo' } as Schemas['Account']
const ROWS = [
  {
    username: 'mara',
    name: 'Mara',
    role: 'MANAGER',
    personId: 'mara',
    sessions: 1,
    seenAt: '2026-11-25T07:00:00Z',
  },
  { username: 'bo', name: 'Bo', role: 'HAND', personId: 'bo', sessions: 0 },
  {
    username: 'new',
    name: 'New',
    role: 'LEAD',
    personId: 'left',
    sessions: 0,
    invitedUntil: '2026-11-27T07:00:00Z',
  },
]
const LIST = 'GET /api/accounts'

async function shown() {
  on(LIST, () => ROWS)
  inRoom(<Accounts account={MARA} />)
  await screen.findByRole('cell', { name: 'bo' })
}
async function menu(username: string, item: string) {
  await userEvent.click(screen.getByRole('button', { name: `More for ${username}` }))
  await userEvent.click(await screen.findByRole('menuitem', { name: item }))
}

describe('accounts', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
  })

  it('are the manager’s; everybody has a password of their own', () => {
    inRoom(<Accounts account={BO} />)
    expect(screen.getByRole('region', { name: 'Password' })).toBeDefined()
    expect(screen.queryByRole('button', { name: 'Invite somebody' })).toBeNull()
    expect(asked(LIST)).toHaveLength(0)
  })

  it('say who is signed in where, who is invited, who is gone from the roll', async () => {
    await shown()
    const row = (name: string) => screen.getByRole('cell', { name }).closest('tr')?.textContent
    expect(row('mara')).toContain('1 browser, last 08:00')
    expect(row('bo')).toContain('nowhere')
    expect(row('new')).toContain('invited, until Fri 27 Nov')
    expect(row('new')).toContain('is gone')
  })

  it('show the link of an invitation once it is made, and only then', async () => {
    await shown()
    on(
      'POST /api/accounts',
      () => new Refusal(422, { problems: [{ field: 'username', message: 'bo is taken.' }] }),
    )
    await userEvent.click(screen.getByRole('button', { name: 'Invite somebody' }))
    const form = within(await screen.findByRole('dialog'))
    await userEvent.type(form.getByLabelText(/User name/), 'bo')
    await userEvent.type(form.getByLabelText('Name'), 'Tam')
    await userEvent.click(form.getByRole('button', { name: 'Make the invitation' }))
    expect(await form.findByText('bo is taken.')).toBeDefined()
    expect(screen.queryByRole('status')).toBeNull()
    on('POST /api/accounts', () => ({ path: '/welcome/abc', until: '2026-11-27T07:00:00Z' }))
    await userEvent.clear(form.getByLabelText(/User name/))
    await userEvent.type(form.getByLabelText(/User name/), 'tam')
    await userEvent.click(form.getByRole('button', { name: 'Make the invitation' }))
    await waitFor(() => expect(screen.getByRole('status').textContent).toContain('Give Tam this link'))
    expect(screen.getByText(/\/welcome\/abc$/)).toBeDefined()
    expect(askedFor('POST /api/accounts', 1).body).toEqual({ username: 'tam', name: 'Tam', role: 'HAND' })
  })

  it('cannot remove or reset the one that looks', async () => {
    await shown()
    await userEvent.click(screen.getByRole('button', { name: 'More for mara' }))
    await screen.findByRole('menuitem', { name: 'Sign out everywhere' })
    expect(screen.queryByRole('menuitem', { name: 'Remove' })).toBeNull()
    expect(screen.queryByRole('menuitem', { name: 'Reset the password' })).toBeNull()
  })

  it('ends sessions, resets and removes, and looks at the list again each time', async () => {
    on('POST /api/accounts/bo/end-sessions', () => undefined)
    on('POST /api/accounts/bo/reset', () => ({ path: '/welcome/xyz', until: '2026-11-26T07:00:00Z' }))
    on('DELETE /api/accounts/bo', () => undefined)
    await shown()
    await menu('bo', 'Sign out everywhere')
    await waitFor(() => expect(asked(LIST).length).toBeGreaterThan(1))
    await menu('bo', 'Reset the password')
    await waitFor(() => expect(screen.getByRole('status').textContent).toContain('Give Bo this link'))
    await menu('bo', 'Remove')
    await waitFor(() => askedFor('DELETE /api/accounts/bo'))
  })

  it('change name and role in one act', async () => {
    on('PUT /api/accounts/bo', () => undefined)
    await shown()
    await menu('bo', 'Change name or role')
    const form = within(await screen.findByRole('dialog'))
    await userEvent.type(form.getByLabelText('Name'), ' Marten')
    await userEvent.click(form.getByRole('button', { name: 'Save' }))
    await waitFor(() => askedFor('PUT /api/accounts/bo'))
    expect(askedFor('PUT /api/accounts/bo').body).toEqual({ name: 'Bo Marten', role: 'HAND', personId: 'bo' })
  })
})
