import { Button } from '@mantine/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { useComponents } from '../api/components'
import { type RaceEvent } from '../api/events'
import { useSend } from '../api/send'
import { PlanJob } from '../domain/PlanJob'
import { LifeBar } from '../life/LifeBar'
import layout from '../ui/layout.module.css'
import { ClassChecks } from './ClassChecks'
import { EventForm } from './EventForm'
import css from './events.module.css'
import { LastDays } from './LastDays'
import { LoadList } from './LoadList'
import { Spares } from './Spares'
import { TestDays } from './TestDays'
import { Turnarounds } from './Turnarounds'
import { Tyres } from './Tyres'
import { WhoGoes } from './WhoGoes'

/** What a service and a replacement usually take; estimates of ours, changed at the job. */
const SERVICE_MINUTES = 240
const REPLACE_MINUTES = 60

interface Props {
  event: RaceEvent
  changes: boolean
  onGone: () => void
}

/** One event: what must be true and by when, tyres, what runs out. */
export function EventPage({ event, changes, onGone }: Props) {
  const { send, busy } = useSend()
  const [changing, setChanging] = useState(false)
  const [sure, setSure] = useState(false)
  const path = { id: event.id }
  const over = () => void send(() => dataOf(client.POST('/api/events/{id}/over', { params: { path } })))
  const remove = () => {
    if (!sure) {
      setSure(true)
      return
    }
    void send(() => dataOf(client.DELETE('/api/events/{id}', { params: { path } })).then(() => true)).then(
      (gone) => gone && onGone(),
    )
  }
  return (
    <div className={css.page}>
      <nav aria-label="On this page" className={`no-print ${css.jump}`}>
        {!event.over && <a href="#tyres">Tyres</a>}
        {event.sessions.some((s) => s.kind === 'TEST') && <a href="#test-day">Test day</a>}
        <a href="#aboard">Aboard</a>
        <a href="#runs-out">Runs out</a>
        <a href="#who-goes">Who goes</a>
      </nav>
      <div>
        {event.over ? (
          <p className="quiet strong">It is over: its hours and cycles are booked.</p>
        ) : (
          <LastDays event={event} />
        )}
        {!event.over && <Turnarounds event={event} changes={changes} />}
        <TestDays event={event} changes={changes} />
        {!event.over && <Tyres event={event} changes={changes} />}
        <LoadList event={event.id} changes={changes} />
      </div>
      <div>
        <RunsOut event={event} changes={changes} />
        <ClassChecks event={event} />
        {!event.over && <Spares event={event} />}
        <WhoGoes event={event} />
        {changes && (
          <div className={css.buttons}>
            {!event.over && (
              <Button variant="default" onClick={() => setChanging(true)}>
                Change
              </Button>
            )}
            {!event.over && (
              <Button variant="default" loading={busy} onClick={over}>
                It is over: book it
              </Button>
            )}
            {!event.over && (
              <Button variant="default" loading={busy} onClick={remove}>
                {sure ? 'Yes, leave it out with its dates' : 'Leave it out'}
              </Button>
            )}
          </div>
        )}
      </div>
      {changing && (
        <EventForm event={event} onClose={() => setChanging(false)} onKept={() => setChanging(false)} />
      )}
    </div>
  )
}

/** What of its cars has run out, or will at this event or before it. */
function RunsOut({ event, changes }: { event: RaceEvent; changes: boolean }) {
  const { car, looked } = useBoard()
  const components = useComponents(looked)
  const rows = (components ?? [])
    .filter((c) => event.cars.some((x) => x.buildId === c.buildId))
    .flatMap((c) => c.due.filter((d) => !d.at || d.at === event.name).map((d) => ({ c, d })))
  return (
    <section aria-label="Runs out before or at the event" id="runs-out">
      <h2>Runs out before or at it</h2>
      {rows.length === 0 && <p className="small soft">Nothing that is written down.</p>}
      {rows.map(({ c, d }) => (
        <div key={c.id + d.said} className={layout.ruled}>
          <Link to={`/build/${c.buildId}`} className={d.at ? 'strong' : 'hot strong'}>
            {`${c.name} ${c.identity}`.trim()}, {car.get(c.buildId ?? '')?.number}
          </Link>
          <div className={`small ${d.at ? '' : 'hot'}`}>
            {d.said}
            {!d.at && c.safety && ': its gate is shut'}
          </div>
          <PlanJob
            car={c.buildId ?? ''}
            name={`${d.service ? 'Service' : 'Replace'}: ${`${c.name} ${c.identity}`.trim()}`}
            minutes={d.service ? SERVICE_MINUTES : REPLACE_MINUTES}
            skill={d.service ? 'engines' : 'fit'}
            note={d.said}
            changes={changes}
          />
          {c.limits.map((l) => (
            <LifeBar key={l.counter + l.service} limit={l} />
          ))}
        </div>
      ))}
    </section>
  )
}
