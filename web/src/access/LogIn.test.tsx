// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Schemas } from '../api/client'
import { inRoom } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { LogIn } from './LogIn'

const LOGIN = 'POST /api/login'
const DEMO = [{ username: 'bo', password: 'brackwater', about: 'hand' }] as Schemas['DemoLogin'][]

describe('the door', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
    on('GET /api/board', () => ({}))
  })

  it('lets in by name and password', async () => {
    on(LOGIN, () => ({ username: 'mara' }))
    inRoom(<LogIn demo={[]} />)
    expect(screen.queryByLabelText('Demo accounts')).toBeNull()
    await userEvent.type(screen.getByLabelText('User name'), 'mara')
    await userEvent.type(screen.getByLabelText('Password'), 'secret{Enter}')
    await waitFor(() => expect(askedFor(LOGIN).body).toEqual({ username: 'mara', password: 'secret' }))
  })

  it('says at the field that it was wrong, and keeps the name', async () => {
    on(
      LOGIN,
      () =>
        new Refusal(401, { detail: 'No.', problems: [{ field: 'password', message: 'That is not right.' }] }),
    )
    inRoom(<LogIn demo={[]} />)
    await userEvent.type(screen.getByLabelText('User name'), 'mara')
    await userEvent.click(screen.getByRole('button', { name: 'Sign in' }))
    expect(await screen.findByText('That is not right.')).toBeDefined()
    expect(screen.getByDisplayValue('mara')).toBeDefined()
    expect(asked(LOGIN)).toHaveLength(1)
  })

  it('offers the accounts of the demo, each with what it is for', async () => {
    on(LOGIN, () => ({ username: 'bo' }))
    inRoom(<LogIn demo={DEMO} />)
    await userEvent.click(screen.getByRole('button', { name: /bo.*hand/ }))
    await waitFor(() => expect(askedFor(LOGIN).body).toEqual({ username: 'bo', password: 'brackwater' }))
  })
})
