import { useQuery } from '@tanstack/react-query'
import { useEffect } from 'react'
import { matchPath, Navigate, Route, Routes, useLocation } from 'react-router'
import { room } from './ui/room'
import { LogIn } from './access/LogIn'
import { BoardContext, useBoardQuery } from './api/board'
import { AGAIN_MILLIS, client, dataOf, type Schemas } from './api/client'
import { CallButton } from './domain/CallButton'
import { OfferLine } from './domain/OnOffer'
import { speak } from './format/time'
import { AwayBanner } from './ui/AwayBanner'
import { Frame } from './ui/Frame'
import { Nothing } from './ui/Nothing'
import { Waiting } from './ui/Waiting'

// Each room comes when somebody goes there: a phone need not carry the whole shop.
const BuildRoom = room(() => import('./builds/BuildRoom').then((m) => m.BuildRoom))
const Runway = room(() => import('./runway/Runway').then((m) => m.Runway))
const ShopRoom = room(() => import('./shop/ShopRoom').then((m) => m.ShopRoom))
const CustomerPage = room(() => import('./customer/CustomerPage').then((m) => m.CustomerPage))
const DeskRoom = room(() => import('./desk/DeskRoom').then((m) => m.DeskRoom))
const EventsRoom = room(() => import('./events/EventsRoom').then((m) => m.EventsRoom))
const GaugesRoom = room(() => import('./gauges/GaugesRoom').then((m) => m.GaugesRoom))
const Wall = room(() => import('./wall/Wall').then((m) => m.Wall))
const RehearsalRoom = room(() => import('./rehearse/RehearsalRoom').then((m) => m.RehearsalRoom))
const RollOutRoom = room(() => import('./rollout/RollOutRoom').then((m) => m.RollOutRoom))
const LedgerRoom = room(() => import('./ledger/LedgerRoom').then((m) => m.LedgerRoom))
const Walkround = room(() => import('./walkround/Walkround').then((m) => m.Walkround))
const MyDay = room(() => import('./day/MyDay').then((m) => m.MyDay))
const Welcome = room(() => import('./access/Welcome').then((m) => m.Welcome))

// What whoever has the link may open.
const BY_LINK = {
  '/c/:token': CustomerPage,
  '/welcome/:token': Welcome,
  '/wall/:token': Wall,
}

const ROOMS = {
  '/day': MyDay,
  '/walk': Walkround,
  '/runway': Runway,
  '/rehearse/:id?': RehearsalRoom,
  '/desk': DeskRoom,
  '/build/:id?': BuildRoom,
  '/gauges/:id?/:gauge?': GaugesRoom,
  '/rollout/:id?/:at?': RollOutRoom,
  '/events/:id?': EventsRoom,
  '/ledger/:id?': LedgerRoom,
  '/shop/:tab?': ShopRoom,
}

/** What will be drawn at a path is fetched beside what is drawn in it. */
function useBegun(path: string) {
  useEffect(() => {
    const pages = Object.entries({ ...BY_LINK, ...ROOMS })
    // Where it fails, the room itself says so once it is gone to.
    pages
      .find(([pattern]) => matchPath(pattern, path))?.[1]
      .begin()
      .catch(() => undefined)
  }, [path])
}

/** The page of a customer, or the shop. */
export function App() {
  useBegun(useLocation().pathname)
  return (
    <>
      <AwayBanner />
      <Routes>
        {Object.entries(BY_LINK).map(([path, Page]) => (
          <Route key={path} path={path} element={<Page />} />
        ))}
        <Route path="*" element={<Shop />} />
      </Routes>
    </>
  )
}

/** The log-in, or the rooms of who is signed in. */
function Shop() {
  const me = useQuery({
    queryKey: ['me'],
    queryFn: () => dataOf(client.GET('/api/me')),
    staleTime: Infinity,
    refetchInterval: (query) => (query.state.error ? AGAIN_MILLIS : false),
  })
  if (me.isPending) return <Waiting />
  if (!me.data)
    return <Nothing title="Nobody answers yet" text="It may be starting. This page tries again." />
  return me.data.account ? <Rooms account={me.data.account} /> : <LogIn demo={me.data.demoLogins} />
}

function Rooms({ account }: { account: Schemas['Account'] }) {
  const board = useBoardQuery()
  const first = account.role === 'HAND' ? '/day' : '/walk'
  useBegun(useLocation().pathname === '/' ? first : '')
  if (!board.data) {
    return board.error ? <Nothing title="The shop cannot be read" text={board.error.message} /> : <Waiting />
  }
  speak(board.data.board.says)
  return (
    <BoardContext value={board.data}>
      <Frame account={account} onOffer={(change) => <OfferLine change={change} />} tools={<CallButton />}>
        <Routes>
          {Object.entries(ROOMS).map(([path, Room]) => (
            <Route key={path} path={path} element={<Room account={account} />} />
          ))}
          <Route path="*" element={<Navigate to={first} replace />} />
        </Routes>
      </Frame>
    </BoardContext>
  )
}
