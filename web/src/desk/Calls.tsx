import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { CallForm } from '../domain/CallForm'
import { when } from '../format/time'
import layout from '../ui/layout.module.css'

const PAST = 4

/** Whom to ring, and the latest of what was said. */
export function Calls() {
  const { board, car, looked } = useBoard()
  const [ringing, setRinging] = useState<{ id: string; who: string; about: string }>()
  const calls = useQuery({
    queryKey: ['calls', looked],
    queryFn: () => dataOf(client.GET('/api/calls')),
    placeholderData: (before) => before,
  })
  const open = (calls.data ?? []).filter((c) => !c.doneAt)
  const past = (calls.data ?? []).filter((c) => c.doneAt).slice(0, PAST)
  return (
    <section className="panel" aria-label="Calls">
      <h2>Calls</h2>
      {open.length === 0 && <span className="soft small">Nobody waits for a call.</span>}
      {open.map((c) => (
        <div key={c.id} className={`small ${layout.ruled}`}>
          <button className="link strong" onClick={() => setRinging(c)}>
            {c.who}
          </button>{' '}
          <span className="soft">
            {c.buildId && `${car.get(c.buildId)?.number ?? ''} `}
            {c.about}
          </span>
          <div className={c.due < board.now ? 'hot' : 'soft'}>{when(c.due, board.now, board.zone)}</div>
        </div>
      ))}
      {past.map((c) => (
        <div key={c.id} className={`small soft ${layout.ruled}`}>
          {c.who}, {when(c.doneAt ?? c.due, board.now, board.zone)}: {c.said || 'rung'}
        </div>
      ))}
      {ringing && <CallForm call={ringing} onClose={() => setRinging(undefined)} />}
    </section>
  )
}
