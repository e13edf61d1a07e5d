import { Button, Checkbox, Drawer, Group, NumberInput, Select, Textarea, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useState } from 'react'
import { type Part, useBoard } from '../api/board'
import { client, dataOf, done } from '../api/client'
import { type PartDetail, useDesk, usePart } from '../api/desk'
import { atFields, useSend } from '../api/send'
import { day, instantOf, localOf, when } from '../format/time'
import { keptWord, word } from '../format/words'
import { ErrandForm } from './ErrandForm'
import { Instead } from './Instead'
import { MateTable } from './MateTable'
import { WordFields } from './WordFields'
import { MomentField } from '../ui/MomentField'
import layout from '../ui/layout.module.css'
import { type Gate, GATES } from '../domain/gates'
import css from './desk.module.css'

interface Props {
  id: string
  manager: boolean
  onClose: () => void
  onEdit: (build: string) => void
}

/** One part line: where it stands, what it meets, ordering and asking, what was said. */
export function PartSheet({ id, manager, onClose, onEdit }: Props) {
  const { board, part: parts, car, vendor } = useBoard()
  const detail = usePart(id)
  const [instead, setInstead] = useState(false)
  const [fetching, setFetching] = useState(false)
  const line = parts.get(id)
  if (!line || !detail.data) return null
  const from = vendor.get(line.vendorId ?? '')
  const replaceable = !line.here
  return (
    <Drawer
      opened
      onClose={onClose}
      position="right"
      size={520}
      title={`${line.name}, ${car.get(line.buildId)?.name ?? ''}`}
    >
      <p className={layout.flush}>
        <b>{word(line.state)}</b>
        {line.expected && `, comes ${when(line.expected, board.now, board.zone)}`}
        {line.price !== undefined && ` · ${line.price.toFixed(2)} each`}
        <br />
        {from ? (
          <span>
            {from.name} {from.phone}
            <span className="soft">
              {' · '}
              {keptWord(from)}
            </span>
          </span>
        ) : (
          <span className="soft">
            {line.own ? 'The customer brings it.' : 'Nobody is named to order it from.'}
          </span>
        )}
        {detail.data.insteadOf && (
          <>
            <br />
            <span className="soft">instead of {detail.data.insteadOf}</span>
          </>
        )}
      </p>
      <Group gap={8}>
        <Button size="compact-sm" variant="default" onClick={() => onEdit(line.buildId)}>
          Change the line
        </Button>
        {line.state === 'ORDERED' && from && (
          <Button
            size="compact-sm"
            variant="default"
            component="a"
            href={`/api/vendors/${from.id}/purchase-order.pdf`}
            target="_blank"
          >
            Purchase order (PDF)
          </Button>
        )}
        {replaceable && (
          <Button size="compact-sm" variant="default" onClick={() => setInstead(true)}>
            Another part instead
          </Button>
        )}
        {(line.state === 'ORDERED' || line.state === 'SHIPPED') && (
          <Button size="compact-sm" variant="default" onClick={() => setFetching(true)}>
            Fetch it
          </Button>
        )}
        <Fit part={line} />
      </Group>
      {fetching && (
        <ErrandForm
          start={{
            what: `Fetch ${line.name}`,
            place: from?.name ?? '',
            forBuildId: line.buildId,
            partId: line.id,
          }}
          onClose={() => setFetching(false)}
        />
      )}
      {instead && <Instead part={line} onClose={() => setInstead(false)} />}
      <MateTable key={JSON.stringify(detail.data.mates)} part={detail.data} changes />
      {line.toOrder && <Ordering part={line} detail={detail.data} manager={manager} />}
      <h3 className={layout.heading}>Said</h3>
      <WordFields
        kind="PART"
        id={id}
        arrival={{ likely: line.arrivalLikely }}
        onDone={() => void detail.refetch()}
      />
      {detail.data.words.map((w) => (
        <div key={w.at + w.said} className={`small ${layout.belowThin}`}>
          <span className="soft">
            {day(w.at, board.zone)}, {w.by}:
          </span>{' '}
          {w.said}
        </div>
      ))}
      <Looked detail={detail.data} />
    </Drawer>
  )
}

function Looked({ detail }: { detail: PartDetail }) {
  const { board } = useBoard()
  return (
    <>
      {detail.inspections.length > 0 && <h3 className={layout.heading}>Inspected</h3>}
      {detail.inspections.map((i) => (
        <div key={i.at} className={`small ${layout.belowThin}`}>
          {when(i.at, board.now, board.zone)}, {i.by}: {i.counted}{' '}
          {i.accepted ? 'accepted' : <b className="hot">refused, {i.reason}</b>}
          {i.sizes && ` · measured ${i.sizes}`}
          {i.damage && ` · damage: ${i.damage}`}
          {i.photoId && (
            <a href={`/api/photos/${i.photoId}`} target="_blank" rel="noreferrer">
              <img src={`/api/photos/${i.photoId}/small`} alt="the delivery" className={css.picture} />
            </a>
          )}
        </div>
      ))}
      {detail.mails.length > 0 && (
        <p className="small soft">
          {detail.mails.length} {detail.mails.length === 1 ? 'question' : 'questions'} sent, the last{' '}
          {when(detail.mails[0]!.at, board.now, board.zone)}.
        </p>
      )}
    </>
  )
}

/** Fitted for good, or for now with the gate before which it is made good. */
function Fit({ part }: { part: Part }) {
  const { send, busy } = useSend()
  const [forNow, setForNow] = useState(false)
  const [gate, setGate] = useState<Gate>('EVENT')
  const [reason, setReason] = useState('')
  if (part.state !== 'ACCEPTED' && part.state !== 'FITTED_FOR_NOW') return null
  const fit = () =>
    send(() =>
      dataOf(
        client.POST('/api/parts/{id}/fit', {
          params: { path: { id: part.id } },
          body: { forNow, reason, gate: forNow ? gate : undefined },
        }),
      ),
    )
  return (
    <>
      <Checkbox label="only for now" checked={forNow} onChange={(e) => setForNow(e.currentTarget.checked)} />
      {forNow && (
        <>
          <Select
            size="xs"
            aria-label="Made good before"
            data={GATES.map((g) => ({ value: g.value, label: `until ${g.label}` }))}
            allowDeselect={false}
            value={gate}
            onChange={(g) => setGate((g as typeof gate) ?? 'EVENT')}
          />
          <TextInput
            size="xs"
            aria-label="Why for now"
            placeholder="why"
            value={reason}
            onChange={(e) => setReason(e.currentTarget.value)}
          />
        </>
      )}
      <Button size="compact-sm" variant="default" loading={busy} onClick={() => void fit()}>
        It is fitted
      </Button>
    </>
  )
}

const DAY = 86_400_000

/** Ordering: held while a side is unknown or does not fit, unless the manager says why it goes out all the same. */
function Ordering({ part, detail, manager }: { part: Part; detail: PartDetail; manager: boolean }) {
  const { board, vendor } = useBoard()
  const desk = useDesk()
  const { send, busy } = useSend()
  const listed = vendor
    .get(part.vendorId ?? '')
    ?.offers.find((o) => o.what.toLowerCase() === part.name.toLowerCase())
  const form = useForm({
    initialValues: {
      likely: localOf(part.arrivalLikely, board.zone),
      high: localOf(part.arrivalHigh, board.zone),
      price: (part.price ?? listed?.price ?? '') as number | string,
      overrideReason: '',
    },
  })
  const [shelf, setShelf] = useState<string | null>(null)
  const take = (shelfId: string) =>
    send(() =>
      done(client.POST('/api/parts/{id}/take', { params: { path: { id: part.id } }, body: { shelfId } })),
    )
  const open = detail.mates.some((m) => m.outcome === 'UNKNOWN')
  const order = async (v: typeof form.values) => {
    const likely = v.likely ? instantOf(v.likely, board.zone) : undefined
    const high = v.high ? instantOf(v.high, board.zone) : undefined
    await send(
      async () => {
        await dataOf(
          client.POST('/api/parts/{id}/order', {
            params: { path: { id: part.id } },
            body: {
              low: likely,
              likely,
              high:
                high && likely && high >= likely
                  ? high
                  : likely && new Date(Date.parse(likely) + 2 * DAY).toISOString(),
              price: v.price === '' ? undefined : Number(v.price),
              overrideReason: v.overrideReason || undefined,
            },
          }),
        )
        return true
      },
      (problem) => atFields(problem, form.setFieldError),
    )
  }
  return (
    <section aria-label="Order">
      <h3 className={layout.heading}>Order</h3>
      {detail.held && (
        <p className={`hot small ${layout.lead}`} role="status">
          <b>The order is held.</b> {detail.held}
        </p>
      )}
      {open && (
        <Button
          size="compact-sm"
          variant="default"
          loading={busy}
          onClick={() =>
            void send(() =>
              dataOf(client.POST('/api/parts/{id}/question', { params: { path: { id: part.id } } })),
            )
          }
        >
          Send the vendor the questions
        </Button>
      )}
      <form onSubmit={form.onSubmit((v) => void order(v))}>
        <Group grow align="start" mt={6}>
          <MomentField label="Promised for" {...form.getInputProps('likely')} />
          <MomentField label="at the latest" {...form.getInputProps('high')} />
        </Group>
        {listed && (
          <p className={`soft small ${layout.note}`}>
            By its list{listed.price !== undefined && ` ${listed.price.toFixed(2)}`}, in {listed.lowDays} to{' '}
            {listed.highDays} working days, likely {listed.likelyDays}.
          </p>
        )}
        <NumberInput label="Price each" mt={8} decimalScale={2} maw={160} {...form.getInputProps('price')} />
        {detail.held && manager && (
          <Textarea
            label="Order all the same, because"
            mt={8}
            autosize
            minRows={1}
            {...form.getInputProps('overrideReason')}
          />
        )}
        {form.errors.state && <p className="hot small">{form.errors.state}</p>}
        {form.errors.vendorId && <p className="hot small">{form.errors.vendorId}</p>}
        <Group mt={10} gap={8}>
          <Button type="submit" loading={busy} disabled={Boolean(detail.held) && !form.values.overrideReason}>
            Order it
          </Button>
          {(desk.data?.shelf.length ?? 0) > 0 && (
            <Select
              size="sm"
              aria-label="Take it from the shelf"
              placeholder="or take it from the shelf"
              data={(desk.data?.shelf ?? []).map((s) => ({
                value: s.id,
                label: `${s.name} (${s.quantity - s.reserved} free)`,
              }))}
              value={shelf}
              onChange={(id) => {
                setShelf(id)
                if (id) void take(id).then((taken) => taken || setShelf(null))
              }}
            />
          )}
        </Group>
      </form>
    </section>
  )
}
