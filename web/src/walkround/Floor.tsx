import { useMemo } from 'react'
import { type Car, useBoard } from '../api/board'
import { CarOutline } from '../ui/CarOutline'
import { MarginMark } from '../ui/MarginMark'
import { PaperTag } from '../ui/PaperTag'
import { when } from '../ui/say'
import { places } from './order'

interface Props {
  picked: string
  onPick: (car: string) => void
}

/** The shop's floor: stations with the car on each, cars waiting outside, cars away beyond the wall. */
export function Floor({ picked, onPick }: Props) {
  const { board } = useBoard()
  const { inside, waiting, away } = useMemo(() => places(board), [board])
  return (
    <section aria-label="Floor">
      <div
        style={{
          border: '2.5px solid var(--ink)',
          padding: 10,
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(184px, 1fr))',
          gap: 10,
          backgroundColor: 'var(--paper)',
          backgroundImage:
            'linear-gradient(var(--grid) 1px, transparent 1px), linear-gradient(90deg, var(--grid) 1px, transparent 1px)',
          backgroundSize: '16px 16px',
        }}
      >
        {board.stations.map((station) => {
          const car = inside.get(station.id)
          return car ? (
            <Stand
              key={station.id}
              at={station.name}
              car={car}
              on={car.id === picked}
              onPick={onPick}
              large
            />
          ) : (
            <div
              key={station.id}
              style={{ border: '1.5px dashed var(--line)', padding: '6px 9px', minHeight: 60 }}
              className="soft small"
            >
              {station.name}
              <div>free</div>
            </div>
          )
        })}
      </div>
      <Outside title="Waiting outside" cars={waiting} picked={picked} onPick={onPick} />
      <Outside title="Beyond the wall" cars={away} picked={picked} onPick={onPick} />
    </section>
  )
}

function Outside({ title, cars, picked, onPick }: Props & { title: string; cars: Car[] }) {
  if (cars.length === 0) return null
  return (
    <>
      <div className="soft small" style={{ margin: '10px 0 4px' }}>
        {title}
      </div>
      <div style={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(255px, 1fr))', gap: 8 }}>
        {cars.map((car) => (
          <Stand key={car.id} at="" car={car} on={car.id === picked} onPick={onPick} />
        ))}
      </div>
    </>
  )
}

interface StandProps {
  at: string
  car: Car
  on: boolean
  large?: boolean
  onPick: (car: string) => void
}

/** One car as it stands: number, name, margin, what it does, what holds it. */
function Stand({ at, car, on, large, onPick }: StandProps) {
  const { board, work, commitment, person, vendor } = useBoard()
  const date = commitment.get(car.nextDate ?? '')
  const doing = car.doing.flatMap((id) => work.get(id) ?? [])
  const busy = new Set(doing.flatMap((w) => (w.job?.onCar ? [w.job.zone] : [])))
  const awayWork = work.get(car.awayWorkId ?? '')
  const next = work.get(car.next ?? '')
  const hands = (w: (typeof doing)[number]) =>
    w.job?.startedBy.map((p) => person.get(p)?.name).join(', ') ?? ''
  const line = awayWork
    ? `${vendor.get(awayWork.outwork?.vendorId ?? '')?.name ?? ''} · back ${when(awayWork.outwork?.backLikely ?? board.now, board.now, board.zone)}`
    : doing[0]
      ? `${hands(doing[0])}: ${doing[0].name}`
      : next?.placed
        ? `next ${when(next.placed.start, board.now, board.zone)}: ${next.name}`
        : 'nothing planned'
  return (
    <button
      onClick={() => onPick(car.id)}
      aria-pressed={on}
      aria-label={`${car.number} ${car.name}${at ? `, ${at}` : ''}`}
      style={{
        all: 'unset',
        boxSizing: 'border-box',
        cursor: 'pointer',
        padding: '6px 9px 8px',
        background: on ? 'var(--card)' : 'transparent',
        border: on
          ? '2.5px solid var(--ink)'
          : awayWork
            ? '2px dotted var(--muted)'
            : '1.5px dashed var(--muted)',
        minWidth: 0,
        display: 'flex',
        flexDirection: 'column',
        gap: 3,
      }}
      onFocus={(e) =>
        (e.currentTarget.style.outline = e.currentTarget.matches(':focus-visible')
          ? '3px solid var(--quiet)'
          : '')
      }
      onBlur={(e) => (e.currentTarget.style.outline = '')}
    >
      <span style={{ display: 'flex', justifyContent: 'space-between', alignItems: 'start', gap: 6 }}>
        <span className="soft small">{at || car.discipline}</span>
        <span className="number" style={{ fontSize: large ? 26 : 20 }}>
          {car.number || '—'}
        </span>
      </span>
      {large && (
        <span style={{ textAlign: 'center', lineHeight: 0 }}>
          <CarOutline body={car.body} busy={busy} width={128} />
        </span>
      )}
      <span className="strong" style={{ fontSize: 15.5, fontStretch: '90%' }}>
        {car.name}
      </span>
      {date ? <MarginMark minutes={date.marginMinutes} /> : <span className="soft small">no date</span>}
      <span
        className={`small ${doing[0] ? 'quiet' : 'soft'}`}
        style={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}
        title={line}
      >
        {line}
      </span>
      {car.held && <PaperTag tag={car.held.tag} said={work.get(car.held.workId)?.name} />}
    </button>
  )
}
