import { useQuery } from '@tanstack/react-query'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { Nothing } from '../ui/Nothing'
import { when } from '../format/time'

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
    <section aria-label="Outbox" style={{ maxWidth: 760 }}>
      <p className="soft small">A stand-in for mail: this is what would have been sent.</p>
      {mail.map((m) => (
        <article key={m.id} className="panel" style={{ marginBottom: 12 }}>
          <div className="small soft">
            {when(m.at, board.now, board.zone)}, {m.by} to {m.recipient}
          </div>
          <div className="strong">{m.subject}</div>
          <pre style={{ whiteSpace: 'pre-wrap', font: 'inherit', margin: '6px 0' }}>{m.body}</pre>
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
