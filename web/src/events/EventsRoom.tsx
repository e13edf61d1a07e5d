import { Button } from '@mantine/core'
import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { useBoard } from '../api/board'
import { type Schemas } from '../api/client'
import { type RaceEvent, useEvents } from '../api/events'
import { MarginMark } from '../domain/MarginMark'
import { away, when } from '../format/time'
import { Nothing } from '../ui/Nothing'
import { EventForm } from './EventForm'
import { EventPage } from './EventPage'
import css from './events.module.css'
import { WholeSeason } from './WholeSeason'

const SEASON = 'season'

/** The season, and one event: what must be true by when, its tyres, what runs out. */
export function EventsRoom({ account }: { account: Schemas['Account'] }) {
  const { board, looked } = useBoard()
  const events = useEvents(looked)
  const { id } = useParams()
  const navigate = useNavigate()
  const [adding, setAdding] = useState(false)
  const changes = account.role !== 'HAND'
  if (!events) return null
  const whole = id === SEASON
  const event = events.find((e) => e.id === id) ?? (id ? undefined : events.find((e) => !e.over))
  return (
    <>
      <div className="room-head">
        <h1>{event ? event.name : whole ? 'Whole season' : 'Events'}</h1>
        {event && (
          <span className="soft">
            {event.place && `${event.place} · `}loads {when(event.loadsAt, board.now, board.zone)},{' '}
            {away(event.loadsAt, board.now, board.zone)}
          </span>
        )}
        {changes && (
          <span className={css.push}>
            <Button onClick={() => setAdding(true)}>Enter an event</Button>
          </span>
        )}
      </div>
      <div className={css.columns}>
        <Season events={events} here={whole ? SEASON : event?.id} />
        {whole ? (
          <WholeSeason events={events} />
        ) : event ? (
          <EventPage key={event.id} event={event} changes={changes} onGone={() => void navigate('/events')} />
        ) : (
          <Nothing
            title={id ? 'There is no such event (any more)' : 'No events yet'}
            text="Entering one gives its cars their dates and the work before them."
          />
        )}
      </div>
      {adding && (
        <EventForm
          onClose={() => setAdding(false)}
          onKept={(made) => {
            setAdding(false)
            void navigate(`/events/${made}`)
          }}
        />
      )}
    </>
  )
}

/** Every event on a line, with its cars and what each has to spare. */
function Season({ events, here }: { events: RaceEvent[]; here?: string }) {
  const { board, commitment } = useBoard()
  return (
    <nav aria-label="Season" className={css.season}>
      <h2>Season</h2>
      {events.length === 0 && <p className="small soft">Nothing is entered.</p>}
      {events.length > 1 && (
        <Link to={`/events/${SEASON}`} className={here === SEASON ? css.here : css.event}>
          Whole season
        </Link>
      )}
      {events.map((e) => (
        <Link key={e.id} to={`/events/${e.id}`} className={e.id === here ? css.here : css.event}>
          <b>{e.name}</b>
          <span className="small soft">
            {e.over ? 'over' : `loads ${when(e.loadsAt, board.now, board.zone)}`}
          </span>
          {!e.over &&
            e.cars.map((c) => {
              const date = c.commitmentId ? commitment.get(c.commitmentId) : undefined
              return (
                <span key={c.buildId} className={css.line}>
                  <span>
                    {c.called}
                    {c.spare && ' spare'}
                  </span>
                  {date && <MarginMark minutes={date.marginMinutes} size="narrow" />}
                </span>
              )
            })}
        </Link>
      ))}
    </nav>
  )
}
