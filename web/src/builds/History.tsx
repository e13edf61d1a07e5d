import { Button, Drawer, TextInput } from '@mantine/core'
import { useDebouncedValue } from '@mantine/hooks'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import { hours } from '../format/money'
import { day } from '../format/time'
import layout from '../ui/layout.module.css'

interface Props {
  manager: boolean
  onTakenOut: (build: string) => void
  onClose: () => void
}

/** Finished builds that are put away: found again, and taken out for what comes next. */
export function History({ manager, onTakenOut, onClose }: Props) {
  const { board, looked } = useBoard()
  const { send, busy } = useSend()
  const [find, setFind] = useState('')
  const [text] = useDebouncedValue(find, 200)
  const found = useQuery({
    queryKey: ['history', text, looked],
    queryFn: () => dataOf(client.GET('/api/history', { params: { query: { text } } })),
    placeholderData: (before) => before,
  })
  const takeOut = async (id: string) => {
    const done = await send(async () => {
      await dataOf(client.POST('/api/builds/{id}/take-out', { params: { path: { id } } }))
      return true
    })
    if (done) onTakenOut(id)
  }
  return (
    <Drawer opened onClose={onClose} position="right" size={520} title="Finished and put away">
      <TextInput
        aria-label="Find a finished build"
        placeholder="number, name or customer"
        data-autofocus
        value={find}
        onChange={(e) => setFind(e.currentTarget.value)}
      />
      {found.data?.length === 0 && (
        <p className="soft">
          {text
            ? 'No finished build has that in it.'
            : 'Nothing yet. A build goes here two weeks after its last job and date.'}
        </p>
      )}
      {found.data?.map((b) => (
        <div key={b.id} className={layout.ruled}>
          <b>{b.number}</b> {b.name}{' '}
          <span className="soft">{[b.customer, b.discipline].filter(Boolean).join(' · ')}</span>
          <div className={layout.spread}>
            <span className="small soft">
              {b.jobs} jobs, {hours(b.minutes / 60)}
              {b.finishedAt && `, finished ${day(b.finishedAt, board.zone)}`}
            </span>
            {manager && (
              <Button size="compact-xs" variant="default" loading={busy} onClick={() => void takeOut(b.id)}>
                Take out again
              </Button>
            )}
          </div>
        </div>
      ))}
    </Drawer>
  )
}
