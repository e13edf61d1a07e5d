// @vitest-environment jsdom
import { fireEvent, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import { boardWith, inRoom } from '../testing/room'
import { askedFor, newServer, on, Refusal } from '../testing/server'
import { StaleMap } from './StaleMap'

const GRAPH = {
  edition: 'e1',
  usual: true,
  disturbances: [{ id: 'spring', label: 'Spring', words: 'spring in', first: ['HEIGHTS'] }],
  measured: [
    { name: 'HEIGHTS', label: 'heights', moves: ['TOE'] },
    { name: 'TOE', label: 'toe', moves: [] },
  ],
}
const KEEP = 'PUT /api/disturbances'

describe('what disturbs what', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/disturbances', () => GRAPH)
    on('GET /api/board', () => boardWith())
  })

  it('is drawn, and kept with what was clicked', async () => {
    on(KEEP, () => undefined)
    inRoom(<StaleMap changes />)
    const toe = await screen.findByLabelText('Spring disturbs toe')
    expect(screen.getByLabelText<HTMLInputElement>('Spring disturbs heights').checked).toBe(true)
    await userEvent.click(toe)
    await userEvent.click(screen.getByRole('button', { name: 'Keep' }))
    await waitFor(() =>
      expect(askedFor(KEEP).body).toMatchObject({
        edition: 'e1',
        disturbances: [{ id: 'spring', first: ['HEIGHTS', 'TOE'] }],
        moves: { HEIGHTS: ['TOE'], TOE: [] },
      }),
    )
  })

  it('lets nothing disturb what must be measured before it', async () => {
    inRoom(<StaleMap changes />)
    await userEvent.click(await screen.findByRole('button', { name: 'from toe' }))
    expect(screen.getByLabelText<HTMLInputElement>('toe disturbs heights').disabled).toBe(true)
    await userEvent.click(screen.getByRole('button', { name: 'from heights' }))
    expect(screen.getByLabelText<HTMLInputElement>('heights disturbs toe').disabled).toBe(false)
  })

  it('says what is wrong at its field', async () => {
    on(
      KEEP,
      () => new Refusal(422, { problems: [{ field: 'disturbances[0].label', message: 'It needs a name' }] }),
    )
    inRoom(<StaleMap changes />)
    fireEvent.change(await screen.findByLabelText('Kind of work'), { target: { value: ' ' } })
    await userEvent.click(screen.getByRole('button', { name: 'Keep' }))
    expect(await screen.findByText('It needs a name')).toBeTruthy()
  })

  it('is only looked at by who does not change the shop', async () => {
    inRoom(<StaleMap changes={false} />)
    expect((await screen.findByLabelText<HTMLInputElement>('Spring disturbs toe')).disabled).toBe(true)
    expect(screen.queryByRole('button', { name: 'Keep' })).toBeNull()
  })
})
