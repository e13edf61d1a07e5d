// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Schemas } from '../api/client'
import { boardWith, inRoom } from '../testing/room'
import { newServer, on, Refusal } from '../testing/server'
import { GaugesRoom } from './GaugesRoom'
import { movedOn, STANDING } from './ReadPads'

const CAR = {
  id: 'b61',
  number: '61',
  name: 'Red coupe',
  body: 'COUPE',
  gates: [],
  measurements: [],
  restrictions: [],
}
const SEF = { username: 'sef', name: 'Sef', role: 'LEAD' } as Schemas['Account']
const kg = (value: number) => ({ value, unit: 'kg', said: `${value} kg` })
const pad = (name: string, value: number, steady: boolean, silent = false) => ({
  name,
  said: `${value} kg`,
  now: silent ? undefined : kg(value),
  steady: steady ? kg(value) : undefined,
  silent,
})
let readings: object[]

describe('pads that are read', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/builds/b61/measurements', () => [])
    on('GET /api/gauges', () => [])
    on('GET /api/devices/pads', () => ({ kind: 'pads', simulated: false, readings }))
    on('POST /api/gauges/corner-weights', () => ({ cross: { value: 50, unit: '%', said: '50 %' } }))
  })

  it('are taken once all four have settled, and a silent one is named', async () => {
    readings = [pad('A', 120, true), pad('B', 115, true), pad('C', 170, false, true), pad('D', 172, true)]
    inRoom(<GaugesRoom account={SEF} />, boardWith({ cars: [CAR] }))
    await userEvent.click(await screen.findByRole('button', { name: 'Read the pads' }))
    expect(await screen.findByText(/pad C is silent/)).toBeTruthy()
    expect(screen.getByLabelText<HTMLInputElement>('left front').value).toBe('')
    readings = [pad('A', 120, true), pad('B', 115, true), pad('C', 170.04, true), pad('D', 172, true)]
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('left rear').value).toBe('170.0 kg'))
    expect(screen.getByLabelText<HTMLInputElement>('right front').value).toBe('115.0 kg')
  })

  it('are typed where none are joined', async () => {
    on('GET /api/devices/pads', () => new Refusal(404, {}))
    inRoom(<GaugesRoom account={SEF} />, boardWith({ cars: [CAR] }))
    await userEvent.click(await screen.findByRole('button', { name: 'Read the pads' }))
    expect(await screen.findByText('No pads are joined; type what they say.')).toBeTruthy()
  })
})

describe('pads that are moved on', () => {
  it('each stand at every corner once in four moves', () => {
    let standing = STANDING
    const seen = new Set<string>()
    for (let i = 0; i < 4; i++) {
      Object.entries(standing).forEach(([corner, name]) => seen.add(corner + name))
      standing = movedOn(standing)
    }
    expect(seen.size).toBe(16)
    expect(standing).toEqual(STANDING)
  })
})
