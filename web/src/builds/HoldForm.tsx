import { Button, Group, Select, TextInput } from '@mantine/core'
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
  const { board } = useBoard()
  const { send, busy } = useSend()
  const [reason, setReason] = useState<Tag>('PART')
  const [note, setNote] = useState('')
  const [until, setUntil] = useState('')
  const [error, setError] = useState<string>()
  const hold = async () => {
    const done = await send(
      async () => {
        await dataOf(
          client.POST('/api/works/{id}/hold', {
            params: { path: { id: work.id } },
            body: { reason, note, until: until ? instantOf(until, board.zone) : undefined },
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
      <TextInput
        label="What exactly"
        mt={6}
        value={note}
        error={error}
        onChange={(e) => setNote(e.currentTarget.value)}
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
