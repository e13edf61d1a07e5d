import { Button } from '@mantine/core'
import { useEffect, useRef } from 'react'
import { Link, useParams } from 'react-router'
import { type Car, isCar, useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { type Gauge, useGauges, useLog } from '../api/gauges'
import { useSend } from '../api/send'
import { when } from '../format/time'
import { CarHead } from '../domain/CarHead'
import { GateLine } from '../domain/GateLine'
import layout from '../ui/layout.module.css'
import { Nothing } from '../ui/Nothing'
import { TakeIn } from '../ui/TakeIn'
import { CarLog } from './CarLog'
import { CornerWeights } from './CornerWeights'
import { Instruments } from './Instruments'
import { GaugeSheet } from './GaugeSheet'
import { PowerRuns } from '../dyno/PowerRuns'
import { LoomSheet } from '../loom/LoomSheet'
import css from './gauges.module.css'

/** The gauge that the room opens with. */
const FIRST = 'corner-weights'

/** In the place of a gauge: what the instruments say now. */
const INSTRUMENTS = 'instruments'

/** In the place of a gauge: road and test notes. */
const LOG = 'log'

/** In the place of a gauge: the runs on the rolling road, compared. */
const RUNS = 'power-runs'

/** In the place of a gauge: a rewire. */
const LOOM = 'loom'

const ROOMS = [INSTRUMENTS, LOG, RUNS, LOOM]

const address = (car: string, gauge?: string) => `/gauges/${car}${gauge ? `/${gauge}` : ''}`

/** Measuring at a car: what is true of it, the car on the pads with what to turn, earlier sheets. */
export function GaugesRoom({ account }: { account: Schemas['Account'] }) {
  const { board, car: cars } = useBoard()
  const { id, gauge } = useParams()
  const car = cars.get(id ?? '') ?? (id ? undefined : board.cars.find((c) => !c.parked && isCar(c)))
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
      <CarHead car={car} address={(c) => address(c, gauge)} />
      <Measured key={car.id} car={car} gauge={gauge ?? FIRST} manages={account.role !== 'HAND'} />
    </>
  )
}

function Measured({ car, gauge: name, manages }: { car: Car; gauge: string; manages: boolean }) {
  const { looked } = useBoard()
  const log = useLog(car.id, looked)
  const gauges = useGauges()
  const gauge = gauges.find((g) => g.name === name)
  const before = useRef(name)
  useEffect(() => {
    // The list is longer than a screen: whoever picks from its end sees the sheet, not the space below it.
    if (before.current !== name) document.querySelector('main')?.scrollTo?.({ top: 0 })
    before.current = name
  }, [name])
  return (
    <div className={css.columns}>
      <div className={css.true}>
        <Restrictions car={car} lifts={manages} />
        <True car={car} renews={manages} />
        <Gauges car={car} gauges={gauges} here={name} />
        <Paper car={car} manages={manages} />
      </div>
      {log && name === FIRST && <CornerWeights car={car} log={log} manages={manages} />}
      {log && name !== FIRST && gauge && (
        <GaugeSheet key={name} car={car} gauge={gauge} log={log} manages={manages} />
      )}
      {name === INSTRUMENTS && <Instruments />}
      {name === LOG && <CarLog car={car} />}
      {name === RUNS && <PowerRuns car={car} manages={manages} />}
      {name === LOOM && <LoomSheet car={car} manages={manages} />}
      {gauges.length > 0 && !gauge && !ROOMS.includes(name) && (
        <Nothing title="There is no such gauge" text="Pick one from the list." />
      )}
    </div>
  )
}

/** The car's sheets on paper, and its log as a table, out and in. */
function Paper({ car, manages }: { car: Car; manages: boolean }) {
  const at = `/api/builds/${car.id}`
  return (
    <div className={`small ${css.paper}`}>
      <h2>Paper and tables</h2>
      {(
        [
          ['set-up.pdf', 'Set-up sheet'],
          ['strings.pdf', 'String sheet'],
          ['torque.pdf', 'Torque sheet'],
          ['measurements.csv', 'The log as CSV'],
        ] as const
      ).map(([file, name]) => (
        <div key={file}>
          <a href={`${at}/${file}`} target="_blank" rel="noreferrer">
            {name}
          </a>
        </div>
      ))}
      {manages && (
        <TakeIn<{ taken: number }>
          to={`${at}/measurements/import`}
          said={(a) => (a.taken ? `${a.taken} taken in` : 'all of these are here already')}
        />
      )}
    </div>
  )
}

/** What can be measured and worked out at a car. */
function Gauges({ car, gauges, here }: { car: Car; gauges: Gauge[]; here: string }) {
  return (
    <nav aria-label="Gauges">
      <h2>Gauges</h2>
      <ul className={css.others}>
        {gauges.map((g) => (
          <li key={g.name}>
            <Link to={address(car.id, g.name)} className={g.name === here ? css.here : undefined}>
              {g.title}
            </Link>
          </li>
        ))}
        <li>
          <Link to={address(car.id, RUNS)} className={here === RUNS ? css.here : undefined}>
            Power runs
          </Link>
        </li>
        <li>
          <Link to={address(car.id, LOOM)} className={here === LOOM ? css.here : undefined}>
            Modules and loom
          </Link>
        </li>
        <li>
          <Link to={address(car.id, LOG)} className={here === LOG ? css.here : undefined}>
            Car log
          </Link>
        </li>
        <li>
          <Link to={address(car.id, INSTRUMENTS)} className={here === INSTRUMENTS ? css.here : undefined}>
            Instruments
          </Link>
        </li>
      </ul>
    </nav>
  )
}

/** What the car may not do, and since what. */
function Restrictions({ car, lifts }: { car: Car; lifts: boolean }) {
  const { send, busy } = useSend()
  if (car.restrictions.length === 0) return null
  return (
    <section aria-label="What this car may not do">
      <h2>Restricted</h2>
      <ul className={css.others}>
        {car.restrictions.map((r) => (
          <li key={r.id}>
            <b>{r.text}</b>
            <div className="small soft">{r.because}</div>
            {lifts && (
              <Button
                size="compact-xs"
                variant="default"
                loading={busy}
                onClick={() =>
                  void send(() =>
                    dataOf(
                      client.DELETE('/api/restrictions/{restriction}', {
                        params: { path: { restriction: r.id } },
                      }),
                    ),
                  )
                }
              >
                Lift it
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}

/** The last of each kind that was measured; what has been disturbed since is hot and says by what. */
function True({ car, renews }: { car: Car; renews: boolean }) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const stale = car.measurements.filter((m) => m.staleBecause).length
  return (
    <section aria-label="What is true of this car">
      <h2>What is true of this car</h2>
      {car.measurements.length === 0 && <p className="small soft">Nothing has been measured yet.</p>}
      <ol className={css.list}>
        {car.measurements.map((m) => (
          <li key={m.what} className={m.staleBecause ? css.stale : css.fresh}>
            <Link
              to={address(car.id, m.gauge || undefined)}
              className={m.staleBecause ? 'hot strong' : 'strong'}
            >
              {m.what}
            </Link>
            <div className="small">{m.value}</div>
            <div className="small soft">
              {when(m.at, board.now, board.zone)}, {m.by}
            </div>
            {m.staleBecause && <div className="small hot">stale: {m.staleBecause}</div>}
          </li>
        ))}
      </ol>
      {car.gates.map((gate) => (
        <div key={gate.date} className={layout.ruled}>
          <GateLine gate={gate} />
        </div>
      ))}
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
