import { Button } from '@mantine/core'
import { useEffect, useRef, useState } from 'react'
import { type Device, simulate, useDevice } from '../api/devices'
import { useSend } from '../api/send'
import layout from '../ui/layout.module.css'
import css from './gauges.module.css'

const KEPT = 150
const WIDTH = 180
const HEIGHT = 34
const DOING = [
  'off',
  'idle',
  'warm',
  'drive',
  'fail oil',
  'fail fuel',
  'fail lean',
  'fail cooling',
  'fail charging',
  'well',
]

/** What the instruments of the shop say now: the weather in it, and the channels of the logger in the car. */
export function Instruments() {
  const weather = useDevice('weather', true)
  const logger = useDevice('logger', true)
  const traces = useTraces(logger.device, logger.at)
  const { send, busy } = useSend()
  return (
    <div className={css.middle}>
      <section className={css.sheet} aria-label="Weather">
        <h2>The room</h2>
        {weather.none ? (
          <p className="soft small">No weather station is joined.</p>
        ) : (
          <p className={css.weather}>
            {weather.device?.problem ??
              weather.device?.readings.map((r) => (
                <span key={r.name}>
                  <span className="small soft">{r.name} </span>
                  <b>{r.silent ? 'silent' : r.said}</b>
                </span>
              ))}
          </p>
        )}
      </section>
      <section className={css.sheet} aria-label="Logger">
        <h2>The logger in the car</h2>
        {logger.none && <p className="soft small">No logger is joined.</p>}
        {logger.device?.problem && <p className="hot">{logger.device.problem}</p>}
        <table className={css.table}>
          <tbody>
            {logger.device?.readings.map((r) => (
              <tr key={r.name}>
                <td>{r.name.replace('-', ' ')}</td>
                <td className={css.right}>
                  <b>{r.silent ? 'silent' : r.said}</b>
                </td>
                <td>
                  <Trace values={traces[r.name] ?? []} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {logger.device && (
          <Button
            variant="default"
            size="compact-sm"
            onClick={() => download(logger.device?.readings ?? [], traces)}
          >
            These as CSV
          </Button>
        )}
        {logger.device?.simulated && (
          <details className={css.springs}>
            <summary>This car is simulated</summary>
            <div className={css.chips}>
              {DOING.map((what) => (
                <Button
                  key={what}
                  variant="default"
                  size="compact-sm"
                  disabled={busy}
                  onClick={() => void send(() => simulate('logger', what))}
                >
                  {what}
                </Button>
              ))}
            </div>
          </details>
        )}
      </section>
      <p className={`small soft ${layout.flush}`}>
        How a real set is joined is written down in docs/devices.md.
      </p>
    </div>
  )
}

/** The last values of each channel while they are looked at. */
function useTraces(device: Device | undefined, at: number) {
  const seen = useRef(0)
  const [traces, setTraces] = useState<Record<string, number[]>>({})
  useEffect(() => {
    if (!device || at === seen.current) return
    seen.current = at
    setTraces((all) =>
      Object.fromEntries(
        device.readings.map((r) => [
          r.name,
          [...(all[r.name] ?? []), ...(r.now ? [r.now.value] : [])].slice(-KEPT),
        ]),
      ),
    )
  }, [device, at])
  return traces
}

function Trace({ values }: { values: number[] }) {
  if (values.length < 2) return null
  const least = Math.min(...values)
  const span = Math.max(Math.max(...values) - least, 1e-9)
  return (
    <svg width={WIDTH} height={HEIGHT} aria-hidden="true">
      <polyline
        points={values
          .map(
            (v, i) =>
              `${(i / Math.max(values.length - 1, 40)) * WIDTH},${HEIGHT - 4 - ((v - least) / span) * (HEIGHT - 8)}`,
          )
          .join(' ')}
        fill="none"
        stroke="var(--quiet)"
        strokeWidth="1.4"
      />
    </svg>
  )
}

function download(
  readings: { name: string; now?: { unit: string } | null }[],
  traces: Record<string, number[]>,
) {
  const head = readings.map((r) => `${r.name} [${r.now?.unit ?? ''}]`)
  const count = Math.max(0, ...readings.map((r) => traces[r.name]?.length ?? 0))
  const rows = Array.from({ length: count }, (_, i) => readings.map((r) => traces[r.name]?.[i] ?? ''))
  const url = URL.createObjectURL(
    new Blob([[head, ...rows].map((r) => r.join(',')).join('\n')], { type: 'text/csv' }),
  )
  const link = document.createElement('a')
  link.href = url
  link.download = 'logger.csv'
  link.click()
  URL.revokeObjectURL(url)
}
