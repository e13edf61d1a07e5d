import { Button, Drawer, Group, NumberInput, Select, Textarea, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useState } from 'react'
import { type Car, useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import type { AskedFinding } from '../api/findings'
import { atFields, useSend } from '../api/send'
import { Effects } from '../domain/Effects'
import { amount } from '../format/money'
import { instantOf } from '../format/time'
import { MomentField } from '../ui/MomentField'
import layout from '../ui/layout.module.css'
import { type Gate, GATES } from '../domain/gates'
import css from './ledger.module.css'

interface Props {
  car: Car
  currency: string
  /** What was found, where that is what is asked about. */
  finding?: AskedFinding
  onClose: () => void
}

/** Prices a wish, or something found, and shows what it does to every date; only then it is offered. */
export function ChangeForm({ car, currency, finding, onClose }: Props) {
  const { board, car: cars, commitment, work: works } = useBoard()
  const work = works.get(finding?.workId ?? '')
  const { send, busy } = useSend()
  const [priced, setPriced] = useState<Schemas['PricedResponse']>()
  const skills = [...new Set(board.people.flatMap((p) => p.skills.map((s) => s.skill)))].sort()
  const form = useForm({
    initialValues: {
      title: work?.customerName ?? '',
      note: '',
      hours: (finding?.hours ?? 4) as number | string,
      skill: finding?.skill || (skills[0] ?? ''),
      gate: finding?.gate ?? ('EVENT' as Gate),
      parts: 0 as number | string,
      partsAt: '',
      outwork: 0 as number | string,
    },
    onValuesChange: () => setPriced(undefined),
  })
  const body = (): Schemas['ChangeOrderRequest'] => {
    const v = form.values
    return {
      title: v.title,
      note: v.note,
      hours: Number(v.hours),
      skill: v.skill,
      gate: v.gate,
      parts: Number(v.parts),
      partsAt: v.partsAt ? instantOf(v.partsAt, board.zone) : undefined,
      outwork: Number(v.outwork),
      workId: finding?.workId,
    }
  }
  const params = { path: { build: car.id } }
  const ask = async () => {
    const done = await send(
      () => dataOf(client.POST('/api/ledger/{build}/changes/price', { params, body: body() })),
      (problem) => atFields(problem, form.setFieldError),
    )
    if (done) setPriced(done)
  }
  const offer = async () => {
    const done = await send(
      () => dataOf(client.POST('/api/ledger/{build}/changes', { params, body: body() })),
      (problem) => atFields(problem, form.setFieldError),
    )
    if (done) onClose()
  }
  const nameOf = (e: Schemas['DateEffect']) => {
    const c = commitment.get(e.commitment)
    return c ? `${cars.get(c.buildId)?.number || cars.get(c.buildId)?.name} ${c.name}` : ''
  }
  return (
    <Drawer
      opened
      onClose={onClose}
      position="right"
      size={460}
      title={finding ? `Found on the ${car.name}` : `A change for the ${car.name}`}
    >
      {finding && <p className={layout.flat}>In the shop’s words: {finding.name}</p>}
      <form
        onSubmit={(e) => {
          e.preventDefault()
          void ask()
        }}
      >
        <TextInput
          label={finding ? 'What the customer reads' : 'What the customer wants'}
          data-autofocus
          {...form.getInputProps('title')}
        />
        <Textarea label="Note for the customer" mt={8} autosize minRows={1} {...form.getInputProps('note')} />
        <Group grow mt={8} align="start">
          <NumberInput label="Hours" decimalScale={2} {...form.getInputProps('hours')} />
          <Select label="Skill" data={skills} allowDeselect={false} {...form.getInputProps('skill')} />
          <Select
            label="Before the gate"
            data={GATES}
            allowDeselect={false}
            {...form.getInputProps('gate')}
          />
        </Group>
        <Group grow mt={8} align="start">
          <NumberInput label="Parts" decimalScale={2} {...form.getInputProps('parts')} />
          <NumberInput label="Outside work" decimalScale={2} {...form.getInputProps('outwork')} />
        </Group>
        <MomentField label="Parts come" mt={8} {...form.getInputProps('partsAt')} />
        <Button type="submit" mt={14} loading={busy} variant={priced ? 'default' : 'filled'}>
          What would it cost, and which dates?
        </Button>
      </form>
      {priced && (
        <section className={`panel ${css.form}`} aria-label="What it costs">
          <div className={layout.spread}>
            <b>Net</b>
            <b>{amount(priced.total, currency)}</b>
          </div>
          <Effects effects={priced.effect} nameOf={nameOf} zone={board.zone} />
          <Button loading={busy} onClick={() => void offer()}>
            {finding ? 'Put it to the customer' : 'Offer it to the customer'}
          </Button>
        </section>
      )}
    </Drawer>
  )
}
