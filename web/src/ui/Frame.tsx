import { Button, Modal, useMantineColorScheme } from '@mantine/core'
import { useHotkeys, useThrottledCallback } from '@mantine/hooks'
import { notifications } from '@mantine/notifications'
import { useQueryClient } from '@tanstack/react-query'
import { type ReactNode, useState } from 'react'
import { NavLink, useLocation, useNavigate } from 'react-router'
import { usePushed, useRefresh } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { type LiveChange, useLive } from '../api/live'
import { useSend } from '../api/send'
import { spread } from '../api/looked'
import { isThinkingFor, THINKING } from '../api/thinking'
import { Finder, openFinder } from './Finder'
import { ShopTime } from './ShopTime'
import { useTold } from './useTold'

const ROOMS = [
  { key: 'W', name: 'Walk', path: '/walk' },
  { key: 'P', name: 'Runway', path: '/runway' },
  { key: 'D', name: 'Desk', path: '/desk' },
  { key: 'B', name: 'Build', path: '/build' },
  { key: 'G', name: 'Gauges', path: '/gauges' },
  { key: 'R', name: 'Roll-out', path: '/rollout' },
  { key: 'E', name: 'Events', path: '/events' },
  { key: 'L', name: 'Ledger', path: '/ledger' },
  { key: 'S', name: 'Shop', path: '/shop' },
]

const KEYS: [string, string][] = [
  ['W P D B G R E L S', 'go to Walkround, Runway, Desk, Build, Gauges, Roll-out, Events, Ledger, Shop'],
  ['F', 'find a car, job, part, person or action'],
  ['Ctrl Z', 'undo the last change of this session'],
  ['↓ ↑', 'next car, car before (Walkround)'],
  ['Enter', 'write down a job, a hold, what is done or found (Walkround)'],
  ['+ −', 'zoom in, zoom out (Runway)'],
  ['← →', 'earlier, later (Runway)'],
  ['?', 'this list'],
]

interface Props {
  account: Schemas['Account']
  children: ReactNode
  /** What could be done about a change that made a date late. */
  onOffer: (change: number) => ReactNode
  /** What can be done from any room. */
  tools: ReactNode
}

/** The rail with the rooms, what is heard of changes, undo, the keys. */
export function Frame({ account, children, onOffer, tools }: Props) {
  const navigate = useNavigate()
  const phone = useLocation().pathname === '/day'
  const refresh = useRefresh()
  const pushed = usePushed()
  const queries = useQueryClient()
  const undo = useUndo()
  const [keys, setKeys] = useState(false)
  useTold()
  useLive({
    onChange: (change) => {
      void refresh(change.change, false)
      tell(change, account, undo, onOffer)
    },
    onOpened: (last) => void refresh(last, false),
    onBack: () => void refresh(),
    onThought: useThrottledCallback(() => {
      // What was asked for here is wanted now; what is thought of for everybody comes to all screens in turn.
      const wait = isThinkingFor(queries) ? 0 : spread()
      window.setTimeout(() => {
        THINKING.forEach((queryKey) => void queries.invalidateQueries({ queryKey }, { cancelRefetch: false }))
      }, wait)
    }, THOUGHTS_MILLIS),
    onNews: pushed,
  })
  useHotkeys([
    ...ROOMS.map((r) => [r.key.toLowerCase(), () => navigate(r.path)] as [string, () => void]),
    ['f', openFinder],
    ['mod+Z', () => void undo()],
    ['shift+?', () => setKeys(true)],
    ['?', () => setKeys(true)],
  ])
  return (
    <>
      <div className={phone ? '' : 'frame'}>
        {!phone && (
          <Rail account={account} tools={tools} onUndo={() => void undo()} onKeys={() => setKeys(true)} />
        )}
        <main className={phone ? 'pocket' : 'room'}>{children}</main>
      </div>
      <Finder account={account} />
      <Modal opened={keys} onClose={() => setKeys(false)} title="Keys">
        <table className="plain">
          <tbody>
            {KEYS.map(([key, what]) => (
              <tr key={key}>
                <td className="strong">{key}</td>
                <td>{what}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Modal>
    </>
  )
}

function useUndo() {
  const { send } = useSend()
  return async () => {
    await send(() => dataOf(client.POST('/api/undo')))
  }
}

/** Thinking tells of each of its steps; a screen looks what came of them no more often than this. */
const THOUGHTS_MILLIS = 4_000

/** Messages of changes that are open; the newest few stay, older ones make room. */
const told: string[] = []
const MOST_TOLD = 2

/** Says who changed what, what it did to the dates, who must be told; with undo where it was us. */
function tell(
  change: LiveChange,
  account: Schemas['Account'],
  undo: () => Promise<void>,
  onOffer: (change: number) => ReactNode,
) {
  const mine = change.actor === account.name
  if (account.role === 'HAND' && mine) return
  const id = `change-${change.change}`
  told.push(id)
  while (told.length > MOST_TOLD) notifications.hide(told.shift()!)
  const late = change.margins.some((m) => m.includes('→ −'))
  notifications.show({
    id,
    title: `${change.actor} ${change.summary}`,
    color: late ? 'hot' : 'quiet',
    autoClose: change.margins.length > 0 ? 12_000 : 6_000,
    message: (
      <div>
        {change.margins.map((m) => (
          <div key={m} className="strong">
            {m}
          </div>
        ))}
        {change.moved > 0 && (
          <div>
            {change.moved} {change.moved === 1 ? 'job' : 'jobs'} moved
            {change.toTell.length > 0 && `; tell ${change.toTell.join(', ')}`}
          </div>
        )}
        {late && account.role !== 'HAND' && onOffer(change.change)}
        {mine && !change.summary.startsWith('undid') && (
          <Button size="compact-xs" variant="default" mt={4} onClick={() => void undo()}>
            Undo
          </Button>
        )}
      </div>
    ),
  })
}

function Rail({
  account,
  tools,
  onUndo,
  onKeys,
}: {
  account: Schemas['Account']
  tools: ReactNode
  onUndo: () => void
  onKeys: () => void
}) {
  const { colorScheme, setColorScheme } = useMantineColorScheme()
  const queries = useQueryClient()
  const { send } = useSend()
  const leave = () =>
    send(async () => {
      await dataOf(client.POST('/api/logout' as never))
      await queries.resetQueries()
    })
  return (
    <nav className="rail" aria-label="Rooms">
      {ROOMS.map((r) => (
        <NavLink key={r.path} to={r.path} className={({ isActive }) => (isActive ? 'on' : '')}>
          <b>{r.key}</b>
          {r.name}
        </NavLink>
      ))}
      {account.personId && <NavLink to="/day">My day</NavLink>}
      <div className="push" />
      <ShopTime account={account} />
      {tools}
      <button onClick={openFinder} title="F">
        Find
      </button>
      <button onClick={onUndo} title="Ctrl Z">
        Undo
      </button>
      <button onClick={onKeys} title="?">
        Keys
      </button>
      <button
        onClick={() => setColorScheme(colorScheme === 'dark' ? 'light' : 'dark')}
        aria-label={colorScheme === 'dark' ? 'Use the light colours' : 'Use the dark colours'}
      >
        {colorScheme === 'dark' ? 'Day' : 'Night'}
      </button>
      <button onClick={() => void leave()} title={`Signed in as ${account.name}`}>
        Sign out
      </button>
    </nav>
  )
}
