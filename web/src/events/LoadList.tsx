import { Button, NumberInput, TextInput } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { memo, useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { when } from '../format/time'
import layout from '../ui/layout.module.css'
import { TakeIn } from '../ui/TakeIn'
import { Tick } from '../ui/Tick'
import { useLine } from '../ui/useLine'
import css from './events.module.css'

type Load = Schemas['LoadResponse']
type Item = Load['items'][number]

const ASKS_MILLIS = 500

/** What goes aboard, ticked by several people at once; what is not aboard is asked for by name when the trailer leaves. */
export function LoadList({ event, changes }: { event: string; changes: boolean }) {
  const { board } = useBoard()
  const [missing, setMissing] = useState(false)
  const load = useQuery({
    queryKey: ['load', event],
    queryFn: () => dataOf(client.GET('/api/events/{id}/load', { params: { path: { id: event } } })),
    refetchInterval: ASKS_MILLIS,
  }).data
  if (!load) return null
  const aboard = load.items.filter((i) => i.by)
  const mass = (items: Item[]) => Math.round(items.reduce((sum, i) => sum + i.kilograms, 0))
  const boxes = [...new Set(load.items.map((i) => i.box))]
  const over = load.payload > 0 && mass(load.items) > load.payload
  return (
    <section aria-label="Aboard" id="aboard">
      <h2>
        Aboard{' '}
        <span className="soft">
          {aboard.length} of {load.items.length} things, {mass(aboard)} of {mass(load.items)} kg
        </span>
      </h2>
      {over && (
        <p className="hot strong">
          {mass(load.items)} kg are on the list, and the trailer takes {load.payload} kg.
        </p>
      )}
      {load.leftAt && (
        <p className="quiet strong">
          Left {when(load.leftAt, board.now, board.zone)}, {load.leftBy}
          {load.without ? `, without ${load.without}` : ', with all aboard'}.
        </p>
      )}
      <div className={layout.row}>
        <Button
          size="compact-sm"
          variant="default"
          onClick={() => setMissing(!missing)}
          aria-pressed={missing}
        >
          {missing ? 'Show all' : 'Show what is missing'}
        </Button>
        <a className="small" href={`/api/events/${event}/load.csv`}>
          The list as CSV
        </a>
        <a className="small" href={`/api/events/${event}/load.pdf`} target="_blank" rel="noreferrer">
          On paper
        </a>
      </div>
      <div className={css.boxes}>
        {boxes.map((box) => {
          const items = load.items.filter((i) => i.box === box)
          const shown = items.filter((i) => !missing || !i.by)
          if (shown.length === 0) return null
          return (
            <fieldset key={box} className={css.box}>
              <legend>
                <b>{box || 'loose'}</b>{' '}
                <span className="soft">
                  {items.filter((i) => i.by).length}/{items.length}
                </span>
              </legend>
              {shown.map((item) =>
                load.leftAt && item.by ? (
                  <CameBack key={item.id} item={item} event={event} />
                ) : (
                  <Thing key={item.id} item={item} event={event} changes={changes} />
                ),
              )}
            </fieldset>
          )
        })}
      </div>
      {load.leftAt && <Used event={event} load={load} />}
      <Add event={event} />
      {changes && <Manage event={event} load={load} />}
      {load.items.length > 0 && !load.leftAt && <Leave event={event} />}
    </section>
  )
}

/** A thing; of five hundred only those are drawn anew that somebody has ticked. */
const Thing = memo(function Thing({ item, event, changes }: { item: Item; event: string; changes: boolean }) {
  const queries = useQueryClient()
  const { send } = useSend()
  const path = { item: item.id }
  // A tick is no change of the record, so the list alone is asked for again.
  const tick = async (aboard: boolean) => {
    try {
      await dataOf(client.PUT('/api/load-items/{item}/tick', { params: { path }, body: { aboard } }))
    } catch (error) {
      notifications.show({ title: 'Not done', message: String((error as Error).message), color: 'hot' })
    } finally {
      await queries.invalidateQueries({ queryKey: ['load', event] })
    }
  }
  return (
    <div className={css.thing}>
      <Tick
        label={`${item.name}${item.quantity > 1 ? ` × ${item.quantity}` : ''}`}
        ticked={Boolean(item.by)}
        onTick={tick}
      />
      <span className="small soft">{item.by ?? (item.kilograms ? `${item.kilograms} kg` : '')}</span>
      {changes && (
        <button
          type="button"
          className="link small"
          aria-label={`Take ${item.name} off the list`}
          onClick={() =>
            void send(() => dataOf(client.DELETE('/api/load-items/{item}', { params: { path } })))
          }
        >
          off
        </button>
      )}
    </div>
  )
})

/** How many of a thing came back; many count at once. */
const CameBack = memo(function CameBack({ item, event }: { item: Item; event: string }) {
  const queries = useQueryClient()
  const count = async (back: number | undefined) => {
    try {
      await dataOf(
        client.PUT('/api/load-items/{item}/back', { params: { path: { item: item.id } }, body: { back } }),
      )
    } catch (error) {
      notifications.show({ title: 'Not done', message: String((error as Error).message), color: 'hot' })
    } finally {
      await queries.invalidateQueries({ queryKey: ['load', event] })
    }
  }
  return (
    <div className={css.thing}>
      <Tick
        label={`${item.name}${item.quantity > 1 ? ` × ${item.quantity}` : ''} back`}
        ticked={item.back === item.quantity}
        onTick={(ticked) => count(ticked ? item.quantity : undefined)}
      />
      <button
        type="button"
        className={`link small ${item.back !== undefined && item.back < item.quantity ? 'hot strong' : ''}`}
        aria-pressed={item.back !== undefined && item.back < item.quantity}
        aria-label={`${item.name}: one was used`}
        onClick={() => void count(Math.max(0, (item.back ?? item.quantity) - 1))}
      >
        {item.back !== undefined && item.back < item.quantity ? `${item.quantity - item.back} used` : 'used'}
      </button>
    </div>
  )
})

/** What was used, by name, and onto the supply run. */
function Used({ event, load }: { event: string; load: Load }) {
  const { send, busy } = useSend()
  const went = load.items.filter((i) => i.by)
  const counted = went.filter((i) => i.back !== undefined)
  const used = counted.filter((i) => (i.back ?? 0) < i.quantity)
  return (
    <div className={layout.belowThin} role="group" aria-label="What came back">
      <p className="small">
        {counted.length} of {went.length} things that went are counted.{' '}
        {used.length > 0 && (
          <b>
            Used:{' '}
            {used
              .map((i) => `${i.name}${i.quantity > 1 ? ` × ${i.quantity - (i.back ?? 0)}` : ''}`)
              .join(', ')}
            .
          </b>
        )}
      </p>
      {load.usedListed ? (
        <p className="small quiet strong">What was used is on the supply run.</p>
      ) : (
        used.length > 0 && (
          <Button
            size="compact-md"
            variant="default"
            loading={busy}
            onClick={() =>
              void send(() =>
                dataOf(client.POST('/api/events/{id}/load/used', { params: { path: { id: event } } })),
              )
            }
          >
            Put it on the supply run
          </Button>
        )
      )}
    </div>
  )
}

function Add({ event }: { event: string }) {
  const [box, setBox] = useState('')
  const [kilograms, setKilograms] = useState<number | string>('')
  const line = useLine((name) =>
    dataOf(
      client.POST('/api/events/{id}/load', {
        params: { path: { id: event } },
        body: { name, box, quantity: 1, kilograms: Number(kilograms) || 0 },
      }),
    ),
  )
  return (
    <form onSubmit={line.submit} className={`no-print ${layout.row}`}>
      <TextInput
        size="xs"
        aria-label="Another thing"
        placeholder="spare wing mirror"
        value={line.text}
        error={line.error}
        onChange={(e) => line.setText(e.currentTarget.value)}
      />
      <TextInput
        size="xs"
        aria-label="Its box"
        placeholder="box or shelf"
        value={box}
        onChange={(e) => setBox(e.currentTarget.value)}
      />
      <NumberInput
        size="xs"
        aria-label="Its mass"
        placeholder="kg"
        suffix=" kg"
        min={0}
        hideControls
        w={80}
        value={kilograms}
        onChange={setKilograms}
      />
      <Button type="submit" size="xs" variant="default" loading={line.busy} disabled={!line.text.trim()}>
        Put it on the list
      </Button>
    </form>
  )
}

function Manage({ event, load }: { event: string; load: Load }) {
  const [payload, setPayload] = useState<number | string>(load.payload || '')
  const { send, busy } = useSend()
  const path = { id: event }
  return (
    <div className={`no-print ${layout.row} ${layout.belowThin}`}>
      <Button
        size="xs"
        variant="default"
        loading={busy}
        onClick={() =>
          void send(() => dataOf(client.POST('/api/events/{id}/load/usual', { params: { path } })))
        }
      >
        Put the usual things on it
      </Button>
      <TakeIn<{ added: number }>
        to={`/api/events/${event}/load/import`}
        said={(a) => (a.added ? `${a.added} new` : 'all of these are on it already')}
      />
      <NumberInput
        size="xs"
        aria-label="The trailer takes"
        placeholder="payload"
        suffix=" kg"
        min={0}
        hideControls
        w={100}
        value={payload}
        onChange={setPayload}
        onBlur={() => {
          if (Number(payload) !== load.payload) {
            void send(() =>
              dataOf(
                client.PUT('/api/events/{id}/payload', {
                  params: { path },
                  body: { kilograms: Number(payload) || 0 },
                }),
              ),
            )
          }
        }}
      />
    </div>
  )
}

function Leave({ event }: { event: string }) {
  const [asked, setAsked] = useState<string>()
  const { send, busy } = useSend()
  const leave = (anyway: boolean) =>
    void send(
      () =>
        dataOf(
          client.POST('/api/events/{id}/leave', { params: { path: { id: event } }, body: { anyway } }),
        ).then(() => setAsked(undefined)),
      (problem) => {
        setAsked(problem.problems[0]?.message ?? problem.message)
        return true
      },
    )
  return (
    <div className={`no-print ${layout.below}`}>
      {asked && (
        <p className="hot strong" role="alert">
          {asked}
        </p>
      )}
      <Button loading={busy} onClick={() => leave(asked !== undefined)} color={asked ? 'hot' : undefined}>
        {asked ? 'Leave without' : 'The trailer leaves'}
      </Button>
    </div>
  )
}
