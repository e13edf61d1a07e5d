import { useMemo } from 'react'
import { useBoard } from '../api/board'
import { Benches } from './Benches'
import { places } from './order'
import { Stand } from './Stand'
import css from './walkround.module.css'

interface Props {
  picked: string
  onPick: (car: string) => void
}

const COLUMNS = 'repeat(auto-fill, minmax(182px, 1fr))'

/** A station that drives is no place on the floor. */
const VEHICLE = 'vehicle'

/** The shop's floor: stations with the car on each, cars waiting outside, cars away beyond the wall. */
export function Floor({ picked, onPick }: Props) {
  const { board } = useBoard()
  const { inside, waiting, away, parked } = useMemo(() => places(board), [board])
  // What no job asks for, such as the trailer, is only there with a car on it.
  const asked = useMemo(() => new Set(board.works.map((w) => w.job?.stationKind)), [board])
  const standing = board.stations.filter((s) => inside.has(s.id) || (asked.has(s.kind) && s.kind !== VEHICLE))
  return (
    <section aria-label="Floor">
      <div className={css.floor} style={{ gridTemplateColumns: COLUMNS }}>
        {standing.map((station) => {
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

              className={`soft small ${css.free}`}
            >
              {station.name}
              <div>free</div>
            </div>
          )
        })}
        <Benches onPick={onPick} />
      </div>
      {waiting.length > 0 && <h2 className="soft small plain-head">Waiting outside</h2>}
      <div className={css.zone} style={{ gridTemplateColumns: COLUMNS }}>
        {waiting.map((car) => (
          <Stand key={car.id} at="" car={car} on={car.id === picked} onPick={onPick} />
        ))}
      </div>
      {away.length > 0 && <h2 className="soft small plain-head">Beyond the wall</h2>}
      <div className={css.outside}>
        {away.map((car) => (
          <Stand key={car.id} at="" car={car} on={car.id === picked} onPick={onPick} />
        ))}
      </div>
      {parked.length > 0 && (
        <div className={`small ${css.aside}`}>
          <span className="soft">Parked</span>
          {parked.map((car) => (
            <button key={car.id} className="link" onClick={() => onPick(car.id)}>
              {`${car.number} ${car.name}`.trim()}
            </button>
          ))}
        </div>
      )}
    </section>
  )
}
