// @vitest-environment jsdom
import { act, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import { BoardContext, indexed } from '../api/board'
import { Around, boardWith, inRoom } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { GateLines } from './GateLines'
import { Steps } from './Steps'

const LINES = [
  { key: 'a', gate: 'POWER_UP', text: 'Isolator tried', asks: 'SIGNED', never: true },
  {
    key: 'b',
    gate: 'GROUND',
    text: 'Torque sheet signed',
    asks: 'MEASURED',
    restsOn: 'MOUNT_TORQUE',
    never: false,
  },
]
const LIST = 'GET /api/gate-lines'
const KEEP = 'PUT /api/gate-lines'
const texts = () => screen.getAllByLabelText<HTMLInputElement>('What it asks').map((f) => f.value)
const press = (name: string, nth = 0) => userEvent.click(screen.getAllByRole('button', { name })[nth]!)
const button = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name })

describe('what gates ask', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
    on('GET /api/disturbances', () => ({
      edition: 'x',
      disturbances: [],
      measured: [{ name: 'MOUNT_TORQUE', label: 'torque of the mounts', moves: [] }],
    }))
    on(LIST, ({ query }) => ({ edition: `e1${query.get('discipline')}`, own: false, lines: LINES }))
  })
  const shown = async (changes = true) => {
    const drawn = inRoom(<GateLines whose={{ discipline: '' }} changes={changes} />)
    await screen.findAllByLabelText('What it asks')
    return drawn
  }

  it('is saved with every line in the order shown, unless somebody else changed it since it was read', async () => {
    on(KEEP, () => undefined)
    await shown()
    expect(button('Keep').disabled).toBe(true)
    await press('Down')
    expect(texts()).toEqual(['Torque sheet signed', 'Isolator tried'])
    await press('Add a line')
    await userEvent.type(screen.getAllByLabelText('What it asks')[2]!, 'Belts fast')
    await press('Keep')
    await waitFor(() => askedFor(KEEP))
    expect(askedFor(KEEP).body).toEqual({
      edition: 'e1',
      lines: [LINES[1], LINES[0], { gate: 'EVENT', text: 'Belts fast', asks: 'SIGNED', never: false }],
    })
  })

  it('says at its line what is wrong', async () => {
    on(
      KEEP,
      () => new Refusal(422, { problems: [{ field: 'lines[1].text', message: 'Say what is asked.' }] }),
    )
    await shown()
    await userEvent.clear(screen.getAllByLabelText('What it asks')[1]!)
    await press('Keep')
    const said = await screen.findByText('Say what is asked.')
    expect(said.closest('li')).toBe(screen.getAllByRole('listitem')[1])
    expect(texts()).toEqual(['Isolator tried', ''])
  })

  it('keeps what is typed when somebody else has kept theirs', async () => {
    const { queries } = await shown()
    await press('Take it out')
    on(LIST, () => ({ edition: 'e2', own: true, lines: LINES.slice(0, 1) }))
    await act(() => queries.invalidateQueries())
    expect((await screen.findByRole('status')).textContent).toContain(
      'Somebody else has changed what gates ask',
    )
    expect(texts()).toEqual(['Torque sheet signed'])
    await press('Look at theirs; what is typed here goes')
    await waitFor(() => expect(texts()).toEqual(['Isolator tried']))
  })

  it('does not carry what is typed for the house over to a discipline', async () => {
    const { rerender, queries } = await shown()
    await press('Take it out')
    rerender(
      <Around queries={queries}>
        <BoardContext.Provider value={indexed(boardWith())}>
          <GateLines whose={{ discipline: 'hill climb' }} changes />
        </BoardContext.Provider>
      </Around>,
    )
    await waitFor(() => expect(texts()).toEqual(['Isolator tried', 'Torque sheet signed']))
    expect(button('Keep').disabled).toBe(true)
    expect(asked(KEEP)).toHaveLength(0)
  })

  it('goes back to how it usually is, where it is a list of its own', async () => {
    on('DELETE /api/gate-lines', () => undefined)
    on(LIST, () => ({ edition: 'e2', own: true, lines: LINES }))
    await shown()
    expect(screen.getByText('This is a list of its own.')).toBeDefined()
    await press('As it usually is')
    await waitFor(() => askedFor('DELETE /api/gate-lines'))
  })

  it('is read by who may not change it', async () => {
    await shown(false)
    expect(screen.queryByRole('button', { name: 'Keep' })).toBeNull()
    expect(screen.getAllByLabelText('What it asks')[0]!.closest('fieldset')?.disabled).toBe(true)
  })
})

describe('the steps of a car', () => {
  it('are written a check a line, and kept for that car', async () => {
    newServer()
    on('GET /api/board/news', () => ({ lists: {} }))
    on('GET /api/builds/b61/rollout-steps', () => ({
      edition: 'e1',
      own: true,
      steps: [
        {
          key: 'idle',
          name: 'Idle',
          limits: '',
          before: ['no leak'],
          after: [],
          channels: ['water at most 105 °C'],
        },
      ],
    }))
    on('PUT /api/builds/b61/rollout-steps', () => undefined)
    inRoom(<Steps whose={{ car: 'b61' }} changes />)
    const name = await screen.findByLabelText('Step')
    await userEvent.type(name, ' warm')
    await press('Keep')
    await waitFor(() => askedFor('PUT /api/builds/b61/rollout-steps'))
    expect(askedFor('PUT /api/builds/b61/rollout-steps').body).toEqual({
      edition: 'e1',
      steps: [
        {
          key: 'idle',
          name: 'Idle warm',
          limits: '',
          before: ['no leak'],
          after: [],
          channels: ['water at most 105 °C'],
        },
      ],
    })
  })
})
