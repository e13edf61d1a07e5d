// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import { inRoom } from '../testing/room'
import { asked, newServer, on, Refusal } from '../testing/server'
import { Capture } from './Capture'

const CAPTURE = 'POST /api/builds/b61/capture'
const UNDERSTAND = `${CAPTURE}/understand`
const line = () => screen.getByRole('textbox') as HTMLInputElement

describe('the line that takes something down', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
  })

  it('says what it understood before Enter, and is empty after it', async () => {
    on(UNDERSTAND, () => ({ said: 'New job: Hang bias cable; 40 min.', clear: true, choices: [] }))
    on(CAPTURE, () => ({ said: 'New job: Hang bias cable; 40 min.' }))
    inRoom(<Capture car="b61" />)
    await userEvent.type(line(), 'hang bias cable, 40 min')
    expect(await screen.findByText('New job: Hang bias cable; 40 min.')).toBeDefined()
    expect(asked(CAPTURE)).toEqual([])
    await userEvent.type(line(), '{Enter}')
    await waitFor(() => expect(line().value).toBe(''))
    expect(asked(CAPTURE).map((a) => a.body)).toEqual([{ text: 'hang bias cable, 40 min', chosen: [] }])
  })

  it('asks where two could be meant, and sends what was picked', async () => {
    on(UNDERSTAND, ({ body }) =>
      (body as { chosen: string[] }).chosen.length > 0
        ? { said: 'Done: Bleed clutch.', clear: true, choices: [] }
        : {
            said: 'Which one is done?',
            clear: false,
            choices: [
              { id: 'j3', name: 'Bleed brakes' },
              { id: 'j4', name: 'Bleed clutch' },
            ],
          },
    )
    on(CAPTURE, () => ({ said: 'Done: Bleed clutch.' }))
    inRoom(<Capture car="b61" />)
    await userEvent.type(line(), 'bleed, done')
    await userEvent.click(await screen.findByRole('button', { name: 'Bleed clutch' }))
    expect(await screen.findByText('Done: Bleed clutch.')).toBeDefined()
    await userEvent.keyboard('{Enter}')
    await waitFor(() =>
      expect(asked(CAPTURE).map((a) => a.body)).toEqual([{ text: 'bleed, done', chosen: ['j4'] }]),
    )
    await waitFor(() => expect(line().value).toBe(''))
  })

  it('keeps a line that it did not understand, says why there, and forgets that on the next letter', async () => {
    on(UNDERSTAND, () => ({ said: '"rain" is no reason.', clear: false, choices: [] }))
    on(CAPTURE, () => new Refusal(422, { detail: 'No: "rain" is no reason.' }))
    inRoom(<Capture car="b61" />)
    await userEvent.type(line(), 'held rain: x{Enter}')
    expect(await screen.findByText('No: "rain" is no reason.')).toBeDefined()
    expect(line().value).toBe('held rain: x')
    await userEvent.type(line(), 'y')
    expect(screen.queryByText('No: "rain" is no reason.')).toBeNull()
  })

  it('keeps what was begun of one car while another is looked at', async () => {
    on('POST /api/builds/b7/capture/understand', () => ({ said: '', clear: true, choices: [] }))
    on('POST /api/builds/b8/capture/understand', () => ({ said: '', clear: true, choices: [] }))
    const { unmount } = inRoom(<Capture car="b7" />)
    await userEvent.type(line(), 'fuel line at')
    unmount()
    const other = inRoom(<Capture car="b8" />)
    expect(line().value).toBe('')
    other.unmount()
    inRoom(<Capture car="b7" />)
    expect(line().value).toBe('fuel line at')
  })
})
