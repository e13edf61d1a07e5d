// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import { inRoom } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { Bought } from './Bought'
import { Effects } from './Effects'
import { MoreTime } from './MoreTime'
import { NextGate } from './NextGate'
import { percent } from './OddsMark'
import { OwnPassword } from './OwnPassword'

const ZONE = 'Europe/Berlin'
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }))

beforeEach(() => {
  newServer()
  on('GET /api/board/news', () => ({ lists: {} }))
})

describe('one’s own password', () => {
  it('is changed with the old one; what was typed is gone once it is', async () => {
    const CHANGE = 'POST /api/password'
    on(CHANGE, () => new Refusal(422, { problems: [{ field: 'next', message: 'Too easily guessed.' }] }))
    inRoom(<OwnPassword />)
    await userEvent.type(screen.getByLabelText('The password you have'), 'old one')
    await userEvent.type(screen.getByLabelText('The new one'), 'password12')
    await press('Change it')
    expect(await screen.findByText('Too easily guessed.')).toBeDefined()
    expect(screen.queryByRole('status')).toBeNull()
    on(CHANGE, () => undefined)
    await press('Change it')
    expect((await screen.findByRole('status')).textContent).toContain('other browsers are signed out')
    expect(screen.getByLabelText<HTMLInputElement>('The new one').value).toBe('')
    expect(askedFor(CHANGE).body).toEqual({ old: 'old one', next: 'password12' })
  })
})

describe('more time for a job', () => {
  it('is said with one tap, and not twice by two thumbs', async () => {
    const MORE = 'POST /api/works/loom/more'
    let answered: () => void = () => undefined
    on(MORE, () => new Promise<void>((done) => (answered = () => done())))
    inRoom(<MoreTime work="loom" />)
    await press('Needs 2 h more')
    await waitFor(() =>
      expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Needs 2 h more' }).disabled).toBe(true),
    )
    await press('Needs 2 h more')
    answered()
    await waitFor(() =>
      expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Needs 2 h more' }).disabled).toBe(false),
    )
    expect(asked(MORE).map((a) => a.body)).toEqual([{ minutes: 120 }])
  })
})

describe('a thing of the supply run', () => {
  const supply = (more = {}) =>
    ({
      id: 's1',
      name: 'brake fluid',
      quantity: '2 l',
      boughtFrom: 'stores',
      askedBy: 'Bo',
      ...more,
    }) as never

  it('is ticked once, however often it is pressed before that is known', async () => {
    const BOUGHT = 'POST /api/supplies/s1/bought'
    let answered: () => void = () => undefined
    on(BOUGHT, () => new Promise<void>((done) => (answered = () => done())))
    inRoom(<Bought supply={supply()} size="lg" where gap={4} />)
    const tick = screen.getByRole<HTMLInputElement>('checkbox', { name: 'brake fluid, 2 l' })
    await userEvent.click(tick)
    await userEvent.click(tick)
    answered()
    await waitFor(() => expect(tick.disabled).toBe(false))
    expect(asked(BOUGHT).map((a) => a.body)).toEqual([{ bought: true }])
    expect(tick.checked).toBe(true)
    expect(screen.getByText('stores')).toBeDefined()
  })

  it('is taken back where somebody bought the wrong one', async () => {
    on('POST /api/supplies/s1/bought', () => undefined)
    inRoom(<Bought supply={supply({ boughtAt: '2026-11-25T06:00:00Z' })} size="sm" gap={4} />)
    await userEvent.click(screen.getByRole('checkbox'))
    await waitFor(() => askedFor('POST /api/supplies/s1/bought'))
    expect(askedFor('POST /api/supplies/s1/bought').body).toEqual({ bought: false })
    expect(screen.queryByText('stores')).toBeNull()
  })
})

describe('what a change does to the dates', () => {
  const effect = (more = {}) =>
    ({
      commitment: 'd1',
      beforeMinutes: 120,
      afterMinutes: 60,
      beforeFinish: '2026-12-01T09:00:00Z',
      afterFinish: '2026-12-02T09:00:00Z',
      ...more,
    }) as never
  const shown = (effects: never[], days?: boolean) => {
    inRoom(<Effects effects={effects} nameOf={() => '61, Hill climb'} zone={ZONE} days={days} />)
    return screen.queryAllByRole('listitem').map((l) => [l.textContent, l.className])
  }

  it('is told the shop as margins, hot where it makes a date late', () => {
    expect(
      shown([
        effect(),
        effect({ commitment: 'd2', afterMinutes: -60 }),
        effect({ commitment: 'd3', beforeMinutes: -120, afterMinutes: -60 }),
        effect({ commitment: 'd4', afterMinutes: 125 }),
        effect({ commitment: 'd5', afterMinutes: undefined }),
      ]),
    ).toEqual([
      ['61, Hill climb: +2 h → +1 h', ''],
      ['61, Hill climb: +2 h → −1 h (late)', 'hot strong'],
      ['61, Hill climb: −2 h → −1 h', ''],
      ['61, Hill climb: stays at +2 h', ''],
      ['61, Hill climb: +2 h → cannot be planned (late)', 'hot strong'],
    ])
  })

  it('is told customers as days', () => {
    expect(
      shown(
        [
          effect(),
          effect({ commitment: 'd2', afterFinish: '2026-12-01T15:00:00Z' }),
          effect({ commitment: 'd3', afterFinish: undefined }),
        ],
        true,
      ).map(([t]) => t),
    ).toEqual([
      '61, Hill climb: ready Tue 1 Dec → Wed 2 Dec',
      '61, Hill climb: stays as it is, ready Tue 1 Dec',
      '61, Hill climb: ready Tue 1 Dec → not known',
    ])
  })

  it('says so where it moves none', () => {
    shown([])
    expect(screen.getByText('It moves no date.')).toBeDefined()
  })
})

describe('the next gate of a car', () => {
  const gate = (name: string, state: string, lines: unknown[] = []) => ({ gate: name, state, lines })
  const line = (text: string, more = {}) => ({ text, met: false, never: false, open: [], ...more })

  it('is the first that is not passed, after those that are open again', async () => {
    on('GET /api/builds/b61/gates', () => [
      gate('POWER_UP', 'PASSED'),
      { ...gate('FIRST_FIRE', 'OPEN_AGAIN', [line('leak test')]), likely: '2026-11-25T14:00:00Z' },
      gate('GROUND', 'SHUT', [
        line('a'),
        line('b'),
        line('c'),
        line('d', { never: true }),
        line('e', { met: true }),
      ]),
      gate('ROLL_OUT', 'SHUT', [line('later')]),
    ])
    inRoom(<NextGate car="b61" />)
    await screen.findByText('open again')
    const said = screen.getAllByRole('group').map((g) => g.textContent)
    expect(said).toEqual([
      'first fire: open againleak test; by the plan 15:00',
      'ground: shuta; b; c and 1 more Nobody passes it like this.',
    ])
  })

  it('is ready where all that it asks is so', async () => {
    on('GET /api/builds/b61/gates', () => [gate('GROUND', 'READY', [line('a', { met: true })])])
    inRoom(<NextGate car="b61" />)
    expect((await screen.findByText('ready')).className).toBe('quiet')
  })
})

describe('a chance in words', () => {
  it.each([
    [1, '100 %'],
    [0.9999, '> 99 %'],
    [0.994, '99 %'],
    [0.62, '62 %'],
    [0.009, '< 1 %'],
    [0, '0 %'],
  ])('of %d is %s', (chance, words) => expect(percent(chance)).toBe(words))
})
