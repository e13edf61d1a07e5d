import { useEffect, useRef } from 'react'
import { Link } from 'react-router'
import { PaperTag } from '../domain/PaperTag'
import { type Post } from './road'
import css from './rollout.module.css'

const WIDTH = 1180
const HEIGHT = 78
const MIDDLE = HEIGHT / 2
/** Half the width of the road where it begins, and where it ends. */
const NARROW = 4
const WIDE = 34

interface Props {
  posts: Post[]
  at?: string
  address: (key: string) => string
}

/** The road of a car: it widens with what the car may do; every post across it is a gate (double) or a step. */
export function Road({ posts, at, address }: Props) {
  const here = useRef<HTMLAnchorElement>(null)
  useEffect(() => {
    // On a phone the road is wider than the screen.
    here.current?.scrollIntoView({ inline: 'center', block: 'nearest' })
  }, [at])
  const gap = WIDTH / Math.max(1, posts.length)
  const x = (i: number) => gap * (i + 0.5)
  const reached = posts.reduce((most, p, i) => (p.state === 'done' || p.state === 'passed' ? i : most), -1)
  const half = (at: number) => NARROW + ((WIDE - NARROW) * at) / WIDTH
  const until = reached < 0 ? 0 : x(reached) + gap / 2
  const wedge = (to: number) =>
    `M0 ${MIDDLE - half(0)} L${to} ${MIDDLE - half(to)} L${to} ${MIDDLE + half(to)} L0 ${MIDDLE + half(0)} Z`
  return (
    <div className={css.road}>
      <div className={css.roadInner}>
        <ol className={css.above} aria-hidden="true">
          {posts.map((p) => (
            <li key={p.key}>
              {p.held && p.state !== 'done' ? (
                <span className={css.held} title={p.held}>
                  {p.kind === 'step' ? (
                    <PaperTag tag="AFTER" />
                  ) : (
                    <b className="hot">{p.state === 'open again' ? p.state : p.held}</b>
                  )}
                </span>
              ) : (
                <span className={p.state === 'here' ? 'strong' : 'quiet small'}>
                  {p.state === 'ahead' ? '' : p.state}
                </span>
              )}
            </li>
          ))}
        </ol>
        <svg
          viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
          preserveAspectRatio="none"
          aria-hidden="true"
          className={css.drawn}
        >
          <path d={wedge(WIDTH)} className={css.ahead} />
          <path d={wedge(until)} className={css.behind} />
          <line x1={0} x2={WIDTH} y1={MIDDLE} y2={MIDDLE} className={css.centre} />
          {posts.map((p, i) => (
            <g key={p.key} className={p.key === at ? css.postHere : css.post}>
              {p.kind === 'gate' ? (
                <>
                  <line x1={x(i) - 4} x2={x(i) - 4} y1={2} y2={HEIGHT - 2} />
                  <line x1={x(i) + 4} x2={x(i) + 4} y1={2} y2={HEIGHT - 2} />
                </>
              ) : (
                <line x1={x(i)} x2={x(i)} y1={6} y2={HEIGHT - 6} />
              )}
            </g>
          ))}
        </svg>
        <ol className={css.below}>
          {posts.map((p) => (
            <li key={p.key}>
              <Link
                ref={p.key === at ? here : undefined}
                to={address(p.key)}
                aria-current={p.key === at ? 'step' : undefined}
                className={`${css.name} ${p.key === at ? css.nameHere : ''} ${p.kind === 'gate' ? css.gateName : ''}`}
                aria-label={`${p.kind === 'gate' ? 'Gate' : 'Step'} ${p.name}: ${p.state}${p.held ? `, ${p.held}` : ''}`}
              >
                {p.name}
              </Link>
            </li>
          ))}
        </ol>
      </div>
    </div>
  )
}
