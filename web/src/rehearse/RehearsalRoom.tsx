import { Button, Checkbox, Loader, NumberInput, SegmentedControl } from '@mantine/core'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { MarginMark } from '../domain/MarginMark'
import { duration, margin } from '../format/margin'
import { clock, day } from '../format/time'
import { Nothing } from '../ui/Nothing'
import { RehearsalEnd } from './RehearsalEnd'
import layout from '../ui/layout.module.css'
import css from './rehearse.module.css'

type Turn = Schemas['RehearsalResponse']
type Weather = Turn['weather']

const WEATHERS: { value: Weather; label: string; why: string }[] = [
  { value: 'CALM', label: 'calm', why: 'nobody is ill, little goes wrong' },
  { value: 'USUAL', label: 'usual', why: 'as the estimates have it' },
  { value: 'ROUGH', label: 'rough', why: 'much goes worse than was thought' },
]
const AGAIN_MILLIS = 2_000

/** The coming week on a copy that cannot touch the record: played turn by turn, decided as in life. */
export function RehearsalRoom({ account }: { account: Schemas['Account'] }) {
  const { id } = useParams()
  if (account.role === 'HAND') return <Nothing title="Rehearsing is the manager's and the leads'" />
  return (
    <>
      <div className="room-head">
        <h1>Rehearse</h1>
        <span className="soft">
          a copy of the shop, which touches nothing of the record · <Link to="/runway">Runway</Link>
        </span>
      </div>
      {id ? <Played key={id} id={id} /> : <Begin />}
    </>
  )
}

function Begin() {
  const navigate = useNavigate()
  const { send, busy } = useSend()
  const [days, setDays] = useState<number>(5)
  const [weather, setWeather] = useState<Weather>('USUAL')
  const begin = async () => {
    const made = await send(() => dataOf(client.POST('/api/rehearsals', { body: { days, weather } })))
    if (made) navigate(`/rehearse/${made.id}`)
  }
  return (
    <section className={`panel ${css.begin}`} aria-label="Begin">
      <p className={layout.flush}>
        Luck decides how long each job takes, when parts come, what is found and who is ill. Twice a day you
        decide, as in life. At the end you see what was kept, what the planner alone would have kept with the
        same luck, and which decision cost most.
      </p>
      <NumberInput
        label="Working days"
        mt={12}
        w={140}
        min={1}
        max={10}
        value={days}
        onChange={(v) => setDays(Number(v))}
      />
      <div className={`small strong ${css.label}`}>How kind the week is</div>
      <SegmentedControl
        value={weather}
        onChange={(v) => setWeather(v as Weather)}
        data={WEATHERS.map(({ value, label }) => ({ value, label }))}
      />
      <div className="soft small">{WEATHERS.find((w) => w.value === weather)?.why}</div>
      <Button mt={14} loading={busy} onClick={() => void begin()}>
        Begin
      </Button>
    </section>
  )
}

function Played({ id }: { id: string }) {
  const { board } = useBoard()
  const queries = useQueryClient()
  const { send, busy } = useSend()
  const [chosen, setChosen] = useState<string[]>([])
  const key = ['rehearsal', id]
  const turn = useQuery({
    queryKey: key,
    queryFn: () => dataOf(client.GET('/api/rehearsals/{id}', { params: { path: { id } } })),
    staleTime: Infinity,
    refetchInterval: (query) => (query.state.data?.weighing ? AGAIN_MILLIS : false),
  })
  if (turn.isError) return <Nothing title="There is no such rehearsal (any more)" text="Begin another." />
  if (!turn.data) return <Loader aria-label="Setting up" />
  const now = turn.data
  const over = now.turn === now.turns
  const play = async () => {
    const next = await send(
      () =>
        dataOf(
          client.POST('/api/rehearsals/{id}/play', {
            params: { path: { id } },
            body: { turn: now.turn, choices: chosen },
          }),
        ),
      (problem) => {
        // Another window has played on.
        if (problem.status === 409) void turn.refetch()
        return problem.status === 409
      },
    )
    if (next) queries.setQueryData(key, next)
    setChosen([])
  }
  return (
    <div className={css.columns}>
      <section aria-label="What happened">
        <h2 className={css.when}>
          {day(now.now, board.zone)} {clock(now.now, board.zone)}{' '}
          <span className="soft small">
            turn {now.turn} of {now.turns}
          </span>
        </h2>
        {now.turn > 0 && <Events turn={now} />}
        {over ? (
          <>
            {now.weighing && (
              <p>
                <Loader size="xs" /> Playing the same week without you. This takes up to a minute or two.
              </p>
            )}
            {now.end && <RehearsalEnd turn={now} end={now.end} />}
            <Button mt={12} component={Link} to="/rehearse" variant="default">
              Another week
            </Button>
          </>
        ) : (
          <>
            <Decide turn={now} chosen={chosen} onChosen={setChosen} />
            <Button mt={12} loading={busy} onClick={() => void play()}>
              {chosen.length === 0 ? 'Let it go on' : 'Decide that and go on'}
            </Button>
          </>
        )}
      </section>
      <Dates turn={now} />
    </div>
  )
}

function Events({ turn }: { turn: Turn }) {
  const { board } = useBoard()
  if (turn.events.length === 0) return <p className="soft">All went as planned.</p>
  return (
    <ul className={css.events}>
      {turn.events.map((e, i) => (
        <li key={i} className={e.bad ? 'hot' : ''}>
          <span className="soft small">
            {day(e.at, board.zone)} {clock(e.at, board.zone)}
          </span>{' '}
          {e.said}
        </li>
      ))}
    </ul>
  )
}

interface DecideProps {
  turn: Turn
  chosen: string[]
  onChosen: (ids: string[]) => void
}

function Decide({ turn, chosen, onChosen }: DecideProps) {
  const { car } = useBoard()
  const date = new Map(turn.dates.map((d) => [d.id, d]))
  if (turn.choices.length === 0)
    return <p className="soft">Nothing is in trouble that anything would help.</p>
  return (
    <div role="group" aria-label="What could be decided">
      {turn.choices.map((c) => {
        const d = date.get(c.dateId)
        return (
          <Checkbox
            key={c.id}
            mt={8}
            checked={chosen.includes(c.id)}
            label={c.said}
            description={`${car.get(d?.buildId ?? '')?.number ?? ''} ${d?.name ?? ''}: ${margin(Math.round(c.gains * 60))}, for ${duration(Math.round(c.effort * 60))} of effort`}
            onChange={(e) =>
              onChosen(e.currentTarget.checked ? [...chosen, c.id] : chosen.filter((id) => id !== c.id))
            }
          />
        )
      })}
    </div>
  )
}

function Dates({ turn }: { turn: Turn }) {
  const { board, car } = useBoard()
  return (
    <section className="panel" aria-label="Dates">
      <h2>How the dates stand</h2>
      {turn.dates.map((d) => (
        <div key={d.id} className={css.date}>
          <span className="number">{car.get(d.buildId)?.number || '—'}</span>
          <span className="small">
            {d.name}, {day(d.due, board.zone)}
          </span>
          <MarginMark minutes={d.marginMinutes} />
        </div>
      ))}
    </section>
  )
}
