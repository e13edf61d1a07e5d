import { Group, NumberInput, Select } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { whileSame } from '../api/beside'
import { useBoard, type Work } from '../api/board'
import { client, dataOf } from '../api/client'
import { useDesk } from '../api/desk'
import { useSend } from '../api/send'

/** What a job puts on the shelf once it is done. */
export function Yield({ work, changes }: { work: Work; changes: boolean }) {
  const { looked } = useBoard()
  const desk = useDesk()
  const { send, busy } = useSend()
  const [error, setError] = useState<string>()
  const path = { path: { id: work.id } }
  const kept = useQuery({
    queryKey: ['yield', work.id, looked],
    queryFn: () => dataOf(client.GET('/api/works/{id}/yield', { params: path })),
    placeholderData: whileSame(work.id),
  }).data
  if (!kept || !desk.data) return null
  const say = (shelfId: string | undefined, quantity: number) => {
    setError(undefined)
    void send(
      () => dataOf(client.PUT('/api/works/{id}/yield', { params: path, body: { shelfId, quantity } })),
      (problem) => {
        setError(problem.message)
        return true
      },
    )
  }
  return (
    <Group mt={8} align="start" grow>
      <Select
        label="Puts on the shelf"
        clearable
        placeholder="nothing"
        disabled={!changes || busy}
        data={desk.data.shelf.map((s) => ({ value: s.id, label: s.name }))}
        value={kept.shelfId ?? null}
        error={error}
        onChange={(v) => say(v ?? undefined, kept.quantity || 1)}
      />
      {kept.shelfId && (
        <NumberInput
          label="How many"
          key={kept.quantity}
          min={1}
          max={10000}
          allowDecimal={false}
          disabled={!changes || busy}
          defaultValue={kept.quantity}
          onBlur={(e) => {
            const said = Number(e.currentTarget.value)
            if (said && said !== kept.quantity) say(kept.shelfId ?? undefined, said)
          }}
        />
      )}
    </Group>
  )
}
