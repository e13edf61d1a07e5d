import { Button, Modal, TextInput } from '@mantine/core'
import { useState } from 'react'
import { type Tag, type Work } from '../api/board'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
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

/** Why it cannot go on: one tap for the reason, a word for what. */
export function HoldSheet({ work, onClose }: { work: Work; onClose: () => void }) {
  const [reason, setReason] = useState<Tag>()
  const [note, setNote] = useState('')
  const [error, setError] = useState<string>()
  const { send, busy } = useSend()
  const hold = async (tag: Tag) => {
    const done = await send(
      async () => {
        await dataOf(
          client.POST('/api/works/{id}/hold', {
            params: { path: { id: work.id } },
            body: { reason: tag, note: note || SAID[tag] || '' },
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
    <Modal opened onClose={onClose} title={`Held: ${work.name}`} fullScreen>
      <TextInput
        label="What exactly? (a word will do)"
        placeholder="left gasket"
        size="lg"
        value={note}
        error={error}
        onChange={(e) => setNote(e.currentTarget.value)}
      />
      <div className={layout.wideColumn}>
        {REASONS.map((tag) => (
          <Button
            key={tag}
            size="xl"
            variant={reason === tag ? 'filled' : 'default'}
            loading={busy && reason === tag}
            justify="space-between"
            rightSection={<span className={css.aside}>{SAID[tag]}</span>}
            onClick={() => {
              setReason(tag)
              void hold(tag)
            }}
          >
            {tag}
          </Button>
        ))}
      </div>
    </Modal>
  )
}
