import { useState } from 'react'
import { useBoard } from '../api/board'
import { CallForm } from '../domain/CallForm'
import { margin } from '../format/margin'
import { when } from '../format/time'
import css from './walkround.module.css'

/** What to know before the walk: since yesterday, arriving, out, to ring, the one car to worry about. */
export function Brief({ onPick }: { onPick: (car: string) => void }) {
  const { board, car } = useBoard()
  const { brief } = board
  const [ringing, setRinging] = useState<(typeof brief.calls)[number]>()
  const worry = brief.worryCar ? car.get(brief.worryCar) : undefined
  const date = board.commitments.find((c) => c.buildId === brief.worryCar && c.name === brief.worry)
  const late = date !== undefined && (date.marginMinutes ?? -1) < 0
  return (
    <div className={css.brief} aria-label="Brief" role="group">
      <Cell label="Since yesterday noon">
        {brief.doneSinceYesterday} {brief.doneSinceYesterday === 1 ? 'job' : 'jobs'} done
      </Cell>
      <Cell label="Arriving today">
        <span className={brief.arriving.length > 0 ? 'quiet' : ''}>
          {brief.arriving.join(' · ') || 'nothing'}
        </span>
      </Cell>
      <Cell label="Away">{brief.away.join(' · ') || 'nobody'}</Cell>
      <Cell label="To ring">
        {brief.calls.length === 0 && 'nobody'}
        {brief.calls.map((c, i) => (
          <span key={c.id}>
            {i > 0 && ' · '}
            <button
              className="link"
              title={`${c.about}, promised for ${when(c.due, board.now, board.zone)}`}
              onClick={() => setRinging(c)}
            >
              {c.who}
            </button>
          </span>
        ))}
        {ringing && <CallForm call={ringing} onClose={() => setRinging(undefined)} />}
      </Cell>
      <Cell label="Worry about">
        {worry ? (
          <button className={late ? 'link hot' : 'link'} onClick={() => onPick(worry.id)}>
            {worry.number} {worry.name}: {margin(date?.marginMinutes)}
          </button>
        ) : (
          'nothing'
        )}
      </Cell>
    </div>
  )
}

function Cell({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div className={css.figure}>
      <div className={`soft ${css.caption}`}>{label}</div>
      <div className={`strong ${css.value}`}>{children}</div>
    </div>
  )
}
