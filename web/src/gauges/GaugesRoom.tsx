import { Button } from '@mantine/core'
import { useNavigate, useParams } from 'react-router'
import { type Car, useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { useLog } from '../api/gauges'
import { useSend } from '../api/send'
import { when } from '../format/time'
import layout from '../ui/layout.module.css'
import { Nothing } from '../ui/Nothing'
import { CornerWeights } from './CornerWeights'
import css from './gauges.module.css'

/** Measuring at a car: what is true of it, the car on the pads with what to turn, earlier sheets. */
export function GaugesRoom({ account }: { account: Schemas['Account'] }) {
  const { board, car: cars } = useBoard()
  const { id } = useParams()
  const navigate = useNavigate()
  const car = cars.get(id ?? '') ?? (id ? undefined : board.cars.find((c) => !c.parked))
  if (!car) {
    return (
      <>
        <div className="room-head">
          <h1>Gauges</h1>
        </div>
        <Nothing
          title={id ? 'There is no such car (any more)' : 'No cars yet'}
          text="What is measured is filed with the car that it was measured at."
        />
      </>
    )
  }
  return (
    <>
      <div className="room-head">
        <span className={`number ${css.number}`}>{car.number || '—'}</span>
        <h1>{car.name}</h1>
        <span className={`no-print ${layout.push}`}>
          <select
            aria-label="Car"
            value={car.id}
            onChange={(e) => navigate(`/gauges/${e.currentTarget.value}`)}
          >
            {board.cars.map((c) => (
              <option key={c.id} value={c.id}>
                {`${c.number} ${c.name}`.trim()}
              </option>
            ))}
          </select>
        </span>
      </div>
      <Measured key={car.id} car={car} renews={account.role !== 'HAND'} />
    </>
  )
}

function Measured({ car, renews }: { car: Car; renews: boolean }) {
  const { board } = useBoard()
  const log = useLog(car.id, board.change)
  return (
    <div className={css.columns}>
      <True car={car} renews={renews} />
      {log && <CornerWeights car={car} log={log} />}
    </div>
  )
}

/** The last of each kind that was measured; what has been disturbed since is hot and says by what. */
function True({ car, renews }: { car: Car; renews: boolean }) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const stale = car.measurements.filter((m) => m.staleBecause).length
  return (
    <section className={css.true} aria-label="What is true of this car">
      <h2>What is true of this car</h2>
      {car.measurements.length === 0 && <p className="small soft">Nothing has been measured yet.</p>}
      <ol className={css.list}>
        {car.measurements.map((m) => (
          <li key={m.what} className={m.staleBecause ? css.stale : css.fresh}>
            <div className={m.staleBecause ? 'hot strong' : 'strong'}>{m.what}</div>
            <div className="small">{m.value}</div>
            <div className="small soft">
              {when(m.at, board.now, board.zone)}, {m.by}
            </div>
            {m.staleBecause && <div className="small hot">stale: {m.staleBecause}</div>}
          </li>
        ))}
      </ol>
      {stale > 0 && renews && (
        <Button
          fullWidth
          variant="default"
          size="compact-sm"
          loading={busy}
          onClick={() =>
            void send(() =>
              dataOf(client.POST('/api/builds/{id}/renewals', { params: { path: { id: car.id } } })),
            )
          }
        >
          Make the jobs for what is stale ({stale})
        </Button>
      )}
    </section>
  )
}
