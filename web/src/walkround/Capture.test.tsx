// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import { inRoom } from '../testing/room'
import { asked, newServer, on, Refusal } from '../testing/server'
import { Capture } from './Capture'

const CAPTURE = 'POST /api/builds/b61/capture'
const line = () => screen.getByRole('textbox') as HTMLInputElement

describe('the line that takes something down', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ complete: [] }))
  })

  it('says what it understood and is empty again', async () => {
    on(CAPTURE, () => ({ said: 'Job: Hang bias cable, cockpit, 40 min' }))
    inRoom(<Capture car="b61" />)
    await userEvent.type(line(), 'hang bias cable, cockpit, 40m{Enter}')
    expect(await screen.findByText('Job: Hang bias cable, cockpit, 40 min')).toBeDefined()
    expect(asked(CAPTURE).map((a) => a.body)).toEqual([{ text: 'hang bias cable, cockpit, 40m' }])
    await waitFor(() => expect(line().value).toBe(''))
  })

  it('keeps a line that it did not understand, says why there, and forgets that on the next letter', async () => {
    on(CAPTURE, () => new Refusal(422, { detail: '"rain" is no reason.' }))
    inRoom(<Capture car="b61" />)
    await userEvent.type(line(), 'held rain: x{Enter}')
    expect(await screen.findByText('"rain" is no reason.')).toBeDefined()
    expect(line().value).toBe('held rain: x')
    await userEvent.type(line(), 'y')
    expect(screen.queryByText('"rain" is no reason.')).toBeNull()
  })
})
