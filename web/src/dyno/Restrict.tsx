import { Button, Modal, NumberInput, TextInput } from '@mantine/core'
import { type FormEvent, useState } from 'react'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import layout from '../ui/layout.module.css'

interface Props {
  car: string
  because: string
  text: string
  job: string
  onClose: () => void
}

/** What the car may not do until something is done about it, and the job that does it; either may be left out. */
export function Restrict({ car, because, text, job, onClose }: Props) {
  const [values, setValues] = useState({ text, job, minutes: 120 })
  const [wrong, setWrong] = useState<Record<string, string>>({})
  const { send, busy } = useSend()
  const submit = (event: FormEvent) => {
    event.preventDefault()
    void send(
      () =>
        dataOf(
          client.POST('/api/builds/{id}/restrictions', {
            params: { path: { id: car } },
            body: { ...values, because },
          }),
        ).then(() => true),
      (problem) => {
        setWrong(Object.fromEntries(problem.problems.map((p) => [p.field, p.message])))
        return problem.problems.length > 0
      },
    ).then((done) => done && onClose())
  }
  return (
    <Modal opened onClose={onClose} title={`What is done about it: ${because}`}>
      <form onSubmit={submit} className={layout.column}>
        <TextInput
          label="Until then the car may"
          description="stands at the car in every room; blank for none"
          value={values.text}
          error={wrong.text}
          onChange={(e) => setValues({ ...values, text: e.currentTarget.value })}
        />
        <TextInput
          label="Job"
          description="blank where nobody knows yet what helps"
          value={values.job}
          error={wrong.job}
          onChange={(e) => setValues({ ...values, job: e.currentTarget.value })}
        />
        <NumberInput
          label="Takes, min"
          min={5}
          step={15}
          value={values.minutes}
          error={wrong.minutes}
          onChange={(v) => setValues({ ...values, minutes: Number(v) || 60 })}
        />
        <p className="small soft">
          What the maker, the engine builder or the tuner says of a limit goes before this figure.
        </p>
        <Button type="submit" loading={busy}>
          {values.text && values.job
            ? 'Restrict it and make the job'
            : values.text
              ? 'Restrict it'
              : 'Make the job'}
        </Button>
      </form>
    </Modal>
  )
}
