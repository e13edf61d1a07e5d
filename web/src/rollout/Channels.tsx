import { useLiveChannels } from '../api/rollout'
import css from './rollout.module.css'

const WIDTH = 200
/** Where the limit stands on the line. */
const LIMIT = 150

/** What the logger says while a try is open: each channel on its line, hatched beyond its limit. */
export function Channels({ car, looking, texts }: { car: string; looking: boolean; texts: string[] }) {
  const live = useLiveChannels(car, looking)
  if (texts.length === 0) return null
  if (!looking || live.length === 0) {
    return <p className="small soft">Watched meanwhile: {texts.join('; ')}.</p>
  }
  return (
    <div className={css.channels} aria-label="Channels" aria-live="off">
      <svg width="0" height="0" aria-hidden="true" className={css.defs}>
        <pattern id="beyond" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="5" className={css.hatch} />
        </pattern>
      </svg>
      {live.map((c) => {
        const x = c.share === undefined ? undefined : Math.max(0, Math.min(WIDTH, c.share * floorOr(c.least)))
        const [from, to] = c.least ? [0, floorOr(true)] : [LIMIT, WIDTH]
        return (
          <div key={c.channel + c.limit} className={c.beyond ? css.beyond : undefined}>
            <div className={css.channelHead}>
              <span className="soft small">{c.channel}</span>
              <b className={c.beyond ? 'hot' : ''}>
                {!c.silent ? c.said : c.said ? 'silent' : 'not heard yet'}
              </b>
            </div>
            <svg viewBox={`-6 0 ${WIDTH + 12} 24`} width="100%" aria-hidden="true">
              <line x1={0} x2={WIDTH} y1={15} y2={15} className={css.axis} />
              <rect x={from} width={to - from} y={8} height={14} className={css.hatched} />
              {x !== undefined && <path d={`M${x - 5} 0 L${x + 5} 0 L${x} 9 Z`} className={css.pointer} />}
            </svg>
            <div className="small soft">{c.limit}</div>
          </div>
        )
      })}
    </div>
  )
}

/** A floor stands near the beginning of its line, a stop near its end. */
const floorOr = (least: boolean) => (least ? WIDTH / 4 : LIMIT)
