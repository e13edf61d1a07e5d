import { Loader } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { Navigate, Route, Routes } from 'react-router'
import { LogIn } from './access/LogIn'
import { Welcome } from './access/Welcome'
import { BoardContext, useBoardQuery } from './api/board'
import { client, dataOf, type Schemas } from './api/client'
import { BuildRoom } from './builds/BuildRoom'
import { MyDay } from './day/MyDay'
import { Runway } from './runway/Runway'
import { ShopRoom } from './shop/ShopRoom'
import { CustomerPage } from './customer/CustomerPage'
import { DeskRoom } from './desk/DeskRoom'
import { EventsRoom } from './events/EventsRoom'
import { GaugesRoom } from './gauges/GaugesRoom'
import { Wall } from './wall/Wall'
import { RehearsalRoom } from './rehearse/RehearsalRoom'
import { RollOutRoom } from './rollout/RollOutRoom'
import { LedgerRoom } from './ledger/LedgerRoom'
import { CallButton } from './domain/CallButton'
import { OfferLine } from './domain/OnOffer'
import { speak } from './format/time'
import { Frame } from './ui/Frame'
import { Nothing } from './ui/Nothing'
import { Walkround } from './walkround/Walkround'
import layout from './ui/layout.module.css'

/** The page of a customer, or the shop. */
export function App() {
  return (
    <Routes>
      <Route path="/c/:token" element={<CustomerPage />} />
      <Route path="/welcome/:token" element={<Welcome />} />
      <Route path="/wall/:token" element={<Wall />} />
      <Route path="*" element={<Shop />} />
    </Routes>
  )
}

/** The log-in, or the rooms of who is signed in. */
function Shop() {
  const me = useQuery({ queryKey: ['me'], queryFn: () => dataOf(client.GET('/api/me')), staleTime: Infinity })
  if (me.isPending) return <Waiting />
  if (me.isError)
    return <Nothing title="The server cannot be reached" text="It may be starting. This page tries again." />
  return me.data.account ? <Rooms account={me.data.account} /> : <LogIn demo={me.data.demoLogins} />
}

function Waiting() {
  return (
    <div className={layout.centred}>
      <Loader aria-label="Loading" />
    </div>
  )
}

function Rooms({ account }: { account: Schemas['Account'] }) {
  const board = useBoardQuery()
  if (!board.data) {
    return board.error ? <Nothing title="The shop cannot be read" text={board.error.message} /> : <Waiting />
  }
  speak(board.data.board.says)
  const hand = account.role === 'HAND'
  return (
    <BoardContext value={board.data}>
      <Frame account={account} onOffer={(change) => <OfferLine change={change} />} tools={<CallButton />}>
        <Routes>
          <Route path="/day" element={<MyDay account={account} />} />
          <Route path="/walk" element={<Walkround account={account} />} />
          <Route path="/runway" element={<Runway account={account} />} />
          <Route path="/rehearse/:id?" element={<RehearsalRoom account={account} />} />
          <Route path="/desk" element={<DeskRoom account={account} />} />
          <Route path="/build/:id?" element={<BuildRoom account={account} />} />
          <Route path="/gauges/:id?/:gauge?" element={<GaugesRoom account={account} />} />
          <Route path="/rollout/:id?/:at?" element={<RollOutRoom account={account} />} />
          <Route path="/events/:id?" element={<EventsRoom account={account} />} />
          <Route path="/ledger/:id?" element={<LedgerRoom account={account} />} />
          <Route path="/shop/:tab?" element={<ShopRoom account={account} />} />
          <Route path="*" element={<Navigate to={hand ? '/day' : '/walk'} replace />} />
        </Routes>
      </Frame>
    </BoardContext>
  )
}
