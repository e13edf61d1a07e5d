import { Button } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import { when } from '../format/time'
import css from './shop.module.css'

/** Links to the wall, for a screen in the workshop. */
export function WallLinks() {
  const { board, looked } = useBoard()
  const [made, setMade] = useState<string>()
  const { send, busy } = useSend()
  const links = useQuery({
    queryKey: ['wall-links', looked],
    queryFn: () => dataOf(client.GET('/api/wall-links')),
    placeholderData: (before) => before,
  }).data
  const make = () =>
    void send(() => dataOf(client.POST('/api/wall-links'))).then(
      (link) => link && setMade(`${window.location.origin}${link.path}`),
    )
  return (
    <section aria-label="The wall" className={css.section}>
      <p>
        The wall is for a screen in the workshop: who is on what, the next date of each car, what comes in.
        Whoever has its link sees it, without a log-in, until it is revoked.
      </p>
      <Button variant="default" loading={busy} onClick={make}>
        Make a link to the wall
      </Button>
      {made && (
        <p>
          <a href={made} target="_blank" rel="noreferrer">
            {made}
          </a>{' '}
          <span className="soft">It is shown this once.</span>
        </p>
      )}
      {links?.map((link) => (
        <p key={link.id}>
          made by {link.madeBy}, {when(link.madeAt, board.now, board.zone)}{' '}
          <button
            className="link"
            onClick={() =>
              void send(() =>
                dataOf(client.DELETE('/api/wall-links/{id}', { params: { path: { id: link.id } } })),
              )
            }
          >
            revoke
          </button>
        </p>
      ))}
    </section>
  )
}
