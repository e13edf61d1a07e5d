// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import { inRoom } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { Welcome } from './Welcome'

const LOOK = 'GET /api/invitations/'
const ACCEPT = 'POST /api/invitations/'
const type = (text: string) => userEvent.type(screen.getByLabelText('Password'), text)
const press = () => userEvent.click(screen.getByRole('button', { name: 'Set it' }))

describe('an invitation', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/me', () => ({ shop: 'Brackwater Works' }))
    on(LOOK, () => ({ username: 'tam', name: 'Tam' }))
  })

  it('greets by name, takes a password and leads to the door', async () => {
    on(ACCEPT, () => undefined)
    inRoom(<Welcome />)
    expect(await screen.findByText(/Welcome, Tam/)).toBeDefined()
    await type('a long enough one')
    await press()
    expect(await screen.findByText(/Your password is set/)).toBeDefined()
    expect(screen.getByRole('link', { name: 'Sign in' }).getAttribute('href')).toBe('/')
    expect(askedFor(ACCEPT).body).toEqual({ password: 'a long enough one' })
  })

  it('says why a password will not do, until another is typed', async () => {
    on(ACCEPT, () => new Refusal(422, { detail: 'It is among the first that are guessed.' }))
    inRoom(<Welcome />)
    await screen.findByText(/Welcome, Tam/)
    await type('password12')
    await press()
    expect(await screen.findByText('It is among the first that are guessed.')).toBeDefined()
    await type('x')
    expect(screen.queryByText('It is among the first that are guessed.')).toBeNull()
  })

  it('is sent once, however often it is pressed', async () => {
    let answered: () => void = () => undefined
    on(ACCEPT, () => new Promise<void>((done) => (answered = () => done())))
    inRoom(<Welcome />)
    await screen.findByText(/Welcome, Tam/)
    await type('a long enough one')
    await press()
    await press()
    answered()
    await screen.findByText(/Your password is set/)
    expect(asked(ACCEPT)).toHaveLength(1)
  })

  it('that was used or is too old says whom to ask', async () => {
    on(LOOK, () => new Refusal(404))
    inRoom(<Welcome />)
    expect(await screen.findByText('This invitation is no longer good')).toBeDefined()
    expect(screen.queryByLabelText('Password')).toBeNull()
  })

  it('is not said to be bad while only the shop is away, and is there once it is back', async () => {
    on(LOOK, () => new Refusal(503, { title: 'The database is away', away: true }))
    inRoom(<Welcome />)
    expect(await screen.findByText('The shop cannot be reached at the moment')).toBeDefined()
    on(LOOK, () => ({ username: 'tam', name: 'Tam' }))
    await waitFor(() => expect(screen.getByText(/Welcome, Tam/)).toBeDefined(), { timeout: 15_000 })
  })
})
