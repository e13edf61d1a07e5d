import { Link } from 'react-router'
import { type Car, useBoard } from '../api/board'
import { margin } from '../format/margin'
import { when } from '../format/time'
import css from './domain.module.css'

/** The largest words on a car's sheet: it will not be ready for a time that is booked and paid for. */
export function MissedSlot({ car }: { car: Car }) {
  const { board, work } = useBoard()
  const { now, zone } = board
  return board.commitments
    .filter((c) => c.buildId === car.id && c.slotOf && (c.marginMinutes ?? -1) < 0)
    .map((c) => {
      const slot = work.get(c.slotOf ?? '')?.outwork?.slotFrom
      return (
        <div key={c.id} className={css.missed} role="alert">
          <div className={css.missedWords}>Misses {c.name}</div>
          {slot && `Booked for ${when(slot, now, zone)}. `}
          It must leave {when(c.due, now, zone)}
          {c.finish ? ` and is ready ${when(c.finish, now, zone)}` : ' and cannot be made ready'}
          {c.marginMinutes !== undefined && ` (${margin(c.marginMinutes)})`}.{' '}
          <Link to={`/runway?date=${c.id}`}>What would help</Link>{' '}
          <Link to={`/desk?outwork=${c.slotOf}`}>Move the booking</Link>
        </div>
      )
    })
}
