import { NativeSelect, Textarea, TextInput } from '@mantine/core'
import { useBoard } from '../api/board'
import { forgetSteps, keepSteps, type Step, useSteps, type Whose } from '../api/houseLists'
import { GATES } from '../domain/gates'
import { ListEditor } from './ListEditor'
import css from './gates.module.css'

const LISTS: { field: 'before' | 'after' | 'channels'; label: string; hint: string }[] = [
  { field: 'before', label: 'To look at before, a line each', hint: 'Pedal firm' },
  { field: 'after', label: 'and after', hint: 'No leak' },
  { field: 'channels', label: 'The logger is watched for', hint: 'water at most 105 °C' },
]

/** The steps of the roll-out, to be changed. */
export function Steps({ whose, changes }: { whose: Whose; changes: boolean }) {
  const { looked } = useBoard()
  const lists = useSteps(whose, looked)
  if (!lists) return null
  return (
    <ListEditor<Step>
      key={JSON.stringify(whose)}
      list={{ edition: lists.edition, items: lists.steps, own: lists.own }}
      name="the steps of the roll-out"
      what="a step"
      field="steps"
      changes={changes}
      blank={() => ({ name: '', limits: '', before: [], after: [], channels: [] })}
      keep={(steps, edition) => keepSteps(whose, edition, steps)}
      forget={() => forgetSteps(whose)}
    >
      {(step, put, at) => (
        <div className={css.editStep}>
          <TextInput
            size="xs"
            label="Step"
            value={step.name ?? ''}
            error={at('name')}
            onChange={(e) => put({ name: e.currentTarget.value })}
          />
          <TextInput
            size="xs"
            label="Its limits"
            value={step.limits ?? ''}
            error={at('limits')}
            onChange={(e) => put({ limits: e.currentTarget.value })}
          />
          <NativeSelect
            size="xs"
            label="After the gate"
            value={step.gate ?? ''}
            data={[{ value: '', label: 'none' }, ...GATES]}
            onChange={(e) => put({ gate: (e.currentTarget.value || undefined) as Step['gate'] })}
          />
          {LISTS.map(({ field, label, hint }) => (
            <Textarea
              key={field}
              size="xs"
              label={label}
              placeholder={hint}
              autosize
              minRows={2}
              value={(step[field] ?? []).join('\n')}
              error={at(field)}
              onChange={(e) => put({ [field]: e.currentTarget.value.split('\n') })}
            />
          ))}
        </div>
      )}
    </ListEditor>
  )
}
