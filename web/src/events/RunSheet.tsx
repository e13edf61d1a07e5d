import { Button, Drawer, NativeSelect, Textarea, TextInput } from '@mantine/core'
import { type FormEvent, useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { useTyreSets } from '../api/events'
import { type TestRun } from '../api/season'
import { useSend } from '../api/send'
import layout from '../ui/layout.module.css'
import css from './season.module.css'
import { changed } from './runs'

interface Props {
  build: string
  run: TestRun
  nth: number
  changes: boolean
  onClose: () => void
}

/** The sheet of one run: what was changed and measured, the laps, the driver's words. */
export function RunSheet({ build, run, nth, changes, onClose }: Props) {
  const { looked } = useBoard()
  const [form, setForm] = useState(run)
  const [errors, setErrors] = useState<Record<string, string>>({})
  const sets = useTyreSets(looked)
  const { send, busy } = useSend()
  const put = (part: Partial<TestRun>) => setForm((f) => ({ ...f, ...part }))
  const text = (field: 'cold' | 'hot' | 'fuel' | 'driver' | 'air' | 'track', label: string, hint: string) => (
    <TextInput
      label={label}
      placeholder={hint}
      value={form[field]}
      error={errors[field]}
      onChange={(e) => put({ [field]: e.currentTarget.value })}
    />
  )
  const save = (ran: boolean) =>
    void send(
      () =>
        dataOf(
          client.PUT('/api/test-runs/{run}', {
            params: { path: { run: run.id } },
            body: { ...form, setId: form.setId || undefined, ran },
          }),
        ).then(() => true),
      (problem) => {
        setErrors(Object.fromEntries(problem.problems.map((p) => [p.field, p.message])))
        return problem.problems.length > 0
      },
    ).then((kept) => kept && onClose())
  const remove = () =>
    void send(() =>
      dataOf(client.DELETE('/api/test-runs/{run}', { params: { path: { run: run.id } } })).then(() => true),
    ).then((gone) => gone && onClose())
  const submit = (event: FormEvent) => {
    event.preventDefault()
    save(Boolean(run.ranAt))
  }
  return (
    <Drawer opened onClose={onClose} position="right" size="lg" title={`Run ${nth}: ${changed(run)}`}>
      <form onSubmit={submit}>
        <div className={css.fields}>
          <NativeSelect
            label="Set of tyres"
            value={form.setId ?? ''}
            error={errors.setId}
            data={[
              { value: '', label: 'not said' },
              ...(sets ?? []).filter((s) => s.buildId === build).map((s) => ({ value: s.id, label: s.name })),
            ]}
            onChange={(e) => put({ setId: e.currentTarget.value })}
          />
          {text('cold', 'Pressures cold', '1.35 1.35 1.30 1.30 bar')}
          {text('hot', 'Pressures hot', '1.62 1.60 1.58 1.58 bar')}
          {text('fuel', 'Fuel', '30 L')}
          {text('driver', 'Driver', 'who')}
          <NativeSelect
            label="Track"
            value={form.conditions}
            data={[
              { value: 'DRY', label: 'dry' },
              { value: 'DAMP', label: 'damp' },
              { value: 'WET', label: 'wet' },
            ]}
            onChange={(e) => put({ conditions: e.currentTarget.value as TestRun['conditions'] })}
          />
          {text('track', 'Track temperature', '21 °C')}
          {text('air', 'Air', 'from the weather station')}
          <Textarea
            className={css.wide}
            label="Laps"
            placeholder="1:42.35 1:42.10 1:41.98"
            autosize
            minRows={2}
            value={form.laps}
            error={errors.laps}
            onChange={(e) => put({ laps: e.currentTarget.value })}
          />
          <Textarea
            className={css.wide}
            label="The driver says"
            autosize
            minRows={3}
            value={form.words}
            error={errors.words}
            onChange={(e) => put({ words: e.currentTarget.value })}
          />
        </div>
        <div className={`${layout.row} ${layout.below}`}>
          {run.ranAt ? (
            <Button type="submit" loading={busy}>
              Keep
            </Button>
          ) : (
            <>
              <Button loading={busy} onClick={() => save(true)}>
                It was driven
              </Button>
              <Button type="submit" variant="default" loading={busy}>
                Keep for now
              </Button>
              {changes && (
                <Button variant="default" loading={busy} onClick={remove}>
                  Take it off the day
                </Button>
              )}
            </>
          )}
        </div>
      </form>
    </Drawer>
  )
}
