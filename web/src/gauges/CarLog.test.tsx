// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Car } from '../api/board'
import type { Sheet } from '../api/gauges'
import { boardWith, inRoom } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { CarLog } from './CarLog'
import { EarlierSheets } from './EarlierSheets'

const CAR = boardWith().cars[0] as Car
const NOTES = 'GET /api/builds/b61/notes'
const note = (id: string, more = {}) => ({
  id,
  at: '2026-11-25T06:00:00Z',
  place: 'track',
  driver: 'Ada',
  felt: `felt ${id}`,
  changed: '',
  by: 'Bo',
  version: 1,
  measured: [],
  ...more,
})

beforeEach(() => {
  newServer()
  on('GET /api/board/news', () => ({ lists: {} }))
})

describe('the log of a car', () => {
  it('says what was felt beside what was changed and measured in that hour', async () => {
    on(NOTES, () => [
      note('push', { changed: 'rear bar softer', measured: ['heights: 61 mm'] }),
      note('brakes', { place: '', driver: '' }),
    ])
    inRoom(<CarLog car={CAR} />)
    await screen.findByText('felt push')
    const [first, second] = screen.getAllByRole('article').map((a) => a.textContent)
    expect(first).toContain('07:00, track, Ada drove')
    expect(first).toContain('changed: rear bar softer')
    expect(first).toContain('measured in that hour: heights: 61 mm')
    expect(second).toMatch(/^07:00Take it out/)
  })

  it('takes a note and is ready for the next; what is wrong stands at its field', async () => {
    const ADD = 'POST /api/builds/b61/notes'
    on(NOTES, () => [])
    on(ADD, () => new Refusal(422, { problems: [{ field: 'felt', message: 'What was felt or seen?' }] }))
    inRoom(<CarLog car={CAR} />)
    expect(await screen.findByText('No notes yet')).toBeDefined()
    await userEvent.type(screen.getByLabelText('Who drove'), 'Ada')
    await userEvent.click(screen.getByRole('button', { name: 'Note it' }))
    expect(await screen.findByText('What was felt or seen?')).toBeDefined()
    on(ADD, () => ({ id: 'new' }))
    await userEvent.type(screen.getByLabelText('What was felt or seen'), 'pushes in the slow ones')
    await userEvent.click(screen.getByRole('button', { name: 'Note it' }))
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('Who drove').value).toBe(''))
    expect(askedFor(ADD, 1).body).toEqual({
      felt: 'pushes in the slow ones',
      driver: 'Ada',
      place: '',
      changed: '',
      version: 0,
    })
    expect(screen.queryByText('What was felt or seen?')).toBeNull()
  })

  it('is searched as one types, once for a word', async () => {
    on(NOTES, ({ query }) => (query.get('find') ? [] : [note('push')]))
    inRoom(<CarLog car={CAR} />)
    await screen.findByText('felt push')
    await userEvent.type(screen.getByLabelText('Find in the log'), 'smoke')
    expect(await screen.findByText('No note has these words')).toBeDefined()
    expect(asked(NOTES).at(-1)?.query.get('find')).toBe('smoke')
    expect(asked(NOTES).length).toBeLessThan(5)
  })

  it('loses a note only where that was taken', async () => {
    on(NOTES, () => [note('push')])
    on('DELETE /api/builds/b61/notes/push', () => new Refusal(422, { detail: "This note is Bo's." }))
    inRoom(<CarLog car={CAR} />)
    await userEvent.click(await screen.findByRole('button', { name: 'Take it out' }))
    expect(await screen.findByText("This note is Bo's.")).toBeDefined()
    expect(screen.getByText('felt push')).toBeDefined()
  })
})

describe('earlier sheets of a gauge', () => {
  const sheet = (id: string, cross: number, more = {}) =>
    ({
      id,
      gauge: 'corner-weights',
      what: 'corner weights',
      at: `2026-11-2${id}T07:00:00Z`,
      by: 'Sef',
      value: `cross ${cross} %`,
      driverIn: true,
      asked: {},
      answered: { cross: { value: cross, said: `${cross} %` } },
      ...more,
    }) as unknown as Sheet
  const LOG = [
    sheet('5', 50.3),
    sheet('4', 49, { staleBecause: 'strut spacer fitted' }),
    sheet('3', 48, { driverIn: false }),
    sheet('2', 47.5),
    sheet('1', 52, { correctedBy: '2' }),
    sheet('0', 51, { gauge: 'strings' }),
  ]
  let corrected: string[] = []
  const shown = (manages = true, driverIn = true) =>
    inRoom(
      <EarlierSheets
        car={CAR}
        log={LOG}
        gauge="corner-weights"
        driverIn={driverIn}
        trend={{ figure: ['cross'], name: 'cross', target: '50 %', tolerance: '0.3' }}
        manages={manages}
        onCorrect={(s) => corrected.push(s.id)}
      />,
    )
  beforeEach(() => {
    corrected = []
    on('GET /api/builds/b61/photos', () => [{ id: 'p1', measurementId: '4', caption: 'the pads' }])
  })

  it('show those that count, and say which is stale, corrected, or not to be compared', async () => {
    shown()
    const text = screen.getByRole('region', { name: 'Earlier sheets' }).textContent
    expect(text).toContain('stale: strut spacer fitted')
    expect(text).toContain('no driver: not compared')
    expect(text).toContain('Sef · corrected')
    expect(text).not.toContain('cross 52 %')
    expect(text).not.toContain('cross 51 %')
    expect((await screen.findByRole('img', { name: 'the pads' })).getAttribute('src')).toBe(
      '/api/photos/p1/small',
    )
  })

  it('draw like sheets alone, the oldest first', () => {
    shown()
    expect(screen.getByRole('img', { name: 'cross: 47.5, 49.0, 50.3' })).toBeDefined()
    screen.getByText('cross over the last sheets')
  })

  it('draw nothing of a single one', () => {
    shown(true, false)
    expect(screen.queryByText('cross over the last sheets')).toBeNull()
  })

  it('are corrected, and shown to the customer by those who may', async () => {
    const SHOW = 'PUT /api/builds/b61/measurements/5/shown'
    on(SHOW, () => undefined)
    const { unmount } = shown()
    await userEvent.click(screen.getAllByRole('button', { name: 'Correct' })[0]!)
    expect(corrected).toEqual(['5'])
    await userEvent.click(screen.getAllByRole('button', { name: 'Show the customer' })[0]!)
    await waitFor(() => askedFor(SHOW))
    expect(askedFor(SHOW).body).toEqual({ shown: true })
    unmount()
    shown(false)
    expect(within(document.body).queryByRole('button', { name: 'Show the customer' })).toBeNull()
  })
})
