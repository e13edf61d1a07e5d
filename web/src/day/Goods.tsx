import { Button, Checkbox } from '@mantine/core'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { type Arrival, useArrivals, useSupplies } from '../api/desk'
import { useSend } from '../api/send'
import { Inspect } from '../domain/Inspect'
import { Section } from './Section'

/** What came and waits to be looked over, and what the supply run brings. */
export function Goods() {
  const { car } = useBoard()
  const arrivals = useArrivals()
  const supplies = useSupplies()
  const { send } = useSend()
  const [open, setOpen] = useState<Arrival>()
  return (
    <>
      {arrivals.length > 0 && (
        <Section title="Arrivals">
          {arrivals.map((a) => (
            <Button
              key={a.id}
              fullWidth
              size="lg"
              variant="default"
              justify="space-between"
              mb={8}
              rightSection={<span className="soft">{car.get(a.buildId)?.name}</span>}
              onClick={() => setOpen(a)}
            >
              {a.name}
            </Button>
          ))}
        </Section>
      )}
      {supplies.length > 0 && (
        <Section title="Supply run">
          {supplies.map((s) => (
            <Checkbox
              key={s.id}
              size="lg"
              mb={10}
              checked={s.boughtAt !== undefined}
              label={`${s.name}${s.quantity && `, ${s.quantity}`}`}
              description={s.boughtFrom}
              onChange={() =>
                void send(() =>
                  dataOf(
                    client.POST('/api/supplies/{id}/bought', {
                      params: { path: { id: s.id } },
                      body: { bought: !s.boughtAt },
                    }),
                  ),
                )
              }
            />
          ))}
        </Section>
      )}
      {open && <Inspect arrival={open} onClose={() => setOpen(undefined)} />}
    </>
  )
}
