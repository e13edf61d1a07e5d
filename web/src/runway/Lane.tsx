import { memo, useMemo, useRef, useState } from 'react'
import type { Work } from '../api/board'
import { useOdds } from '../api/thinking'
import { type LaneOf, sameLane } from './lanes'
import { fitted, labelRoom, ropePaths, rows, STRANDS, strandOf } from './rope'
import type { DayScale } from './scale'
import css from './runway.module.css'

const CLOSED = 46
export const STRAND_HEIGHT = 22
export const STRAND_HEAD = 40
/** Thickness of a rope by the hands at work on it. */
const thickness = (hands: number) => Math.min(26, 6 + hands * 5)

/** How high a lane is, closed or opened into its strands. */
export function laneHeight(works: Work[], open: boolean): number {
  if (!open) return CLOSED
  return STRAND_HEAD + strandRows(works).reduce((sum, s) => sum + s.count, 0) * STRAND_HEIGHT + 10
}

/** The strands of an opened rope, each with the rows its overlapping works take. */
export function strandRows(works: Work[]) {
  let top = 0
  return STRANDS.flatMap((strand) => {
    const mine = works.filter((w) => strandOf(w) === strand)
    if (mine.length === 0) return []
    const placed = rows(mine)
    const count = Math.max(...placed.values()) + 1
    const result = { strand, works: mine, rows: placed, top, count }
    top += count
    return [result]
  })
}

interface Props {
  lane: LaneOf
  scale: DayScale
  pixels: number
  open: boolean
  chain: Set<string>
  picked?: string
  canPin: boolean
  pinned: Set<string>
  onPin: (work: string, at: string) => void
  onPick: (work: string) => void
  onOpen: (car: string) => void
  onDate: (date: string) => void
}

/** One car's rope to its dates, or its strands. */
export const Lane = memo(function Lane(props: Props) {
  const { lane, scale, pixels, open, onDate } = props
  const x = (at: string | number) => scale.units(typeof at === 'string' ? Date.parse(at) : at) * pixels
  const height = laneHeight(lane.works, open)
  return (
    <g>
      {open ? <Strands {...props} x={x} /> : <Rope {...props} x={x} />}
      {lane.dates.map((date) => {
        const over = date.finish && date.finish > date.due
        return (
          <g key={date.id} onClick={() => onDate(date.id)} className={css.pick}>
            <title>{`${date.name}: ${date.sentence}`}</title>
            {over && date.finish && (
              <rect
                x={x(date.due)}
                y={open ? 8 : 14}
                width={Math.max(3, x(date.finish) - x(date.due))}
                height="16"
                fill="url(#over)"
                stroke="var(--hot)"
              />
            )}
            <Whisker date={date.id} due={date.due} x={x} y={height - 5} />
            <rect x={x(date.due) - 1.5} y="3" width="3" height={height - 8} fill="var(--ink)" />
            <rect x={x(date.due) - 7} y="0" width="14" height={height} fill="transparent" />
          </g>
        )
      })}
      <line x1={-9999} x2={99999} y1={height - 1} y2={height - 1} stroke="var(--grid)" />
    </g>
  )
}, alike)

/** Whether nothing differs that a lane shows. */
function alike(a: Props, b: Props): boolean {
  return (Object.keys(a) as (keyof Props)[]).every((key) =>
    key === 'lane' ? sameLane(a.lane, b.lane) : a[key] === b[key],
  )
}

/** Where the finish may fall: from 5 to 95 % of the trials, thick from half to 80 %; hot past the date. */
function Whisker({ date, due, x, y }: { date: string; due: string; x: Drawn['x']; y: number }) {
  const odds = useOdds().of.get(date)
  const low = odds?.spread[1]
  const high = odds?.spread[19] ?? odds?.spread.at(-1)
  if (!odds || !low || !high) return null
  const tick = x(due)
  const part = (from: string, to: string, width: number) => (
    <>
      {x(from) < tick && (
        <line x1={x(from)} x2={Math.min(tick, x(to))} y1={y} y2={y} stroke="var(--ink)" strokeWidth={width} />
      )}
      {x(to) > tick && (
        <line x1={Math.max(tick, x(from))} x2={x(to)} y1={y} y2={y} stroke="var(--hot)" strokeWidth={width} />
      )}
    </>
  )
  return (
    <g>
      {part(low, high, 1.4)}
      {odds.p50 && odds.p80 && part(odds.p50, odds.p80, 4.5)}
    </g>
  )
}

type Drawn = Props & { x: (at: string | number) => number }

function Rope({ lane, x, scale, pixels, chain, onOpen }: Drawn) {
  const works = lane.works
  const paths = useMemo(() => ropePaths(works, scale.units, thickness), [works, scale])
  if (works.length === 0) return null
  const starts = works.map((w) => Math.max(Date.parse(w.placed!.start), Date.parse(lane.now)))
  const ends = works.map((w) => Date.parse(w.placed!.ready))
  const middle = CLOSED / 2
  return (
    <g onClick={() => onOpen(lane.car.id)} className={css.pick}>
      <line
        x1={x(Math.min(...starts))}
        x2={x(Math.max(...ends))}
        y1={middle}
        y2={middle}
        stroke="var(--muted)"
        strokeWidth="1.3"
      />
      {works.map((w) => {
        const p = w.placed!
        if (w.kind === 'OUTWORK') {
          return (
            <rect
              key={w.id}
              x={x(p.start)}
              y={middle - 8}
              width={x(p.end) - x(p.start)}
              height="16"
              fill="url(#waves)"
              stroke="var(--ink)"
              strokeDasharray="3 2"
              strokeWidth="0.8"
            >
              <title>{w.name}</title>
            </rect>
          )
        }
        return p.ready > p.end ? (
          <rect
            key={w.id}
            x={x(p.end)}
            y={middle - 6}
            width={x(p.ready) - x(p.end)}
            height="12"
            fill="url(#cure)"
            stroke="var(--ink)"
            strokeWidth="0.7"
          >
            <title>{`${w.name} cures`}</title>
          </rect>
        ) : null
      })}
      <g transform={`translate(0 ${middle}) scale(${pixels} 1)`}>
        {paths.map((path) => (
          <path key={path.hands} d={path.d} fill="var(--quiet)" opacity={path.hands > 1 ? 0.95 : 0.72} />
        ))}
      </g>
      {works
        .filter((w) => chain.has(w.id))
        .flatMap((w) =>
          w.placed!.at.map((s) => (
            <rect
              key={w.id + s.from}
              x={x(s.from)}
              width={Math.max(2, x(s.to) - x(s.from))}
              y={middle - 15}
              height="30"
              fill="none"
              stroke="var(--hot)"
              strokeWidth="2"
            />
          )),
        )}
      <Arrivals lane={lane} x={x} y={CLOSED - 9} />
    </g>
  )
}

/** Arrivals: a small mark that points at the instant. */
function Arrivals({ lane, x, y }: { lane: LaneOf; x: Drawn['x']; y: number }) {
  return lane.coming.map((p) => (
    <path
      key={p.id}
      d={`M ${x(p.arrivalLikely!)} ${y - 7} l 5 8 h -10 Z`}
      fill="var(--card)"
      stroke="var(--ink)"
      strokeWidth="1.3"
    >
      <title>{`${p.name} arrives`}</title>
    </path>
  ))
}

function Strands(props: Drawn) {
  const { lane, x } = props
  return (
    <g>
      <Arrivals lane={lane} x={x} y={20} />
      {strandRows(lane.works).map((strand) => {
        const room = labelRoom(strand.works, strand.rows, x)
        return (
          <g key={strand.strand} transform={`translate(0 ${STRAND_HEAD + strand.top * STRAND_HEIGHT})`}>
            <line x1={-9999} x2={99999} y1={0} y2={0} stroke="var(--line)" strokeWidth="0.6" />
            {strand.works.map((w) => (
              <g key={w.id} transform={`translate(0 ${(strand.rows.get(w.id) ?? 0) * STRAND_HEIGHT})`}>
                <Job
                  work={w}
                  label={fitted(w.name, room.get(w.id) ?? 0)}
                  scale={props.scale}
                  pixels={props.pixels}
                  onChain={props.chain.has(w.id)}
                  picked={props.picked === w.id}
                  pinned={props.pinned.has(w.id)}
                  canPin={props.canPin && w.status === 'TODO'}
                  onPick={props.onPick}
                  onPin={props.onPin}
                />
              </g>
            ))}
          </g>
        )
      })}
    </g>
  )
}

const SNAP = 15 * 60_000
/** A press that moves less is a click. */
const DRAG_PIXELS = 5

interface JobProps {
  work: Work
  label: string
  scale: DayScale
  pixels: number
  onChain: boolean
  picked: boolean
  pinned: boolean
  canPin: boolean
  onPick: (work: string) => void
  onPin: (work: string, at: string) => void
}

/** One piece of work of an opened rope; dragged, it is pinned to where it is dropped. */
const Job = memo(function Job(props: JobProps) {
  const { work, label, scale, pixels, onChain, picked, pinned, canPin, onPick, onPin } = props
  const x = (at: string) => scale.units(Date.parse(at)) * pixels
  const p = work.placed!
  const from = useRef<number>(undefined)
  const [by, setBy] = useState(0)
  const fill =
    work.kind === 'RUNNING_IN'
      ? 'url(#run)'
      : work.status === 'STARTED'
        ? 'var(--quiet)'
        : 'var(--quiet-soft)'
  const end = Math.max(x(p.end), x(p.start) + 3)
  const drop = () => {
    const at = Math.round(scale.instant(scale.units(Date.parse(p.start)) + by / pixels) / SNAP) * SNAP
    setBy(0)
    onPin(work.id, new Date(at).toISOString())
  }
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${work.name}, ${p.said}`}
      transform={by ? `translate(${by} 0)` : undefined}
      style={{ cursor: canPin ? 'ew-resize' : 'pointer' }}
      onKeyDown={(e) => e.key === 'Enter' && onPick(work.id)}
      onPointerDown={(e) => {
        e.stopPropagation()
        from.current = e.clientX
        e.currentTarget.setPointerCapture(e.pointerId)
      }}
      onPointerMove={(e) => {
        if (from.current === undefined || !canPin) return
        e.stopPropagation()
        const moved = e.clientX - from.current
        if (Math.abs(moved) > DRAG_PIXELS || by !== 0) setBy(moved)
      }}
      onPointerUp={(e) => {
        e.stopPropagation()
        from.current = undefined
        if (by !== 0) drop()
        else onPick(work.id)
      }}
    >
      <title>{`${work.name}: ${p.said}`}</title>
      {work.kind === 'OUTWORK' ? (
        <rect
          x={x(p.start)}
          y="3"
          width={end - x(p.start)}
          height="15"
          fill="url(#waves)"
          stroke="var(--ink)"
          strokeDasharray="3 2"
          strokeWidth="0.8"
        />
      ) : (
        <>
          <line x1={x(p.start)} x2={end} y1="10.5" y2="10.5" stroke="var(--quiet)" strokeWidth="1.5" />
          {p.at.map((s) => (
            <rect
              key={s.from}
              x={x(s.from)}
              y="3"
              width={Math.max(2, x(s.to) - x(s.from))}
              height="15"
              fill={fill}
            />
          ))}
          {p.ready > p.end && (
            <rect
              x={x(p.end)}
              y="3"
              width={x(p.ready) - x(p.end)}
              height="15"
              fill="url(#cure)"
              stroke="var(--ink)"
              strokeWidth="0.6"
            />
          )}
        </>
      )}
      {(onChain || picked) && (
        <rect
          x={x(p.start) - 1.5}
          y="1.5"
          width={end - x(p.start) + 3}
          height="18"
          fill="none"
          stroke={picked ? 'var(--ink)' : 'var(--hot)'}
          strokeWidth="2"
        />
      )}
      {pinned && (
        <path
          d={`M ${x(p.start)} 1 v 19 M ${x(p.start) - 4} 1 h 8`}
          stroke="var(--ink)"
          strokeWidth="2.2"
          fill="none"
        />
      )}
      <text x={end + 4} y="14.5" fontSize="11.5" fill="var(--ink)" className={css.narrow}>
        {label}
      </text>
    </g>
  )
})
