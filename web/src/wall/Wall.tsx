import { useQuery } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { client, dataOf, isAwayError, tooOften, type Schemas } from '../api/client'
import { margin } from '../format/margin'
import { clock, speak, when } from '../format/time'
import { Nothing } from '../ui/Nothing'
import css from './wall.module.css'

type WallView = Schemas['WallResponse']

const ASKS_MILLIS = 900
const AGAIN_MILLIS = 30_000
/** A link that has ended is hardly asked for: who asks often for what is not there is not answered, nor is his neighbour. */
const ENDED_MILLIS = 120_000

const hasEnded = (error: unknown) => error !== null && !isAwayError(error)

/** The workshop's screen: large, read-only, always as it is now. */
export function Wall() {
  const { token = '' } = useParams()
  const path = { token }
  const change = useQuery({
    queryKey: ['wall-change', token],
    queryFn: () => dataOf(client.GET('/api/wall/{token}/change', { params: { path } })),
    refetchInterval: (query) => (hasEnded(query.state.error) ? ENDED_MILLIS : ASKS_MILLIS),
    refetchIntervalInBackground: true,
    retry: false,
  })
  const wall = useQuery({
    queryKey: ['wall', token, change.data],
    queryFn: () => dataOf(client.GET('/api/wall/{token}', { params: { path } })),
    enabled: change.data !== undefined,
    refetchInterval: AGAIN_MILLIS,
    refetchIntervalInBackground: true,
    placeholderData: (before) => before,
  })
  const ended = hasEnded(change.error)
  if (!wall.data || ended) {
    return ended ? (
      <Nothing
        title="Nothing to see"
        text={tooOften(change.error) ?? 'This link to the wall was revoked, or never was.'}
      />
    ) : null
  }
  speak(wall.data.says)
  return <Screen wall={wall.data} />
}

function Screen({ wall }: { wall: WallView }) {
  const at = (time: string) => when(time, wall.now, wall.zone)
  return (
    <main className={css.wall}>
      <header className={css.head}>
        <h1>{wall.shop}</h1>
        <span className={css.clock}>{clock(wall.now, wall.zone)}</span>
      </header>
      <div className={css.columns}>
        <section aria-label="Who is on what">
          {wall.people.map((p) => (
            <div key={p.person} className={p.begun ? css.begun : css.person}>
              <span className={css.name}>{p.person}</span>
              <span className={css.on}>
                {p.on ?? <span className="soft">nothing today</span>}
                <span className={css.of}>
                  {p.car}
                  {p.at && ` · ${p.begun ? 'until' : 'from'} ${at(p.at)}`}
                </span>
              </span>
            </div>
          ))}
        </section>
        <section aria-label="Next gate of each car">
          {wall.cars.map((c) => (
            <div key={c.number + c.name} className={css.car}>
              <span className={css.number}>{c.number || '—'}</span>
              <span className={css.on}>
                {c.date ?? c.name}
                <span className={css.of}>
                  {c.due ? at(c.due) : 'no date'}
                  {c.open > 0 && ` · ${c.open} open at its gate`}
                </span>
              </span>
              {c.date && (
                <b className={c.late ? 'hot' : 'quiet'}>
                  {c.marginMinutes === undefined ? 'not to be kept' : margin(c.marginMinutes)}
                </b>
              )}
            </div>
          ))}
        </section>
        <section aria-label="Today">
          <h2>Comes in today</h2>
          {wall.arrivals.length === 0 && <p className="soft">Nothing more.</p>}
          {wall.arrivals.map((a) => (
            <p key={a.what + a.at}>
              <b>{clock(a.at, wall.zone)}</b> {a.what} <span className="soft">{a.car}</span>
            </p>
          ))}
          <h2>The last hour</h2>
          {wall.news.length === 0 && <p className="soft">Quiet.</p>}
          {wall.news.map((n) => (
            <p key={n.at + n.what}>
              <b>{clock(n.at, wall.zone)}</b> {n.who} {n.what}
            </p>
          ))}
        </section>
      </div>
    </main>
  )
}
