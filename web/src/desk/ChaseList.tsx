import { Button } from '@mantine/core'
import { useState } from 'react'
import { type Car, useBoard } from '../api/board'
import type { Line } from '../api/desk'
import { Nothing } from '../ui/Nothing'
import { days, margin } from '../format/margin'
import { away, day, when } from '../format/time'
import { word } from '../format/words'
import layout from '../ui/layout.module.css'
import css from './desk.module.css'

/** So many lines are drawn at once; the rest on request. */
const SOME = 60
const DAY_MINUTES = 24 * 60

const numberOrName = (car?: Car) => car?.number || (car?.name ?? '')

/** What one more day of the thing costs. */
function Harm({ line, pending }: { line: Line; pending: boolean }) {
  const { commitment, car } = useBoard()
  const harm = line.harm
  if (!harm)
    return (
      <span className="soft">
        {line.state === 'ARRIVED' ? 'inspect' : pending ? 'being worked out' : 'not needed by a job'}
      </span>
    )
  const date = commitment.get(harm.hardest ?? '')
  if (harm.hardestLosesMinutes > 0) {
    const late = harm.hardHours > 0 || harm.promisedHours > 0
    return (
      <span className={late ? 'hot strong' : 'strong'}>
        {margin(-harm.hardestLosesMinutes)}
        <span className={`small ${css.plain}`}>
          {' '}
          {late ? 'late' : 'of margin'}
          {date && `, ${numberOrName(car.get(date.buildId))}: ${date.name}`}
        </span>
      </span>
    )
  }
  const spare = Math.floor(harm.inHandMinutes / DAY_MINUTES)
  return <span className="soft">{spare > 0 ? `nothing for ${days(spare)}` : 'nothing yet'}</span>
}

function Comes({ line }: { line: Line }) {
  const { board, vendor } = useBoard()
  if (!line.expected && !line.promised) return <span className="hot">no date</span>
  const at = line.expected ?? line.promised!
  const v = vendor.get(line.vendorId ?? '')
  const distrusted = line.promised && line.expected && line.expected !== line.promised
  return (
    <>
      <span title={when(at, board.now, board.zone)}>
        {day(at, board.zone)}, {away(at, board.now, board.zone)}
      </span>
      {distrusted && (
        <div className="small soft">
          promised {day(line.promised!, board.zone)}; {v?.deliveries} deliveries, usually{' '}
          {days(Math.round((v?.usualSlipMinutes ?? 0) / DAY_MINUTES))} late
        </div>
      )}
    </>
  )
}

function Order({ line }: { line: Line }) {
  const { board } = useBoard()
  const harm = line.harm
  if (line.held) return <span className="hot small">held: {line.held}</span>
  if (!harm?.orderBy) return null
  const over = (harm.daysLeft ?? 0) < 0
  return (
    <span className={over ? 'hot strong small' : 'small'}>
      {over ? 'should have been ordered by ' : 'order by '}
      {day(harm.orderBy, board.zone)}
    </span>
  )
}

function Words({ line }: { line: Line }) {
  const { board } = useBoard()
  const said = line.lastWord
  const over = line.nextWordAt !== undefined && line.nextWordAt <= board.now
  if (!said) return null
  return (
    <div className="small">
      <span className="soft">
        {day(said.at, board.zone)}: {said.said}
      </span>
      {line.nextWordAt && (
        <div className={over ? 'hot strong' : ''}>
          {over ? 'word was due ' : 'next word '}
          {when(line.nextWordAt, board.now, board.zone)}
        </div>
      )}
    </div>
  )
}

interface Props {
  lines: Line[]
  /** Whether what a day more costs is still being worked out. */
  pending: boolean
  onPick: (line: Line) => void
}

/** Everything outside, the most harmful first. */
export function ChaseList({ lines, pending, onPick }: Props) {
  const { car, vendor } = useBoard()
  const [shown, setShown] = useState(SOME)
  if (lines.length === 0)
    return (
      <Nothing
        title="Nothing is outside"
        text="Parts and outside work of the builds stand here, the most harmful first."
      />
    )
  return (
    <section aria-label="Chase list">
      <table className="plain">
        <thead>
          <tr>
            <th className={css.fifth}>One more day costs</th>
            <th className={css.third}>What</th>
            <th className={css.quarter}>Comes</th>
            <th>Who to ring, last contact</th>
          </tr>
        </thead>
        <tbody>
          {lines.slice(0, shown).map((l) => {
            const c = car.get(l.buildId)
            const v = vendor.get(l.vendorId ?? '')
            return (
              <tr key={l.id}>
                <td>
                  <Harm line={l} pending={pending} />
                </td>
                <td>
                  <button className={`link strong ${layout.left}`} onClick={() => onPick(l)}>
                    {l.quantity > 1 && `${l.quantity} × `}
                    {l.name}
                  </button>
                  <div className="small soft">
                    <b className={layout.ink}>{c?.number || c?.name}</b> {c?.number && c.name} ·{' '}
                    {word(l.state)}
                    {l.received > 0 && `, ${l.received} of ${l.quantity} here`}
                    {l.kit && ` · kit ${l.kit}`}
                  </div>
                  <Order line={l} />
                </td>
                <td>
                  <Comes line={l} />
                </td>
                <td>
                  {v && (
                    <span>
                      {v.name} <span className="soft">{v.phone}</span>
                    </span>
                  )}
                  <Words line={l} />
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      {lines.length > shown && (
        <Button mt={10} variant="default" onClick={() => setShown(shown + 200)}>
          Show more of {lines.length}
        </Button>
      )}
    </section>
  )
}
