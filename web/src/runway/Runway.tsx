import { Button, Modal } from '@mantine/core'
import { useElementSize, useHotkeys } from '@mantine/hooks'
import { useMemo, useRef, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { type Car, type Commitment, useBoard, type Work } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { MarginMark } from '../ui/MarginMark'
import { Nothing } from '../ui/Nothing'
import { day, when } from '../ui/say'
import { Lane, laneHeight, STRAND_HEAD, STRAND_HEIGHT, strandRows } from './Lane'
import { Loads, loadsHeight } from './Loads'
import { Patterns } from './Patterns'
import { ScoreSheet } from './ScoreSheet'
import { dayScale } from './scale'
import { WorkCard } from './WorkCard'

const LABELS = 176
const MARGINS = 152
const TOP = 34
const DAYS_BEFORE = 2
const DAYS = 130
const ZOOMS = [1.5, 3, 7, 14, 21, 42, 84]

/** Time to the commitments: a lane a car, the load of people and stations below. */
export function Runway({ account }: { account: Schemas['Account'] }) {
  const { board, work } = useBoard()
  const { ref, width } = useElementSize()
  const [search, setSearch] = useSearchParams()
  const [said, setSaid] = useState(false)
  const [score, setScore] = useState(false)
  const { send, busy } = useSend()
  const scale = useMemo(() => dayScale(board.now, board.zone, DAYS_BEFORE, DAYS), [board.now, board.zone])
  const visible = Number(search.get('days')) || 14
  const today = scale.units(Date.parse(board.now))
  const from = search.has('from') ? Number(search.get('from')) : Math.floor(today) - 0.12
  const open = search.get('car') ?? undefined
  const dateId = search.get('date') ?? undefined
  const picked = work.get(search.get('work') ?? '')
  const put = (values: Record<string, string | undefined>) =>
    setSearch(
      (old) => {
        const next = new URLSearchParams(old)
        Object.entries(values).forEach(([k, v]) => (v === undefined ? next.delete(k) : next.set(k, v)))
        return next
      },
      { replace: true },
    )
  const plot = Math.max(200, width - LABELS - MARGINS)
  const pixels = plot / visible
  const zoom = (by: number) => {
    const at = ZOOMS.findIndex((z) => z >= visible - 0.01)
    const next = ZOOMS[Math.max(0, Math.min(ZOOMS.length - 1, at + by))] ?? 14
    put({ days: String(next) })
  }
  const pan = (units: number) =>
    put({ from: String(Math.max(0, Math.min(DAYS - 2, from + units)).toFixed(3)) })
  useHotkeys([
    ['+', () => zoom(-1)],
    ['=', () => zoom(-1)],
    ['-', () => zoom(1)],
    ['ArrowLeft', () => pan(-visible / 4)],
    ['ArrowRight', () => pan(visible / 4)],
    ['t', () => put({ from: undefined })],
  ])
  const lanes = useMemo(() => lanesOf(board.cars, board.works, board.commitments), [board])
  const drag = useDrag(pixels, pan)
  if (lanes.length === 0)
    return <Nothing title="No cars yet" text="The runway shows the cars once there are builds." />
  let y = TOP
  const tops = lanes.map((lane) => {
    const top = y
    y += laneHeight(lane.works, open === lane.car.id)
    return top
  })
  const loadsTop = y + 22
  const height = loadsTop + loadsHeight(board.people.length, board.stations.length)
  const shift = LABELS - from * pixels
  const first = Math.max(0, Math.floor(from))
  const days = scale.keys.slice(first, Math.min(DAYS, Math.ceil(from + visible) + 1))
  const date = board.commitments.find((c) => c.id === dateId)
  const chain = new Set(date?.chain ?? [])
  return (
    <>
      <div className="room-head">
        <h1>Runway</h1>
        <span className="soft">{draftLine(board)}</span>
        <span style={{ marginLeft: 'auto', display: 'flex', gap: 6 }} className="no-print">
          <Button size="compact-sm" variant="default" aria-label="Earlier" onClick={() => pan(-visible / 2)}>
            ←
          </Button>
          <Button size="compact-sm" variant="default" onClick={() => put({ from: undefined })}>
            Today
          </Button>
          <Button size="compact-sm" variant="default" aria-label="Later" onClick={() => pan(visible / 2)}>
            →
          </Button>
          <Button size="compact-sm" variant="default" aria-label="Zoom in" onClick={() => zoom(-1)}>
            +
          </Button>
          <Button size="compact-sm" variant="default" aria-label="Zoom out" onClick={() => zoom(1)}>
            −
          </Button>
          <Button size="compact-sm" variant="default" onClick={() => setScore(true)}>
            Score
          </Button>
          <Button
            size="compact-sm"
            variant="default"
            disabled={board.draft.moved === 0}
            onClick={() => setSaid(true)}
          >
            What moved
          </Button>
          {account.role === 'MANAGER' && (
            <Button
              size="compact-sm"
              loading={busy}
              disabled={board.draft.moved === 0 && board.draft.publishedAt !== undefined}
              onClick={() => void send(() => dataOf(client.POST('/api/plan/publish')))}
            >
              Publish
            </Button>
          )}
        </span>
      </div>
      {date && <ChainStrip date={date} onClose={() => put({ date: undefined })} />}
      <div ref={ref} style={{ position: 'relative' }}>
        {width > 0 && (
          <svg
            width={width}
            height={height}
            role="group"
            aria-label="Lanes of the cars to their dates"
            style={{ display: 'block', touchAction: 'pan-y', cursor: 'grab', userSelect: 'none' }}
            onWheel={(e) => {
              if (e.ctrlKey) zoom(e.deltaY > 0 ? 1 : -1)
              else if (Math.abs(e.deltaX) > Math.abs(e.deltaY)) pan(e.deltaX / pixels)
            }}
            {...drag}
          >
            <Patterns />
            <clipPath id="plot">
              <rect x={LABELS} y={0} width={plot} height={height} />
            </clipPath>
            <g clipPath="url(#plot)">
              <Days
                keys={days}
                first={first}
                shift={shift}
                pixels={pixels}
                height={height}
                zone={board.zone}
                midnights={scale.midnights}
              />
              <g transform={`translate(${shift} 0)`}>
                <line
                  x1={today * pixels}
                  x2={today * pixels}
                  y1={TOP - 8}
                  y2={height}
                  stroke="var(--hot)"
                  strokeWidth="1.6"
                />
                <text x={today * pixels + 4} y={TOP - 1} fontSize="11" fontWeight="600" fill="var(--hot)">
                  now
                </text>
                {lanes.map((lane, i) => (
                  <g key={lane.car.id} transform={`translate(0 ${tops[i]})`}>
                    <Lane
                      lane={lane}
                      scale={scale}
                      pixels={pixels}
                      open={open === lane.car.id}
                      chain={chain}
                      picked={picked?.id}
                      canPin={account.role === 'MANAGER'}
                      onPick={(id) => put({ work: id })}
                      onOpen={() => put({ car: open === lane.car.id ? undefined : lane.car.id })}
                      onDate={(id) => put({ date: id === dateId ? undefined : id })}
                    />
                  </g>
                ))}
                <g transform={`translate(0 ${loadsTop})`}>
                  <Loads scale={scale} pixels={pixels} part="bars" />
                </g>
              </g>
            </g>
            {lanes.map((lane, i) => (
              <LaneLabels
                key={lane.car.id}
                lane={lane}
                top={tops[i] ?? 0}
                right={width - MARGINS + 10}
                open={open === lane.car.id}
                picked={dateId}
                onOpen={() => put({ car: open === lane.car.id ? undefined : lane.car.id })}
                onDate={(id) => put({ date: id === dateId ? undefined : id })}
              />
            ))}
            <line
              x1="0"
              x2={width}
              y1={loadsTop - 8}
              y2={loadsTop - 8}
              stroke="var(--ink)"
              strokeWidth="1.6"
            />
            <g transform={`translate(0 ${loadsTop})`}>
              <Loads
                scale={scale}
                pixels={pixels}
                part="labels"
                width={LABELS}
                right={width - MARGINS + 10}
              />
            </g>
          </svg>
        )}
        {picked && <WorkCard work={picked} account={account} onClose={() => put({ work: undefined })} />}
      </div>
      <p className="soft small no-print">
        A rope is as thick as the hands at work. Dots cure, waves are outside the shop, a bare line waits, the
        tick is the date. Click a rope to open it, a margin for its chain; drag a job of an open rope to pin
        it.
      </p>
      <Modal opened={said} onClose={() => setSaid(false)} title="What moved since people were told" size="lg">
        {board.draft.toTell.length > 0 && <p className="strong">To tell: {board.draft.toTell.join(', ')}</p>}
        <ul style={{ paddingLeft: 18 }}>
          {board.draft.said.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      </Modal>
      <ScoreSheet opened={score} onClose={() => setScore(false)} />
    </>
  )
}

function draftLine(board: Schemas['Board']): string {
  const { draft } = board
  if (!draft.publishedAt) return 'nothing published yet'
  const told = `${draft.publishedBy} told people ${when(draft.publishedAt, board.now, board.zone)}`
  if (draft.moved === 0) return `as ${told}`
  return `draft: ${draft.moved} ${draft.moved === 1 ? 'job' : 'jobs'} moved since ${told}, ${draft.toTell.length} told otherwise`
}

/** One car with its open work and its dates ahead. */
export interface LaneOf {
  car: Car
  works: Work[]
  dates: Commitment[]
}

function lanesOf(cars: Car[], works: Work[], dates: Commitment[]): LaneOf[] {
  return cars
    .map((car) => ({
      car,
      works: works.filter((w) => w.buildId === car.id && w.placed),
      dates: dates.filter((c) => c.buildId === car.id),
    }))
    .sort((a, b) => (a.dates[0]?.due ?? '9').localeCompare(b.dates[0]?.due ?? '9'))
}

/** Dragging the ground moves through time. */
function useDrag(pixels: number, pan: (units: number) => void) {
  const last = useRef<number>(undefined)
  return {
    onPointerDown: (e: React.PointerEvent) => {
      last.current = e.clientX
    },
    onPointerMove: (e: React.PointerEvent) => {
      if (last.current === undefined || (e.buttons & 1) === 0) return
      const by = (last.current - e.clientX) / pixels
      if (Math.abs(by * pixels) >= 2) {
        pan(by)
        last.current = e.clientX
      }
    },
    onPointerUp: () => {
      last.current = undefined
    },
  }
}

interface DaysProps {
  keys: string[]
  first: number
  shift: number
  pixels: number
  height: number
  zone: string
  midnights: number[]
}

function Days({ keys, first, shift, pixels, height, zone, midnights }: DaysProps) {
  const every = pixels > 44 ? 1 : pixels > 15 ? 7 : 14
  return (
    <g transform={`translate(${shift} 0)`}>
      {keys.map((key, i) => {
        const x = (first + i) * pixels
        const weekdayNumber = new Date(`${key}T12:00:00Z`).getUTCDay()
        const weekend = weekdayNumber === 0 || weekdayNumber === 6
        const label = every === 1 || (weekdayNumber === 1 && (every === 7 || (first + i) % 14 < 7))
        return (
          <g key={key}>
            {weekend && <rect x={x} y={TOP - 12} width={pixels} height={height} fill="var(--rest)" />}
            <line
              x1={x}
              x2={x}
              y1={TOP - 12}
              y2={height}
              stroke="var(--line)"
              strokeWidth={weekdayNumber === 1 ? 1.2 : 0.5}
            />
            {label && (
              <text
                x={every === 1 ? x + pixels / 2 : x + 2}
                y="14"
                textAnchor={every === 1 ? 'middle' : 'start'}
                fontSize="11.5"
                fill="var(--muted)"
              >
                {pixels > 70 || every > 1
                  ? day((midnights[first + i] ?? 0) + 43_200_000, zone)
                  : day((midnights[first + i] ?? 0) + 43_200_000, zone)
                      .split(' ')
                      .slice(0, 2)
                      .join(' ')}
              </text>
            )}
          </g>
        )
      })}
    </g>
  )
}

interface LabelsProps {
  lane: LaneOf
  top: number
  right: number
  open: boolean
  picked?: string
  onOpen: () => void
  onDate: (id: string) => void
}

function LaneLabels({ lane, top, right, open, picked, onOpen, onDate }: LabelsProps) {
  const { board } = useBoard()
  const { car } = lane
  const date = lane.dates.find((d) => d.id === car.nextDate) ?? lane.dates[0]
  return (
    <g transform={`translate(0 ${top})`}>
      <foreignObject x="0" y="2" width={LABELS - 6} height="42">
        <button
          className="link"
          aria-expanded={open}
          onClick={onOpen}
          style={{ display: 'flex', width: '100%', gap: 6, textDecoration: 'none', alignItems: 'center' }}
        >
          <span style={{ flex: 1, minWidth: 0 }}>
            <span className="strong" style={{ display: 'block', fontSize: 13.5, fontStretch: '88%' }}>
              {car.name}
            </span>
            <span
              className="soft"
              style={{
                display: 'block',
                fontSize: 11,
                whiteSpace: 'nowrap',
                overflow: 'hidden',
                textOverflow: 'ellipsis',
              }}
            >
              {date ? `${date.name}, ${day(date.due, board.zone)}` : 'no date'}
            </span>
          </span>
          <span className="number" style={{ fontSize: 20 }}>
            {car.number || '—'}
          </span>
        </button>
      </foreignObject>
      {open &&
        strandRows(lane.works).map((strand) => (
          <text
            key={strand.strand}
            x={LABELS - 12}
            y={STRAND_HEAD + strand.top * STRAND_HEIGHT + 15}
            textAnchor="end"
            fontSize="11.5"
            fill="var(--muted)"
          >
            {strand.strand}
          </text>
        ))}
      {date && (
        <foreignObject x={right} y="8" width={MARGINS - 12} height="30">
          <MarginButton date={date} picked={picked === date.id} onDate={onDate} />
        </foreignObject>
      )}
    </g>
  )
}

function MarginButton({
  date,
  picked,
  onDate,
}: {
  date: Commitment
  picked: boolean
  onDate: (id: string) => void
}) {
  return (
    <button
      className="link"
      aria-pressed={picked}
      title="Show the chain"
      onClick={() => onDate(date.id)}
      style={{ textDecoration: picked ? 'underline' : 'none' }}
    >
      <MarginMark minutes={date.marginMinutes} />
    </button>
  )
}

/** The chain of a date in a sentence, each of its works a way to it. */
function ChainStrip({ date, onClose }: { date: Commitment; onClose: () => void }) {
  const { work } = useBoard()
  const late = (date.marginMinutes ?? -1) < 0
  return (
    <section
      className="panel"
      aria-label={`Chain of ${date.name}`}
      style={{
        borderColor: late ? 'var(--hot)' : 'var(--ink)',
        padding: '7px 12px',
        marginBottom: 6,
        fontSize: 13.5,
      }}
    >
      <button className="link" style={{ float: 'right' }} onClick={onClose}>
        close
      </button>
      <span className={late ? 'strong hot' : 'strong'}>{date.sentence}</span>{' '}
      <span className="soft">
        {[...date.chain].reverse().map((id, i) => (
          <span key={id}>
            {i > 0 && ' → '}
            <Link to={`/build/${work.get(id)?.buildId}?work=${id}`}>{work.get(id)?.name}</Link>
          </span>
        ))}
      </span>
    </section>
  )
}
