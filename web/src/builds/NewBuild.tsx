import { Button, Group, Modal, Radio, Select, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { duration } from '../format/margin'
import { instantOf, localOf } from '../format/time'
import { CarFields, type CarValues, NEW_CAR } from './CarFields'
import { PromiseDate } from './PromiseDate'
import { MomentField } from '../ui/MomentField'

type Kind = NonNullable<Schemas['NewBuildRequest']['dateKind']>

const NONE = 'none'

/** A new build in two steps: which car and which template, then its first date. */
export function NewBuild({ onClose, onDone }: { onClose: () => void; onDone: (id: string) => void }) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const templates = useQuery({ queryKey: ['templates'], queryFn: () => dataOf(client.GET('/api/templates')) })
  const [step, setStep] = useState<1 | 2>(1)
  const [picked, setPicked] = useState('strip-and-rebuild')
  // The house may have taken that template off its list.
  const template = templates.data?.some((t) => t.id === picked) === false ? NONE : picked
  const form = useForm<CarValues>({
    initialValues: NEW_CAR,
    validate: { name: (v) => (v.trim() ? null : 'What is the car called?') },
  })
  const date = useForm({ initialValues: { dateName: '', dateKind: 'EVENT' as Kind, due: '' } })
  const make = async () => {
    const due = date.values.due ? instantOf(date.values.due, board.zone) : undefined
    if (!due && date.values.dateName.trim()) {
      date.setFieldError('due', 'When is that?')
      return
    }
    const made = await send(
      () =>
        dataOf(
          client.POST('/api/builds', {
            body: {
              build: form.values,
              template: template === NONE ? undefined : template,
              dateName: due ? date.values.dateName : undefined,
              dateKind: due ? date.values.dateKind : undefined,
              dateDue: due,
            },
          }),
        ),
      (problem) => {
        problem.problems.forEach((p) => {
          if (p.field in date.values || p.field === 'due') date.setFieldError(p.field, p.message)
          else {
            form.setFieldError(p.field.replace(/^build\./, ''), p.message)
            setStep(1)
          }
        })
        return problem.problems.length > 0
      },
    )
    if (made) onDone(made.id)
  }
  return (
    <Modal
      opened
      onClose={onClose}
      title={step === 1 ? 'A new build: the car and its work' : 'A new build: its first date'}
      size="lg"
    >
      {step === 1 ? (
        <form onSubmit={form.onSubmit(() => setStep(2))}>
          <CarFields form={form} />
          <Radio.Group label="Template" mt="md" value={template} onChange={setPicked}>
            {templates.data?.map((t) => (
              <Radio
                key={t.id}
                mt={8}
                value={t.id}
                label={t.name}
                description={`${t.jobs} jobs, ${duration(Math.round(t.likelyMinutes / 60) * 60)}: ${t.stages.join(', ')}`}
              />
            ))}
            <Radio mt={8} value={NONE} label="None" description="an empty build" />
          </Radio.Group>
          <Button type="submit" mt={16}>
            Next: the date
          </Button>
        </form>
      ) : (
        <form
          onSubmit={(e) => {
            e.preventDefault()
            void make()
          }}
        >
          <TextInput
            label="What must it be ready for?"
            placeholder="leave empty for no date yet"
            data-autofocus
            {...date.getInputProps('dateName')}
          />
          <Group grow mt={8} align="start">
            <Select
              label="Kind"
              allowDeselect={false}
              data={[
                { value: 'EVENT', label: 'event: hard' },
                { value: 'SLOT', label: 'paid slot: hard' },
                { value: 'PROMISE', label: 'promise: soft' },
              ]}
              {...date.getInputProps('dateKind')}
            />
            <MomentField label="When" {...date.getInputProps('due')} />
          </Group>
          {template !== NONE && (
            <PromiseDate
              template={template}
              onPick={(at) => {
                date.setFieldValue('due', localOf(at, board.zone))
                date.setFieldValue('dateKind', 'PROMISE')
                if (!date.values.dateName) date.setFieldValue('dateName', 'Hand-over')
              }}
            />
          )}
          <Group mt={16} gap={8}>
            <Button type="submit" loading={busy}>
              Take it in
            </Button>
            <Button variant="default" onClick={() => setStep(1)}>
              Back
            </Button>
          </Group>
        </form>
      )}
    </Modal>
  )
}
