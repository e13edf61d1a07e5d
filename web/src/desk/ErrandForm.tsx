import { Button, Group, Modal, Select, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { atFields, useSend } from '../api/send'
import { instantOf } from '../format/time'
import { DurationField, minutes } from '../ui/DurationField'
import { MomentField } from '../ui/MomentField'

/** Kinds of stations that drive. */
const DRIVES = ['vehicle', 'van', 'trailer']

export interface ErrandStart {
  what: string
  place: string
  forBuildId?: string
  partId?: string
}

/** Who goes where with what, and by when they are back. */
export function ErrandForm({ start, onClose }: { start: ErrandStart; onClose: () => void }) {
  const { board, cars } = useBoard()
  const { send, busy } = useSend()
  const form = useForm({
    initialValues: {
      what: start.what,
      place: start.place,
      forBuildId: start.forBuildId ?? (null as string | null),
      personId: null as string | null,
      vehicleId: board.stations.find((s) => s.kind === 'vehicle')?.id ?? null,
      minutes: 60,
      from: '',
      by: '',
    },
    validate: { by: (v) => (v ? null : 'By when?') },
  })
  const save = async (v: typeof form.values) => {
    const done = await send(
      () =>
        dataOf(
          client.POST('/api/errands', {
            body: {
              what: v.what,
              place: v.place,
              forBuildId: v.forBuildId || undefined,
              partId: start.partId,
              personId: v.personId || undefined,
              vehicleId: v.vehicleId || undefined,
              minutes: v.minutes,
              from: v.from ? instantOf(v.from, board.zone) : undefined,
              by: instantOf(v.by, board.zone)!,
            },
          }),
        ),
      (problem) => atFields(problem, form.setFieldError),
    )
    if (done) onClose()
  }
  return (
    <Modal opened onClose={onClose} title="An errand">
      <form onSubmit={form.onSubmit((v) => void save(v))}>
        <TextInput
          label="What"
          data-autofocus={start.what ? undefined : true}
          {...form.getInputProps('what')}
        />
        <TextInput label="Where" mt={8} {...form.getInputProps('place')} />
        <Group grow mt={8} align="start">
          <Select
            label="Who"
            clearable
            placeholder="whoever can"
            data={board.people.map((p) => ({ value: p.id, label: p.name }))}
            {...form.getInputProps('personId')}
          />
          <Select
            label="With"
            clearable
            placeholder="no vehicle"
            data={board.stations
              .filter((s) => DRIVES.includes(s.kind))
              .map((s) => ({ value: s.id, label: s.name }))}
            {...form.getInputProps('vehicleId')}
          />
          <Select
            label="For"
            clearable
            placeholder="no car"
            disabled={start.partId !== undefined}
            data={cars.map((c) => ({ value: c.id, label: `${c.number} ${c.name}`.trim() }))}
            {...form.getInputProps('forBuildId')}
          />
        </Group>
        <Group grow mt={8} align="start">
          <DurationField label="There and back" {...minutes(form, 'minutes')} />
          <MomentField label="Not before" placeholder="any time" {...form.getInputProps('from')} />
          <MomentField
            label="Back by"
            data-autofocus={start.what ? true : undefined}
            {...form.getInputProps('by')}
          />
        </Group>
        <Button type="submit" mt={12} loading={busy}>
          Plan it
        </Button>
      </form>
    </Modal>
  )
}
