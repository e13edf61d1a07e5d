import { Tabs } from '@mantine/core'
import { useNavigate, useParams } from 'react-router'
import type { Schemas } from '../api/client'
import { Accounts } from './Accounts'
import { Exchange } from './Exchange'
import { GatesAndSteps } from './GatesAndSteps'
import { JournalList } from './JournalList'
import { People } from './People'
import { Rules } from './Rules'
import { StretchRule } from './StretchRule'
import { StaleMap } from './StaleMap'
import { Stations } from './Stations'
import { Templates } from './Templates'
import { Units } from './Units'
import { Vendors } from './Vendors'

/** The shop itself: people and shifts, stations, vendors, house rules, what came in and goes out, the journal. */
export function ShopRoom({ account }: { account: Schemas['Account'] }) {
  const { tab = 'people' } = useParams()
  const navigate = useNavigate()
  const changes = account.role === 'MANAGER'
  return (
    <>
      <div className="room-head">
        <h1>Shop</h1>
        {!changes && <span className="soft">only the manager changes it</span>}
      </div>
      <Tabs value={tab} onChange={(t) => navigate(`/shop/${t}`)} keepMounted={false}>
        <Tabs.List mb="md">
          <Tabs.Tab value="people">People</Tabs.Tab>
          <Tabs.Tab value="stations">Stations</Tabs.Tab>
          <Tabs.Tab value="vendors">Vendors</Tabs.Tab>
          <Tabs.Tab value="accounts">Accounts</Tabs.Tab>
          <Tabs.Tab value="templates">Templates</Tabs.Tab>
          <Tabs.Tab value="rules">House rules</Tabs.Tab>
          <Tabs.Tab value="units">Units</Tabs.Tab>
          <Tabs.Tab value="stale">What disturbs what</Tabs.Tab>
          <Tabs.Tab value="gates">Gates and steps</Tabs.Tab>
          {changes && <Tabs.Tab value="exchange">In and out</Tabs.Tab>}
          <Tabs.Tab value="journal">Journal</Tabs.Tab>
        </Tabs.List>
        <Tabs.Panel value="people">
          <People changes={changes} />
        </Tabs.Panel>
        <Tabs.Panel value="stations">
          <Stations changes={changes} />
        </Tabs.Panel>
        <Tabs.Panel value="vendors">
          <Vendors changes={changes} />
        </Tabs.Panel>
        <Tabs.Panel value="accounts">
          <Accounts account={account} />
        </Tabs.Panel>
        <Tabs.Panel value="templates">
          <Templates changes={account.role !== 'HAND'} />
        </Tabs.Panel>
        <Tabs.Panel value="rules">
          <Rules changes={changes} />
          <StretchRule changes={changes} />
        </Tabs.Panel>
        <Tabs.Panel value="units">
          <Units changes={changes} />
        </Tabs.Panel>
        <Tabs.Panel value="stale">
          <StaleMap changes={changes} />
        </Tabs.Panel>
        <Tabs.Panel value="gates">
          <GatesAndSteps changes={changes} />
        </Tabs.Panel>
        <Tabs.Panel value="exchange">
          <Exchange changes={changes} />
        </Tabs.Panel>
        <Tabs.Panel value="journal">
          <JournalList />
        </Tabs.Panel>
      </Tabs>
    </>
  )
}
