import { Button, Group, Modal, Select, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { atFields, useSend } from '../api/send'
import { instantOf } from '../format/time'
import { MomentField } from '../ui/MomentField'

interface Props {
  /** A call that was promised and is made now; absent where one comes in. */
  call?: { id: string; who: string; about: string }
  onClose: () => void
}

/** What was said in a call, and when the next is promised; from any room. */
export function CallForm({ call, onClose }: Props) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const form = useForm({
    initialValues: { who: call?.who ?? '', about: call?.about ?? '', buildId: '', said: '', next: '' },
  })
  const save = async (values: typeof form.values) => {
    const next = values.next ? instantOf(values.next, board.zone) : undefined
    const done = await send(
      async () => {
        await dataOf(
          call
            ? client.POST('/api/calls/{id}/done', {
                params: { path: { id: call.id } },
                body: { said: values.said, next },
              })
            : client.POST('/api/calls', {
                body: {
                  who: values.who,
                  about: values.about,
                  buildId: values.buildId || undefined,
                  said: values.said,
                  due: next,
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
    <Modal opened onClose={onClose} title={call ? `${call.who}: ${call.about}` : 'A call'}>
      <form onSubmit={form.onSubmit((v) => void save(v))}>
        {!call && (
          <>
            <TextInput label="Who" data-autofocus {...form.getInputProps('who')} />
            <Group grow mt={8} align="start">
              <TextInput label="About" {...form.getInputProps('about')} />
              <Select
                label="Car"
                clearable
                placeholder="none"
                data={board.cars.map((c) => ({ value: c.id, label: `${c.number} ${c.name}`.trim() }))}
                {...form.getInputProps('buildId')}
              />
            </Group>
          </>
        )}
        <TextInput
          label="What was said"
          mt={8}
          data-autofocus={call ? true : undefined}
          {...form.getInputProps('said')}
        />
        <MomentField label="Ring again" placeholder="no" mt={8} {...form.getInputProps('next')} />
        <Button type="submit" mt={12} loading={busy}>
          {call ? 'Done' : 'Note it'}
        </Button>
      </form>
    </Modal>
  )
}
