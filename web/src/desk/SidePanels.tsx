import { Button, TextInput } from '@mantine/core'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { type Arrival, useArrivals } from '../api/desk'
import { useSend } from '../api/send'
import { ErrandForm } from './ErrandForm'
import { Bought } from '../domain/Bought'
import { Inspect } from '../domain/Inspect'
import { word } from '../format/words'
import layout from '../ui/layout.module.css'
import css from './desk.module.css'

/** What has come and waits to be looked over, and what should come today. */
export function Arrivals() {
  const { car } = useBoard()
  const arrivals = useArrivals()
  const [open, setOpen] = useState<Arrival>()
  return (
    <section className="panel" aria-label="Arrivals">
      <h2>Arrivals</h2>
      {arrivals.length === 0 && <span className="soft small">Nothing has come, nothing is due today.</span>}
      {arrivals.map((a) => (
        <div key={a.id} className={`small ${layout.ruled}`}>
          <b>{a.name}</b> <span className="soft">{car.get(a.buildId)?.name}</span>
          <div className={layout.spread}>
            <span className="soft">{a.state === 'ARRIVED' ? 'is here' : 'due today'}</span>
            <Button size="compact-xs" variant="default" onClick={() => setOpen(a)}>
              Inspect
            </Button>
          </div>
        </div>
      ))}
      {open && <Inspect arrival={open} onClose={() => setOpen(undefined)} />}
    </section>
  )
}

/** Consumables, by where they are bought; ticked off as they are. */
export function SupplyRun({ supplies }: { supplies: Schemas['SupplyResponse'][] }) {
  const { send, busy } = useSend()
  const [name, setName] = useState('')
  const [from, setFrom] = useState('')
  const [going, setGoing] = useState(false)
  const open = supplies.filter((s) => !s.boughtAt)
  const shops = [...new Set(supplies.map((s) => s.boughtFrom))]
  const ask = async () => {
    const done = await send(() =>
      dataOf(
        client.POST('/api/supplies', { body: { name, quantity: '', boughtFrom: from || (shops[0] ?? '') } }),
      ),
    )
    if (done) setName('')
  }
  return (
    <section className="panel" aria-label="Supply run">
      <h2>
        Supply run
        <Button
          size="compact-xs"
          variant="default"

          className={`no-print ${layout.aside}`}
          onClick={() => window.print()}
        >
          Print
        </Button>
        {open.length > 0 && (
          <Button
            size="compact-xs"
            variant="default"
            className="no-print"
            ml={6}
            onClick={() => setGoing(true)}
          >
            Send somebody
          </Button>
        )}
      </h2>
      {going && (
        <ErrandForm
          start={{
            what: `Supply run, ${open.length} ${open.length === 1 ? 'thing' : 'things'}`,
            place: [...new Set(open.map((s) => s.boughtFrom).filter(Boolean))].join(', '),
          }}
          onClose={() => setGoing(false)}
        />
      )}
      {shops.map((shop) => (
        <div key={shop} className={`small ${css.item}`}>
          <div className="soft">{shop || 'anywhere'}</div>
          {supplies
            .filter((s) => s.boughtFrom === shop)
            .map((s) => (
              <Bought key={s.id} supply={s} size="sm" gap={7} />
            ))}
        </div>
      ))}
      <form
        className={`no-print ${css.supply}`}

        onSubmit={(e) => {
          e.preventDefault()
          void ask()
        }}
      >
        <TextInput
          size="xs"
          aria-label="What to buy"
          placeholder="M6 rivet nuts, 50"
          value={name}
          onChange={(e) => setName(e.currentTarget.value)}
        />
        <TextInput
          size="xs"
          aria-label="Where to buy it"
          placeholder={shops[0] || 'where'}
          value={from}
          onChange={(e) => setFrom(e.currentTarget.value)}
        />
        <Button size="xs" type="submit" variant="default" loading={busy} disabled={!name.trim()}>
          Add
        </Button>
      </form>
    </section>
  )
}

/** Lists that must be complete before a job may start. */
export function Kits({ kits }: { kits: Schemas['KitView'][] }) {
  const { car } = useBoard()
  if (kits.length === 0) return null
  return (
    <section className="panel" aria-label="Kits">
      <h2>Kits</h2>
      {kits.map((k) => (
        <div key={k.buildId + k.kit} className="small">
          {k.kit}, {car.get(k.buildId)?.name}:{' '}
          <span className={k.here < k.all ? 'strong' : 'quiet'}>
            {k.here} of {k.all} here
          </span>
        </div>
      ))}
    </section>
  )
}

/** All that works but must be made good, with the gate before which. */
export function FittedForNow() {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const open = board.cars.flatMap((c) => c.forNow.map((f) => ({ ...f, car: c })))
  if (open.length === 0) return null
  return (
    <section className="panel" aria-label="Fitted for now">
      <h2>Fitted for now</h2>
      {open.map((f) => (
        <div key={f.id} className={`small ${layout.ruledTight}`}>
          <b>{f.car.number || f.car.name}</b> {f.what}
          {f.reason && <div className="soft">{f.reason}</div>}
          <div className={layout.spread}>
            <span className="soft">made good before {word(f.gate)}</span>
            <Button
              size="compact-xs"
              variant="default"
              loading={busy}
              onClick={() =>
                void send(() =>
                  dataOf(
                    client.POST('/api/fitted-for-now/{id}/made-good', { params: { path: { id: f.id } } }),
                  ),
                )
              }
            >
              Made good
            </Button>
          </div>
        </div>
      ))}
    </section>
  )
}
