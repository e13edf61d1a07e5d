import { type Car } from '../api/board'
import css from './domain.module.css'

/** What a car may not do until something is done about it; stands beside its name. */
export function Restricted({ car }: { car: Car | undefined }) {
  return (
    <>
      {car?.restrictions.map((r) => (
        <span key={r.id} className={css.restricted} title={r.because}>
          {r.text}
        </span>
      ))}
    </>
  )
}
