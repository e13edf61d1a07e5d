import { Button, Group, NumberInput, Select, TextInput } from '@mantine/core'
import { useState } from 'react'
import { useBoard, type Work } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { duration } from '../format/margin'
import { DurationField } from '../ui/DurationField'
import layout from '../ui/layout.module.css'
import css from './builds.module.css'

type Type = Schemas['LinkRequest']['type']

const TYPES: { value: Type; label: string }[] = [
  { value: 'FINISH_START', label: 'starts after its finish' },
  { value: 'START_START', label: 'starts after its start' },
  { value: 'FINISH_FINISH', label: 'ends after its finish' },
]

/** What a job waits for and what waits for it; ties and unties. */
export function Links({ work, changes }: { work: Work; changes: boolean }) {
  const { board, work: works } = useBoard()
  const { send, busy } = useSend()
  const [first, setFirst] = useState<string | null>(null)
  const [type, setType] = useState<Type>('FINISH_START')
  const [lag, setLag] = useState<number>()
  const [risk, setRisk] = useState<number | string>('')
  const [because, setBecause] = useState('')
  const [error, setError] = useState<string>()
  const before = board.links.filter((l) => l.thenId === work.id)
  const after = board.links.filter((l) => l.firstId === work.id)
  const tie = async () => {
    if (!first) {
      setError('Say which job.')
      return
    }
    const chance = risk === '' ? undefined : Number(risk) / 100
    const done = await send(
      () =>
        dataOf(
          client.POST('/api/links', {
            body: {
              firstId: first,
              thenId: work.id,
              type,
              lagMinutes: lag ?? 0,
              lagWorking: false,
              riskChance: chance,
              riskReworkMinutes: chance === undefined ? undefined : 60,
              because: because || undefined,
            },
          }),
        ),
      (problem) => {
        setError(problem.message)
        return true
      },
    )
    if (done) {
      setFirst(null)
      setBecause('')
    }
  }
  const line = (id: string, of: string, l: (typeof before)[number]) => (
    <div key={id} className="small">
      {works.get(of)?.name}
      <span className="soft">
        {' '}
        {l.type !== 'FINISH_START' && TYPES.find((t) => t.value === l.type)?.label}
        {l.lagMinutes > 0 && ` +${duration(l.lagMinutes)}`}
        {l.riskChance !== undefined &&
          ` at risk ${Math.round(l.riskChance * 100)} %${l.usedAtRisk ? ', used by the plan' : ''}`}
        {l.because && `, ${l.because}`}
      </span>{' '}
      {changes && (
        <button
          className="link"
          onClick={() =>
            void send(() => dataOf(client.DELETE('/api/links/{id}', { params: { path: { id } } })))
          }
        >
          untie
        </button>
      )}
    </div>
  )
  const options = board.works
    .filter((w) => w.buildId === work.buildId && w.id !== work.id)
    .map((w) => ({ value: w.id, label: w.name + (w.status === 'DONE' ? ' (done)' : '') }))
  return (
    <section aria-label="Links" className={css.links}>
      <b>Waits for</b>
      {before.length === 0 && <div className="soft small">nothing</div>}
      {before.map((l) => line(l.id, l.firstId, l))}
      <b>Before</b>
      {after.length === 0 && <div className="soft small">nothing</div>}
      {after.map((l) => line(l.id, l.thenId, l))}
      {changes && (
        <div className={layout.belowTight}>
          <Select
            label="It also waits for"
            searchable
            data={options}
            value={first}
            error={error}
            onChange={(v) => {
              setFirst(v)
              setError(undefined)
            }}
          />
          <Select
            aria-label="How"
            mt={6}
            data={TYPES}
            value={type}
            allowDeselect={false}
            onChange={(v) => setType((v ?? 'FINISH_START') as Type)}
          />
          <Group grow mt={6} align="end">
            <DurationField label="Waits after it" placeholder="no" value={lag} onChange={setLag} />
            <NumberInput
              label="Starts at risk, %"
              description="how often it must be done again"
              placeholder="no"
              min={0}
              max={100}
              value={risk}
              onChange={setRisk}
            />
          </Group>
          <TextInput
            label="Why"
            mt={6}
            placeholder="so that they clear it"
            value={because}
            onChange={(e) => setBecause(e.currentTarget.value)}
          />
          <Button size="compact-sm" variant="default" mt={8} loading={busy} onClick={() => void tie()}>
            Tie
          </Button>
        </div>
      )}
    </section>
  )
}
