import { Button } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { whileSame } from '../api/beside'
import { useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { useOdds } from '../api/thinking'
import { Effects } from '../domain/Effects'
import { OddsMark } from '../domain/OddsMark'
import { when } from '../format/time'
import layout from '../ui/layout.module.css'
import css from './desk.module.css'

/** How likely it is in time; nothing until that is reckoned. */
const InTime = ({ chance }: { chance?: number }) =>
  chance === undefined ? <span /> : <OddsMark chance={chance} />

/** The times that the vendor offers, against when it can truly leave; booked with one press. */
export function Slots({ id }: { id: string }) {
  const { board, commitment, car, looked } = useBoard()
  const { send, busy } = useSend()
  const query = useQuery({
    queryKey: ['slots', id, looked],
    queryFn: () => dataOf(client.GET('/api/outworks/{id}/slots', { params: { path: { id } } })),
    placeholderData: whileSame(id),
  })
  const slots = query.data
  const departure = useOdds().view?.departures.find((d) => d.workId === id)
  if (!slots || (slots.offered.length === 0 && !slots.booked)) return null
  const noteOf = (slot: string) => board.vendors.flatMap((v) => v.times).find((t) => t.id === slot)?.note
  const book = (slotId?: string) =>
    send(() => dataOf(client.POST('/api/outworks/{id}/slot', { params: { path: { id } }, body: { slotId } })))
  const nameOf = (e: Schemas['DateEffect']) => {
    const date = commitment.get(e.commitment)
    return `${car.get(date?.buildId ?? '')?.name ?? ''}, ${date?.name ?? ''}`
  }
  return (
    <section aria-label="Times offered">
      <h3 className={layout.heading}>Times offered</h3>
      <p className={`small ${layout.lead}`}>
        {departure?.p50 && departure.p80 ? (
          <>
            It can leave by <b>{when(departure.p50, board.now, board.zone)}</b> in half of the trials, by{' '}
            <b>{when(departure.p80, board.now, board.zone)}</b> in four of five.
          </>
        ) : (
          <span className="soft">When it can truly leave is being worked out.</span>
        )}
      </p>
      {slots.booked && (
        <div className="slot">
          <span>
            <b>Booked: {when(slots.booked, board.now, board.zone)}</b>
          </span>
          <InTime chance={departure?.bookedFrom === slots.booked ? departure?.booked : undefined} />
          <Button size="compact-xs" variant="default" loading={busy} onClick={() => void book()}>
            Give it back
          </Button>
        </div>
      )}
      {slots.offered.map((s) => (
        <div key={s.id} className={css.offer}>
          <div className="slot">
            <span>
              {when(s.from, board.now, board.zone)}
              {noteOf(s.id) && <span className="soft">, {noteOf(s.id)}</span>}
              {s.missed === true && <b className="hot"> it misses this by the plan</b>}
            </span>
            <InTime chance={departure?.offered.find((o) => o.slotId === s.id)?.chance} />
            <Button size="compact-xs" loading={busy} onClick={() => void book(s.id)}>
              Book it
            </Button>
          </div>
          <WhatItDoes work={id} slot={s} nameOf={nameOf} />
        </div>
      ))}
    </section>
  )
}

interface WhatItDoesProps {
  work: string
  slot: Schemas['SlotView']
  nameOf: (e: Schemas['DateEffect']) => string
}

/** What booking a time does to the dates: told at once of the times around when it can leave, of the others when asked. */
function WhatItDoes({ work, slot, nameOf }: WhatItDoesProps) {
  const { board, looked } = useBoard()
  const [asked, setAsked] = useState(false)
  const query = useQuery({
    queryKey: ['slot', work, slot.id, looked],
    queryFn: () =>
      dataOf(
        client.GET('/api/outworks/{id}/slots/{slot}', { params: { path: { id: work, slot: slot.id } } }),
      ),
    enabled: asked && !slot.effect,
  })
  const known = slot.effect ? slot : query.data
  if (known?.effect)
    return (
      <>
        {!slot.effect && known.missed && <b className="hot small">it misses this by the plan</b>}
        <Effects effects={known.effect} nameOf={nameOf} zone={board.zone} />
      </>
    )
  return (
    <button type="button" className="link small" disabled={query.isFetching} onClick={() => setAsked(true)}>
      {query.isFetching ? 'being worked out…' : 'What would it do?'}
    </button>
  )
}
