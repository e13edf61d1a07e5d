import { Button, Loader, Modal, SegmentedControl } from '@mantine/core'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import layout from '../ui/layout.module.css'
import css from './runway.module.css'

/** The draft against what people were told, by person or by car; publish it, or drop what is only about the plan. */
export function WhatMoved({ account, onClose }: { account: Schemas['Account']; onClose: () => void }) {
  const { draft, change } = useBoard().board
  const moved = useQuery({
    queryKey: ['moved', change],
    queryFn: async () => ({ looked: change, ...(await dataOf(client.GET('/api/plan/moved'))) }),
    placeholderData: keepPreviousData,
  })
  const [by, setBy] = useState('person')
  const { send, busy } = useSend()
  const groups = (by === 'person' ? moved.data?.byPerson : moved.data?.byCar) ?? []
  const done = (path: '/api/plan/publish' | '/api/plan/discard') =>
    void send(async () => {
      await dataOf(client.POST(path, { params: { query: { looked: moved.data?.looked ?? change } } }))
      onClose()
    })
  return (
    <Modal opened onClose={onClose} title="What moved since people were told" size="lg">
      {draft.thawed.length > 0 && (
        <div className={`panel ${css.moved}`}>
          <span className="strong hot">Frozen, but it could not stay:</span>
          {draft.thawed.map((line) => (
            <div key={line}>{line}</div>
          ))}
        </div>
      )}
      <SegmentedControl
        value={by}
        onChange={setBy}
        data={[
          { value: 'person', label: 'By person' },
          { value: 'car', label: 'By car' },
        ]}
      />
      {groups.map((group) => (
        <section key={group.name} className={layout.belowTight}>
          <h3 className={css.head}>{group.name}</h3>
          <ul className={css.list}>
            {group.said.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </section>
      ))}
      {moved.isPending && <Loader size="sm" mt="sm" aria-label="Loading" />}
      {moved.isError && <p className="hot">{moved.error.message}</p>}
      {moved.data && groups.length === 0 && <p className="soft">Nothing. People work to this plan.</p>}
      {account.role === 'MANAGER' && (
        <div className={css.buttons}>
          <Button loading={busy} disabled={draft.moved === 0} onClick={() => done('/api/plan/publish')}>
            Publish
          </Button>
          <Button variant="default" loading={busy} onClick={() => done('/api/plan/discard')}>
            Drop the draft
          </Button>
          <span className={`soft small ${layout.middle}`}>
            Dropping takes back pins and moves that were tried; what happened in the shop stays.
          </span>
        </div>
      )}
    </Modal>
  )
}
