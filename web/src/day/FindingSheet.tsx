import { Button, Modal, Textarea } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import css from './day.module.css'

/** What a hand found: on which car, in its words. */
export function FindingSheet({ suggested, onClose }: { suggested?: string; onClose: () => void }) {
  const { board } = useBoard()
  const [build, setBuild] = useState(suggested)
  const [text, setText] = useState('')
  const [error, setError] = useState<string>()
  const { send, busy } = useSend()
  const note = async () => {
    if (!build) {
      setError('On which car?')
      return
    }
    const as = await send(
      () =>
        dataOf(
          client.POST('/api/builds/{id}/capture', {
            params: { path: { id: build } },
            body: { text: `finding: ${text}` },
          }),
        ),
      (problem) => {
        setError(problem.message)
        return true
      },
    )
    if (as) {
      notifications.show({ title: 'Taken down', message: as.said, color: 'quiet' })
      onClose()
    }
  }
  return (
    <Modal opened onClose={onClose} title="What did you find?" fullScreen>
      <div className={css.zones} role="group" aria-label="Car">
        {board.cars.map((c) => (
          <Button
            key={c.id}
            size="md"
            px={4}
            variant={build === c.id ? 'filled' : 'default'}
            onClick={() => setBuild(c.id)}
          >
            {c.number || c.name.split(' ')[0]}
          </Button>
        ))}
      </div>
      <Textarea
        mt="md"
        size="lg"
        label="Finding"
        placeholder="weeping union rear left, underside, 30m"
        autosize
        minRows={3}
        value={text}
        error={error}
        onChange={(e) => {
          setText(e.currentTarget.value)
          setError(undefined)
        }}
      />
      <Button size="xl" fullWidth mt="md" loading={busy} onClick={() => void note()}>
        Write it down
      </Button>
    </Modal>
  )
}
