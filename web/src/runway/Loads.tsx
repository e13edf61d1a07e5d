import { memo, useMemo, useState } from 'react'
import { type Board, useBoard } from '../api/board'
import type { DayScale } from './scale'
import css from './runway.module.css'

const ROW = 26
const HEAD = 20

export function loadsHeight(people: number, stations: number): number {
  return (people + stations) * ROW + HEAD * 2 + 12
}

interface Row {
  id: string
  name: string
  about: string
  top: number
}

/** The rows, people first, each with its height from the top. */
function rowsOf(board: Board): Row[] {
  const top = (i: number) => HEAD + i * ROW + (i >= board.people.length ? HEAD : 0)
  return [
    ...board.people.map((p) => ({
      id: p.id,
      name: p.name,
      about: p.skills
        .filter((s) => s.level !== 'LEARNER')
        .map((s) => s.skill)
        .join(', '),
    })),
    ...board.stations.map((s) => ({ id: s.id, name: s.name, about: '' })),
  ].map((row, i) => ({ ...row, top: top(i) }))
}

/** The names beside the loads, and who is the bottleneck. */
export const LoadLabels = memo(function LoadLabels({ width, right }: { width: number; right: number }) {
  const { board } = useBoard()
  const neck = neckOf(board.loads)
  const neckName = board.people.find((p) => p.id === neck?.id)?.name
  return (
    <g>
      <text x="0" y="12" fontSize="13" fontWeight="700" fill="var(--ink)">
        Hands
      </text>
      <text
        x="0"
        y={HEAD + board.people.length * ROW + HEAD - 8}
        fontSize="13"
        fontWeight="700"
        fill="var(--ink)"
      >
        Stations
      </text>
      {rowsOf(board).map((row) => (
        <g key={row.id} transform={`translate(0 ${row.top})`}>
          <text x="0" y="16" fontSize="13" fontWeight="600" fill="var(--ink)">
            {row.name}
          </text>
          {row.about !== row.name.toLowerCase() && (
            <text
              x={width - 10}
              y="16"
              fontSize="11"
              textAnchor="end"
              fill="var(--muted)"
              className={css.condensed}
            >
              {row.about}
            </text>
          )}
        </g>
      ))}
      {neckName && neck && (
        <foreignObject x={right} y="14" width="140" height="90">
          <span className="hot strong small">
            {neckName} is the bottleneck: {Math.round(neck.share * 100)} % of the next two weeks
          </span>
        </foreignObject>
      )}
    </g>
  )
})

const BAR = ROW - 6
/** Share of a day's width that a bar takes, and of that before it. */
const WIDE = 0.9
const BEFORE = 0.05
/** From this share of the hours on a day is full. */
const FULL = 0.97

/**
 * The load of people and stations, day by day, against what is there. All bars of a kind are one path, in days, which
 * the zoom only stretches: a long plan has thousands of them.
 */
export const LoadBars = memo(function LoadBars({ scale, pixels }: { scale: DayScale; pixels: number }) {
  const { board } = useBoard()
  const bars = useMemo(() => {
    const top = new Map(rowsOf(board).map((row) => [row.id, row.top]))
    const day = new Map(scale.keys.map((key, i) => [key, i]))
    return board.loads.flatMap((load) => {
      const y = top.get(load.personId ?? load.stationId ?? '')
      const at = day.get(load.day)
      if (y === undefined || at === undefined || (load.thereMinutes === 0 && !load.away)) return []
      const share = load.away ? 0 : Math.min(1, load.plannedMinutes / load.thereMinutes)
      return [{ load, y: y + 2, at, share }]
    })
  }, [board, scale])
  const paths = useMemo(() => {
    const box = (at: number, y: number, height: number) => `M${at + BEFORE} ${y}h${WIDE}v${height}h-${WIDE}z`
    const there = bars.filter((b) => !b.load.away)
    return {
      there: there.map((b) => box(b.at, b.y, BAR)).join(''),
      planned: there
        .filter((b) => b.share > 0)
        .map((b) => box(b.at, b.y + BAR * (1 - b.share), BAR * b.share))
        .join(''),
      away: bars
        .filter((b) => b.load.away)
        .map((b) => `M${b.at + BEFORE} ${b.y + 1}l${WIDE} ${ROW - 8}m0 ${8 - ROW}l-${WIDE} ${ROW - 8}`)
        .join(''),
    }
  }, [bars])
  const full = bars
    .filter((b) => b.share >= FULL)
    .map((b) => `M${(b.at + BEFORE) * pixels} ${b.y - 3}h${WIDE * pixels}v3h${-WIDE * pixels}z`)
    .join('')
  return (
    <g>
      <g transform={`scale(${pixels} 1)`}>
        <path
          d={paths.there}
          fill="var(--card)"
          stroke="var(--line)"
          strokeWidth="0.6"
          vectorEffect="non-scaling-stroke"
        />
        <path d={paths.planned} fill="var(--muted)" opacity="0.75" />
        <path
          d={paths.away}
          fill="none"
          stroke="var(--muted)"
          strokeWidth="0.8"
          vectorEffect="non-scaling-stroke"
        />
      </g>
      <path d={full} fill="url(#over)" />
      <Hours bars={bars} width={scale.keys.length * pixels} pixels={pixels} />
    </g>
  )
})

interface Bar {
  load: Board['loads'][number]
  y: number
  at: number
}

/** Says the hours of the bar that is pointed at. */
function Hours({ bars, width, pixels }: { bars: Bar[]; width: number; pixels: number }) {
  const [said, setSaid] = useState('')
  const hours = (minutes: number) => `${Math.round(minutes / 6) / 10} h`
  return (
    <rect
      width={width}
      height={Math.max(0, ...bars.map((b) => b.y + BAR))}
      fill="transparent"
      onPointerMove={(e) => {
        const place = e.currentTarget.getBoundingClientRect()
        const day = Math.floor((e.clientX - place.left) / pixels)
        const y = e.clientY - place.top
        const bar = bars.find((b) => b.at === day && y >= b.y && y < b.y + BAR)
        setSaid(
          !bar
            ? ''
            : bar.load.away
              ? 'away'
              : `${hours(bar.load.plannedMinutes)} of ${hours(bar.load.thereMinutes)}`,
        )
      }}
    >
      <title>{said}</title>
    </rect>
  )
}

const NECK_DAYS = 14
/** Below this share of the hours nobody is called a bottleneck. */
const NECK_SHARE = 0.85

function neckOf(loads: { personId?: string; day: string; plannedMinutes: number; thereMinutes: number }[]) {
  const days = [...new Set(loads.map((l) => l.day))].sort().slice(0, NECK_DAYS)
  const sums = new Map<string, { planned: number; there: number }>()
  for (const load of loads) {
    if (!load.personId || !days.includes(load.day)) continue
    const sum = sums.get(load.personId) ?? { planned: 0, there: 0 }
    sums.set(load.personId, {
      planned: sum.planned + load.plannedMinutes,
      there: sum.there + load.thereMinutes,
    })
  }
  const worst = [...sums]
    .filter(([, s]) => s.there > 0)
    .map(([id, s]) => ({ id, share: s.planned / s.there }))
    .sort((a, b) => b.share - a.share)[0]
  return worst && worst.share >= NECK_SHARE ? worst : undefined
}
