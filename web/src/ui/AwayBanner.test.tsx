// @vitest-environment jsdom
import { act, fireEvent, render, screen } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { forgetNotSaved, isAway, isBack } from '../api/away'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import { Around, newQueries } from '../testing/room'
import { newServer, on, Refusal } from '../testing/server'
import { AwayBanner } from './AwayBanner'

function Start() {
  const { send } = useSend()
  return (
    <button onClick={() => void send(() => dataOf(client.POST('/api/plan/publish')))}>Tell the hands</button>
  )
}

describe('what is away', () => {
  beforeEach(() => {
    newServer()
    act(() => {
      isBack('stream')
      forgetNotSaved()
    })
    render(
      <Around queries={newQueries()}>
        <AwayBanner />
        <Start />
      </Around>,
    )
  })

  const said = () => document.querySelector('.lost')?.textContent

  const press = async () => {
    const button = screen.getByText('Tell the hands')
    button.focus()
    await act(async () => fireEvent.click(button))
  }

  it('is not spoken of while nothing is', () => {
    expect(said()).toBeUndefined()
  })

  it('is said with what was not saved, and that is still there when it is back', async () => {
    on(
      'POST /api/plan/publish',
      () => new Refusal(503, { detail: 'The database does not answer.', away: true }),
    )
    await press()
    expect(said()).toMatch(/The database is away.*Not saved: Tell the hands\./)
    await act(async () => isBack())
    expect(said()).toBeUndefined()
    expect(screen.getByText(/Back again/).textContent).toMatch(/Not saved: Tell the hands\..*Do it again/)
    fireEvent.click(screen.getByText('I have read it'))
    expect(screen.queryByText(/Back again/)).toBeNull()
  })

  it('is nothing that an answer of a busy server speaks of', async () => {
    on('POST /api/plan/publish', () => new Refusal(503, { detail: 'A large change is being written.' }))
    await press()
    expect(said()).toBeUndefined()
  })

  it('goes without a word where nothing was missed', () => {
    act(() => isAway('server'))
    expect(said()).toMatch(/The server cannot be reached/)
    act(() => isBack())
    expect(screen.queryByText(/Back again/)).toBeNull()
  })
})
