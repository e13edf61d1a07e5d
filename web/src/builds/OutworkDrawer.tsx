import { Checkbox, Drawer, Group, NumberInput, Select, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { type Car, useBoard, type Work } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { atFields, useSend } from '../api/send'
import { Pins } from '../domain/Pins'
import { instantOf, localOf } from '../format/time'
import { GATES } from '../domain/gates'
import { Disturbs } from './Disturbs'
import { ForDate } from './ForDate'
import { Links } from './Links'
import { WorkButtons } from './WorkButtons'
import { MomentField } from '../ui/MomentField'
import { DurationField, minutes } from '../ui/DurationField'
import layout from '../ui/layout.module.css'

interface Props {
  car: Car
  work?: Work
  account: Schemas['Account']
  onClose: () => void
}

/** Work that another firm does: where, by slot or queue, how long, on the car or a part of it. */
export function OutworkDrawer({ car, work, account, onClose }: Props) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const changes = account.role !== 'HAND'
  const o = work?.outwork
  const form = useForm({
    initialValues: {
      name: work?.name ?? '',
      vendorId: o?.vendorId ?? board.vendors[0]?.id ?? '',
      wholeCar: o?.wholeCar ?? false,
      outMinutes: o?.outMinutes ?? 30,
      slotFrom: localOf(o?.slotFrom, board.zone),
      slotTo: localOf(o?.slotTo, board.zone),
      lowDays: o?.lowDays ?? 2,
      likelyDays: o?.likelyDays ?? 3,
      highDays: o?.highDays ?? 5,
      backMinutes: o?.backMinutes ?? 30,
      inspectionMinutes: o?.inspectionMinutes ?? 30,
      gate: work?.gate ?? ('EVENT' as Schemas['OutworkRequest']['gate']),
      essential: work?.essential ?? true,
      notBefore: localOf(work?.notBefore, board.zone),
    },
  })
  const offers = board.vendors.find((v) => v.id === form.values.vendorId)?.offers ?? []
  const save = async (v: typeof form.values) => {
    const at = (local: string) => (local ? instantOf(local, board.zone) : undefined)
    const body: Schemas['OutworkRequest'] = {
      ...v,
      buildId: car.id,
      stage: work?.stage,
      slotFrom: at(v.slotFrom),
      slotTo: at(v.slotTo),
      notBefore: at(v.notBefore),
      after: [],
      version: work?.version ?? 0,
    }
    const done = await send(
      async () => {
        if (work) await dataOf(client.PUT('/api/outwork/{id}', { params: { path: { id: work.id } }, body }))
        else await dataOf(client.POST('/api/outwork', { body }))
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
      title={work ? work.name : `Outside work for the ${car.name}`}
    >
      {work?.placed && <p className={layout.flat}>No sooner: {work.placed.said}.</p>}
      {work && <Pins work={work} canPin={account.role === 'MANAGER'} />}
      <form onSubmit={form.onSubmit((v) => void save(v))}>
        <fieldset disabled={!changes} className={layout.bare}>
          <TextInput label="What" data-autofocus {...form.getInputProps('name')} />
          <Select
            label="Vendor"
            mt={8}
            allowDeselect={false}
            data={board.vendors.map((v) => ({ value: v.id, label: `${v.name}, ${v.trade}` }))}
            {...form.getInputProps('vendorId')}
          />
          {offers.length > 0 && (
            <Select
              label="From its list"
              mt={8}
              placeholder="takes its name and its days"
              data={offers.map((x) => ({
                value: x.what,
                label: `${x.what}${x.price === undefined ? '' : `, ${x.price.toFixed(2)}`}, ${x.likelyDays} working days`,
              }))}
              value={null}
              onChange={(what) => {
                const x = offers.find((y) => y.what === what)
                if (x)
                  form.setValues({
                    name: form.values.name || x.what,
                    lowDays: x.lowDays,
                    likelyDays: x.likelyDays,
                    highDays: x.highDays,
                  })
              }}
            />
          )}
          <Group mt={10}>
            <Checkbox label="the whole car goes" {...form.getInputProps('wholeCar', { type: 'checkbox' })} />
            <Checkbox label="essential" {...form.getInputProps('essential', { type: 'checkbox' })} />
          </Group>
          <Group grow mt={8} align="start">
            <MomentField label="Booked slot from" {...form.getInputProps('slotFrom')} />
            <MomentField label="to" {...form.getInputProps('slotTo')} />
          </Group>
          <Group grow mt={8} align="start">
            <NumberInput label="Days, at best" {...form.getInputProps('lowDays')} />
            <NumberInput label="Days, likely" {...form.getInputProps('likelyDays')} />
            <NumberInput label="Days, at worst" {...form.getInputProps('highDays')} />
          </Group>
          <Group grow mt={8} align="start">
            <DurationField label="Way there" {...minutes(form, 'outMinutes')} />
            <DurationField label="Way back" {...minutes(form, 'backMinutes')} />
            <DurationField label="Inspect it" {...minutes(form, 'inspectionMinutes')} />
          </Group>
          <Group grow mt={8} align="start">
            <Select label="Gate" allowDeselect={false} data={GATES} {...form.getInputProps('gate')} />
            <MomentField label="Not before" {...form.getInputProps('notBefore')} />
          </Group>
          {changes && <WorkButtons work={work} busy={busy} onClose={onClose} />}
        </fieldset>
      </form>
      {work && work.status !== 'DONE' && <ForDate work={work} changes={changes} />}
      {work && work.status !== 'DONE' && <Disturbs work={work} changes={changes} />}
      {work && <Links work={work} changes={changes} />}
    </Drawer>
  )
}
