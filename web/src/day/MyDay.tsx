import { Button, Modal } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useBoard, type Work } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { Nothing } from '../ui/Nothing'
import { clock, day, weekday } from '../format/time'
import { Goods } from './Goods'
import { Section } from './Section'
import { CouldStart } from './CouldStart'
import { News } from './News'
import { SignOut } from './SignOut'
import { WorkCard } from './WorkCard'
import { Yesterday } from './Yesterday'
import { LaterLine } from './LaterLine'
import { useOwn } from './useOwn'
import { HoldSheet } from './HoldSheet'
import { FindingSheet } from './FindingSheet'
import css from './day.module.css'

/** A hand's day on the phone: now, next, later; start, done, held because, a finding. */
export function MyDay({ account }: { account: Schemas['Account'] }) {
  const { board, work, person, looked } = useBoard()
  const own = useOwn(board.works, account.personId)
  const mine = useQuery({
    queryKey: ['my-day', own, looked, board.now],
    queryFn: () => dataOf(client.GET('/api/my-day', { params: { query: {} } })),
    enabled: Boolean(account.personId),
    placeholderData: (before) => before,
  })
  const [holding, setHolding] = useState<Work>()
  const [finding, setFinding] = useState(false)
  const [opened, setOpened] = useState<string>()
  const works = (ids: string[] = []) => ids.flatMap((id) => work.get(id) ?? [])
  if (!account.personId)
    return <Nothing title="This account is nobody's" text="Only people of the shop have a day here." />
  const day_ = mine.data
  const first = works(day_?.next)[0]?.placed?.start
  const free = day_?.now.length === 0 && (first === undefined || first > board.now)
  return (
    <div className={css.page}>
      <div className={css.head}>
        <h1 className={css.title}>{person.get(account.personId)?.name}</h1>
        <span className="soft">
          {weekday(board.now, board.zone)} {clock(board.now, board.zone)}
        </span>
        <SignOut role={account.role} />
      </div>
      <Section title="Now">
        {works(day_?.now).map((w) => (
          <WorkCard key={w.id} work={w} now onHold={() => setHolding(w)} />
        ))}
        {day_?.now.length === 0 && (
          <p className="soft">
            {free ? 'Nothing is planned for you just now.' : 'Nothing started. Start what is next.'}
          </p>
        )}
      </Section>
      {free && <CouldStart onOpen={setOpened} />}
      {day_ && <News day={day_} />}
      <Section title="Next">
        {works(day_?.next).map((w) => (
          <WorkCard key={w.id} work={w} onHold={() => setHolding(w)} />
        ))}
        {day_?.next.length === 0 && (
          <p className="soft">Nothing more up to {day(day_.nextUntil, board.zone)}.</p>
        )}
      </Section>
      <Section title="Later">
        {works(day_?.later).map((w) => (
          <LaterLine key={w.id} work={w} onOpen={() => setOpened(w.id)} />
        ))}
      </Section>
      <Goods />
      <Yesterday person={account.personId} />
      <div className={css.dock}>
        <Button fullWidth size="lg" variant="default" onClick={() => setFinding(true)}>
          I found something
        </Button>
      </div>
      <Modal opened={work.has(opened ?? '')} onClose={() => setOpened(undefined)} fullScreen>
        {works(opened ? [opened] : []).map((w) => (
          <WorkCard
            key={w.id}
            work={w}
            onHold={() => {
              setOpened(undefined)
              setHolding(w)
            }}
          />
        ))}
      </Modal>
      {holding && <HoldSheet work={holding} onClose={() => setHolding(undefined)} />}
      {finding && (
        <FindingSheet
          suggested={works(day_?.now)[0]?.buildId ?? works(day_?.next)[0]?.buildId}
          onClose={() => setFinding(false)}
        />
      )}
    </div>
  )
}
