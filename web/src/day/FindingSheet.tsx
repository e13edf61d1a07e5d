import { Button, Modal, Textarea } from '@mantine/core'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import { useUnderstood } from '../api/understood'
import { SaidBack } from '../domain/SaidBack'
import { AddPhoto } from './AddPhoto'
import css from './day.module.css'

/** What a hand found: on which car, in its words. */
export function FindingSheet({ suggested, onClose }: { suggested?: string; onClose: () => void }) {
  const { board } = useBoard()
  const [build, setBuild] = useState(suggested)
  const [text, setText] = useState('')
  const [chosen, setChosen] = useState<string[]>([])
  const [error, setError] = useState<string>()
  const { send, busy } = useSend()
  const understood = useUnderstood(build, text, chosen)
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
            body: { text, chosen },
          }),
        ),
      (problem) => {
        setError(problem.message)
        return true
      },
    )
    if (as) onClose()
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
        label="In your words"
        placeholder="weeping union, rear, 30 min"
        autosize
        minRows={2}
        value={text}
        error={error}
        onChange={(e) => {
          setText(e.currentTarget.value)
          setChosen([])
          setError(undefined)
        }}
      />
      {understood && !error && (
        <SaidBack understood={understood} onChoose={(id) => setChosen([...chosen, id])} />
      )}
      <Button size="xl" fullWidth mt="md" loading={busy} onClick={() => void note()}>
        Write it down
      </Button>
      {build && <AddPhoto car={build} />}
    </Modal>
  )
}
