import { Button, NumberInput, Radio, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useQuery } from '@tanstack/react-query'
import { client, dataOf, type Schemas } from '../api/client'
import { atFields, useSend } from '../api/send'
import layout from '../ui/layout.module.css'
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

/** The shop's name, zone and what weighs how much in a plan, each with its reason. */
export function Rules({ changes }: { changes: boolean }) {
  const shop = useQuery({ queryKey: ['shop'], queryFn: () => dataOf(client.GET('/api/shop')) })
  if (!shop.data) return null
  return <RulesForm key={shop.data.version} shop={shop.data} changes={changes} />
}

function RulesForm({ shop, changes }: { shop: Schemas['ShopRequest']; changes: boolean }) {
  const { send, busy } = useSend()
  const form = useForm({ initialValues: shop })
  const save = (body: typeof form.values) =>
    void send(
      () => dataOf(client.PUT('/api/shop', { body })),
      (problem) => atFields(problem, form.setFieldError),
    )
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
        <p className="soft small">
          A plan is compared first by lateness at events and paid slots, then by lateness at promises. Only
          then do these count, as one sum; each is the harm of one unit in hours by which can-follow work is
          pushed past its date.
        </p>
        <NumberInput
          label="A start at risk"
          description="More: the plan waits rather than starts on what may have to be redone."
          {...form.getInputProps('atRiskStart')}
        />
        <NumberInput
          label="A person-day to be told again"
          mt={8}
          description="More: people keep the plan they were told; less: each new plan is free to be better."
          {...form.getInputProps('toldOtherwise')}
        />
        <NumberInput
          label="A car in bits for a day"
          mt={8}
          description="More: one car is finished before the next is opened; less: all go on side by side."
          {...form.getInputProps('carInBits')}
        />
        <NumberInput
          label="A day until a build is finished"
          mt={8}
          description="More: everything is done as soon as it can be."
          {...form.getInputProps('finishDay')}
        />
        <NumberInput
          label="Hours that a date should have in hand"
          mt={8}
          description="More: dates are kept with room for what goes wrong; less: the room goes to other cars. Each hour short counts as an hour above."
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
          label="Chance that outside work comes back wrong"
          mt={8}
          min={0}
          max={1}
          step={0.01}
          decimalScale={2}
          description="0.05 is one in twenty; it goes out again for its shortest time. The odds count with it, the plan does not."
          {...form.getInputProps('returnWrong')}
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
        {changes && (
          <Button type="submit" mt={16} loading={busy}>
            Save
          </Button>
        )}
      </fieldset>
    </form>
  )
}
