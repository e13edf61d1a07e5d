import { Button, Checkbox, Group, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { Work } from '../api/board'
import { client, dataOf, type ProblemError } from '../api/client'
import { useSend } from '../api/send'
import { DurationField } from '../ui/DurationField'
import layout from '../ui/layout.module.css'

/** Takes a part of a job out as one of its own: for somebody else, or for an hour of a second pair of hands. */
export function SplitJob({ work, onClose }: { work: Work; onClose: () => void }) {
  const { send, busy } = useSend()
  const [name, setName] = useState(`${work.name}, second part`)
  const [minutes, setMinutes] = useState<number | undefined>(Math.round((work.job?.likelyMinutes ?? 120) / 2))
  const [secondHand, setSecondHand] = useState(false)
  const [problem, setProblem] = useState<ProblemError>()
  const at = (field: string) => problem?.problems.find((p) => p.field === field)?.message
  const split = async () => {
    const done = await send(
      () =>
        dataOf(
          client.POST('/api/works/{id}/split', {
            params: { path: { id: work.id } },
            body: { name, minutes: minutes ?? 0, secondHand },
          }),
        ),
      (p) => {
        setProblem(p)
        return p.problems.length > 0
      },
    )
    if (done) onClose()
  }
  return (
    <form
      className={`panel ${layout.belowTight}`}
      onSubmit={(e) => {
        e.preventDefault()
        void split()
      }}
    >
      <TextInput
        label="That part of it"
        value={name}
        error={at('name')}
        onChange={(e) => setName(e.currentTarget.value)}
      />
      <DurationField label="Takes" mt={6} value={minutes} error={at('minutes')} onChange={setMinutes} />
      <Checkbox
        mt={8}
        label="with a second pair of hands, and first"
        checked={secondHand}
        onChange={(e) => setSecondHand(e.currentTarget.checked)}
      />
      <Group mt={8} gap={8}>
        <Button size="compact-sm" type="submit" loading={busy}>
          Split it
        </Button>
        <Button size="compact-sm" variant="default" onClick={onClose}>
          Never mind
        </Button>
      </Group>
    </form>
  )
}
