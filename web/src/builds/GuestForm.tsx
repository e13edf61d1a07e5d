import { Button, Checkbox, Group, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useBoard, type Work } from '../api/board'
import { client, dataOf } from '../api/client'
import { atFields, useSend } from '../api/send'
import { instantOf } from '../format/time'
import { MomentField } from '../ui/MomentField'
import layout from '../ui/layout.module.css'

/** The customer, or a vendor's people, do the job at our place on a day of theirs. */
export function GuestForm({ work, onClose }: { work: Work; onClose: () => void }) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const form = useForm({
    initialValues: { name: '', from: '', to: '', ourStation: Boolean(work.job?.stationKind) },
    validate: {
      from: (v) => (v ? null : 'When do they come?'),
      to: (v) => (v ? null : 'When do they go?'),
    },
  })
  const save = async (values: typeof form.values) => {
    const done = await send(
      async () => {
        await dataOf(
          client.POST('/api/works/{id}/guest', {
            params: { path: { id: work.id } },
            body: {
              name: values.name,
              from: instantOf(values.from, board.zone) ?? '',
              to: instantOf(values.to, board.zone) ?? '',
              ourStation: values.ourStation,
            },
          }),
        )
        return true
      },
      (problem) => atFields(problem, form.setFieldError),
    )
    if (done) onClose()
  }
  return (
    <form className={`panel ${layout.belowTight}`} onSubmit={form.onSubmit((v) => void save(v))}>
      <TextInput label="Who comes" placeholder="the sign writer" {...form.getInputProps('name')} />
      <Group grow mt={6} align="start">
        <MomentField label="From" {...form.getInputProps('from')} />
        <MomentField label="Until" {...form.getInputProps('to')} />
      </Group>
      {work.job?.stationKind && (
        <Checkbox
          mt={8}
          label={`needs our ${work.job.stationKind}`}
          {...form.getInputProps('ourStation', { type: 'checkbox' })}
        />
      )}
      <Group mt={8} gap={8}>
        <Button size="compact-sm" type="submit" loading={busy}>
          They do it
        </Button>
        <Button size="compact-sm" variant="default" onClick={onClose}>
          Never mind
        </Button>
      </Group>
    </form>
  )
}
