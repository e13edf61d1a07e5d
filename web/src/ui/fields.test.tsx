// @vitest-environment jsdom
import { act, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { Route, Routes, useLocation } from 'react-router'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Schemas } from '../api/client'
import { boardWith, inRoom, job } from '../testing/room'
import { asked, newServer, on, Refusal } from '../testing/server'
import { DurationField } from './DurationField'
import { Finder, openFinder } from './Finder'
import { TakeIn } from './TakeIn'

beforeEach(() => {
  newServer()
  on('GET /api/board/news', () => ({ lists: {} }))
})

describe('a field of working time', () => {
  let said: (number | undefined)[] = []
  function Form() {
    const [minutes, setMinutes] = useState<number | undefined>(90)
    return (
      <DurationField
        label="Takes"
        value={minutes}
        onChange={(m) => {
          said.push(m)
          setMinutes(m)
        }}
      />
    )
  }
  const field = () => screen.getByLabelText<HTMLInputElement>('Takes')
  const type = async (text: string) => {
    await userEvent.clear(field())
    await userEvent.type(field(), text)
    await userEvent.tab()
  }
  beforeEach(() => {
    said = []
    inRoom(<Form />)
  })

  it.each([
    ['45 min', 45],
    ['1.5h', 90],
    ['4 h 30', 270],
    ['half a day', 240],
  ])('takes %s', async (text, minutes) => {
    await type(text)
    expect(said.at(-1)).toBe(minutes)
    expect(field().validity.valid).toBe(true)
  })

  it('keeps what it cannot read, marked, and says how it is said', async () => {
    await type('a while')
    expect(field().value).toBe('a while')
    expect(screen.getByText(/Say it as 45 min/)).toBeDefined()
    expect(field().validity.valid).toBe(false)
    await type('2 h')
    expect(screen.queryByText(/Say it as 45 min/)).toBeNull()
    expect(field().validity.valid).toBe(true)
  })

  it('is none where it is empty', async () => {
    await userEvent.clear(field())
    await userEvent.tab()
    expect(said.at(-1)).toBeUndefined()
  })
})

describe('a table that is taken in', () => {
  const choose = (text: string) =>
    userEvent.upload(
      document.querySelector<HTMLInputElement>('input[type=file]')!,
      new File([text], 'a.csv', { type: 'text/csv' }),
    )
  beforeEach(() => {
    inRoom(<TakeIn<{ added: number }> to="/api/things/import" said={(a) => `${a.added} new`} />)
  })

  it('says what came of it', async () => {
    on('POST /api/things/import', () => ({ added: 3 }))
    await choose('a,b')
    expect(await screen.findByText('3 new')).toBeDefined()
  })

  it('says line by line what is wrong, and nothing was taken', async () => {
    on(
      'POST /api/things/import',
      () => new Refusal(422, { problems: [{ field: 'line 2, car', message: 'There is no such car.' }] }),
    )
    await choose('a,b')
    expect(await screen.findByText('line 2, car: There is no such car.')).toBeDefined()
    expect(asked('POST /api/things/import')).toHaveLength(1)
  })
})

describe('the finder', () => {
  const MARA = { username: 'mara', name: 'Mara', role: 'MANAGER' } as Schemas['Account']
  const BO = { username: 'bo', name: 'Bo', role: 'HAND' } as Schemas['Account']
  const BOARD = boardWith({
    cars: [
      {
        id: 'b61',
        number: '61',
        name: 'Red coupe',
        customer: 'A. Customer',
        discipline: 'hill',
        restrictions: [],
      },
    ],
    works: [job('w1', { name: 'Fit loom' })],
    parts: [{ id: 'p1', name: 'Drive shaft', buildId: 'b61' }],
    people: [{ id: 'bo', name: 'Bo', skills: [{ skill: 'weld' }] }],
  })
  const Here = () => {
    const { pathname, search } = useLocation()
    return <output>{pathname + search}</output>
  }
  const open = async (account = MARA) => {
    on('GET /api/gauges', () => [{ name: 'strings', title: 'Alignment by strings' }])
    inRoom(
      <>
        <Finder account={account} />
        <Routes>
          <Route path="*" element={<Here />} />
        </Routes>
      </>,
      BOARD,
    )
    await waitFor(() => expect(asked('GET /api/gauges')).toHaveLength(1))
    act(() => openFinder())
    return screen.findByPlaceholderText('A car, job, part, person, gauge or action')
  }

  it.each([
    ['loom', 'Fit loom', '/build/b61?work=w1'],
    ['drive', 'Drive shaft', '/build/b61?part=p1'],
    ['weld', 'Bo', '/shop/people?person=bo'],
    ['customer', '61 Red coupe', '/walk?car=b61'],
    ['strings', 'Alignment by strings', '/gauges/b61/strings'],
    ['first fire', 'Roll-out and gates of 61 Red coupe', '/rollout/b61'],
    ['new build', 'New build', '/build?new'],
  ])('finds by %s: %s', async (words, label, address) => {
    await userEvent.type(await open(), words)
    await userEvent.click((await screen.findAllByText(label))[0]!)
    await waitFor(() => expect(screen.getByRole('status', { hidden: true }).textContent).toBe(address))
  })

  it('says that there is nothing of that name, and offers hands no new build', async () => {
    await userEvent.type(await open(BO), 'new build')
    expect(await screen.findByText('Nothing of that name in the shop.')).toBeDefined()
  })
})
