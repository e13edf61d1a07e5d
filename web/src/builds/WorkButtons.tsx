import { Button, Group } from '@mantine/core'
import type { Work } from '../api/board'
import { client, done } from '../api/client'
import { useSend } from '../api/send'

interface Props {
  /** Absent while it is being made. */
  work?: Work
  busy: boolean
  saves?: string
  onClose: () => void
}

/** The end of every drawer of work: saved, or taken off the list. */
export function WorkButtons({ work, busy, saves = 'Save', onClose }: Props) {
  const { send, busy: removing } = useSend()
  const remove = (id: string) =>
    send(() => done(client.DELETE('/api/works/{id}', { params: { path: { id } } }))).then(
      (gone) => gone && onClose(),
    )
  return (
    <Group mt={14} gap={8}>
      <Button type="submit" loading={busy}>
        {saves}
      </Button>
      {work && (
        <Button variant="default" loading={removing} onClick={() => void remove(work.id)}>
          Remove
        </Button>
      )}
    </Group>
  )
}
