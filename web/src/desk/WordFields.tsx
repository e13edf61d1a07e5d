import { Button, Group, Textarea } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import type { Line } from '../api/desk'
import { atFields, useSend } from '../api/send'
import { instantOf, when } from '../format/time'
import { MomentField } from '../ui/MomentField'
import layout from '../ui/layout.module.css'

interface FormProps {
  kind: Line['kind']
  id: string
  arrival?: { low?: string; likely?: string; high?: string }
  onDone: () => void
}

const DAY = 86_400_000

/** A call in ten seconds: what was said, when the next word comes, the new day where there is one. */
export function WordFields({ kind, id, arrival, onDone }: FormProps) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const form = useForm({
    initialValues: { said: '', nextAt: '', likely: '', low: '', high: '' },
  })
  const at = (local: string) => (local ? instantOf(local, board.zone) : undefined)
  const save = async (v: typeof form.values) => {
    const likely = at(v.likely)
    const body: Schemas['WordRequest'] = {
      said: v.said,
      nextAt: at(v.nextAt),
      likely,
      low: at(v.low) ?? likely,
      high: at(v.high) ?? (likely && new Date(Date.parse(likely) + 2 * DAY).toISOString()),
    }
    const params = { path: { id } }
    const done = await send(
      async () => {
        if (kind === 'PART') await dataOf(client.POST('/api/parts/{id}/words', { params, body }))
        else await dataOf(client.POST('/api/outworks/{id}/words', { params, body }))
        return true
      },
      (problem) =>
        atFields(problem, (field, message) =>
          form.setFieldError(
            { arrivalLow: 'low', arrivalLikely: 'likely', arrivalHigh: 'high' }[field] ?? field,
            message,
          ),
        ),
    )
    if (!done) return
    form.reset()
    onDone()
  }
  return (
    <form onSubmit={form.onSubmit((v) => void save(v))}>
      <Textarea label="What they said" autosize minRows={2} data-autofocus {...form.getInputProps('said')} />
      <MomentField label="Next word promised" mt={8} {...form.getInputProps('nextAt')} />
      <Group grow mt={8} align="start">
        <MomentField label="New likely day" {...form.getInputProps('likely')} />
        <MomentField label="at the latest" {...form.getInputProps('high')} />
      </Group>
      {arrival?.likely && (
        <p className={`small soft ${layout.noteTight}`}>
          Told so far: {when(arrival.likely, board.now, board.zone)}
        </p>
      )}
      <Button type="submit" mt={10} loading={busy}>
        Note it
      </Button>
    </form>
  )
}
