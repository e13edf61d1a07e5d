import { expect, it } from 'vitest'
import type { Board, Car } from '../api/board'
import { places, walkOrder } from './order'

const car = (id: string, stationId?: string, awayWorkId?: string) => ({ id, stationId, awayWorkId }) as Car
const board = (...cars: Car[]) => ({ cars, stations: [{ id: 'lift' }, { id: 'bay' }] }) as Board

it('walks past the stations, then what waits outside, then what is away', () => {
  const shop = board(
    car('gone', undefined, 'paint'),
    car('out'),
    car('in bay', 'bay'),
    car('on lift', 'lift'),
  )
  expect(walkOrder(shop).map((c) => c.id)).toEqual(['on lift', 'in bay', 'out', 'gone'])
})

it('has every car once, also of two at one station and one at a station that is no more', () => {
  const shop = board(car('a', 'lift'), car('b', 'lift'), car('c', 'pit'), car('d', 'lift', 'paint'))
  const { inside, waiting, away } = places(shop)
  const all = [...inside.values(), ...waiting, ...away].map((c) => c.id)
  expect(all.sort()).toEqual(['a', 'b', 'c', 'd'])
  expect(inside.get('lift')?.id).toBe('a')
  expect(away.map((c) => c.id)).toEqual(['d'])
})
