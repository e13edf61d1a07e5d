import { Button, Group, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { Work } from '../api/board'
import { client, dataOf, type ProblemError } from '../api/client'
import { useSend } from '../api/send'
import { DurationField } from '../ui/DurationField'
import { MoreTime } from '../domain/MoreTime'
import layout from '../ui/layout.module.css'

/** What can be said of work that is finished: it is not, after all; or it must be done once more, and why. */
export function FinishedJob({ work, changes }: { work: Work; changes: boolean }) {
  const { send, busy } = useSend()
  const [again, setAgain] = useState(false)
  const [why, setWhy] = useState('')
  const [minutes, setMinutes] = useState(work.job?.likelyMinutes)
  const [problem, setProblem] = useState<ProblemError>()
  const at = (field: string) => problem?.problems.find((p) => p.field === field)?.message
  const redo = async () => {
    const done = await send(
      () =>
        dataOf(
          client.POST('/api/works/{id}/again', { params: { path: { id: work.id } }, body: { why, minutes } }),
        ),
      (p) => {
        setProblem(p)
        return p.problems.length > 0
      },
    )
    if (done) setAgain(false)
  }
  return (
    <div className={layout.belowTight}>
      <span className="small soft">Not finished after all? It opens again with what it still takes.</span>
      <MoreTime work={work.id} />
      {changes && !again && (
        <Button size="compact-sm" variant="default" mt={8} onClick={() => setAgain(true)}>
          Do it again as rework
        </Button>
      )}
      {again && (
        <form
          className={`panel ${layout.belowTight}`}
          onSubmit={(e) => {
            e.preventDefault()
            void redo()
          }}
        >
          <TextInput
            label="Why"
            placeholder="came back 2 mm short"
            data-autofocus
            value={why}
            error={at('why')}
            onChange={(e) => setWhy(e.currentTarget.value)}
          />
          <DurationField
            label="Takes this time"
            mt={6}
            value={minutes}
            error={at('minutes')}
            onChange={setMinutes}
          />
          <Group mt={8} gap={8}>
            <Button size="compact-sm" type="submit" loading={busy}>
              One more round
            </Button>
            <Button size="compact-sm" variant="default" onClick={() => setAgain(false)}>
              Never mind
            </Button>
          </Group>
        </form>
      )}
    </div>
  )
}
