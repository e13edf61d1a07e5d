import { Button, SegmentedControl, TextInput } from '@mantine/core'
import { useMemo, useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { useBoard } from '../api/board'
import type { Schemas } from '../api/client'
import { useDesk } from '../api/desk'
import { CatchUp } from '../catchup/CatchUp'
import { Nothing } from '../ui/Nothing'
import { Basket } from './Basket'
import { Calls } from './Calls'
import { ChaseList } from './ChaseList'
import { Errands } from './Errands'
import { ForCustomer } from './ForCustomer'
import { OutworkSheet } from './OutworkSheet'
import { Owed } from './Owed'
import { Outbox } from './Outbox'
import { PartSheet } from './PartSheet'
import { Shelf } from './Shelf'
import { Arrivals, FittedForNow, Kits, SupplyRun } from './SidePanels'
import layout from '../ui/layout.module.css'
import css from './desk.module.css'

type View = 'chase' | 'shelf' | 'outbox' | 'yesterday'

/** The half of the day that is outside the building: ordering, chasing, sending out, looking over. */
export function DeskRoom({ account }: { account: Schemas['Account'] }) {
  const { board, car } = useBoard()
  const desk = useDesk()
  const navigate = useNavigate()
  const [search, setSearch] = useSearchParams()
  const [find, setFind] = useState('')
  const [ordering, setOrdering] = useState(false)
  const view = (search.get('view') ?? 'chase') as View
  const lines = useMemo(() => {
    const wanted = find.trim().toLowerCase()
    const all = desk.data?.lines ?? []
    if (!wanted) return all
    return all.filter((l) => {
      const c = car.get(l.buildId)
      return `${l.name} ${c?.name} ${c?.number} ${l.kit} ${l.state}`.toLowerCase().includes(wanted)
    })
  }, [desk.data, find, car])
  if (account.role === 'HAND')
    return <Nothing title="The Desk is the manager's and the leads'" text="Arrivals are on My day." />
  const part = search.get('part')
  const outwork = search.get('outwork')
  return (
    <>
      <div className="room-head">
        <h1>Desk</h1>
        <span className="soft">
          {desk.data && `${desk.data.lines.length} outside or to order`}
          {desk.data &&
            desk.data.harmOf !== desk.data.change &&
            ' · what a day more costs is being worked out'}
        </span>
        <span className={`no-print ${css.actions}`}>
          <TextInput
            size="xs"
            placeholder="part, car, kit"
            aria-label="Find a line"
            value={find}
            onChange={(e) => setFind(e.currentTarget.value)}
          />
          <Button size="xs" variant="default" onClick={() => setOrdering(true)}>
            Order from a vendor
          </Button>
          <SegmentedControl
            size="xs"
            value={view}
            onChange={(v) => setSearch(v === 'chase' ? {} : { view: v })}
            data={[
              { value: 'chase', label: 'Chase' },
              { value: 'shelf', label: 'Shelf' },
              { value: 'outbox', label: 'Outbox' },
              { value: 'yesterday', label: 'Yesterday' },
            ]}
          />
        </span>
      </div>
      {view === 'outbox' && <Outbox />}
      {view === 'yesterday' && <CatchUp />}
      {view === 'shelf' && desk.data && <Shelf shelf={desk.data.shelf} />}
      {view === 'chase' && desk.data && (
        <div className={css.columns}>
          <ChaseList
            lines={lines}
            pending={desk.data.harmOf !== desk.data.change}
            onPick={(l) => setSearch(l.kind === 'PART' ? { part: l.id } : { outwork: l.id })}
          />
          <div className={layout.column}>
            <Arrivals />
            <ForCustomer manager={account.role === 'MANAGER'} />
            <Calls />
            <Errands />
            <SupplyRun supplies={desk.data.supplies} />
            <FittedForNow />
            <Owed />
            <Kits kits={desk.data.kits} />
          </div>
        </div>
      )}
      {part && board.parts.some((p) => p.id === part) && (
        <PartSheet
          key={part}
          id={part}
          manager={account.role === 'MANAGER'}
          onClose={() => setSearch({}, { replace: true })}
          onEdit={(build) => navigate(`/build/${build}?part=${part}`)}
        />
      )}
      {ordering && desk.data && <Basket lines={desk.data.lines} onClose={() => setOrdering(false)} />}
      {outwork && (
        <OutworkSheet key={outwork} id={outwork} onClose={() => setSearch({}, { replace: true })} />
      )}
    </>
  )
}
