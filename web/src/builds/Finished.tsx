import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { whileSame } from '../api/beside'
import { type Car, useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { duration } from '../format/margin'
import { when } from '../format/time'
import layout from '../ui/layout.module.css'

/** The finished jobs of a car: who, when, and how long against what was thought. */
export function Finished({ car, onPick }: { car: Car; onPick: (work: string) => void }) {
  const { board, looked } = useBoard()
  const [open, setOpen] = useState(false)
  const done = useQuery({
    queryKey: ['finished', car.id, looked],
    queryFn: () => dataOf(client.GET('/api/builds/{id}/finished', { params: { path: { id: car.id } } })),
    enabled: open,
    placeholderData: whileSame(car.id),
  })
  if (car.done === 0) return null
  return (
    <section aria-label="Finished" className={layout.below}>
      <button className="link" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? 'Hide what is finished' : `Show ${car.done} finished`}
      </button>
      {open && (
        <table className="plain">
          <thead>
            <tr>
              <th>Finished</th>
              <th>When</th>
              <th>Who</th>
              <th className="right">Took</th>
              <th className="right">Thought</th>
            </tr>
          </thead>
          <tbody>
            {(done.data ?? []).map((f) => (
              <tr key={f.id} className="pick" onClick={() => onPick(f.id)}>
                <td>
                  <button className="link" onClick={() => onPick(f.id)}>
                    {f.name}
                  </button>
                </td>
                <td className={`small ${layout.nowrap}`}>
                  {f.doneBefore ? 'before' : when(f.doneAt, board.now, board.zone)}
                </td>
                <td className="small">{f.people}</td>
                <td className={`right small ${layout.nowrap}`}>
                  {f.workedMinutes === undefined ? '' : duration(f.workedMinutes)}
                </td>
                <td className={`right small ${layout.nowrap}`}>{duration(f.likelyMinutes)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  )
}
