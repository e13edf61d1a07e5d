import { Button, Modal, Select, TextInput } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import type { Car } from '../api/board'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'

interface Props {
  car: Car
  onClose: () => void
}

/** The work of this build under a name, for the next of its kind. */
export function SaveTemplate({ car, onClose }: Props) {
  const { send, busy } = useSend()
  const [name, setName] = useState('')
  const [error, setError] = useState<string>()
  const save = async () => {
    const done = await send(
      () => dataOf(client.POST('/api/templates/of-build', { body: { buildId: car.id, name } })),
      (problem) => {
        setError(problem.message)
        return true
      },
    )
    if (done) onClose()
  }
  return (
    <Modal opened onClose={onClose} title={`The work of ${car.number} ${car.name} as a template`}>
      <form
        onSubmit={(e) => {
          e.preventDefault()
          void save()
        }}
      >
        <TextInput
          label="Name"
          description="jobs, stages, outside work and their order; no dates, people or parts"
          data-autofocus
          value={name}
          error={error}
          onChange={(e) => {
            setName(e.currentTarget.value)
            setError(undefined)
          }}
        />
        <Button type="submit" mt={12} loading={busy}>
          Save
        </Button>
      </form>
    </Modal>
  )
}

/** The work of a template goes onto a car that is there. */
export function AddTemplate({ car, onClose }: Props) {
  const { send, busy } = useSend()
  const [template, setTemplate] = useState<string | null>(null)
  const templates = useQuery({ queryKey: ['templates'], queryFn: () => dataOf(client.GET('/api/templates')) })
  const add = async () => {
    if (!template) return
    const done = await send(() =>
      dataOf(
        client.POST('/api/builds/{id}/template', { params: { path: { id: car.id } }, body: { template } }),
      ),
    )
    if (done) onClose()
  }
  return (
    <Modal opened onClose={onClose} title={`More work for ${car.number} ${car.name}`}>
      <Select
        label="Template"
        data={(templates.data ?? []).map((t) => ({ value: t.id, label: `${t.name}, ${t.jobs} jobs` }))}
        value={template}
        onChange={setTemplate}
      />
      <Button mt={12} loading={busy} disabled={!template} onClick={() => void add()}>
        Add its work
      </Button>
    </Modal>
  )
}
