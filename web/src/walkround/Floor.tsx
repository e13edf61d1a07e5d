import { useMemo } from 'react'
import { useBoard } from '../api/board'
import { Benches } from './Benches'
import { places } from './order'
import { Stand } from './Stand'

interface Props {
  picked: string
  onPick: (car: string) => void
}

const COLUMNS = 'repeat(auto-fill, minmax(182px, 1fr))'

/** The shop's floor: stations with the car on each, cars waiting outside, cars away beyond the wall. */
export function Floor({ picked, onPick }: Props) {
  const { board } = useBoard()
  const { inside, waiting, away } = useMemo(() => places(board), [board])
  return (
    <section aria-label="Floor">
      <div
        style={{
          border: '2.5px solid var(--ink)',
          padding: 8,
          display: 'grid',
          gridTemplateColumns: COLUMNS,
          gap: 8,
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
              style={{ border: '1.5px dashed var(--line)', padding: '6px 9px' }}
              className="soft small"
            >
              {station.name}
              <div>free</div>
            </div>
          )
        })}
        <Benches onPick={onPick} />
      </div>
      {waiting.length > 0 && <h2 className="soft small plain-head">Waiting outside</h2>}
      <div style={{ display: 'grid', gridTemplateColumns: COLUMNS, gap: 8 }}>
        {waiting.map((car) => (
          <Stand key={car.id} at="" car={car} on={car.id === picked} onPick={onPick} />
        ))}
      </div>
      {away.length > 0 && <h2 className="soft small plain-head">Beyond the wall</h2>}
      <div style={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(280px, 1fr))', gap: 8 }}>
        {away.map((car) => (
          <Stand key={car.id} at="" car={car} on={car.id === picked} onPick={onPick} />
        ))}
      </div>
    </section>
  )
}
