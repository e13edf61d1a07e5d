import { Button, Group } from '@mantine/core'
import { useState } from 'react'
import { type Car, useBoard, type Work } from '../api/board'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import { Nothing } from '../ui/Nothing'
import { PaperTag } from '../domain/PaperTag'
import { duration } from '../format/margin'
import { when } from '../format/time'
import { word } from '../format/words'
import layout from '../ui/layout.module.css'
import css from './builds.module.css'

interface Props {
  car: Car
  zone?: string
  changes: boolean
  onPick: (work: string) => void
}

/** The jobs of a car by stage, in the order of the plan, done ones folded into a count; several can be ticked at once. */
export function JobTable({ car, zone, changes, onPick }: Props) {
  const { board } = useBoard()
  const [ticked, setTicked] = useState<string[]>()
  const tick = (id: string, on: boolean) =>
    setTicked((all = []) => (on ? [...all, id] : all.filter((w) => w !== id)))
  const mine = board.works.filter(
    (w) => w.buildId === car.id && w.kind !== 'OUTWORK' && (!zone || w.job?.zone === zone),
  )
  const inOrder = [undefined, ...car.rounds.map((r) => r.id)]
  const stages = inOrder.flatMap((round) => [
    ...car.stages.filter((s) => s.roundId === round).map((s) => ({ ...s, round })),
    ...(round ? [] : [{ id: 'none', name: undefined, round }]),
  ])
  const roundName = new Map(car.rounds.map((r) => [r.id, r.name]))
  if (mine.length === 0)
    return (
      <Nothing
        title={zone ? 'No jobs in this zone' : 'No jobs yet'}
        text="Add one, import a job sheet, or capture it on the walk."
      />
    )
  return (
    <>
      {changes && <Ticks ticked={ticked} onTicked={setTicked} />}
      <table className="plain">
        <thead>
          <tr>
            <th>Job</th>
            <th>Zone</th>
            <th>Hands</th>
            <th className="right">Likely</th>
            <th>When</th>
            <th>State</th>
          </tr>
        </thead>
        {stages.map((stage) => {
          const works = mine.filter((w) => w.stage === stage.name && w.roundId === stage.round)
          if (works.length === 0) return null
          const open = works.filter((w) => w.status !== 'DONE').sort(byStart)
          const done = works.length - open.length
          return (
            <tbody key={stage.id}>
              <tr>
                <td colSpan={6} className={css.stageRow}>
                  {stage.round && <span>{roundName.get(stage.round)} · </span>}
                  <b>{stage.name ?? 'Without a stage'}</b>{' '}
                  <span className="soft small">
                    {done} of {works.length} done
                  </span>
                </td>
              </tr>
              {open.map((w) => (
                <Row
                  key={w.id}
                  work={w}
                  ticked={ticked?.includes(w.id)}
                  onTick={ticked && ((on) => tick(w.id, on))}
                  onPick={onPick}
                />
              ))}
            </tbody>
          )
        })}
      </table>
    </>
  )
}

function byStart(a: Work, b: Work): number {
  return (a.placed?.start ?? '9').localeCompare(b.placed?.start ?? '9')
}

/** Ticks several jobs, for what can be said of all of them. */
function Ticks({
  ticked,
  onTicked,
}: {
  ticked: string[] | undefined
  onTicked: (ticked: string[] | undefined) => void
}) {
  const { send, busy } = useSend()
  if (!ticked)
    return (
      <button className="link small" onClick={() => onTicked([])}>
        tick several
      </button>
    )
  const doneBefore = async () => {
    const done = await send(async () => {
      await dataOf(client.POST('/api/works/done-before', { body: { workIds: ticked } }))
      return true
    })
    if (done) onTicked(undefined)
  }
  return (
    <Group gap={8} mb={4}>
      <Button
        size="compact-sm"
        loading={busy}
        disabled={ticked.length === 0}
        title="Before the build came under plan: no hours, no money"
        onClick={() => void doneBefore()}
      >
        {ticked.length} {ticked.length === 1 ? 'was' : 'were'} done before
      </Button>
      <Button size="compact-sm" variant="default" onClick={() => onTicked(undefined)}>
        Never mind
      </Button>
    </Group>
  )
}

interface RowProps {
  work: Work
  ticked?: boolean
  onTick?: (on: boolean) => void
  onPick: (work: string) => void
}

function Row({ work, ticked, onTick, onPick }: RowProps) {
  const { board, person, commitment } = useBoard()
  const p = work.placed
  const date = commitment.get(work.dateId ?? '')
  const pinned = board.pins.some((pin) => pin.workId === work.id)
  return (
    <tr className="pick" onClick={() => (onTick ? onTick(!ticked) : onPick(work.id))}>
      <td>
        {onTick && (
          <input
            type="checkbox"
            aria-label={work.name}
            className={css.tick}
            checked={ticked}
            onClick={(e) => e.stopPropagation()}
            onChange={(e) => onTick(e.currentTarget.checked)}
          />
        )}
        <button className="link" onClick={() => onPick(work.id)}>
          {work.name}
        </button>
        {date && <span className="soft small"> for {date.name}</span>}
        {work.afterDates && <span className="soft small"> after all dates</span>}
        {!work.essential && <span className="soft small"> can follow</span>}
        {work.job?.finding && <span className="hot small"> finding</span>}
        {pinned && <span className="small"> pinned</span>}
      </td>
      <td className="small">
        {work.job?.wholeCar ? 'whole car' : work.job?.onCar ? word(work.job.zone) : 'off the car'}
      </td>
      <td className="small">
        {p
          ? p.crew.map((c) => person.get(c)?.name).join(' + ')
          : work.job?.crew.map((c) => c.skill).join(' + ')}
      </td>
      <td className={`right small ${layout.nowrap}`}>
        {work.job ? duration(work.job.likelyMinutes) : `${work.runningIn?.distanceKm} km`}
      </td>
      <td className={`small ${layout.nowrap}`}>{p ? when(p.start, board.now, board.zone) : '—'}</td>
      <td className={css.afters}>
        <State work={work} />
      </td>
    </tr>
  )
}

function State({ work }: { work: Work }) {
  const { board } = useBoard()
  if (work.cannot) return <span className="hot small">cannot be planned: {work.cannot}</span>
  if (work.hold) return <PaperTag tag={work.hold.reason} said={work.hold.note} hot={!work.hold.until} />
  if (work.status === 'STARTED' && work.job?.startedBy.length === 0)
    return <span className="strong small">paused, {duration(work.job.remainingMinutes)} to go</span>
  if (work.status === 'STARTED')
    return (
      <span className="quiet strong small">going on, {duration(work.job?.remainingMinutes ?? 0)} to go</span>
    )
  if (work.placed?.tag && work.placed.tag !== 'AFTER' && work.placed.start > board.now) {
    return <PaperTag tag={work.placed.tag} said={work.placed.said} />
  }
  return (
    <span className="soft small">{work.placed?.tag === 'AFTER' ? 'waiting its turn' : 'free to start'}</span>
  )
}
