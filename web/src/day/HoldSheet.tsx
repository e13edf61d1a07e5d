import { Button, Group, Modal, TextInput } from '@mantine/core'
import { useState } from 'react'
import { type Tag, useBoard, type Work } from '../api/board'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import { word } from '../format/words'
import { AddPhoto } from './AddPhoto'
import layout from '../ui/layout.module.css'
import css from './day.module.css'

const REASONS: Tag[] = ['PART', 'HANDS', 'STATION', 'DECIDE', 'AFTER', 'SAFETY']
const SAID: Record<string, string> = {
  PART: 'a part is missing or wrong',
  HANDS: 'needs a second hand',
  STATION: 'no place for the car',
  DECIDE: 'somebody must decide',
  AFTER: 'other work comes first',
  SAFETY: 'not safe as it is',
}

/** Why it cannot go on: one tap for the reason, a word for what. A part that it waits for goes on the Desk's list. */
export function HoldSheet({ work, onClose }: { work: Work; onClose: () => void }) {
  const { car, part } = useBoard()
  const [reason, setReason] = useState<Tag>()
  const [note, setNote] = useState('')
  const [error, setError] = useState<string>()
  const { send, busy } = useSend()
  const missing = (work.job?.parts ?? []).flatMap((id) => part.get(id) ?? [])
  const hold = async (tag: Tag, partId?: string) => {
    setReason(tag)
    const said = note.trim() || (partId && part.get(partId)?.name) || (tag === 'PART' ? '' : SAID[tag])
    if (!said) {
      setError('Which part? A word will do.')
      return
    }
    const done = await send(
      async () => {
        await dataOf(
          client.POST('/api/works/{id}/hold', {
            params: { path: { id: work.id } },
            body: { reason: tag, note: said, partId },
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
    <Modal
      opened
      onClose={onClose}
      title={`${car.get(work.buildId)?.number ?? ''} Held: ${work.name}`}
      fullScreen
    >
      <TextInput
        label="What exactly? (a word will do)"
        placeholder="left gasket"
        size="lg"
        value={note}
        error={error}
        onChange={(e) => {
          setNote(e.currentTarget.value)
          setError(undefined)
        }}
      />
      {missing.length > 0 && (
        <Group gap={8} mt="sm" role="group" aria-label="Parts of this job">
          {missing.map((p) => (
            <Button key={p.id} size="md" variant="default" onClick={() => void hold('PART', p.id)}>
              {p.name}: {word(p.state)}
            </Button>
          ))}
        </Group>
      )}
      <div className={layout.wideColumn}>
        {REASONS.map((tag) => (
          <Button
            key={tag}
            size="xl"
            variant={reason === tag ? 'filled' : 'default'}
            loading={busy && reason === tag}
            justify="space-between"
            rightSection={<span className={css.aside}>{SAID[tag]}</span>}
            onClick={() => void hold(tag)}
          >
            {tag}
          </Button>
        ))}
      </div>
      <AddPhoto car={work.buildId} />
    </Modal>
  )
}
