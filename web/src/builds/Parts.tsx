import {
  Button,
  Checkbox,
  Group,
  Modal,
  MultiSelect,
  NumberInput,
  Select,
  Textarea,
  TextInput,
} from '@mantine/core'
import { useForm } from '@mantine/form'
import { useState } from 'react'
import { useOdds } from '../api/thinking'
import { type Car, type Part, useBoard } from '../api/board'
import { client, dataOf, done, type Schemas } from '../api/client'
import { atFields, useSend } from '../api/send'
import { instantOf, localOf, when } from '../format/time'
import { word } from '../format/words'
import { STATES } from './choices'
import { MomentField } from '../ui/MomentField'
import { PanelHead } from '../ui/PanelHead'
import { DurationField, minutes } from '../ui/DurationField'
import layout from '../ui/layout.module.css'

interface Props {
  car: Car
  changes: boolean
  /** The part that the address asks for. */
  picked?: string
  onClosed?: () => void
}

/** Until when the part can come without harm, and by when it must be ordered for that. */
function Need({ need, arrival }: { need?: Schemas['Harm']; arrival?: string }) {
  const { board } = useBoard()
  if (!need?.neededAt) return null
  const late = arrival !== undefined && arrival > need.neededAt
  const over = (need.daysLeft ?? 0) < 0
  return (
    <div>
      <span className={late ? 'hot' : 'soft'}>
        {late ? 'comes after it is needed, ' : 'needed by '}
        {when(need.neededAt, board.now, board.zone)}
      </span>
      {need.orderBy && (
        <span className={over ? 'hot strong' : 'strong'}>
          {' · '}
          {over
            ? 'should have been ordered by '
            : `order within ${need.daysLeft} ${need.daysLeft === 1 ? 'day' : 'days'}, by `}
          {when(need.orderBy, board.now, board.zone)}
        </span>
      )}
    </div>
  )
}

/** The parts of a car: what is here, what is on its way, what waits for it. */
export function Parts({ car, changes, picked, onClosed }: Props) {
  const { board, part, work, vendor } = useBoard()
  const needs = useOdds().harm
  const [editing, setEditing] = useState<Part | 'new' | undefined>(picked ? part.get(picked) : undefined)
  const parts = board.parts.filter((p) => p.buildId === car.id)
  return (
    <section className="panel" aria-label="Parts">
      <PanelHead title="Parts" onAdd={changes ? () => setEditing('new') : undefined} />
      {parts.length === 0 && <span className="soft small">No parts are waited for.</span>}
      {parts.map((p) => (
        <div key={p.id} className={`small ${layout.ruled}`}>
          {changes ? (
            <button className="link strong" onClick={() => setEditing(p)}>
              {p.name}
            </button>
          ) : (
            <b>{p.name}</b>
          )}{' '}
          <span className={p.here ? 'quiet' : 'soft'}>{word(p.state)}</span>
          {!p.here && (
            <span className="strong">
              {' '}
              {p.arrivalLikely ? (
                when(p.arrivalLikely, board.now, board.zone)
              ) : (
                <span className="hot">no date</span>
              )}
            </span>
          )}
          <div className="soft">
            {p.quantity > 1 && `${p.quantity} × · `}
            {vendor.get(p.vendorId ?? '')?.name}
            {p.own && 'the customer brings it'}
            {p.price !== undefined && ` · ${p.price.toFixed(2)}`}
            {p.neededBy.length > 0 && ` · for ${p.neededBy.map((w) => work.get(w)?.name).join(', ')}`}
          </div>
          <Need need={needs.get(p.id)} arrival={p.arrivalLikely} />
          {p.pairedWith && (
            <div className="soft">
              pair of {part.get(p.pairedWith)?.name}
              {p.pairOverride ? `, may be fitted alone: ${p.pairOverride}` : ', fitted together'}
            </div>
          )}
        </div>
      ))}
      {editing && (
        <PartForm
          car={car}
          part={editing === 'new' ? undefined : editing}
          onClose={() => {
            setEditing(undefined)
            onClosed?.()
          }}
        />
      )}
    </section>
  )
}

const DAY = 86_400_000

function PartForm({ car, part, onClose }: { car: Car; part?: Part; onClose: () => void }) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const form = useForm({
    initialValues: {
      name: part?.name ?? '',
      state: part?.state ?? ('ORDERED' as Part['state']),
      vendorId: part?.vendorId ?? null,
      quantity: (part?.quantity ?? 1) as number | string,
      own: part?.own ?? false,
      specification: part?.specification ?? '',
      kit: part?.kit ?? '',
      tracking: part?.tracking ?? '',
      price: (part?.price ?? '') as number | string,
      arrivalLow: localOf(part?.arrivalLow, board.zone),
      arrivalLikely: localOf(part?.arrivalLikely, board.zone),
      arrivalHigh: localOf(part?.arrivalHigh, board.zone),
      inspectionMinutes: part?.inspectionMinutes ?? 15,
      pairedWith: part?.pairedWith ?? null,
      pairOverride: part?.pairOverride ?? '',
      neededBy: part?.neededBy ?? [],
    },
  })
  /** Moving the likely date takes the other two along. */
  const move = (likely: string) => {
    const before = form.values.arrivalLikely
    form.setFieldValue('arrivalLikely', likely)
    const to = instantOf(likely, board.zone)
    if (!to) return
    const from = before ? Date.parse(instantOf(before, board.zone) ?? '') : NaN
    const by = Date.parse(to) - from
    const along = (local: string, otherwise: number) => {
      const at = local ? Date.parse(instantOf(local, board.zone) ?? '') : NaN
      return localOf(
        new Date(Number.isNaN(at + by) ? Date.parse(to) + otherwise : at + by).toISOString(),
        board.zone,
      )
    }
    form.setFieldValue('arrivalLow', along(form.values.arrivalLow, 0))
    form.setFieldValue('arrivalHigh', along(form.values.arrivalHigh, 2 * DAY))
  }
  const save = async (v: typeof form.values) => {
    const at = (local: string) => (local ? instantOf(local, board.zone) : undefined)
    const body: Schemas['PartRequest'] = {
      buildId: car.id,
      name: v.name,
      state: v.state,
      vendorId: v.vendorId ?? undefined,
      quantity: Number(v.quantity),
      own: v.own,
      specification: v.specification,
      kit: v.kit,
      tracking: v.tracking,
      price: v.price === '' ? undefined : Number(v.price),
      arrivalLow: at(v.arrivalLow),
      arrivalLikely: at(v.arrivalLikely),
      arrivalHigh: at(v.arrivalHigh),
      inspectionMinutes: Number(v.inspectionMinutes) || 0,
      pairedWith: v.pairedWith ?? undefined,
      pairOverride: v.pairOverride || undefined,
      neededBy: v.neededBy,
      version: part?.version ?? 0,
    }
    const done = await send(
      async () => {
        if (part) await dataOf(client.PUT('/api/parts/{id}', { params: { path: { id: part.id } }, body }))
        else await dataOf(client.POST('/api/parts', { body }))
        return true
      },
      (problem) => atFields(problem, form.setFieldError),
    )
    if (done) onClose()
  }
  const jobs = board.works.filter((w) => w.buildId === car.id && w.kind === 'JOB')
  const others = board.parts.filter((p) => p.buildId === car.id && p.id !== part?.id)
  return (
    <Modal opened onClose={onClose} title={part ? part.name : `A part for the ${car.name}`} size="lg">
      <form onSubmit={form.onSubmit((v) => void save(v))}>
        <TextInput label="Part" {...form.getInputProps('name')} />
        <Group grow mt={8} align="start">
          <Select label="State" data={STATES} allowDeselect={false} {...form.getInputProps('state')} />
          <Select
            label="From"
            clearable
            searchable
            data={board.vendors.map((x) => ({ value: x.id, label: x.name }))}
            {...form.getInputProps('vendorId')}
          />
          <NumberInput label="How many" {...form.getInputProps('quantity')} />
          <NumberInput label="Price" decimalScale={2} {...form.getInputProps('price')} />
        </Group>
        <Group grow mt={8} align="start">
          <MomentField label="Earliest" {...form.getInputProps('arrivalLow')} />
          <MomentField label="Likely" {...form.getInputProps('arrivalLikely')} onChange={move} />
          <MomentField label="Latest" {...form.getInputProps('arrivalHigh')} />
        </Group>
        <Textarea
          label="Specification"
          mt={8}
          autosize
          minRows={1}
          {...form.getInputProps('specification')}
        />
        <MultiSelect
          label="Needed by"
          mt={8}
          searchable
          data={jobs.map((j) => ({ value: j.id, label: j.name + (j.status === 'DONE' ? ' (done)' : '') }))}
          {...form.getInputProps('neededBy')}
        />
        <Group grow mt={8} align="start">
          <DurationField label="Inspect it" {...minutes(form, 'inspectionMinutes')} />
          <Select
            label="Fitted together with"
            clearable
            data={others.map((p) => ({ value: p.id, label: p.name }))}
            {...form.getInputProps('pairedWith')}
          />
          <TextInput label="May be fitted alone because" {...form.getInputProps('pairOverride')} />
        </Group>
        <Group grow mt={8} align="end">
          <TextInput
            label="Kit"
            placeholder="complete before any of it is used"
            {...form.getInputProps('kit')}
          />
          <TextInput label="Parcel number" {...form.getInputProps('tracking')} />
          <Checkbox
            label="The customer brings it"
            mb={8}
            {...form.getInputProps('own', { type: 'checkbox' })}
          />
        </Group>
        <Group mt={16} gap={8}>
          <Button type="submit" loading={busy}>
            Save
          </Button>
          {part && (
            <Button
              variant="default"
              onClick={() =>
                void send(() =>
                  done(client.DELETE('/api/parts/{id}', { params: { path: { id: part.id } } })),
                ).then((gone) => gone && onClose())
              }
            >
              Remove
            </Button>
          )}
        </Group>
      </form>
    </Modal>
  )
}
