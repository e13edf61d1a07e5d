import { Button, Checkbox } from '@mantine/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { calledAt, type RaceEvent } from '../api/events'
import { type Turnaround, useTurnarounds } from '../api/season'
import { useSend } from '../api/send'
import { duration } from '../format/margin'
import { when } from '../format/time'
import layout from '../ui/layout.module.css'
import css from './season.module.css'

interface Props {
  event: RaceEvent
  changes: boolean
}

/** From the event before: what each car needs in between, against the hours that there are. */
export function Turnarounds({ event, changes }: Props) {
  const { looked } = useBoard()
  const all = useTurnarounds(event.id, looked)
  if (!all || all.length === 0) return null
  return (
    <section aria-label="Turnaround">
      <h2>Turnaround</h2>
      {all.map((t) => (
        <OfCar
          key={t.buildId + (t.laid ?? '')}
          event={event.id}
          turnaround={t}
          name={calledAt(event, t.buildId)}
          changes={changes}
        />
      ))}
    </section>
  )
}

interface OfCarProps {
  event: string
  turnaround: Turnaround
  name: string
  changes: boolean
}

function OfCar({ event, turnaround: t, name, changes }: OfCarProps) {
  const { board, work } = useBoard()
  const [left, setLeft] = useState<string[]>([])
  const { send, busy } = useSend()
  const wanted = t.lines.filter((l) => !left.includes(l.key))
  const asked = wanted.reduce((sum, l) => sum + (l.done ? 0 : l.labour), 0)
  const late = t.lines.filter((l) => !l.fits)
  const lay = () =>
    void send(() =>
      dataOf(
        client.POST('/api/events/{id}/turnarounds', {
          params: { path: { id: event } },
          body: { buildId: t.buildId, lines: wanted.map((l) => l.key) },
        }),
      ),
    )
  return (
    <div className={css.turnaround}>
      <p className={css.lead}>
        <b>{name}</b> comes from {t.last}, back {when(t.from, board.now, board.zone)}; loads{' '}
        {when(t.to, board.now, board.zone)}.
      </p>
      <Hours turnaround={t} asked={asked} />
      <ul className={css.lines}>
        {t.lines.map((l) => (
          <li key={l.key} className={css.line}>
            {t.laid || !changes ? (
              <span className={l.fits ? '' : 'hot strong'}>{l.name}</span>
            ) : (
              <Checkbox
                label={l.name}
                checked={!left.includes(l.key)}
                onChange={(e) => {
                  const on = e.currentTarget.checked
                  setLeft((all) => (on ? all.filter((k) => k !== l.key) : [...all, l.key]))
                }}
              />
            )}
            <span className="small soft">
              {[l.because || work.get(l.key)?.note, l.canFollow && 'can follow'].filter(Boolean).join('; ')}
            </span>
            <span className={css.end}>
              {l.done ? (
                'done'
              ) : l.end ? (
                <span className={l.fits ? '' : 'hot strong'}>
                  {l.fits ? 'by ' : 'only '}
                  {when(l.end, board.now, board.zone)}
                </span>
              ) : (
                duration(l.labour)
              )}
            </span>
          </li>
        ))}
      </ul>
      {late.length > 0 && (
        <p className="hot strong" role="alert">
          Does not fit: {late.map((l) => l.name).join(', ')}.{' '}
          {t.dateId && <Link to={`/runway?date=${t.dateId}`}>What would help</Link>}
        </p>
      )}
      {!t.laid && changes && (
        <Button loading={busy} disabled={wanted.length === 0} onClick={lay}>
          Plan it: {duration(asked)} of work
        </Button>
      )}
    </div>
  )
}

/** The hands' hours between back and load: given to other work, asked for here, left over or lacking. */
function Hours({ turnaround: t, asked }: { turnaround: Turnaround; asked: number }) {
  const taken = t.there - t.free
  const whole = Math.max(t.there, taken + asked, 1)
  const share = (minutes: number) => `${(100 * minutes) / whole}%`
  const over = Math.max(0, asked - t.free)
  const words = `${duration(t.there)} of hands are in: ${duration(taken)} have other work, ${duration(asked)} are asked for here${
    over > 0 ? `, ${duration(over)} more than there are` : ''
  }`
  return (
    <div>
      <div className={css.hours} role="img" aria-label={words}>
        <span className={css.taken} style={{ width: share(taken) }} />
        <span className={css.asked} style={{ width: share(asked - over) }} />
        {over > 0 && <span className={css.over} style={{ width: share(over) }} />}
      </div>
      <div className={`small ${layout.spread}`}>
        <span className={over > 0 ? 'hot strong' : 'soft'}>{words}.</span>
      </div>
    </div>
  )
}
