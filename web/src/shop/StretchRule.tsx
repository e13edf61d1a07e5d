import { Button, NumberInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useQuery } from '@tanstack/react-query'
import { useBoard } from '../api/board'
import { client, dataOf, done, type Schemas } from '../api/client'
import { atFields, useSend } from '../api/send'
import layout from '../ui/layout.module.css'
import { Typed } from '../ui/Typed'
import css from './shop.module.css'

const FIELDS = [
  ['mostDays', 'Days in a row', ' days'],
  ['mostNights', 'Nights in a row, away or past 22:00', ' nights'],
  ['mostHours', 'Hours in seven days', ' h'],
  ['eventHours', 'A day at an event counts as', ' h'],
] as const

/** From when on the house warns that somebody is at it for too long. */
export function StretchRule({ changes }: { changes: boolean }) {
  const { looked } = useBoard()
  const rule = useQuery({
    queryKey: ['stretch-rule', looked],
    queryFn: () => dataOf(client.GET('/api/stretch-rule')),
    placeholderData: (before) => before,
  }).data
  if (!rule) return null
  return (
    <Typed said={rule} edition={JSON.stringify(rule)} what="the rule for long stretches">
      {(shown, onTyping) => <RuleForm rule={shown} changes={changes} onTyping={onTyping} />}
    </Typed>
  )
}

interface FormProps {
  rule: Schemas['StretchRuleRequest']
  changes: boolean
  onTyping: (typing: boolean) => void
}

function RuleForm({ rule, changes, onTyping }: FormProps) {
  const { send, busy } = useSend()
  const form = useForm({ initialValues: rule, onValuesChange: () => onTyping(true) })
  const save = (body: typeof form.values) =>
    void send(
      () => done(client.PUT('/api/stretch-rule', { body })),
      (problem) => atFields(problem, form.setFieldError),
    ).then((saved) => saved && onTyping(false))
  return (
    <form onSubmit={form.onSubmit(save)} className={css.form} aria-label="Long stretches">
      <fieldset disabled={!changes} className={layout.bare}>
        <h2>Long stretches</h2>
        <p className="soft small">
          An event warns where somebody is at it for longer. It forbids nothing; what the law says of working
          hours stands above it.
        </p>
        {FIELDS.map(([field, label, suffix]) => (
          <NumberInput key={field} mt={8} label={label} suffix={suffix} {...form.getInputProps(field)} />
        ))}
        {changes && (
          <Button type="submit" mt={12} loading={busy}>
            Save
          </Button>
        )}
      </fieldset>
    </form>
  )
}
