import { useQuery } from '@tanstack/react-query'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { Nothing } from '../ui/Nothing'
import { when } from '../format/time'
import layout from '../ui/layout.module.css'
import css from './desk.module.css'

/** Mail as it would have gone out; nothing is really sent. */
export function Outbox() {
  const { board } = useBoard()
  const mail = useQuery({ queryKey: ['mail'], queryFn: () => dataOf(client.GET('/api/mail')) }).data ?? []
  if (mail.length === 0)
    return (
      <Nothing
        title="The outbox is empty"
        text="Questions to vendors land here. Nothing leaves this machine."
      />
    )
  return (
    <section aria-label="Outbox" className={layout.measure}>
      <p className="soft small">A stand-in for mail: this is what would have been sent.</p>
      {mail.map((m) => (
        <article key={m.id} className={`panel ${css.letter}`}>
          <div className="small soft">
            {when(m.at, board.now, board.zone)}, {m.by} to {m.recipient}
          </div>
          <div className="strong">{m.subject}</div>
          <pre className={css.paper}>{m.body}</pre>
          {m.attachment && m.partId && (
            <a href={`/api/parts/${m.partId}/specification.pdf`} target="_blank" rel="noreferrer">
              {m.attachment}
            </a>
          )}
        </article>
      ))}
    </section>
  )
}
