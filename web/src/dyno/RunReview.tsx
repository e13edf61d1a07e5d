import { Button } from '@mantine/core'
import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import { useState } from 'react'
import { type ReviewLine, type Run, type Series, useTrace } from '../api/dyno'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import { Limits } from './Limits'
import { Restrict } from './Restrict'
import css from './dyno.module.css'

const WIDTH = 250
const HEIGHT = 54
/** So many columns a picture has at most. */
const COLUMNS = 500

interface Props {
  run: Run
  car: string
  manages: boolean
}

/** What the log said in a run: each channel against its limit, and drawn when it is asked for. */
export function RunReview({ run, car, manages }: Props) {
  const { looked } = useBoard()
  const trace = useTrace(run.id, COLUMNS, looked)
  const { send, busy } = useSend()
  const [shown, setShown] = useState<string>()
  const [limiting, setLimiting] = useState<ReviewLine>()
  if (!trace) return null
  const unlimited = trace.series.filter(
    (s) => !trace.review.some((l) => l.channel === s.channel) && s.channel !== 'engine speed',
  )
  const drawn = (channel: string) => trace.series.find((s) => s.channel === channel && shown === channel)
  return (
    <section aria-label={`What the log said in ${run.name}`}>
      <h2>What the log said in {run.name}</h2>
      {trace.review.length === 0 && (
        <p className="small soft">The file has no channel that is held against a limit.</p>
      )}
      <ul className={css.review}>
        {trace.review.map((l) => (
          <li key={l.channel} className={l.from ? css.crossed : undefined}>
            <button type="button" onClick={() => setShown(shown === l.channel ? undefined : l.channel)}>
              {at(l)}
            </button>
            <span className="number">{plain(l.worst.said)}</span>
            <span className="small">{said(l)}</span>
            {drawn(l.channel) && <Trace series={drawn(l.channel) as Series} limit={l} />}
            {l.from && (
              <Button size="compact-xs" variant="default" onClick={() => setLimiting(l)}>
                Restriction or job
              </Button>
            )}
          </li>
        ))}
        {unlimited.map((s) => (
          <li key={s.channel}>
            <button type="button" onClick={() => setShown(shown === s.channel ? undefined : s.channel)}>
              {s.channel}
            </button>
            <span className="small soft">{s.points} samples</span>
            {drawn(s.channel) && <Trace series={s} />}
          </li>
        ))}
      </ul>
      {manages && <Limits car={car} channels={trace.series.map((s) => s.channel)} />}
      <p className="small">
        <a href={`/api/runs/${run.id}/file.csv`}>The file as it came</a>
        {manages && (
          <>
            {' · '}
            <Button
              size="compact-xs"
              variant="subtle"
              color="hot"
              loading={busy}
              onClick={() =>
                void send(() =>
                  dataOf(client.DELETE('/api/runs/{run}', { params: { path: { run: run.id } } })),
                )
              }
            >
              Take {run.name} out
            </Button>
          </>
        )}
      </p>
      {limiting && (
        <Restrict
          car={car}
          because={`${limiting.channel} ${plain(limiting.worst.said)} in ${run.name}`}
          text={limiting.from ? `not above ${Math.floor(limiting.from.value / 50) * 50} rpm` : ''}
          job={limiting.channel === 'injector duty' ? 'Larger injectors' : `See to ${limiting.channel}`}
          onClose={() => setLimiting(undefined)}
        />
      )}
    </section>
  )
}

/** Without the other system of units. */
const plain = (text: string) => text.replace(/ \(.*/, '')

/** A floor or line that rises with the speed is met at one speed. */
const at = (l: ReviewLine) => `${l.channel} at ${Math.round(l.worstAt.value / 50) * 50}`

function said(l: ReviewLine) {
  const limit = `${l.floor ? 'floor' : 'watch'} ${plain(l.limit.said)}`
  return l.from
    ? `${limit}, from ${Math.round(l.from.value / 10) * 10} rpm${l.seconds > 0 ? `, ${l.seconds.toFixed(1)} s` : ''}`
    : limit
}

/** A channel over time, and its limit where that is level. */
function Trace({ series, limit }: { series: Series; limit?: ReviewLine }) {
  const points = series.x
    .map((x, i) => [x, series.y[i]] as const)
    .filter((p): p is readonly [number, number] => typeof p[1] === 'number')
  const values = points.map((p) => p[1])
  if (points.length < 2) return null
  const level = limit?.limit.value
  const x = scaleLinear()
    .domain([points[0]?.[0] ?? 0, points.at(-1)?.[0] ?? 1])
    .range([30, WIDTH - 4])
  const y = scaleLinear()
    .domain([Math.min(...values, level ?? Infinity), Math.max(...values, level ?? -Infinity)])
    .nice()
    .range([HEIGHT - 12, 4])
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className={css.trace}
      role="img"
      aria-label={`${series.channel} ${series.overTime ? 'over time' : 'along the run'}, ${Math.min(...values)} to ${Math.max(...values)} ${series.unit}`}
    >
      {level !== undefined && (
        <line x1={30} x2={WIDTH - 4} y1={y(level)} y2={y(level)} stroke="var(--hot)" strokeDasharray="4 3" />
      )}
      <path
        d={
          line<readonly [number, number]>()
            .x((p) => x(p[0]))
            .y((p) => y(p[1]))(points) ?? ''
        }
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1"
      />
      {y.ticks(2).map((tick) => (
        <text key={tick} x={26} y={y(tick) + 3} textAnchor="end" className={css.small}>
          {tick}
        </text>
      ))}
      <text x={WIDTH - 4} y={HEIGHT - 1} textAnchor="end" className={css.small}>
        {series.overTime ? `${(points.at(-1)?.[0] ?? 0).toFixed(1)} s` : 'rpm'}
      </text>
    </svg>
  )
}
