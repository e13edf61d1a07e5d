import { Button, Switch, Textarea, TextInput } from '@mantine/core'
import { type FormEvent, useState } from 'react'
import { client, dataOf } from '../api/client'
import { type Attempt } from '../api/rollout'
import { useSend } from '../api/send'
import css from './rollout.module.css'

interface Props {
  attempt: Attempt
  /** Whether the engine ran: how far it went, what leaked, whether it was warm through. */
  engine: boolean
  done: boolean
  onClose: () => void
}

/** What was seen at the end of a try. */
export function EndForm({ attempt, engine, done, onClose }: Props) {
  const [seen, setSeen] = useState('')
  const [leaked, setLeaked] = useState('')
  const [km, setKm] = useState('')
  const [oilPressure, setOilPressure] = useState('')
  const [warm, setWarm] = useState(false)
  const [errors, setErrors] = useState<Record<string, string>>({})
  const { send, busy } = useSend()
  const end = (event: FormEvent) => {
    event.preventDefault()
    setErrors({})
    const distance = km.trim() ? Number(km.replace(',', '.')) : 0
    if (Number.isNaN(distance)) {
      setErrors({ km: 'A number of kilometres, such as 0.8.' })
      return
    }
    void send(
      () =>
        dataOf(
          client.POST('/api/rollout-attempts/{attempt}/end', {
            params: { path: { attempt: attempt.id } },
            body: { done, seen, leaked, km: distance, oilPressure, warm },
          }),
        ),
      (problem) => {
        setErrors(Object.fromEntries(problem.problems.map((p) => [p.field, p.message])))
        return problem.problems.length > 0
      },
    )
  }
  return (
    <form onSubmit={end} className={css.pass}>
      <Textarea
        label={done ? 'Anything seen' : 'What was seen'}
        value={seen}
        onChange={(e) => setSeen(e.currentTarget.value)}
        error={errors.seen}
        autosize
        className={css.wide}
        data-autofocus
      />
      {engine && !done && (
        <TextInput
          label="Leaked (makes a job)"
          placeholder="weep at the cooler union"
          value={leaked}
          onChange={(e) => setLeaked(e.currentTarget.value)}
          error={errors.leaked}
          className={css.wide}
        />
      )}
      {engine && (
        <>
          <TextInput
            label="Gone, km"
            placeholder="0.8"
            inputMode="decimal"
            value={km}
            onChange={(e) => setKm(e.currentTarget.value)}
            error={errors.km}
          />
          <TextInput
            label="Oil pressure"
            placeholder="3.1 bar"
            value={oilPressure}
            onChange={(e) => setOilPressure(e.currentTarget.value)}
            error={errors.oilPressure}
          />
          <Switch
            label="warm through"
            checked={warm}
            onChange={(e) => setWarm(e.currentTarget.checked)}
            className={css.wide}
          />
        </>
      )}
      {errors.done && <p className={`hot ${css.wide}`}>{errors.done}</p>}
      <div className={css.goRow}>
        <Button type="submit" size="md" loading={busy} color={done ? undefined : 'hot'}>
          {done ? 'It is done' : 'Stopped'}
        </Button>
        <Button variant="default" size="md" onClick={onClose}>
          Back
        </Button>
      </div>
    </form>
  )
}
