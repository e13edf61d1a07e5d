import { Button, Group, NumberInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useQueryClient } from '@tanstack/react-query'
import { client, dataOf, type Schemas } from '../api/client'
import { atFields, useSend } from '../api/send'
import { amount } from '../format/money'
import layout from '../ui/layout.module.css'

/** A project's sum: what it was bought for, what it took, what it was sold for. */
export function Project({ ledger, currency }: { ledger: Schemas['LedgerResponse']; currency: string }) {
  const queries = useQueryClient()
  const { send, busy } = useSend()
  const { project } = ledger
  const form = useForm<{ bought: number | string; sold: number | string }>({
    initialValues: { bought: project.bought ?? '', sold: project.sold ?? '' },
  })
  const save = async (values: typeof form.values) => {
    const done = await send(
      async () => {
        await dataOf(
          client.PUT('/api/ledger/{build}/project', {
            params: { path: { build: ledger.buildId } },
            body: {
              bought: values.bought === '' ? undefined : Number(values.bought),
              sold: values.sold === '' ? undefined : Number(values.sold),
            },
          }),
        )
        return true
      },
      (problem) => atFields(problem, form.setFieldError),
    )
    if (done) await queries.invalidateQueries({ queryKey: ['ledger'] })
  }
  return (
    <section className="panel" aria-label="Project">
      <h2>The project, in {currency}</h2>
      <form onSubmit={form.onSubmit((v) => void save(v))}>
        <Group grow align="start">
          <NumberInput size="xs" label="Bought for" decimalScale={2} {...form.getInputProps('bought')} />
          <NumberInput size="xs" label="Sold for" decimalScale={2} {...form.getInputProps('sold')} />
        </Group>
        <div className={`small ${layout.belowTight}`}>
          work, parts and outside work so far: {amount(project.spent)}
          {project.result !== undefined && (
            <span className={project.result < 0 ? 'hot strong' : 'strong'}>
              {' '}
              · left of the sale: {amount(project.result)}
            </span>
          )}
        </div>
        <Button size="compact-sm" variant="default" type="submit" mt={8} loading={busy}>
          Save
        </Button>
      </form>
    </section>
  )
}
