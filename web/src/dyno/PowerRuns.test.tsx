// @vitest-environment jsdom
import { fireEvent, screen, waitFor } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Car } from '../api/board'
import { boardWith, inRoom } from '../testing/room'
import { asked, askedFor, newServer, on, Refusal } from '../testing/server'
import { PowerRuns } from './PowerRuns'

const COMPARE = 'POST /api/builds/b61/runs/compare'
const LIMITS = 'GET /api/builds/b61/review-limits'
const KEEP = 'PUT /api/builds/b61/review-limits'
const PATIENCE = { timeout: 20_000 }
const FILE = 'POST /api/builds/b61/measurements'
const fig = (value: number, unit: string) => ({ value, unit, said: `${value} ${unit}` })

const run = (id: string, state: string, pressure = '2.6 bar') => ({
  id,
  name: `run ${id}`,
  dyno: 'Quay',
  state,
  gear: '4th',
  pressure,
  straps: '',
  fuel: '',
  airPressure: '992 hPa',
  airTemperature: '21 °C',
  humidity: '',
  by: 'Sef',
  at: '2026-11-24T07:00:00Z',
  peak: fig(205, 'kW'),
  peakAt: fig(6500, 'rpm'),
  from: 2100,
  to: 7300,
  mistaken: '',
  slips: '',
  crossed: 0,
  boosted: false,
  version: 1,
})

const CAR = boardWith().cars[0] as Car
const bin = (rpm: number) => ({ rpm, before: 150, after: 154, difference: 4, least: 1.5, real: true })

describe('power runs', () => {
  beforeEach(() => {
    newServer()
    on('GET /api/builds/b61/runs', () => ({
      runs: [
        run('1', ''),
        run('2', ''),
        run('3', 'pulley'),
        run('4', 'pulley'),
        run('5', 'pulley', '3.4 bar'),
      ],
      dynos: ['Quay'],
      standIn: false,
    }))
    on('GET /api/runs/5/trace', () => ({
      series: [],
      review: [
        {
          channel: 'injector duty',
          floor: false,
          worst: fig(91, '%'),
          worstAt: fig(6500, 'rpm'),
          limit: fig(85, '%'),
          from: fig(6350, 'rpm'),
          seconds: 0.8,
        },
      ],
    }))
    on(LIMITS, () => [{ channel: 'injector duty', floor: false, watch: '85 %', per1000: '', usual: true }])
    on(COMPARE, () => ({
      verdict: 'REAL',
      headline: 'Real: +4.0 kW ± 1.5 from 2100 to 7300 rpm',
      lines: ['One thing changed: pulley.'],
      leftOut: [{ run: '5', why: '3.4 bar, not 2.6' }],
      bins: [bin(3000), bin(3100)],
      runs: [],
      asked: { changed: 'pulley', runs: [] },
    }))
  })

  it('are compared by the last two states, over what all go through; the unlike one is left out', async () => {
    inRoom(<PowerRuns car={CAR} manages />)
    expect(await screen.findByText(/^Real: \+4\.0 kW/)).toBeTruthy()
    expect(screen.getByText('left out: 3.4 bar, not 2.6')).toBeTruthy()
    expect(screen.getByText('pulley, 2 runs')).toBeTruthy()
    expect(askedFor(COMPARE).body).toMatchObject({
      before: ['1', '2'],
      after: ['3', '4', '5'],
      from: 2100,
      to: 7300,
    })
    fireEvent.click(screen.getByLabelText('compare run 5'))
    await waitFor(() => expect(asked(COMPARE).at(-1)?.body).toMatchObject({ after: ['3', '4'] }), PATIENCE)
  })

  it('are filed as what the gauge is asked, once', async () => {
    on(FILE, () => ({ id: 'm1' }))
    inRoom(<PowerRuns car={CAR} manages />)
    fireEvent.click(await screen.findByRole('button', { name: 'File the verdict' }))
    const filed = await screen.findByRole('button', { name: 'Filed' })
    expect(filed.hasAttribute('disabled')).toBe(true)
    expect(askedFor(FILE).body).toMatchObject({ gauge: 'power-compare', asked: { changed: 'pulley' } })
  })

  it('say which limit was crossed, from where and for how long, and take another', async () => {
    on(
      KEEP,
      () => new Refusal(422, { problems: [{ field: 'limits.0.watch', message: '"much" is no share' }] }),
    )
    inRoom(<PowerRuns car={CAR} manages />)
    expect(await screen.findByText('watch 85 %, from 6350 rpm, 0.8 s')).toBeTruthy()
    fireEvent.click(await screen.findByRole('button', { name: 'Limits: the usual ones' }))
    fireEvent.change(await screen.findByLabelText('injector duty, watch'), { target: { value: 'much' } })
    fireEvent.click(screen.getByRole('button', { name: 'Keep these' }))
    expect(await screen.findByText('"much" is no share')).toBeTruthy()
    expect(askedFor(KEEP).body).toMatchObject([{ channel: 'injector duty', floor: false, watch: 'much' }])
  })
})
