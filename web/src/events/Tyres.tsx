import { Button, NativeSelect, NumberInput, TextInput } from '@mantine/core'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import {
  calledAt,
  type RaceEvent,
  type TyrePlan,
  type TyreSet,
  useTyrePlans,
  useTyreSets,
} from '../api/events'
import { useSend } from '../api/send'
import { PlanJob } from '../domain/PlanJob'
import { when } from '../format/time'
import layout from '../ui/layout.module.css'
import { TakeIn } from '../ui/TakeIn'
import { useLine } from '../ui/useLine'
import css from './events.module.css'
import { DayField } from '../ui/MomentField'

/** A set is as good as dead after so many heat cycles. */
const LIFE = 12
const SCUFF_MINUTES = 40
/** Rubber hardens: from this age on it is shown (common practice; the maker says how long a set keeps). */
const OLD_MONTHS = 24
const MONTH_MILLIS = (365.25 / 12) * 86_400_000

interface Props {
  event: RaceEvent
  changes: boolean
}

/** Which set serves which session; a click chooses by hand, another lets it be chosen again. */
export function Tyres({ event, changes }: Props) {
  const { looked } = useBoard()
  const plans = useTyrePlans(event.id, looked)
  const sets = useTyreSets(looked)
  if (!plans || !sets || event.sessions.length === 0) return null
  return (
    <section aria-label="Tyres" id="tyres">
      <h2>Tyres: the freshest where the grid and the race are decided</h2>
      {plans.map((plan) => (
        <OfCar
          key={plan.buildId}
          event={event}
          plan={plan}
          sets={sets.filter((s) => s.buildId === plan.buildId)}
          name={plans.length > 1 ? calledAt(event, plan.buildId) : ''}
          changes={changes}
        />
      ))}
      <div className={`no-print ${layout.row}`}>
        <a className="small" href={`/api/events/${event.id}/tyres.csv`}>
          The tyres as CSV
        </a>
        {changes && (
          <TakeIn<{ added: number }>
            to={`/api/events/${event.id}/tyres/import`}
            said={(a) => (a.added ? `${a.added} new` : 'taken in, no set is new')}
          />
        )}
      </div>
    </section>
  )
}

interface OfCarProps extends Props {
  plan: TyrePlan
  sets: TyreSet[]
  name: string
}

function OfCar({ event, plan, sets, name, changes }: OfCarProps) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const choose = (sessionId: string, setId: string, locked: boolean) =>
    void send(() =>
      dataOf(
        client.PUT('/api/events/{id}/tyre-locks', {
          params: { path: { id: event.id } },
          body: { buildId: plan.buildId, sessionId, setId: locked ? undefined : setId },
        }),
      ),
    )
  const dry = sets.filter((s) => s.kind === 'DRY')
  return (
    <div className={css.tyres}>
      <table>
        <thead>
          <tr>
            <th>{name && `car ${name}`}</th>
            <th />
            {event.sessions.map((s) => (
              <th
                key={s.id}
                title={when(s.start, board.now, board.zone)}
                className={s.kind === 'QUALIFYING' || s.kind === 'RACE' ? 'strong' : css.minor}
              >
                {s.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {dry.map((set) => (
            <tr key={set.id}>
              <th scope="row">{set.name}</th>
              <td className="small soft">
                <Life set={set} />
              </td>
              {event.sessions.map((session) => {
                const served = plan.served.find((s) => s.sessionId === session.id && s.setId === set.id)
                return (
                  <td key={session.id} className={css.cell}>
                    <button
                      type="button"
                      disabled={!changes || busy}
                      className={served ? (served.locked ? css.locked : css.serves) : css.free}
                      title={served?.because ?? `Choose ${set.name} for ${session.name}`}
                      aria-pressed={served !== undefined}
                      aria-label={`${set.name} for ${session.name}${served ? `: ${served.because}` : ''}`}
                      onClick={() => choose(session.id, set.id, served?.locked ?? false)}
                    >
                      {served
                        ? served.locked
                          ? 'by hand'
                          : set.state === 'NEW' && served.use === 1
                            ? 'new'
                            : set.name
                        : ''}
                    </button>
                  </td>
                )
              })}
            </tr>
          ))}
        </tbody>
      </table>
      {plan.why.map((w) => (
        <p key={w} className="hot strong" role="alert">
          {w}
        </p>
      ))}
      <p className="small soft">
        {event.mostSets} sets are allowed, {event.mostNew} of them new; a set serves {event.uses} sessions at
        most.
        {plan.kept.length > 0 && ` Kept back for rain: ${plan.kept.join(', ')}.`}
      </p>
      {plan.scuff.map((set) => (
        <p key={set} className="small">
          Scuff {set} before: new, and first used where it counts.{' '}
          <PlanJob
            car={plan.buildId}
            name={`Scuff ${set}`}
            minutes={SCUFF_MINUTES}
            skill="fit"
            note={`for ${event.name}`}
            changes={changes}
          />
        </p>
      ))}
      {changes && <AddSet build={plan.buildId} />}
    </div>
  )
}

function Life({ set }: { set: TyreSet }) {
  const { board } = useBoard()
  const months = set.madeOn
    ? Math.floor((Date.parse(board.now) - Date.parse(set.madeOn)) / MONTH_MILLIS)
    : undefined
  const left = Math.max(0, 1 - set.cycles / LIFE)
  return (
    <span className={css.life}>
      <svg width="44" height="12" aria-hidden="true">
        <rect x="0.5" y="0.5" width="43" height="11" className={css.frame} />
        <rect x="1" y="1" width={42 * left} height="10" className={css.left} />
      </svg>
      {set.state === 'NEW' ? 'new' : set.state === 'SCUFFED' ? 'scuffed' : `${set.cycles} cycles`}
      {months !== undefined && (
        <span className={months >= OLD_MONTHS ? 'hot' : ''} title={`made ${set.madeOn}`}>
          {months} {months === 1 ? 'month' : 'months'} old
        </span>
      )}
    </span>
  )
}

function AddSet({ build }: { build: string }) {
  const [state, setState] = useState<TyreSet['state']>('NEW')
  const [kind, setKind] = useState<TyreSet['kind']>('DRY')
  const [cycles, setCycles] = useState<number | string>(0)
  const [madeOn, setMadeOn] = useState('')
  const line = useLine((name) =>
    dataOf(
      client.POST('/api/tyre-sets', {
        body: {
          buildId: build,
          name,
          kind,
          state,
          cycles: state === 'NEW' ? 0 : Number(cycles) || 0,
          madeOn: madeOn || undefined,
          version: 0,
        },
      }),
    ),
  )
  return (
    <form onSubmit={line.submit} className={layout.row}>
      <TextInput
        size="xs"
        aria-label="Another set"
        placeholder="set 24"
        value={line.text}
        error={line.error}
        onChange={(e) => line.setText(e.currentTarget.value)}
      />
      <NativeSelect
        size="xs"
        aria-label="For"
        value={kind}
        data={[
          { value: 'DRY', label: 'dry' },
          { value: 'WET', label: 'wet' },
        ]}
        onChange={(e) => setKind(e.currentTarget.value as TyreSet['kind'])}
      />
      <NativeSelect
        size="xs"
        aria-label="State"
        value={state}
        data={[
          { value: 'NEW', label: 'new' },
          { value: 'SCUFFED', label: 'scuffed' },
          { value: 'USED', label: 'used' },
        ]}
        onChange={(e) => setState(e.currentTarget.value as TyreSet['state'])}
      />
      {state !== 'NEW' && (
        <NumberInput
          size="xs"
          aria-label="Heat cycles"
          suffix=" cycles"
          min={0}
          value={cycles}
          onChange={setCycles}
          w={110}
        />
      )}
      <DayField
        size="xs"
        aria-label="Made on"
        title="made on"
        placeholder="made on"
        w={130}
        value={madeOn}
        onChange={setMadeOn}
      />
      <Button type="submit" size="xs" variant="default" loading={line.busy} disabled={!line.text.trim()}>
        Add a set
      </Button>
    </form>
  )
}
