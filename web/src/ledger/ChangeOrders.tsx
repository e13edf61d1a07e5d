import { Button, Group, TextInput } from '@mantine/core'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { Effects } from '../domain/Effects'
import { amount, hours } from '../format/money'
import { when } from '../format/time'
import layout from '../ui/layout.module.css'
import css from './ledger.module.css'

type Order = Schemas['ChangeOrderView']

/** Changes that were offered, and what came of them. */
export function ChangeOrders({ changes, currency }: { changes: Order[]; currency: string }) {
  const { board, car, commitment } = useBoard()
  if (changes.length === 0)
    return (
      <span className="soft small">
        None. A change is priced, with what it does to every date, before anybody says yes.
      </span>
    )
  const nameOf = (e: Schemas['DateEffect']) => {
    const c = commitment.get(e.commitment)
    return c ? `${car.get(c.buildId)?.number || car.get(c.buildId)?.name} ${c.name}` : 'a date that is gone'
  }
  return (
    <>
      {changes.map((o) => (
        <article key={o.id} className={css.order}>
          <div className={layout.spread}>
            <b>{o.title}</b>
            <b>{amount(o.total, currency)}</b>
          </div>
          <div className="small soft">
            {hours(o.hours)} at {o.hourRate}, parts {amount(o.parts)}, outside {amount(o.outwork)} · offered{' '}
            {when(o.madeAt, board.now, board.zone)} by {o.madeBy}
          </div>
          {o.note && <div className="small">{o.note}</div>}
          <Effects effects={o.effect} nameOf={nameOf} zone={board.zone} />
          {o.state === 'OFFERED' ? (
            <Decide id={o.id} />
          ) : (
            <div className={o.state === 'ACCEPTED' ? 'quiet strong small' : 'strong small'}>
              {o.state === 'ACCEPTED' ? 'accepted' : 'refused'} by {o.decidedBy}
              {o.decidedAt && `, ${when(o.decidedAt, board.now, board.zone)}`}
              {o.decidedNote && <span className="soft"> · {o.decidedNote}</span>}
            </div>
          )}
        </article>
      ))}
    </>
  )
}

/** The manager's own entry of what the customer said. */
function Decide({ id }: { id: string }) {
  const { send, busy } = useSend()
  const [note, setNote] = useState('')
  const decide = (accept: boolean) =>
    send(() =>
      dataOf(client.POST('/api/changes/{id}/decision', { params: { path: { id } }, body: { accept, note } })),
    )
  return (
    <Group gap={6} mt={4}>
      <TextInput
        size="xs"
        aria-label="How the customer said so"
        placeholder="said yes on the phone"
        value={note}
        onChange={(e) => setNote(e.currentTarget.value)}
        className={layout.stretch}
      />
      <Button size="xs" loading={busy} disabled={!note.trim()} onClick={() => void decide(true)}>
        Accepted
      </Button>
      <Button
        size="xs"
        loading={busy}
        variant="default"
        disabled={!note.trim()}
        onClick={() => void decide(false)}
      >
        Refused
      </Button>
    </Group>
  )
}
