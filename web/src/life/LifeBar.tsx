import { type Component } from '../api/components'
import css from './life.module.css'

type Limit = Component['limits'][number]

const WHOLE = 100

/** How much of a limit is used: the part that is gone, hatched once it is beyond. */
export function LifeBar({ limit }: { limit: Limit }) {
  const share = limit.used / limit.most
  return (
    <div className={css.bar} title={`${limit.said} of ${limit.most}`}>
      <svg viewBox={`0 0 ${WHOLE} 8`} preserveAspectRatio="none" width="100%" height="8" aria-hidden="true">
        <rect width={WHOLE} height="8" className={css.room} />
        <rect width={Math.min(1, share) * WHOLE} height="8" className={share >= 1 ? css.over : css.gone} />
      </svg>
      <span className="small soft">
        {limit.said} of {limit.most}
        {limit.service ? ' to the next service' : ' in all'}
      </span>
    </div>
  )
}
