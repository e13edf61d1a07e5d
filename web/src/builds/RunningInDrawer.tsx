import { Button, Checkbox, Drawer, Group, NumberInput, Select, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { type Car, useBoard, type Work } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { atFields, useSend } from '../api/send'
import { Pins } from '../domain/Pins'
import { when } from '../format/time'
import { useWorkVerbs } from '../domain/verbs'
import { GATES } from '../domain/gates'
import { ForDate } from './ForDate'
import { Links } from './Links'
import { WorkButtons } from './WorkButtons'
import { DurationField, minutes } from '../ui/DurationField'
import layout from '../ui/layout.module.css'

interface Props {
  car: Car
  work?: Work
  account: Schemas['Account']
  onClose: () => void
}

/** Gentle distance before a gate: a drive a day, the car away meanwhile. Roads and insurance as the law asks. */
export function RunningInDrawer({ car, work, account, onClose }: Props) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const verbs = useWorkVerbs()
  const changes = account.role !== 'HAND'
  const r = work?.runningIn
  const form = useForm({
    initialValues: {
      name: work?.name ?? 'Running-in',
      distanceKm: r?.distanceKm ?? 500,
      doneKm: r?.doneKm ?? 0,
      perDayKm: r?.perDayKm ?? 120,
      perDayMinutes: r?.perDayMinutes ?? 120,
      skill: r?.skill ?? 'drive',
      anyWeather: r?.anyWeather ?? false,
      gate: work?.gate ?? ('EVENT' as Schemas['RunningInRequest']['gate']),
      essential: work?.essential ?? true,
    },
  })
  const save = async (v: typeof form.values) => {
    const body = { ...v, buildId: car.id, stage: work?.stage, after: [], version: work?.version ?? 0 }
    const done = await send(
      async () => {
        if (work)
          await dataOf(client.PUT('/api/running-in/{id}', { params: { path: { id: work.id } }, body }))
        else await dataOf(client.POST('/api/running-in', { body }))
        return true
      },
      (problem) => atFields(problem, form.setFieldError),
    )
    if (done) onClose()
  }
  return (
    <Drawer
      opened
      onClose={onClose}
      position="right"
      size={470}
      title={work?.name ?? `Running-in for the ${car.name}`}
    >
      {work?.placed && (
        <p className={layout.flat}>
          {when(work.placed.start, board.now, board.zone)} to {when(work.placed.end, board.now, board.zone)}.
          No sooner: {work.placed.said}.
        </p>
      )}
      {work?.cannot && <p className="hot">Cannot be planned: {work.cannot}</p>}
      {work && work.status !== 'DONE' && (
        <Button size="compact-sm" variant="default" mt={6} onClick={() => verbs.done(work.id)}>
          Done
        </Button>
      )}
      {work && <Pins work={work} canPin={account.role === 'MANAGER'} />}
      <form onSubmit={form.onSubmit((v) => void save(v))}>
        <fieldset disabled={!changes} className={layout.bare}>
          <TextInput label="What" data-autofocus {...form.getInputProps('name')} />
          <Group grow mt={8} align="start">
            <NumberInput label="Distance, km" {...form.getInputProps('distanceKm')} />
            <NumberInput label="Driven so far, km" {...form.getInputProps('doneKm')} />
          </Group>
          <Group grow mt={8} align="start">
            <NumberInput label="At most a day, km" {...form.getInputProps('perDayKm')} />
            <DurationField label="A day of it takes" {...minutes(form, 'perDayMinutes')} />
          </Group>
          <Group grow mt={8} align="start">
            <TextInput label="Skill of the driver" {...form.getInputProps('skill')} />
            <Select
              label="Before the gate"
              allowDeselect={false}
              data={GATES}
              {...form.getInputProps('gate')}
            />
          </Group>
          <Group mt={10}>
            <Checkbox label="in any weather" {...form.getInputProps('anyWeather', { type: 'checkbox' })} />
            <Checkbox label="essential" {...form.getInputProps('essential', { type: 'checkbox' })} />
          </Group>
          {changes && <WorkButtons work={work} busy={busy} onClose={onClose} />}
        </fieldset>
      </form>
      {work && work.status !== 'DONE' && <ForDate work={work} changes={changes} />}
      {work && <Links work={work} changes={changes} />}
    </Drawer>
  )
}
