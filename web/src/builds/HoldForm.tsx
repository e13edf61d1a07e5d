import { Autocomplete, Button, Group, Select } from '@mantine/core'
import { useState } from 'react'
import { type Tag, useBoard, type Work } from '../api/board'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import { instantOf } from '../format/time'
import { MomentField } from '../ui/MomentField'
import layout from '../ui/layout.module.css'

const TAGS: Tag[] = ['PART', 'OUT', 'HANDS', 'STATION', 'ZONE', 'CURE', 'DECIDE', 'AFTER', 'SAFETY']

/** Says that a job cannot go on, why, and when it is expected to be free. */
export function HoldForm({ work, onClose }: { work: Work; onClose: () => void }) {
  const { board, part } = useBoard()
  const { send, busy } = useSend()
  const [reason, setReason] = useState<Tag>('PART')
  const [note, setNote] = useState('')
  const [until, setUntil] = useState('')
  const [error, setError] = useState<string>()
  const parts = (work.job?.parts ?? []).flatMap((id) => part.get(id) ?? [])
  const hold = async () => {
    const done = await send(
      async () => {
        await dataOf(
          client.POST('/api/works/{id}/hold', {
            params: { path: { id: work.id } },
            body: {
              reason,
              note,
              until: until ? instantOf(until, board.zone) : undefined,
              partId: reason === 'PART' ? parts.find((p) => p.name === note)?.id : undefined,
            },
          }),
        )
        return true
      },
      (problem) => {
        setError(problem.message)
        return true
      },
    )
    if (done) onClose()
  }
  return (
    <form
      className={`panel ${layout.belowTight}`}
      onSubmit={(e) => {
        e.preventDefault()
        void hold()
      }}
    >
      <Group grow align="start">
        <Select
          label="Held by"
          data={TAGS}
          value={reason}
          allowDeselect={false}
          onChange={(v) => setReason((v ?? 'PART') as Tag)}
        />
        <MomentField label="Free again about" value={until} onChange={setUntil} />
      </Group>
      <Autocomplete
        label="What exactly"
        description={
          reason === 'PART' ? 'a part that is on no list yet becomes a line on the Desk' : undefined
        }
        mt={6}
        data-autofocus
        data={reason === 'PART' ? parts.map((p) => p.name) : []}
        value={note}
        error={error}
        onChange={setNote}
      />
      <Group mt={8} gap={8}>
        <Button size="compact-sm" type="submit" loading={busy}>
          Hold it
        </Button>
        <Button size="compact-sm" variant="default" onClick={onClose}>
          Never mind
        </Button>
      </Group>
    </form>
  )
}
