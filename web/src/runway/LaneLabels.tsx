import { memo } from 'react'
import { type Commitment, useBoard } from '../api/board'
import { useOdds } from '../api/thinking'
import { MarginMark } from '../domain/MarginMark'
import { OddsMark } from '../domain/OddsMark'
import { day } from '../format/time'
import { STRAND_HEAD, STRAND_HEIGHT, strandRows } from './Lane'
import type { LaneOf } from './lanes'
import { LABELS, MARGINS } from './sizes'
import css from './runway.module.css'

interface LabelsProps {
  lane: LaneOf
  top: number
  right: number
  open: boolean
  picked?: string
  onOpen: (car: string) => void
  onDate: (id: string) => void
}

/** Beside a lane: the car, its strands when opened, its margin. */
export const LaneLabels = memo(function LaneLabels(props: LabelsProps) {
  const { lane, top, right, open, picked, onOpen, onDate } = props
  const { board } = useBoard()
  const { car } = lane
  const odds = useOdds().of
  const date = lane.dates.find((d) => d.id === car.nextDate) ?? lane.dates[0]
  const chance = odds.get(date?.id ?? '')?.chance
  return (
    <g transform={`translate(0 ${top})`}>
      <foreignObject x="0" y="2" width={LABELS - 6} height="42">
        <button className={`link ${css.label}`} aria-expanded={open} onClick={() => onOpen(car.id)}>
          <span className={css.text}>
            <span className={`strong ${css.name}`}>{car.name}</span>
            <span className={`soft ${css.detail}`}>
              {date ? `${date.name}, ${day(date.due, board.zone)}` : car.parked ? 'parked' : 'no date'}
            </span>
          </span>
          <span className={`number ${css.number}`}>{car.number || '—'}</span>
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
        <foreignObject x={right} y="3" width={MARGINS - 12} height="42">
          <MarginButton date={date} chance={chance} picked={picked === date.id} onDate={onDate} />
        </foreignObject>
      )}
    </g>
  )
})

function MarginButton({
  date,
  chance,
  picked,
  onDate,
}: {
  date: Commitment
  chance?: number
  picked: boolean
  onDate: (id: string) => void
}) {
  return (
    <button
      className={`link ${css.person}`}
      aria-pressed={picked}
      title="Show the chain, the odds, what would help"
      onClick={() => onDate(date.id)}
      style={{ textDecoration: picked ? 'underline' : 'none' }}
    >
      <MarginMark minutes={date.marginMinutes} size="narrow" />
      {chance !== undefined && <OddsMark chance={chance} />}
    </button>
  )
}
