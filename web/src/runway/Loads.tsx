import { memo } from 'react'
import { useBoard } from '../api/board'
import type { DayScale } from './scale'

const ROW = 26
const HEAD = 20

export function loadsHeight(people: number, stations: number): number {
  return (people + stations) * ROW + HEAD * 2 + 12
}

interface Props {
  scale: DayScale
  pixels: number
  part: 'bars' | 'labels'
  width?: number
  right?: number
}

/** The load of people and stations, day by day, against what is there. */
export const Loads = memo(function Loads({ scale, pixels, part, width = 0, right = 0 }: Props) {
  const { board } = useBoard()
  const rows = [
    ...board.people.map((p) => ({
      id: p.id,
      name: p.name,
      about: p.skills
        .filter((s) => s.level !== 'LEARNER')
        .map((s) => s.skill)
        .join(', '),
      person: true,
    })),
    ...board.stations.map((s) => ({ id: s.id, name: s.name, about: s.kind, person: false })),
  ]
  const top = (i: number) => HEAD + i * ROW + (i >= board.people.length ? HEAD : 0)
  if (part === 'labels') {
    const neck = neckOf(board.loads)
    const neckName = board.people.find((p) => p.id === neck?.id)?.name
    return (
      <g>
        <text x="0" y="12" fontSize="13" fontWeight="700" fill="var(--ink)">
          Hands
        </text>
        <text x="0" y={top(board.people.length) - 8} fontSize="13" fontWeight="700" fill="var(--ink)">
          Stations
        </text>
        {rows.map((row, i) => (
          <g key={row.id} transform={`translate(0 ${top(i)})`}>
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
                style={{ fontStretch: '85%' }}
              >
                {row.person ? row.about : ''}
              </text>
            )}
          </g>
        ))}
        {neckName && neck && (
          <foreignObject x={right} y="14" width="140" height="90">
            <span className="hot strong small">
              {neckName} is the neck: {Math.round(neck.share * 100)} % of the next two weeks
            </span>
          </foreignObject>
        )}
      </g>
    )
  }
  const index = new Map(rows.map((r, i) => [r.id, i]))
  return (
    <g>
      {board.loads.map((load) => {
        const id = load.personId ?? load.stationId ?? ''
        const i = index.get(id)
        const at = scale.keys.indexOf(load.day)
        if (i === undefined || at < 0) return null
        const share = load.thereMinutes > 0 ? Math.min(1, load.plannedMinutes / load.thereMinutes) : 0
        const y = top(i)
        const w = pixels * 0.9
        const x0 = at * pixels + pixels * 0.05
        if (load.away) {
          return (
            <path
              key={id + load.day}
              d={`M ${x0} ${y + 3} l ${w} ${ROW - 8} m 0 ${8 - ROW} l ${-w} ${ROW - 8}`}
              stroke="var(--muted)"
              strokeWidth="0.8"
            />
          )
        }
        if (load.thereMinutes === 0) return null
        return (
          <g key={id + load.day}>
            <rect
              x={x0}
              y={y + 2}
              width={w}
              height={ROW - 6}
              fill="var(--card)"
              stroke="var(--line)"
              strokeWidth="0.6"
            />
            <rect
              x={x0}
              y={y + 2 + (ROW - 6) * (1 - share)}
              width={w}
              height={(ROW - 6) * share}
              fill="var(--muted)"
              opacity="0.75"
            >
              <title>{`${Math.round(load.plannedMinutes / 6) / 10} h of ${Math.round(load.thereMinutes / 6) / 10} h`}</title>
            </rect>
            {share >= 0.97 && <rect x={x0} y={y - 1} width={w} height="3" fill="url(#over)" />}
          </g>
        )
      })}
    </g>
  )
})

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
