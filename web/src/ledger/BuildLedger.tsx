import { Button, Group, NumberInput, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { type Car, useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { useAskedFindings } from '../api/findings'
import { atFields, useSend } from '../api/send'
import { amount, hours } from '../format/money'
import { day } from '../format/time'
import { word } from '../format/words'
import { ChangeForm } from './ChangeForm'
import { ChangeOrders } from './ChangeOrders'
import { Project } from './Project'
import { CustomerLinks } from './CustomerLinks'
import layout from '../ui/layout.module.css'
import css from './ledger.module.css'

type LedgerView = Schemas['LedgerResponse']

/** The money of one build: estimate, changes, lines, payments; and the customer's page. */
export function BuildLedger({ car, currency }: { car: Car; currency: string }) {
  const ledger = useQuery({
    queryKey: ['ledger', car.id],
    queryFn: () => dataOf(client.GET('/api/ledger/{build}', { params: { path: { build: car.id } } })),
  })
  const [changing, setChanging] = useState(false)
  const [search, setSearch] = useSearchParams()
  const findings = useAskedFindings()
  const finding = findings.find((f) => f.workId === search.get('finding') && f.buildId === car.id)
  if (!ledger.data) return null
  const l = ledger.data
  return (
    <div className={css.columns}>
      <div className={layout.column}>
        <section className="panel" aria-label="Change orders">
          <h2>
            Changes
            <Button
              size="compact-xs"
              variant="default"
              className={layout.aside}
              onClick={() => setChanging(true)}
            >
              Price a change
            </Button>
          </h2>
          <ChangeOrders changes={l.changes} currency={currency} />
        </section>
        <Lines ledger={l} />
      </div>
      <div className={layout.column}>
        <Sum ledger={l} currency={currency} />
        <Estimate key={car.id} ledger={l} />
        <Payments ledger={l} />
        <Project key={`project-${car.id}`} ledger={l} currency={currency} />
        <CustomerLinks car={car} />
      </div>
      {changing && <ChangeForm car={car} currency={currency} onClose={() => setChanging(false)} />}
      {finding && (
        <ChangeForm
          key={finding.workId}
          car={car}
          currency={currency}
          finding={finding}
          onClose={() => setSearch({}, { replace: true })}
        />
      )}
    </div>
  )
}

function Sum({ ledger, currency }: { ledger: LedgerView; currency: string }) {
  const s = ledger.summary
  const rows: [string, number][] = [
    ['agreed', s.agreed],
    ['committed', s.committed],
    ['spent', s.spent],
    ['tax on it', ledger.tax],
    ['paid', s.paid],
    ['owed', s.owed],
  ]
  return (
    <section className="panel" aria-label="Sum">
      <h2>In {currency}</h2>
      <table className="plain">
        <tbody>
          {rows.map(([name, value]) => (
            <tr key={name}>
              <td>{name}</td>
              <td className={name === 'owed' ? 'right strong' : 'right'}>{amount(value)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className={`small soft ${layout.note}`}>
        {hours(s.hoursWorked)} worked and {hours(s.hoursToDo)} to do of {hours(s.hoursAgreed)} agreed. Where
        nobody started the clock, the estimate stands in.
      </p>
    </section>
  )
}

function Estimate({ ledger }: { ledger: LedgerView }) {
  const { send, busy } = useSend()
  const from = ledger.estimate ?? ledger.proposed
  const form = useForm({
    initialValues: {
      hours: from.hours as number | string,
      parts: from.parts as number | string,
      outwork: from.outwork as number | string,
      allowancePercent: from.allowancePercent as number | string,
    },
  })
  const save = (v: typeof form.values) =>
    send(
      async () => {
        await dataOf(
          client.PUT('/api/ledger/{build}/estimate', {
            params: { path: { build: ledger.buildId } },
            body: {
              hours: Number(v.hours),
              parts: Number(v.parts),
              outwork: Number(v.outwork),
              allowancePercent: Number(v.allowancePercent),
            },
          }),
        )
        form.resetDirty()
        return true
      },
      (problem) => atFields(problem, form.setFieldError),
    )
  return (
    <section className="panel" aria-label="Estimate">
      <h2>Estimate</h2>
      <p className={`small soft ${layout.lead}`}>
        {ledger.estimate
          ? `Total ${amount(ledger.estimate.total)}, of it ${amount(ledger.estimate.allowance)} for what the strip finds.`
          : 'Not agreed yet; this is what is planned now.'}{' '}
        Planned today: {hours(ledger.proposed.hours)}, parts {amount(ledger.proposed.parts)}, outside{' '}
        {amount(ledger.proposed.outwork)}.
      </p>
      <form onSubmit={form.onSubmit((v) => void save(v))}>
        <Group grow gap={6} align="start">
          <NumberInput size="xs" label="Hours" decimalScale={2} {...form.getInputProps('hours')} />
          <NumberInput size="xs" label="Parts" decimalScale={2} {...form.getInputProps('parts')} />
          <NumberInput size="xs" label="Outside" decimalScale={2} {...form.getInputProps('outwork')} />
          <NumberInput
            size="xs"
            label="Findings %"
            decimalScale={2}
            {...form.getInputProps('allowancePercent')}
          />
        </Group>
        {(form.isDirty() || !ledger.estimate) && (
          <Button size="compact-sm" mt={8} type="submit" loading={busy}>
            It is agreed
          </Button>
        )}
      </form>
    </section>
  )
}

function Payments({ ledger }: { ledger: LedgerView }) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const form = useForm({ initialValues: { amount: '' as number | string, note: '' } })
  const pay = async (v: typeof form.values) => {
    const done = await send(
      async () => {
        await dataOf(
          client.POST('/api/ledger/{build}/payments', {
            params: { path: { build: ledger.buildId } },
            body: { amount: Number(v.amount), note: v.note },
          }),
        )
        return true
      },
      (problem) => atFields(problem, form.setFieldError),
    )
    if (done) form.reset()
  }
  return (
    <section className="panel" aria-label="Payments">
      <h2>Payments</h2>
      {ledger.payments.map((p) => (
        <div key={p.id} className={`small ${layout.spread}`}>
          <span>
            {day(p.at, board.zone)} <span className="soft">{p.note}</span>
          </span>
          <span>{amount(p.amount)}</span>
        </div>
      ))}
      <form onSubmit={form.onSubmit((v) => void pay(v))} className={layout.belowThin}>
        <Group gap={6} align="start" grow>
          <NumberInput
            size="xs"
            aria-label="Amount paid"
            placeholder="amount"
            decimalScale={2}
            {...form.getInputProps('amount')}
          />
          <TextInput size="xs" aria-label="What for" placeholder="deposit" {...form.getInputProps('note')} />
          <Button size="xs" type="submit" variant="default" loading={busy}>
            Note it
          </Button>
        </Group>
      </form>
    </section>
  )
}

const STAGES = { OPEN: 'not ordered', COMMITTED: 'committed', SPENT: 'spent' }

function Lines({ ledger }: { ledger: LedgerView }) {
  return (
    <section aria-label="Lines">
      <table className="plain">
        <thead>
          <tr>
            <th>What</th>
            <th>Kind</th>
            <th className="right">Quantity</th>
            <th className="right">Price</th>
            <th className="right">Net</th>
            <th>How far</th>
          </tr>
        </thead>
        <tbody>
          {ledger.lines.map((l, i) => (
            <tr key={i}>
              <td>{l.text}</td>
              <td className="soft">{l.kind === 'OUTWORK' ? 'outside' : word(l.kind)}</td>
              <td className="right">{l.kind === 'LABOUR' ? hours(l.quantity) : l.quantity}</td>
              <td className="right">{amount(l.price)}</td>
              <td className="right">{amount(l.net)}</td>
              <td className={l.stage === 'SPENT' ? '' : 'soft'}>{STAGES[l.stage]}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {ledger.lines.length === 0 && <p className="soft">Nothing has cost anything yet.</p>}
    </section>
  )
}
