import { Alert, Button, Drawer, Group } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useState } from 'react'
import { type Car, isCar, useBoard, type Work } from '../api/board'
import { client, dataOf, type ProblemError, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { MoreTime } from '../domain/MoreTime'
import { PaperTag } from '../domain/PaperTag'
import { Pins } from '../domain/Pins'
import { instantOf, localOf, when } from '../format/time'
import { useWorkVerbs } from '../domain/verbs'
import { CustomerName } from './CustomerName'
import { GuestForm } from './GuestForm'
import { HoldForm } from './HoldForm'
import { Disturbs } from './Disturbs'
import { ForDate } from './ForDate'
import { JobFields, type JobValues } from './JobFields'
import { FinishedJob } from './FinishedJob'
import { Links } from './Links'
import { SplitJob } from './SplitJob'
import { Yield } from './Yield'
import { WorkButtons } from './WorkButtons'
import layout from '../ui/layout.module.css'
import css from './builds.module.css'

interface Props {
  car: Car
  work?: Work
  account: Schemas['Account']
  onClose: () => void
}

type Spec = Schemas['JobSpec']

const EMPTY: Spec = {
  name: '',
  zone: 'ENGINE_BAY',
  onCar: true,
  wholeCar: false,
  lowMinutes: 40,
  likelyMinutes: 60,
  highMinutes: 120,
  crew: [{ skill: 'fit', least: 'ABLE' }],
  stationKind: '',
  oneGo: false,
  cureMinutes: 0,
  cureLock: 'NOTHING',
  gate: 'EVENT',
  essential: true,
  findPercent: 0,
  findMinutes: 0,
}

function specOf(work: Work | undefined): Spec {
  return work?.job
    ? { ...EMPTY, ...work.job, name: work.name, gate: work.gate, essential: work.essential }
    : EMPTY
}

/** A job: what it takes, what it waits for, how it stands. */
export function JobDrawer({ car, work, account, onClose }: Props) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const verbs = useWorkVerbs()
  const [conflict, setConflict] = useState<ProblemError>()
  const [version, setVersion] = useState(work?.version ?? 0)
  const [holding, setHolding] = useState(false)
  const [splitting, setSplitting] = useState(false)
  const [guest, setGuest] = useState(false)
  const changes = account.role !== 'HAND'
  const form = useForm<JobValues>({
    initialValues: {
      ...specOf(work),
      stage: work?.stage ?? '',
      note: work?.note ?? '',
      notBefore: localOf(work?.notBefore, board.zone),
    },
  })
  const save = async (values: typeof form.values) => {
    const { stage, note, notBefore, ...rest } = values
    const spec = Object.fromEntries(
      Object.keys(EMPTY).map((k) => [k, rest[k as keyof Spec]]),
    ) as unknown as Spec
    const at = notBefore ? instantOf(notBefore, board.zone) : undefined
    const body: Schemas['JobRequest'] = {
      buildId: car.id,
      stage,
      spec,
      note,
      notBefore: at,
      after: [],
      version,
    }
    const done = await send(
      async () => {
        if (work) await dataOf(client.PUT('/api/jobs/{id}', { params: { path: { id: work.id } }, body }))
        else await dataOf(client.POST('/api/jobs', { body }))
        return true
      },
      (problem) => {
        if (problem.status === 409) {
          setConflict(problem)
          if (problem.version !== undefined) setVersion(problem.version)
          return true
        }
        problem.problems.forEach((p) => form.setFieldError(p.field, p.message))
        return problem.problems.length > 0
      },
    )
    if (done) onClose()
  }
  return (
    <Drawer
      opened
      onClose={onClose}
      position="right"
      size={470}
      title={work ? `${car.number} ${work.name}`.trim() : `A job for the ${car.number} ${car.name}`}
    >
      {work && <Standing work={work} />}
      {work && work.status !== 'DONE' && (
        <Group gap={6} mt={6}>
          {work.status === 'STARTED' && !work.hold && (
            <Button size="compact-sm" variant="default" onClick={() => verbs.pause(work.id)}>
              Pause
            </Button>
          )}
          {(work.status === 'TODO' || work.hold || work.job?.startedBy.length === 0) && (
            <Button size="compact-sm" variant="default" onClick={() => verbs.start(work.id)}>
              Start
            </Button>
          )}
          <Button size="compact-sm" variant="default" onClick={() => verbs.done(work.id)}>
            Done
          </Button>
          {work.hold ? (
            <Button size="compact-sm" variant="default" onClick={() => verbs.release(work.id)}>
              Free again
            </Button>
          ) : (
            <Button size="compact-sm" variant="default" onClick={() => setHolding(true)}>
              Hold
            </Button>
          )}
          {changes && work.status === 'TODO' && (
            <Button size="compact-sm" variant="default" onClick={() => setSplitting(true)}>
              Split
            </Button>
          )}
          {changes && work.status === 'TODO' && (
            <Button
              size="compact-sm"
              variant="default"
              title="The customer, or a vendor’s people, at our place"
              onClick={() => setGuest(true)}
            >
              From outside
            </Button>
          )}
        </Group>
      )}
      {work?.status === 'STARTED' && <MoreTime work={work.id} />}
      {work?.status === 'DONE' && <FinishedJob work={work} changes={changes} />}
      {guest && work && <GuestForm work={work} onClose={() => setGuest(false)} />}
      {splitting && work && <SplitJob work={work} onClose={() => setSplitting(false)} />}
      {holding && work && <HoldForm work={work} onClose={() => setHolding(false)} />}
      {work && <Pins work={work} canPin={account.role === 'MANAGER'} />}
      {conflict && (
        <Alert color="hot" title="Changed meanwhile" mt="sm">
          {conflict.message}
          <table className="plain">
            <tbody>
              {conflict.differences.map((d) => (
                <tr key={d.field}>
                  <td className="soft">{d.field}</td>
                  <td>yours: {d.yours}</td>
                  <td>theirs: {d.theirs}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </Alert>
      )}
      <form onSubmit={form.onSubmit((v) => void save(v))}>
        <fieldset disabled={!changes} className={css.bareLow}>
          <JobFields car={car} form={form} />
          {changes && (
            <WorkButtons
              work={work}
              busy={busy}
              saves={conflict ? 'Save mine over theirs' : 'Save'}
              onClose={onClose}
            />
          )}
        </fieldset>
      </form>
      {work && work.status !== 'DONE' && <ForDate work={work} changes={changes} />}
      {work && work.status !== 'DONE' && car.customer && <CustomerName work={work} changes={changes} />}
      {work && work.status !== 'DONE' && !isCar(car) && <Yield work={work} changes={changes} />}
      {work && work.status !== 'DONE' && isCar(car) && <Disturbs work={work} changes={changes} />}
      {work && <Links work={work} changes={changes} />}
    </Drawer>
  )
}

function Standing({ work }: { work: Work }) {
  const { board, person, station } = useBoard()
  const p = work.placed
  if (work.status === 'DONE')
    return (
      <p className="quiet">
        {work.doneBefore
          ? 'Done before the build came under plan.'
          : `Done ${when(work.doneAt ?? board.now, board.now, board.zone)}.`}
      </p>
    )
  if (work.cannot) return <p className="hot">Cannot be planned: {work.cannot}</p>
  if (!p) return null
  return (
    <p className={layout.flat}>
      {when(p.start, board.now, board.zone)} to {when(p.end, board.now, board.zone)},{' '}
      {p.crew.map((c) => person.get(c)?.name).join(' and ')}
      {p.stationId && `, ${station.get(p.stationId)?.name}`}. {p.tag && <PaperTag tag={p.tag} />} No sooner:{' '}
      {p.said}.
    </p>
  )
}
