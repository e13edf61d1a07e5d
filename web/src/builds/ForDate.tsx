import { Select } from '@mantine/core'
import { useState } from 'react'
import { useBoard, type Work } from '../api/board'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import { day } from '../format/time'

const NEXT = 'next'
const AFTER = 'after'
/** Before the id of a date at which the work is done, while the car is away for it. */
const THERE = 'there '

/** Which date of its car a job is for; kept as soon as it is picked. */
export function ForDate({ work, changes }: { work: Work; changes: boolean }) {
  const { board, car, commitment } = useBoard()
  const { send, busy } = useSend()
  const [error, setError] = useState<string>()
  const dates = board.commitments.filter((c) => c.buildId === work.buildId && !c.slotOf)
  if (dates.length === 0) return null
  const round = car.get(work.buildId)?.rounds.find((r) => r.id === work.roundId)
  const ofRound = commitment.get(round?.dateId ?? '')
  const say = async (to: string | null) => {
    const there = to?.startsWith(THERE) ? to.slice(THERE.length) : undefined
    const picked = to === NEXT || to === AFTER || there || !to ? undefined : to
    setError(undefined)
    await send(
      () =>
        dataOf(
          client.PUT('/api/works/{id}/date', {
            params: { path: { id: work.id } },
            body: { dateId: picked, afterDates: to === AFTER, thereId: there },
          }),
        ),
      (problem) => {
        setError(problem.message)
        return true
      },
    )
  }
  return (
    <Select
      label="For which date"
      mt={8}
      allowDeselect={false}
      disabled={!changes || busy}
      error={error}
      data={[
        { value: NEXT, label: ofRound ? `that of its round: ${ofRound.name}` : 'the next one that needs it' },
        ...dates.map((c) => ({ value: c.id, label: `${c.name}, ${day(c.due, board.zone)}` })),
        { value: AFTER, label: 'after all of them' },
        ...(work.kind === 'JOB' ? dates.filter((c) => c.outing) : []).map((c) => ({
          value: THERE + c.id,
          label: `done there, at ${c.name}`,
        })),
      ]}
      value={work.thereId ? THERE + work.thereId : work.afterDates ? AFTER : (work.dateId ?? NEXT)}
      onChange={(v) => void say(v)}
    />
  )
}
