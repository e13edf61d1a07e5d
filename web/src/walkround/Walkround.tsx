import { SegmentedControl } from '@mantine/core'
import { useHotkeys, useMediaQuery } from '@mantine/hooks'
import { useMemo } from 'react'
import { useSearchParams } from 'react-router'
import { useBoard } from '../api/board'
import type { Schemas } from '../api/client'
import { OnOffer } from '../domain/OnOffer'
import { Nothing } from '../ui/Nothing'
import { WIDE } from '../ui/widths'
import { clock, day, weekday } from '../format/time'
import { Brief } from './Brief'
import { CarSheet } from './CarSheet'
import { Floor } from './Floor'
import { NowList } from './NowList'
import { walkOrder } from './order'
import layout from '../ui/layout.module.css'
import css from './walkround.module.css'

/** Enter on nothing in particular goes to the line; on a button it is the button's. */
function writeDown(event: KeyboardEvent) {
  if (document.activeElement !== document.body) return
  event.preventDefault()
  document.getElementById('capture')?.focus()
}

/** The walk: the floor with the cars where they stand, and the sheet of the car at hand. */
export function Walkround({ account }: { account: Schemas['Account'] }) {
  const { board, car } = useBoard()
  const [search, setSearch] = useSearchParams()
  const view = search.get('view') === 'now' ? 'now' : 'floor'
  const order = useMemo(() => walkOrder(board), [board])
  const picked = car.get(search.get('car') ?? '') ?? car.get(board.brief.worryCar ?? '') ?? order[0]
  const wide = useMediaQuery(WIDE, false)
  // The car that was at hand before stays beside, where there is room.
  const other = car.get(search.get('beside') ?? '') ?? order.find((c) => c.id !== picked?.id)
  const pick = (id: string) => {
    const before = id === picked?.id ? other?.id : picked?.id
    setSearch({ car: id, ...(before && { beside: before }) }, { replace: true })
    // Where the sheet is below the floor, it is what was asked for.
    if (window.matchMedia?.('(max-width: 900px)').matches)
      setTimeout(() => document.getElementById('car-sheet')?.scrollIntoView({ block: 'start' }))
  }
  const step = (by: number) => {
    const at = order.findIndex((c) => c.id === picked?.id)
    const next = order[(at + by + order.length) % order.length]
    if (next) pick(next.id)
  }
  useHotkeys([
    ['ArrowDown', () => step(1)],
    ['ArrowUp', () => step(-1)],
    ['Enter', writeDown, { preventDefault: false }],
  ])
  const hands = board.people.filter((p) => p.inNow || p.shifts.length > 0)
  const inNow = hands.filter((p) => p.inNow).length
  return (
    <>
      <div className="room-head">
        <h1>
          {weekday(board.now, board.zone)} {clock(board.now, board.zone)}
        </h1>
        <span className="soft">
          {day(board.now, board.zone)} ·{' '}
          {inNow === 0 ? 'nobody in now' : `${inNow} of ${hands.length} hands in`} · {board.shop}
        </span>
        {account.role !== 'HAND' && (
          <SegmentedControl
            size="xs"
            className={`no-print ${layout.push}`}
            value={view}
            onChange={(v) => setSearch(v === 'now' ? { view: v } : {}, { replace: true })}
            data={[
              { value: 'floor', label: 'Floor' },
              { value: 'now', label: 'Now' },
            ]}
          />
        )}
      </div>
      <Brief onPick={pick} />
      <OnOffer account={account} />
      {view === 'now' ? (
        <NowList />
      ) : picked ? (
        <div className={wide && other ? css.widePage : css.page}>
          <Floor picked={picked.id} onPick={pick} />
          <CarSheet key={picked.id} car={picked} account={account} />
          {wide && other && <CarSheet key={`beside ${other.id}`} car={other} account={account} beside />}
        </div>
      ) : (
        <Nothing
          title="No cars yet"
          text="Take one in under Build: a new build from a template takes two steps."
        />
      )}
      <p className="soft small no-print">
        ↓ ↑ walk from car to car, Enter writes something down, ? shows the keys. Cars stand where their work
        is; a tag hangs on what cannot go on; the tick is the date, the wedge is the margin.
      </p>
    </>
  )
}
