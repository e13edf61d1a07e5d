import { Button, Group, Modal, Select, Textarea, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { type Car, type Commitment, useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { atFields, useSend } from '../api/send'
import { duration } from '../format/margin'
import { day } from '../format/time'
import { PanelHead } from '../ui/PanelHead'
import layout from '../ui/layout.module.css'

type Round = Schemas['RoundView']

/** Work that comes back, laid between two dates of the car; a round never makes an earlier date late. */
export function Rounds({ car, changes }: { car: Car; changes: boolean }) {
  const { board, commitment } = useBoard()
  const [editing, setEditing] = useState<Round | 'new'>()
  if (car.rounds.length === 0 && !changes) return null
  return (
    <section className="panel" aria-label="Rounds">
      <PanelHead title="Rounds" onAdd={changes ? () => setEditing('new') : undefined} />
      {car.rounds.length === 0 && (
        <span className="soft small">A list of work between two dates, such as two race weekends.</span>
      )}
      {car.rounds.map((r) => {
        const works = board.works.filter((w) => w.roundId === r.id)
        const date = commitment.get(r.dateId ?? '')
        const after = commitment.get(r.afterId ?? '')
        return (
          <div key={r.id} className={layout.ruled}>
            <div className={layout.spread}>
              {changes ? (
                <button className="link strong" onClick={() => setEditing(r)}>
                  {r.name}
                </button>
              ) : (
                <b>{r.name}</b>
              )}
              <span className="soft small">
                {works.filter((w) => w.status === 'DONE').length} of {works.length} done
              </span>
            </div>
            <div className="small soft">
              {after ? `after ${after.name}, ${day(after.due, board.zone)}` : 'from now on'}
              {date ? `, for ${date.name}, ${day(date.due, board.zone)}` : ', for no date'}
            </div>
          </div>
        )
      })}
      {editing && (
        <RoundForm
          car={car}
          round={editing === 'new' ? undefined : editing}
          onClose={() => setEditing(undefined)}
        />
      )}
    </section>
  )
}

interface FormProps {
  car: Car
  round?: Round
  /** The date that the car came back from; then the round is what it came back with. */
  after?: Commitment
  onClose: () => void
}

export function RoundForm({ car, round, after, onClose }: FormProps) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const templates = useQuery({ queryKey: ['templates'], queryFn: () => dataOf(client.GET('/api/templates')) })
  const form = useForm({
    initialValues: {
      name: round?.name ?? (after ? `back from ${after.name}` : ''),
      dateId: round?.dateId ?? null,
      afterId: round?.afterId ?? after?.id ?? null,
      template: (after ? null : 'nut-and-bolt-week') as string | null,
      lines: '',
    },
  })
  const dates = board.commitments
    .filter((c) => c.buildId === car.id && !c.slotOf)
    .map((c) => ({ value: c.id, label: `${c.name}, ${day(c.due, board.zone)}` }))
  const save = async (v: typeof form.values) => {
    const body: Schemas['RoundRequest'] = {
      name: v.name,
      dateId: v.dateId ?? undefined,
      afterId: v.afterId ?? undefined,
      template: round ? undefined : (v.template ?? undefined),
      lines: v.lines.split('\n').filter((line) => line.trim()),
      version: round?.version ?? 0,
    }
    const done = await send(
      async () => {
        if (round) await dataOf(client.PUT('/api/rounds/{id}', { params: { path: { id: round.id } }, body }))
        else await dataOf(client.POST('/api/builds/{id}/rounds', { params: { path: { id: car.id } }, body }))
        return true
      },
      (problem) => atFields(problem, form.setFieldError),
    )
    if (done) onClose()
  }
  const remove = async (id: string) => {
    const done = await send(
      async () => {
        await dataOf(client.DELETE('/api/rounds/{id}', { params: { path: { id } } }))
        return true
      },
      (problem) => {
        form.setFieldError('name', problem.message)
        return true
      },
    )
    if (done) onClose()
  }
  return (
    <Modal opened onClose={onClose} title={round ? round.name : `A round of work on ${car.name}`}>
      <form onSubmit={form.onSubmit((v) => void save(v))}>
        <TextInput
          label="Name"
          placeholder="between the nights"
          data-autofocus
          {...form.getInputProps('name')}
        />
        <Select
          label="Begins after"
          mt="sm"
          placeholder="now: nothing comes before it"
          clearable
          data={dates}
          {...form.getInputProps('afterId')}
        />
        <Select
          label="Must be done for"
          mt="sm"
          placeholder="no date"
          clearable
          data={dates}
          {...form.getInputProps('dateId')}
        />
        {!round && (
          <Textarea
            label={after ? 'What it came back with' : 'Jobs of its own'}
            description="A job a line: weeping union rear left 40m"
            mt="sm"
            autosize
            minRows={after ? 4 : 2}
            {...form.getInputProps('lines')}
          />
        )}
        {!round && (
          <Select
            label="List of work"
            mt="sm"
            placeholder="empty: jobs are added one by one"
            clearable
            data={templates.data?.map((t) => ({
              value: t.id,
              label: `${t.name}: ${t.jobs} jobs, ${duration(Math.round(t.likelyMinutes / 60) * 60)}`,
            }))}
            {...form.getInputProps('template')}
          />
        )}
        <Group mt={16} gap={8}>
          <Button type="submit" loading={busy}>
            {round ? 'Save' : 'Lay the round'}
          </Button>
          {round && (
            <Button variant="default" onClick={() => void remove(round.id)}>
              Remove with its jobs
            </Button>
          )}
        </Group>
      </form>
    </Modal>
  )
}
