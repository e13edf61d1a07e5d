import { Button, NumberInput, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useQuery } from '@tanstack/react-query'
import { client, dataOf, type Schemas } from '../api/client'
import { atFields, useSend } from '../api/send'

/** The shop's name, zone and what weighs how much in a plan, each with its reason. */
export function Rules({ changes }: { changes: boolean }) {
  const shop = useQuery({ queryKey: ['shop'], queryFn: () => dataOf(client.GET('/api/shop')) })
  if (!shop.data) return null
  return <RulesForm key={shop.data.version} shop={shop.data} changes={changes} />
}

function RulesForm({ shop, changes }: { shop: Schemas['ShopForm']; changes: boolean }) {
  const { send, busy } = useSend()
  const form = useForm({ initialValues: shop })
  const save = (body: typeof form.values) =>
    void send(
      () => dataOf(client.PUT('/api/shop', { body })),
      (problem) => atFields(problem, form.setFieldError),
    )
  return (
    <form onSubmit={form.onSubmit(save)} style={{ maxWidth: 620 }}>
      <fieldset disabled={!changes} style={{ border: 'none', padding: 0, margin: 0 }}>
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
          label="A person-day told otherwise"
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
