import { ActionIcon, Button, Checkbox, Group, NumberInput, Select, Textarea, TextInput } from '@mantine/core'
import type { UseFormReturnType } from '@mantine/form'
import { useRef, useState } from 'react'
import { type Car, isCar, useBoard } from '../api/board'
import type { Schemas } from '../api/client'
import { GATES } from '../domain/gates'
import { duration } from '../format/margin'
import { word } from '../format/words'
import { DurationField, minutes } from '../ui/DurationField'
import { MomentField } from '../ui/MomentField'
import { LEVELS, LOCKS, ZONES } from './choices'
import layout from '../ui/layout.module.css'
import css from './builds.module.css'

export type JobValues = Schemas['JobSpec'] & { stage: string; note: string; notBefore: string }
export type JobForm = UseFormReturnType<JobValues>

/** Fields that are folded away; a problem at one of them opens them. */
const FOLDED = [
  'lowMinutes',
  'highMinutes',
  'crew',
  'stationKind',
  'findPercent',
  'findMinutes',
  'cureMinutes',
]

/** What a job is, in a few fields; the rest is folded away, with its present value said in words. */
export function JobFields({ car, form }: { car: Car; form: JobForm }) {
  const [open, setOpen] = useState(false)
  const unfolded = open || FOLDED.some((f) => form.errors[f])
  const before = useRef(form.values)
  /** What is likely moves the best and the worst along, in the proportion in which they were. */
  const takes = (minutes: number | undefined) => {
    if (!minutes) return
    const { likelyMinutes, lowMinutes, highMinutes } = before.current
    form.setValues({
      likelyMinutes: minutes,
      lowMinutes: Math.max(1, Math.round((lowMinutes * minutes) / likelyMinutes)),
      highMinutes: Math.ceil((highMinutes * minutes) / likelyMinutes),
    })
  }
  return (
    <>
      <TextInput label="Job" data-autofocus {...form.getInputProps('name')} />
      <Group grow mt={8} align="start">
        <DurationField
          label="Takes, likely"
          value={form.values.likelyMinutes}
          onFocus={() => (before.current = form.values)}
          error={form.errors.likelyMinutes}
          onChange={takes}
        />
        {isCar(car) && (
          <Select label="Zone" allowDeselect={false} data={ZONES} {...form.getInputProps('zone')} />
        )}
        <TextInput label="Stage" list="stages" {...form.getInputProps('stage')} />
      </Group>
      <datalist id="stages">
        {car.stages.map((s) => (
          <option key={s.id} value={s.name} />
        ))}
      </datalist>
      <p className={`small ${css.inWords}`}>
        {inWords(form.values)}{' '}
        <button type="button" className="link" aria-expanded={unfolded} onClick={() => setOpen(!unfolded)}>
          {unfolded ? 'fold away' : 'change'}
        </button>
      </p>
      {unfolded && <MoreFields form={form} />}
      <Textarea label="Note, caution" mt={8} autosize {...form.getInputProps('note')} />
    </>
  )
}

const HANDS = ['nobody', 'one', 'two', 'three', 'four', 'five', 'six']

/** "1 h likely, 40 min to 2 h; on the car; one hand: fit; before the event". */
function inWords(job: JobValues): string {
  const hands = `${HANDS[job.crew.length] ?? job.crew.length} ${job.crew.length === 1 ? 'hand' : 'hands'}: ${job.crew
    .map((c) => `${c.skill}${c.least === 'LEARNER' ? '' : ` (${word(c.least)})`}`)
    .join(' and ')}`
  return [
    `${duration(job.likelyMinutes)} likely, ${duration(job.lowMinutes)} to ${duration(job.highMinutes)}`,
    job.wholeCar ? 'takes the whole car' : job.onCar ? 'on the car' : 'off the car',
    hands,
    job.stationKind && `at ${/^[aeiou]/.test(job.stationKind) ? 'an' : 'a'} ${job.stationKind}`,
    job.oneGo && 'in one go',
    job.cureMinutes > 0 && `cures ${duration(job.cureMinutes)}`,
    job.findPercent > 0 && `finds more in ${job.findPercent} % of cases`,
    `${job.essential ? 'before' : 'may follow'} ${word(job.gate)}`,
    job.notBefore && 'not before a date',
  ]
    .filter(Boolean)
    .join('; ')
}

function MoreFields({ form }: { form: JobForm }) {
  const { board } = useBoard()
  const skills = [...new Set(board.people.flatMap((p) => p.skills.map((s) => s.skill)))].sort()
  const kinds = [...new Set(board.stations.map((s) => s.kind))]
  return (
    <div className={css.folded}>
      <Group grow mt={8} align="start">
        <DurationField label="At best" {...minutes(form, 'lowMinutes')} />
        <DurationField label="At worst" {...minutes(form, 'highMinutes')} />
      </Group>
      <div className={layout.belowTight}>
        <span className="small strong">Hands</span>
        {form.errors.crew && <div className="hot small">{form.errors.crew}</div>}
        {form.values.crew.map((place, i) => (
          <Group key={i} gap={6} mt={4} wrap="nowrap">
            <TextInput
              aria-label={`Skill of hand ${i + 1}`}
              list="skills"
              value={place.skill}
              className={layout.stretch}
              onChange={(e) => form.setFieldValue(`crew.${i}.skill`, e.currentTarget.value)}
            />
            <Select
              aria-label={`Least level of hand ${i + 1}`}
              data={LEVELS}
              allowDeselect={false}
              value={place.least}
              className={css.lock}
              onChange={(v) => form.setFieldValue(`crew.${i}.least`, (v ?? 'ABLE') as 'ABLE')}
            />
            <ActionIcon
              variant="default"
              size="lg"
              aria-label="One hand fewer"
              onClick={() => form.removeListItem('crew', i)}
            >
              −
            </ActionIcon>
          </Group>
        ))}
        <datalist id="skills">
          {skills.map((s) => (
            <option key={s} value={s} />
          ))}
        </datalist>
        <Button
          size="compact-xs"
          variant="default"
          mt={6}
          onClick={() => form.insertListItem('crew', { skill: 'fit', least: 'LEARNER' })}
        >
          One more hand
        </Button>
      </div>
      <Group grow mt={8} align="start">
        <Select
          label="Station"
          data={[{ value: '', label: 'none' }, ...kinds]}
          allowDeselect={false}
          {...form.getInputProps('stationKind')}
        />
        <Select label="Needed before" allowDeselect={false} data={GATES} {...form.getInputProps('gate')} />
      </Group>
      <Group mt={10} gap={14}>
        <Checkbox label="on the car" {...form.getInputProps('onCar', { type: 'checkbox' })} />
        <Checkbox label="whole car" {...form.getInputProps('wholeCar', { type: 'checkbox' })} />
        <Checkbox label="in one go" {...form.getInputProps('oneGo', { type: 'checkbox' })} />
        <Checkbox label="essential" {...form.getInputProps('essential', { type: 'checkbox' })} />
      </Group>
      <Group grow mt={8} align="start">
        <NumberInput
          label="Chance to find more, %"
          description="a strip does; the odds keep time for it"
          {...form.getInputProps('findPercent')}
        />
        <DurationField
          label="And then takes"
          description="for the same hands"
          {...minutes(form, 'findMinutes')}
        />
      </Group>
      <Group grow mt={8} align="start">
        <DurationField label="Cures for" {...minutes(form, 'cureMinutes')} />
        <Select label="Curing locks" allowDeselect={false} data={LOCKS} {...form.getInputProps('cureLock')} />
      </Group>
      <MomentField label="Not before" mt={8} {...form.getInputProps('notBefore')} />
    </div>
  )
}
