import type { Schemas } from '../api/client'
import { margin } from '../format/margin'
import { day } from '../format/time'
import css from './domain.module.css'

interface Props {
  effects: Schemas['DateEffect'][]
  nameOf: (effect: Schemas['DateEffect']) => string
  zone: string
  /** Customers are told days, the shop is told margins. */
  days?: boolean
}

const sameDay = (e: Schemas['DateEffect'], zone: string) =>
  e.beforeFinish !== undefined &&
  e.afterFinish !== undefined &&
  day(e.beforeFinish, zone) === day(e.afterFinish, zone)

/** What a change does to the dates: before and after, the worse ones in the hot colour. */
export function Effects({ effects, nameOf, zone, days }: Props) {
  if (effects.length === 0) return <span className="soft small">It moves no date.</span>
  return (
    <ul className={`small ${css.list}`}>
      {effects.map((e) => {
        const worse = (e.afterMinutes ?? -Infinity) < (e.beforeMinutes ?? -Infinity)
        const late = (e.afterMinutes ?? -1) < 0
        return (
          <li key={e.commitment} className={late && worse ? 'hot strong' : ''}>
            {nameOf(e)}:{' '}
            {days
              ? sameDay(e, zone)
                ? `stays as it is, ready ${day(e.afterFinish!, zone)}`
                : `ready ${e.beforeFinish ? day(e.beforeFinish, zone) : 'not known'} → ${e.afterFinish ? day(e.afterFinish, zone) : 'not known'}`
              : margin(e.beforeMinutes) === margin(e.afterMinutes)
                ? `stays at ${margin(e.afterMinutes)}`
                : `${margin(e.beforeMinutes)} → ${margin(e.afterMinutes)}`}
            {late && worse && ' (late)'}
          </li>
        )
      })}
    </ul>
  )
}
