import { type Car, useBoard } from '../api/board'
import { useOdds } from '../api/thinking'
import { CarOutline } from '../domain/CarOutline'
import { MarginMark } from '../domain/MarginMark'
import { OddsMark } from '../domain/OddsMark'
import { PaperTag } from '../domain/PaperTag'
import { when } from '../format/time'
import layout from '../ui/layout.module.css'
import css from './walkround.module.css'

interface Props {
  at: string
  car: Car
  on: boolean
  /** With its outline, as on a station. */
  large?: boolean
  onPick: (car: string) => void
}

const ALL_ZONES = ['FRONT', 'ENGINE_BAY', 'COCKPIT', 'REAR']

/** One car as it stands: number, name, margin, what it does, what holds it. */
export function Stand({ at, car, on, large, onPick }: Props) {
  const { work, commitment } = useBoard()
  const date = commitment.get(car.nextDate ?? '')
  const chance = useOdds().of.get(date?.id ?? '')?.chance
  const late = date !== undefined && (date.marginMinutes ?? -1) < 0
  const doing = car.doing.flatMap((id) => work.get(id) ?? [])
  const busy = new Set(
    doing.flatMap((w) => (w.job?.wholeCar ? ALL_ZONES : w.job?.onCar ? [w.job.zone as string] : [])),
  )
  return (
    <button
      className={`stand${on ? ' on' : ''}${car.awayWorkId || car.awayAt ? ' away' : ''}`}
      onClick={() => onPick(car.id)}
      aria-pressed={on}
      aria-label={`${car.number} ${car.name}${at ? `, ${at}` : ''}`}
    >
      {large ? (
        <>
          <span className="stand-head">
            <span className="soft small">{at}</span>
            <span className={`number ${css.number}`}>{car.number || '—'}</span>
          </span>
          <span className={css.outline}>
            <CarOutline body={car.body} busy={busy} width={116} />
          </span>
          <span className={`strong ${css.wideName}`}>{car.name}</span>
        </>
      ) : (
        <span className={`stand-head ${layout.baseline}`}>
          <span className={`strong ${css.name}`}>{car.name}</span>
          <span className={`number ${css.smallNumber}`}>{car.number || '—'}</span>
        </span>
      )}
      {date ? (
        <span className={css.numbers}>
          <MarginMark minutes={date.marginMinutes} size="narrow" />
          {chance !== undefined && <OddsMark chance={chance} size="narrow" quiet={late} />}
        </span>
      ) : (
        <span className="soft small">no date</span>
      )}
      <Doing car={car} />
      {car.held && (
        <PaperTag tag={car.held.tag} said={work.get(car.held.workId)?.name} hot={car.held.needsSomebody} />
      )}
    </button>
  )
}

/** Who is on what, or what comes next, or where it is. */
function Doing({ car }: { car: Car }) {
  const { board, work, person, vendor, commitment } = useBoard()
  const now = work.get(car.doing[0] ?? '')
  const next = work.get(car.next ?? '')
  const away = work.get(car.awayWorkId ?? '')?.outwork
  const at = commitment.get(car.awayAt ?? '')
  const line = away
    ? `${vendor.get(away.vendorId)?.name ?? ''} · back ${when(away.backLikely ?? board.now, board.now, board.zone)}`
    : at?.outing
      ? `at ${at.name} · back ${when(at.outing.back, board.now, board.zone)}`
      : now
        ? `${now.job?.startedBy.map((p) => person.get(p)?.name).join(', ')}: ${now.name}`
        : next?.placed
          ? `next ${when(next.placed.start, board.now, board.zone)}: ${next.name}`
          : 'nothing planned'
  return (
    <span className={`small one-line ${now ? 'quiet' : 'soft'}`} title={line}>
      {line}
    </span>
  )
}
