import { Button, Group, TextInput } from '@mantine/core'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { type Arrival, useArrivals, useSupplies } from '../api/desk'
import { useSend } from '../api/send'
import { Bought } from '../domain/Bought'
import { Inspect } from '../domain/Inspect'
import layout from '../ui/layout.module.css'
import { Section } from './Section'

/** What came and waits to be looked over, and what the supply run brings. */
export function Goods() {
  const { car } = useBoard()
  const arrivals = useArrivals()
  const supplies = useSupplies()
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
      <Section title="Supply run">
        {supplies.map((s) => (
          <Bought key={s.id} supply={s} size="lg" where gap={10} />
        ))}
        <RunningOut />
      </Section>
      {open && <Inspect arrival={open} onClose={() => setOpen(undefined)} />}
    </>
  )
}

/** Something is running out: a word is enough, the desk knows where it is bought. */
function RunningOut() {
  const { send, busy } = useSend()
  const [name, setName] = useState('')
  const ask = async () => {
    const done = await send(() =>
      dataOf(client.POST('/api/supplies', { body: { name, quantity: '', boughtFrom: '' } })),
    )
    if (done) setName('')
  }
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault()
        void ask()
      }}
    >
      <Group gap={8} wrap="nowrap">
        <TextInput
          size="lg"
          aria-label="What is running out"
          placeholder="what is running out?"
          value={name}
          className={layout.stretch}
          onChange={(e) => setName(e.currentTarget.value)}
        />
        <Button size="lg" type="submit" variant="default" loading={busy} disabled={!name.trim()}>
          Add
        </Button>
      </Group>
    </form>
  )
}
