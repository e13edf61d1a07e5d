// @vitest-environment jsdom
import { screen } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { Commitment } from '../api/board'
import { boardWith, inRoom, job } from '../testing/room'
import { Chain } from './Chain'
import { Effects } from './Effects'

const date = (more: Record<string, unknown> = {}) =>
  ({
    id: 'c1',
    buildId: 'b61',
    name: 'Shakedown',
    due: '2026-12-01T08:00:00Z',
    marginMinutes: 300,
    chain: ['Set toe', 'Fit loom'],
    missing: [],
    sentence: '',
    ...more,
  }) as unknown as Commitment

const WORKS = [
  job('Set toe'),
  job('Fit loom', {
    buildId: 'b8',
    placed: { ...job('x').placed, said: 'the part connector is ready Mon 12:00' },
  }),
  job('Paint'),
]
const chain = (of: Commitment, most?: number) =>
  inRoom(<Chain date={of} most={most} />, boardWith({ works: WORKS }))

describe('the chain of a date', () => {
  it('goes from the date back to what it hangs on, with hands and other cars', () => {
    chain(date())
    expect(screen.getByText('What Shakedown hangs on')).toBeDefined()
    const items = screen.getAllByRole('listitem').map((li) => li.textContent)
    expect(items[0]).toContain('Tue 1 Dec 09:00 Shakedown')
    expect(items[1]).toContain('Set toe, Bo')
    expect(items[2]).toContain('Fit loom, Bo (another car)')
    expect(items[3]).toBe('the part connector is ready Mon 12:00')
    expect(screen.getByRole('link', { name: 'Fit loom' }).getAttribute('href')).toBe(
      '/build/b8?work=Fit loom',
    )
  })

  it('says that a late one is out of reach', () => {
    chain(date({ marginMinutes: -10 }))
    expect(screen.getByText('Why Shakedown is out of reach')).toBeDefined()
  })

  it('folds a long one in its middle', () => {
    const links = Array.from({ length: 10 }, (_, i) => `link ${i}`)
    inRoom(<Chain date={date({ chain: links })} most={5} />, boardWith({ works: links.map((l) => job(l)) }))
    expect(screen.getByText('link 0', { exact: false })).toBeDefined()
    expect(screen.queryByText('link 5', { exact: false })).toBeNull()
    expect(screen.getByText('link 9', { exact: false })).toBeDefined()
    expect(screen.getByText('… 6 more')).toBeDefined()
  })

  it('says instead what cannot be planned, where there is such work', () => {
    inRoom(
      <Chain date={date({ missing: ['Paint'] })} />,
      boardWith({ works: [...WORKS.slice(0, 2), job('Paint', { cannot: 'nobody paints' })] }),
    )
    expect(screen.getByText('Why it cannot be promised')).toBeDefined()
    expect(screen.getByText('Paint: nobody paints')).toBeDefined()
  })

  it('is not there where nothing hangs', () => {
    expect(chain(date({ chain: [] })).container.querySelector('ol')).toBeNull()
  })
})

describe('what a change does to the dates', () => {
  const effect = (more: Record<string, unknown>) => [
    { commitment: 'c1', beforeMinutes: 600, afterMinutes: -90, ...more },
  ]
  const said = (effects: unknown[], days = false) =>
    inRoom(
      <Effects
        effects={effects as Parameters<typeof Effects>[0]['effects']}
        nameOf={() => '61 Shakedown'}
        zone="Europe/Berlin"
        days={days}
      />,
    ).container

  it('is told to the shop in margins, hot where it is late by it', () => {
    const item = said(effect({})).querySelector('li')
    expect(item?.textContent).toBe('61 Shakedown: +10 h → −1½ h (late)')
    expect(item?.className).toContain('hot')
  })

  it('is quiet where it stays, or gets better', () => {
    expect(said(effect({ afterMinutes: 600 })).textContent).toContain('stays at +10 h')
    expect(said(effect({ beforeMinutes: -90, afterMinutes: -60 })).querySelector('.hot')).toBeNull()
    expect(said([]).textContent).toContain('It moves no date.')
  })

  it('is told to customers in days', () => {
    const to = { beforeFinish: '2026-12-01T08:00:00Z', afterFinish: '2026-12-03T08:00:00Z' }
    expect(said(effect(to), true).textContent).toContain('ready Tue 1 Dec → Thu 3 Dec')
    expect(said(effect({ ...to, afterFinish: to.beforeFinish }), true).textContent).toContain(
      'stays as it is, ready Tue 1 Dec',
    )
    expect(said(effect({}), true).textContent).toContain('ready not known → not known')
  })
})
