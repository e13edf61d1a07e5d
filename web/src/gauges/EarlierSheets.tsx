import { Button, FileButton } from '@mantine/core'
import { type Car, useBoard } from '../api/board'
import { client, dataOf, upload } from '../api/client'
import { type Fields, figure, type Sheet, usePhotos } from '../api/gauges'
import { useSend } from '../api/send'
import { when } from '../format/time'
import layout from '../ui/layout.module.css'
import css from './gauges.module.css'

const SHOWN = 8
const WIDTH = 260
const HEIGHT = 90

interface Props {
  car: Car
  log: Sheet[]
  gauge: string
  /** How the car stands now: a sheet without its driver is not compared with one with him. */
  driverIn: boolean
  /** What is followed from sheet to sheet, with what is wanted of it and by how much it may be off. */
  trend?: { figure: string[]; name: string; target?: string; tolerance?: string }
  /** Whether this account may show sheets to the customer. */
  manages: boolean
  onCorrect: (sheet: Sheet) => void
}

/** The sheets of a gauge that count, the newest first, and what a figure of theirs has done. */
export function EarlierSheets({ car, log, gauge, driverIn, trend, manages, onCorrect }: Props) {
  const { board, looked } = useBoard()
  const photos = usePhotos(car.id, looked)
  const sheets = log.filter((s) => s.gauge === gauge && !s.correctedBy).slice(0, SHOWN)
  const like = sheets.filter((s) => (s.driverIn ?? driverIn) === driverIn)
  const points = trend
    ? like
        .map((s) => figure(s.answered as Fields | undefined, ...trend.figure)?.value)
        .filter((v): v is number => v !== undefined)
        .reverse()
    : []
  return (
    <section className={css.earlier} aria-label="Earlier sheets">
      <h2>Earlier sheets</h2>
      {sheets.length === 0 && (
        <p className="small soft">None yet; the first one that is filed begins the log.</p>
      )}
      {sheets.map((s) => (
        <div key={s.id} className={layout.ruled}>
          <div className={layout.spread}>
            <span className="strong">{when(s.at, board.now, board.zone)}</span>
            <span className="strong">
              {(trend && figure(s.answered as Fields | undefined, ...trend.figure)?.said) ?? ''}
            </span>
          </div>
          <div className="small">{s.value}</div>
          <div className="small soft">
            {[
              s.by,
              s.fuel,
              s.pressures,
              s.barsHooked === false ? 'bars unhooked' : '',
              s.instrument,
              log.some((c) => c.correctedBy === s.id) ? 'corrected' : '',
            ]
              .filter(Boolean)
              .join(' · ')}
          </div>
          {s.note && <div className="small">{s.note}</div>}
          {s.staleBecause && <div className="small hot">stale: {s.staleBecause}</div>}
          {!like.includes(s) && (
            <div className="small hot">{s.driverIn ? 'with driver' : 'no driver'}: not compared</div>
          )}
          {photos
            .filter((p) => p.measurementId === s.id)
            .map((p) => (
              <a key={p.id} href={`/api/photos/${p.id}`} target="_blank" rel="noreferrer">
                <img
                  src={`/api/photos/${p.id}/small`}
                  alt={p.caption || `of ${s.what}`}
                  className={css.photo}
                />
              </a>
            ))}
          <SheetActions car={car} sheet={s} manages={manages} onCorrect={onCorrect} />
        </div>
      ))}
      {trend && points.length > 1 && (
        <Trend
          points={points}
          name={trend.name}
          target={number(trend.target)}
          tolerance={number(trend.tolerance)}
        />
      )}
    </section>
  )
}

/** What can be done with a sheet that is filed. */
function SheetActions({
  car,
  sheet,
  manages,
  onCorrect,
}: Pick<Props, 'car' | 'manages' | 'onCorrect'> & { sheet: Sheet }) {
  const { send, busy } = useSend()
  const show = (shown: boolean) =>
    void send(() =>
      dataOf(
        client.PUT('/api/builds/{id}/measurements/{sheet}/shown', {
          params: { path: { id: car.id, sheet: sheet.id } },
          body: { shown },
        }),
      ),
    )
  return (
    <div className={layout.row}>
      {sheet.asked && (
        <Button variant="subtle" size="compact-sm" onClick={() => onCorrect(sheet)}>
          Correct
        </Button>
      )}
      {manages && (
        <Button variant="subtle" size="compact-sm" loading={busy} onClick={() => show(!sheet.shown)}>
          {sheet.shown ? 'Customer sees it: take back' : 'Show the customer'}
        </Button>
      )}
      <FileButton
        accept="image/jpeg,image/png"
        onChange={(file) => {
          if (file) void send(() => upload(`/api/builds/${car.id}/photos?measurementId=${sheet.id}`, file))
        }}
      >
        {(props) => (
          <Button {...props} variant="subtle" size="compact-sm" loading={busy}>
            Photo
          </Button>
        )}
      </FileButton>
    </div>
  )
}

const number = (text = '') => parseFloat(text.replace(',', '.'))

interface TrendProps {
  points: number[]
  name: string
  target: number
  tolerance: number
}

/** A figure over the last sheets, with what is wanted and its tolerance as a band. */
function Trend({ points, name, target, tolerance }: TrendProps) {
  const band = Number.isFinite(target) && Number.isFinite(tolerance)
  const all = band ? [...points, target - tolerance, target + tolerance] : points
  const least = Math.min(...all)
  const span = Math.max(Math.max(...all) - least, 0.5)
  const x = (i: number) => 8 + (i / (points.length - 1)) * (WIDTH - 16)
  const y = (v: number) => HEIGHT - 12 - ((v - least) / span) * (HEIGHT - 24)
  return (
    <figure className={css.trend}>
      <figcaption className="small soft">{name} over the last sheets</figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={`${name}: ${points.map((p) => p.toFixed(1)).join(', ')}`}
      >
        {band && (
          <rect
            x="0"
            width={WIDTH}
            y={y(target + tolerance)}
            height={y(target - tolerance) - y(target + tolerance)}
            fill="var(--quiet-soft)"
            opacity="0.5"
          />
        )}
        <polyline
          points={points.map((p, i) => `${x(i)},${y(p)}`).join(' ')}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
        {points.map((p, i) => (
          <circle key={i} cx={x(i)} cy={y(p)} r="3.5" fill="var(--ink)" />
        ))}
      </svg>
    </figure>
  )
}
