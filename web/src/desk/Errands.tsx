import { Button, Group } from '@mantine/core'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { type Errand, useErrands } from '../api/errands'
import { useSend } from '../api/send'
import { useWorkVerbs } from '../domain/verbs'
import { when } from '../format/time'
import layout from '../ui/layout.module.css'
import { ErrandForm } from './ErrandForm'

/** Who goes where today and on the next days. */
export function Errands() {
  const errands = useErrands()
  const [adding, setAdding] = useState(false)
  return (
    <section className="panel" aria-label="Errands">
      <h2>
        Errands
        <Button
          size="compact-xs"
          variant="default"
          className={`no-print ${layout.aside}`}
          onClick={() => setAdding(true)}
        >
          Send somebody
        </Button>
      </h2>
      {errands.length === 0 && <span className="soft small">Nobody has to go anywhere.</span>}
      {errands.map((e) => (
        <OneErrand key={e.workId} errand={e} />
      ))}
      {adding && <ErrandForm start={{ what: '', place: '' }} onClose={() => setAdding(false)} />}
    </section>
  )
}

function OneErrand({ errand }: { errand: Errand }) {
  const { board, work: works, car, person, station } = useBoard()
  const { send, busy } = useSend()
  const verbs = useWorkVerbs()
  const work = works.get(errand.workId)
  if (!work) return null
  const placed = work.placed
  const late = placed && placed.end > errand.byAt
  const forCar = car.get(errand.forBuildId ?? '')
  return (
    <div className={`small ${layout.ruled}`}>
      <b>{forCar && (forCar.number || forCar.name)}</b> {work.name}
      <div className={late ? 'hot' : 'soft'}>
        {placed
          ? `${placed.crew.map((c) => person.get(c)?.name).join(' and ')}${
              placed.stationId ? ` with the ${station.get(placed.stationId)?.name}` : ''
            }, ${when(placed.start, board.now, board.zone)}`
          : 'cannot be planned'}
        {late && `, back too late for ${when(errand.byAt, board.now, board.zone)}`}
        {!late && `; back by ${when(errand.byAt, board.now, board.zone)}`}
      </div>
      <Group gap={6} mt={2} className="no-print">
        <Button size="compact-xs" variant="default" onClick={() => verbs.done(work.id)}>
          Done
        </Button>
        <Button
          size="compact-xs"
          variant="default"
          loading={busy}
          onClick={() =>
            void send(() =>
              dataOf(client.DELETE('/api/errands/{id}', { params: { path: { id: errand.workId } } })),
            )
          }
        >
          Call it off
        </Button>
      </Group>
    </div>
  )
}
