// @vitest-environment jsdom
import { fireEvent, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Schemas } from '../api/client'
import { boardWith, inRoom } from '../testing/room'
import { askedFor, newServer, on, Refusal } from '../testing/server'
import { GaugesRoom } from './GaugesRoom'

const ASK = 'POST /api/gauges/corner-weights'
const LOG = 'GET /api/builds/b61/measurements'
const FILE = 'POST /api/builds/b61/measurements'
const CAR = {
  id: 'b61',
  number: '61',
  name: 'Red coupe',
  body: 'COUPE',
  gates: [],
  restrictions: [],
  measurements: [
    { what: 'Corner weights', value: 'cross 50.3 %', by: 'Sef', at: '2026-11-24T07:00:00Z' },
    {
      what: 'Alignment',
      value: '0° 12′ out',
      by: 'Sef',
      at: '2026-11-20T07:00:00Z',
      staleBecause: 'a spacer was fitted',
    },
  ],
}
const SEF = { username: 'sef', name: 'Sef', role: 'LEAD' } as Schemas['Account']
const fig = (value: number, unit: string) => ({ value, unit, said: `${value} ${unit}` })
const sheet = (id: string, cross: number, driverIn: boolean) => ({
  id,
  gauge: 'corner-weights',
  what: 'Corner weights',
  value: `cross ${cross} %`,
  by: 'Sef',
  at: '2026-11-24T07:00:00Z',
  asked: { wheelbase: '2350 mm', 'wheel rate': ['32 N/mm', '32 N/mm', '36 N/mm', '36 N/mm'], target: '50 %' },
  answered: { cross: fig(cross, '%') },
  driverIn,
  fuel: '',
  pressures: '',
  instrument: '',
  note: '',
})
const CORNERS = ['left front', 'left rear', 'right front', 'right rear']
const four = (value: number, unit: string) => Object.fromEntries(CORNERS.map((c) => [c, fig(value, unit)]))

const weigh = async () => {
  for (const corner of CORNERS)
    fireEvent.change(await screen.findByLabelText(corner), { target: { value: '250' } })
}

describe('the gauges of a car', () => {
  beforeEach(() => {
    newServer()
    on(LOG, () => [sheet('m1', 50.3, true), sheet('m2', 49.1, false)])
  })

  it('say what is true, what is stale and why, and what is not compared', async () => {
    inRoom(<GaugesRoom account={SEF} />, boardWith({ cars: [CAR] }))
    expect(screen.getByText('stale: a spacer was fitted')).toBeTruthy()
    expect(await screen.findByText('no driver: not compared')).toBeTruthy()
  })

  it('ask once all four pads say something, with what is known of the car', async () => {
    on(ASK, () => ({
      cross: fig(48.1, '%'),
      'other cross': fig(51.9, '%'),
      'within tolerance': false,
      verdict: 'Cross 48.1 %, wanted 50.0 ± 0.3 %: too low.',
      advice: 'Quarter turns to 50.0 %',
      then: four(255, 'kg'),
      turns: four(-1.25, 'turns'),
    }))
    inRoom(<GaugesRoom account={SEF} />, boardWith({ cars: [CAR] }))
    await weigh()
    expect(await screen.findByText(/too low/)).toBeTruthy()
    expect(screen.getAllByText('−1.25')).toHaveLength(4)
    expect(askedFor(ASK).body).toMatchObject({
      wheelbase: '2350 mm',
      pads: { 'left rear': '250' },
      target: '50 %',
    })
  })

  it('say so where the pads add up to something else than the car', async () => {
    on(LOG, () => [{ ...sheet('m1', 50, true), answered: { cross: fig(50, '%'), total: fig(577, 'kg') } }])
    on(ASK, () => new Refusal(422, { problems: [{ field: 'pads', message: 'add up to 288 kg' }] }))
    inRoom(<GaugesRoom account={SEF} />, boardWith({ cars: [CAR] }))
    await weigh()
    expect(await screen.findByText('The pads add up to 288 kg')).toBeTruthy()
    expect(askedFor(ASK).body).toMatchObject({ 'known mass': '577 kg' })
  })

  it('file a sheet with the state of the car, or say what is wrong at its field', async () => {
    on(ASK, () => ({ cross: fig(50, '%'), 'other cross': fig(50, '%') }))
    on(FILE, () => {
      return new Refusal(422, { detail: 'no', problems: [{ field: 'fuel', message: '"20 kg" is a mass' }] })
    })
    inRoom(<GaugesRoom account={SEF} />, boardWith({ cars: [CAR] }))
    await weigh()
    fireEvent.change(screen.getByLabelText('Fuel'), { target: { value: '20 kg' } })
    const file = screen.getByRole('button', { name: 'File this sheet' })
    await waitFor(() => expect(file.hasAttribute('disabled')).toBe(false))
    await userEvent.click(file)
    expect(await screen.findByText('"20 kg" is a mass')).toBeTruthy()
    expect(askedFor(FILE).body).toMatchObject({
      gauge: 'corner-weights',
      driverIn: true,
      barsHooked: false,
      fuel: '20 kg',
    })
  })
})
