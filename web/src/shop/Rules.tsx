import { Button, Group, NumberInput, Radio, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { client, dataOf, done, type Schemas } from '../api/client'
import { atFields, useSend } from '../api/send'
import { RulesPreview } from './RulesPreview'
import { Weight } from './Weight'
import layout from '../ui/layout.module.css'
import { Typed } from '../ui/Typed'
import css from './shop.module.css'

const TIES = [
  {
    value: 'NEAREST_DATE',
    label: 'the nearest date first',
    why: 'What is due soonest is least able to wait. But long outside work may then leave too late.',
  },
  {
    value: 'OUTSIDE_FIRST',
    label: 'what leads to long outside work first',
    why: 'An outside firm cannot be hurried, so what goes there leaves first. But near dates get less in hand.',
  },
  {
    value: 'ONE_CAR_AT_A_TIME',
    label: 'one car finished before the next is begun',
    why: 'Fewer cars stand open and less is mislaid. But a wait on that car costs everybody.',
  },
]

const WEIGHTS = [
  {
    field: 'atRiskStart',
    label: 'A start at risk',
    one: 'one such start',
    why: 'More: the plan waits rather than starts on what may have to be redone.',
    usual: 4,
  },
  {
    field: 'toldOtherwise',
    label: 'People told something new',
    one: 'a day of one person',
    why: 'More: people keep the plan they were told; less: each new plan is free to be better.',
    usual: 2,
  },
  {
    field: 'carInBits',
    label: 'A car in bits',
    one: 'a day of it',
    why: 'More: one car is finished before the next is opened; less: all go on side by side.',
    usual: 0.2,
  },
  {
    field: 'finishDay',
    label: 'A build that is not finished',
    one: 'a day of it',
    why: 'More: everything is done as soon as it can be.',
    usual: 0.1,
  },
] as const

/** The shop's name, zone and what weighs how much in a plan, each with its reason. */
export function Rules({ changes }: { changes: boolean }) {
  const shop = useQuery({ queryKey: ['shop'], queryFn: () => dataOf(client.GET('/api/shop')) }).data
  if (!shop) return null
  return (
    <Typed said={shop} edition={shop.version} what="the house rules">
      {(shown, onTyping) => <RulesForm shop={shown} changes={changes} onTyping={onTyping} />}
    </Typed>
  )
}

interface FormProps {
  shop: Schemas['ShopRequest']
  changes: boolean
  onTyping: (typing: boolean) => void
}

function RulesForm({ shop, changes, onTyping }: FormProps) {
  const { send, busy } = useSend()
  const [preview, setPreview] = useState<Schemas['RulesPreviewResponse']>()
  const [asking, setAsking] = useState(false)
  const form = useForm({
    initialValues: shop,
    onValuesChange: () => {
      setPreview(undefined)
      onTyping(true)
    },
  })
  const ask = async () => {
    setAsking(true)
    const answer = await send(
      () => dataOf(client.POST('/api/shop/preview', { body: form.values })),
      (problem) => atFields(problem, form.setFieldError),
    )
    setAsking(false)
    if (answer) setPreview(answer)
  }
  const save = (body: typeof form.values) =>
    void send(
      () => done(client.PUT('/api/shop', { body })),
      (problem) => atFields(problem, form.setFieldError),
    ).then((saved) => saved && onTyping(false))
  return (
    <form onSubmit={form.onSubmit(save)} className={css.form}>
      <fieldset disabled={!changes} className={layout.bare}>
        <TextInput label="Name of the shop" {...form.getInputProps('name')} />
        <TextInput
          label="Time zone"
          mt={8}
          description="All shifts and dates are told in it."
          {...form.getInputProps('zone')}
        />
        <Group mt={8} align="end" grow>
          <Radio.Group
            label="Days"
            value={String(form.values.monthFirst)}
            onChange={(v) => form.setFieldValue('monthFirst', v === 'true')}
          >
            <Group gap={14} mt={4}>
              <Radio value="false" label="Thu 3 Dec" />
              <Radio value="true" label="Thu Dec 3" />
            </Group>
          </Radio.Group>
          <Radio.Group
            label="Clock"
            value={String(form.values.twelveHours)}
            onChange={(v) => form.setFieldValue('twelveHours', v === 'true')}
          >
            <Group gap={14} mt={4}>
              <Radio value="false" label="14:00" />
              <Radio value="true" label="2:00 pm" />
            </Group>
          </Radio.Group>
        </Group>
        <Schools onPick={(school) => form.setValues(school)} />
        <p className="soft small">
          A plan is compared first by lateness at events and paid slots, then by lateness at promises. Only
          then do these count, as one sum.
        </p>
        {WEIGHTS.map((w) => (
          <Weight
            key={w.field}
            {...w}
            value={form.values[w.field]}
            onChange={(v) => form.setFieldValue(w.field, v)}
          />
        ))}
        <NumberInput
          label="Hours that a date should have in hand"
          mt={8}
          description="More: dates are kept with room for what goes wrong; less: the room goes to other cars."
          {...form.getInputProps('bufferHours')}
        />
        <NumberInput
          label="Days that stay as people were told"
          mt={8}
          description="1 is today. More: hands can rely on the week; less: the plan answers sooner. It only gives way where it cannot be otherwise, and then says so."
          {...form.getInputProps('frozenDays')}
        />
        <Radio.Group label="Between cars, all else being equal" mt={8} {...form.getInputProps('tieBreak')}>
          {TIES.map((tie) => (
            <Radio key={tie.value} value={tie.value} label={tie.label} description={tie.why} mt={6} />
          ))}
        </Radio.Group>
        <NumberInput
          label="Outside work that comes back wrong"
          mt={8}
          min={0}
          max={100}
          suffix=" %"
          decimalScale={1}
          description="It goes out again for its shortest time. The chances count with it, the plan does not."
          value={Math.round(form.values.returnWrong * 1000) / 10}
          onChange={(percent) => form.setFieldValue('returnWrong', Number(percent) / 100)}
          error={form.errors.returnWrong}
        />
        <NumberInput
          label="Hours that people stay on past their day"
          mt={8}
          min={0}
          max={8}
          step={0.5}
          decimalScale={2}
          description="For a job that must not be interrupted and takes longer than planned. More: it is ended the same evening; less: it is begun again next morning, or somebody else takes it. The odds count with it, the plan does not."
          value={form.values.stayOnMinutes / 60}
          onChange={(hours) => form.setFieldValue('stayOnMinutes', Math.round(Number(hours) * 60))}
          error={form.errors.stayOnMinutes}
        />
        <NumberInput
          label="Hours that a better plan must win to be taken without asking"
          mt={8}
          min={0}
          description="0: never, it is only offered. An hour late at an event counts four, at a promise one. It stays a draft until somebody publishes it."
          {...form.getInputProps('takeGainHours')}
        />
        <NumberInput
          label="Days after today in which it may change nothing"
          mt={8}
          min={0}
          {...form.getInputProps('takeAfterDays')}
        />
        <NumberInput
          label="Days that a part without a date is assumed to take"
          mt={8}
          description="More is safer; less keeps jobs from looking hopeless before anybody has rung."
          {...form.getInputProps('unknownArrivalDays')}
        />
        {preview && <RulesPreview preview={preview} />}
        {changes && (
          <Group mt={16}>
            <Button type="submit" loading={busy}>
              Save
            </Button>
            <Button variant="default" loading={asking} disabled={!form.isDirty()} onClick={() => void ask()}>
              What would they do?
            </Button>
          </Group>
        )}
      </fieldset>
    </form>
  )
}

type School = Schemas['SchoolResponse']

/** Rules to begin from: what each shop of its kind goes by. */
function Schools({ onPick }: { onPick: (rules: Omit<School, 'title' | 'why'>) => void }) {
  const schools = useQuery({
    queryKey: ['schools'],
    queryFn: () => dataOf(client.GET('/api/shop/schools')),
    staleTime: Infinity,
  })
  return (
    <div className={layout.below} role="group" aria-label="Begin from">
      <h3 className={layout.heading}>Begin from</h3>
      {schools.data?.map(({ title, why, ...rules }) => (
        <div key={title} className="small">
          <button type="button" className="link strong" onClick={() => onPick(rules)}>
            {title}
          </button>{' '}
          <span className="soft">{why}</span>
        </div>
      ))}
    </div>
  )
}
