import {
  ActionIcon,
  Alert,
  Button,
  Checkbox,
  Drawer,
  Group,
  NumberInput,
  Select,
  Textarea,
  TextInput,
} from '@mantine/core'
import { useForm } from '@mantine/form'
import { useState } from 'react'
import { type Car, useBoard, type Work } from '../api/board'
import { client, dataOf, type ProblemError, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { PaperTag } from '../domain/PaperTag'
import { Pins } from '../domain/Pins'
import { instantOf, localOf, when } from '../format/time'
import { useWorkVerbs } from '../domain/verbs'
import { GATES } from '../domain/gates'
import { LEVELS, LOCKS, ZONES } from './choices'
import { HoldForm } from './HoldForm'
import { Disturbs } from './Disturbs'
import { ForDate } from './ForDate'
import { Links } from './Links'
import { WorkButtons } from './WorkButtons'
import { MomentField } from '../ui/MomentField'
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
  const changes = account.role !== 'HAND'
  const form = useForm({
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
  const skills = [...new Set(board.people.flatMap((p) => p.skills.map((s) => s.skill)))].sort()
  const kinds = [...new Set(board.stations.map((s) => s.kind))]
  return (
    <Drawer
      opened
      onClose={onClose}
      position="right"
      size={470}
      title={work ? work.name : `A job for the ${car.name}`}
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
        </Group>
      )}
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
          <TextInput label="Job" data-autofocus {...form.getInputProps('name')} />
          <Group grow mt={8} align="start">
            <TextInput label="Stage" list="stages" {...form.getInputProps('stage')} />
            <Select label="Zone" allowDeselect={false} data={ZONES} {...form.getInputProps('zone')} />
          </Group>
          <datalist id="stages">
            {car.stages.map((s) => (
              <option key={s.id} value={s.name} />
            ))}
          </datalist>
          <Group grow mt={8} align="start">
            <NumberInput label="Low, min" {...form.getInputProps('lowMinutes')} />
            <NumberInput label="Likely, min" {...form.getInputProps('likelyMinutes')} />
            <NumberInput label="High, min" {...form.getInputProps('highMinutes')} />
          </Group>
          <div className={layout.belowTight}>
            <span className="small strong">Hands</span>
            {form.errors.crew && <div className="hot small">{form.errors.crew}</div>}
            {form.values.crew.map((place, i) => (
              <Group key={i} gap={6} mt={4} wrap="nowrap">
                <TextInput
                  aria-label={`Skill of hand ${i + 1}`}
                  list="skills"
                  value={place.skill}
                  className={layout.stretch}
                  onChange={(e) => form.setFieldValue(`crew.${i}.skill`, e.currentTarget.value)}
                />
                <Select
                  aria-label={`Least level of hand ${i + 1}`}
                  data={LEVELS}
                  allowDeselect={false}
                  value={place.least}
                  className={css.lock}
                  onChange={(v) => form.setFieldValue(`crew.${i}.least`, (v ?? 'ABLE') as 'ABLE')}
                />
                <ActionIcon
                  variant="default"
                  size="lg"
                  aria-label="One hand fewer"
                  onClick={() => form.removeListItem('crew', i)}
                >
                  −
                </ActionIcon>
              </Group>
            ))}
            <datalist id="skills">
              {skills.map((s) => (
                <option key={s} value={s} />
              ))}
            </datalist>
            <Button
              size="compact-xs"
              variant="default"
              mt={6}
              onClick={() => form.insertListItem('crew', { skill: 'fit', least: 'LEARNER' })}
            >
              One more hand
            </Button>
          </div>
          <Group grow mt={8} align="start">
            <Select
              label="Station"
              data={[{ value: '', label: 'none' }, ...kinds]}
              allowDeselect={false}
              {...form.getInputProps('stationKind')}
            />
            <Select label="Gate" allowDeselect={false} data={GATES} {...form.getInputProps('gate')} />
          </Group>
          <Group mt={10} gap={14}>
            <Checkbox label="on the car" {...form.getInputProps('onCar', { type: 'checkbox' })} />
            <Checkbox label="whole car" {...form.getInputProps('wholeCar', { type: 'checkbox' })} />
            <Checkbox label="in one go" {...form.getInputProps('oneGo', { type: 'checkbox' })} />
            <Checkbox label="essential" {...form.getInputProps('essential', { type: 'checkbox' })} />
          </Group>
          <Group grow mt={8} align="start">
            <NumberInput
              label="May find more, %"
              description="a strip does; the odds reckon with it"
              {...form.getInputProps('findPercent')}
            />
            <NumberInput
              label="Then so much more, min"
              description="for the same hands"
              {...form.getInputProps('findMinutes')}
            />
          </Group>
          <Group grow mt={8} align="start">
            <NumberInput label="Cures, min" {...form.getInputProps('cureMinutes')} />
            <Select
              label="Curing locks"
              allowDeselect={false}
              data={LOCKS}
              {...form.getInputProps('cureLock')}
            />
          </Group>
          <MomentField label="Not before" mt={8} {...form.getInputProps('notBefore')} />
          <Textarea label="Note, caution" mt={8} autosize {...form.getInputProps('note')} />
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
      {work && work.status !== 'DONE' && <Disturbs work={work} changes={changes} />}
      {work && <Links work={work} changes={changes} />}
    </Drawer>
  )
}

function Standing({ work }: { work: Work }) {
  const { board, person, station } = useBoard()
  const p = work.placed
  if (work.status === 'DONE')
    return <p className="quiet">Done {when(work.doneAt ?? board.now, board.now, board.zone)}.</p>
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
