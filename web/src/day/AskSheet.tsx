import { Button, Modal, Textarea } from '@mantine/core'
import { useState } from 'react'
import { useBoard, type Work } from '../api/board'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'

/** A question to whoever leads, at a job. */
export function AskSheet({ work, onClose }: { work: Work; onClose: () => void }) {
  const { car } = useBoard()
  const { send, busy } = useSend()
  const [question, setQuestion] = useState('')
  const [error, setError] = useState<string>()
  const ask = async () => {
    const done = await send(
      () =>
        dataOf(client.POST('/api/works/{id}/ask', { params: { path: { id: work.id } }, body: { question } })),
      (problem) => {
        setError(problem.message)
        return true
      },
    )
    if (done) onClose()
  }
  return (
    <Modal
      opened
      onClose={onClose}
      title={`${car.get(work.buildId)?.number ?? ''} ${work.name}: ask the lead`}
      fullScreen
    >
      <Textarea
        size="lg"
        label="What do you want to know?"
        autosize
        minRows={2}
        data-autofocus
        value={question}
        error={error}
        onChange={(e) => {
          setQuestion(e.currentTarget.value)
          setError(undefined)
        }}
      />
      <Button size="xl" fullWidth mt="md" loading={busy} onClick={() => void ask()}>
        Ask
      </Button>
    </Modal>
  )
}
