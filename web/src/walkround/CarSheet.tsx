import { Link } from 'react-router'
import { type Car, useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { useDecisions } from '../api/decisions'
import { useSend } from '../api/send'
import { useOdds } from '../api/thinking'
import { GateLine } from '../domain/GateLine'
import { MarginMark } from '../domain/MarginMark'
import { NextGate } from '../domain/NextGate'
import { MissedSlot } from '../domain/MissedSlot'
import { OddsMark } from '../domain/OddsMark'
import { PaperTag } from '../domain/PaperTag'
import { Parked } from '../domain/Parked'
import { Restricted } from '../domain/Restricted'
import { Chain } from '../domain/Chain'
import { useWorkVerbs } from '../domain/verbs'
import { duration } from '../format/margin'
import { away, dayKey, when } from '../format/time'
import { word } from '../format/words'
import { Capture } from './Capture'
import layout from '../ui/layout.module.css'
import css from './walkround.module.css'

interface Props {
  car: Car
  account: Schemas['Account']
  /** Beside the sheet of the car at hand: to look at, nothing is written on it. */
  beside?: boolean
}

/** The sheet of one car: its three lines, why its date is in doubt, today's people, what to remember. */
export function CarSheet({ car, account, beside }: Props) {
  const { board, work, commitment, person } = useBoard()
  const verbs = useWorkVerbs()
  const toDecide = (useDecisions(car.id) ?? []).filter((d) => !d.decidedAt)
  const date = commitment.get(car.nextDate ?? '')
  const odds = useOdds().of.get(date?.id ?? '')
  const doing = car.doing.flatMap((id) => work.get(id) ?? [])
  const next = work.get(car.next ?? '')
  const now = board.now
  const zone = board.zone
  const today = new Set(
    board.works
      .filter(
        (w) => w.buildId === car.id && w.placed?.at.some((s) => dayKey(s.from, zone) === dayKey(now, zone)),
      )
      .flatMap((w) => w.placed?.crew ?? []),
  )
  const changes = account.role !== 'HAND'
  const shut = car.gates.filter((g) => g.stale.length + g.missed.length > 0)
  return (
    <aside
      id={beside ? undefined : 'car-sheet'}
      className={`panel ${beside ? css.besideSheet : css.sheet}`}
      aria-label={beside ? `Car sheet of ${car.number || car.name}` : 'Car sheet'}
    >
      <div className={css.head}>
        <span className={`number ${css.bigNumber}`}>{car.number || '—'}</span>
        <div>
          <div className={`strong ${css.title}`}>{car.name}</div>
          <div className="soft small">
            {car.customer}
            {date && ` · ${date.name}, ${when(date.due, now, zone)}, ${away(date.due, now, zone)}`}
          </div>
        </div>
      </div>
      <Restricted car={car} />
      <Parked car={car} account={account} />
      <MissedSlot car={car} />
      <div className={css.section}>
        {date ? (
          <span className={css.states}>
            <MarginMark minutes={date.marginMinutes} size="large" />
            {odds && (
              <Link to={`/runway?date=${date.id}`} title="What drives it, and what would help">
                <OddsMark chance={odds.chance} size="large" />
              </Link>
            )}
          </span>
        ) : (
          <span className="soft">No date promised.</span>
        )}
        {date && odds && <Disagree margin={date.marginMinutes} odds={odds} />}
      </div>
      <Line label="doing">
        {doing.length === 0
          ? 'nothing'
          : doing.map((w) => (
              <div key={w.id} className="quiet">
                {w.name}: {w.job?.startedBy.map((p) => person.get(p)?.name).join(' and ')},{' '}
                {duration(w.job?.remainingMinutes ?? 0)} to go
                {(w.job?.overMinutes ?? 0) > 0 && `, ${duration(w.job?.overMinutes ?? 0)} past its time`}{' '}
                <button
                  className="link small"
                  aria-label={`${w.name} is done`}
                  onClick={() => verbs.done(w.id)}
                >
                  done
                </button>
              </div>
            ))}
      </Line>
      <Line label="next">
        {next?.placed
          ? `${next.name}, ${when(next.placed.start, now, zone)}${next.job ? `, ${duration(next.job.remainingMinutes)}` : ''}${
              (next.job?.crew.length ?? 1) > 1 ? ', two hands' : ''
            }`
          : 'nothing left to plan'}
      </Line>
      <Line label="held by">
        {car.held ? (
          <div>
            <PaperTag tag={car.held.tag} hot={car.held.needsSomebody} />{' '}
            <span className={car.held.needsSomebody ? 'hot' : ''}>{car.held.said}</span>
          </div>
        ) : (
          'nothing'
        )}
      </Line>
      {date && <Chain date={date} most={7} />}
      {toDecide.length > 0 && (
        <Line label="to decide">
          {toDecide.map((d) => (
            <div key={d.id} className={d.due && d.due < now ? 'hot' : ''}>
              {d.question}
              <span className="soft">
                {d.asked && `, ${d.asked}`}
                {d.due && `, by ${when(d.due, now, zone)}`}
              </span>
            </div>
          ))}
        </Line>
      )}
      {today.size > 0 && (
        <Line label="on it today">{[...today].map((p) => person.get(p)?.name).join(', ')}</Line>
      )}
      {car.forNow.length > 0 && (
        <Line label="fitted for now">
          {car.forNow.map((f) => (
            <div key={f.id}>
              {f.what}{' '}
              <span className="soft">
                ({f.reason && `${f.reason}; `}before {word(f.gate)})
              </span>{' '}
              {changes && <MadeGood id={f.id} />}
            </div>
          ))}
        </Line>
      )}
      {car.measurements.length > 0 && (
        <Line label="measured">
          {car.measurements.slice(0, 3).map((m) => (
            <div key={m.what + m.at}>
              {m.what}: {m.value}{' '}
              {m.staleBecause && (
                <span className="hot" title={m.staleBecause}>
                  stale: {m.staleBecause}
                </span>
              )}
            </div>
          ))}
        </Line>
      )}
      <Line label="gates">
        <NextGate car={car.id} />
        {shut.map((gate) => (
          <GateLine key={gate.date} gate={gate} />
        ))}
      </Line>
      {!beside && <Capture car={car.id} />}
      <div className={`small ${css.margins}`}>
        <Link to={`/build/${car.id}`}>Open the build</Link>
        <Link to={`/gauges/${car.id}`}>Measure</Link>
        <Link to={`/rollout/${car.id}`}>Gates</Link>
        <Link to={`/runway?car=${car.id}`}>See it on the runway</Link>
        <span className={`soft ${layout.push}`}>
          {car.done} of {car.total} done
        </span>
      </div>
    </aside>
  )
}

/** Why the odds are poor although there is time to spare, or good although there is none. */
function Disagree({ margin, odds }: { margin: number | undefined; odds: Schemas['Odds'] }) {
  const spare = margin !== undefined && margin >= 0
  const driver = odds.drivers[0]?.said
  if (spare === odds.chance >= 0.5) return null
  return (
    <div className="small">
      {spare
        ? `In time if all takes what is likely; mostly something takes longer${driver ? `: ${driver}` : ''}.`
        : 'Late if all takes what is likely; mostly something goes quicker.'}
    </div>
  )
}

function MadeGood({ id }: { id: string }) {
  const { send } = useSend()
  return (
    <button
      className="link small"
      onClick={() =>
        void send(() =>
          dataOf(client.POST('/api/fitted-for-now/{id}/made-good', { params: { path: { id } } })),
        )
      }
    >
      made good
    </button>
  )
}

function Line({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div className={css.gates}>
      <div className={`soft ${css.caption}`}>{label}</div>
      <div className={`strong ${css.because}`}>{children}</div>
    </div>
  )
}
