import { Button, Checkbox, Drawer, Group, NumberInput, Textarea, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { notifications } from '@mantine/notifications'
import { useQuery } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf, done, type Schemas } from '../api/client'
import { atFields, useSend } from '../api/send'
import { when } from '../format/time'
import { Slots } from './Slots'
import { WordFields } from './WordFields'
import layout from '../ui/layout.module.css'
import { useSent } from '../ui/useSent'
import css from './desk.module.css'

type Sheet = Schemas['OutworkSheetResponse']
type Check = Schemas['CheckView']

/** One order for outside work: what goes, the list before it leaves, the word of the vendor, the list on return. */
export function OutworkSheet({ id, onClose }: { id: string; onClose: () => void }) {
  const { board, car, vendor, work } = useBoard()
  const sheet = useQuery({
    queryKey: ['outwork', id],
    queryFn: () => dataOf(client.GET('/api/outworks/{id}', { params: { path: { id } } })),
  })
  if (!sheet.data) return null
  const o = sheet.data
  const v = vendor.get(o.vendorId)
  const w = work.get(id)
  return (
    <Drawer
      opened
      onClose={onClose}
      position="right"
      size={500}
      title={`${o.name}, ${car.get(o.buildId)?.name ?? ''}`}
    >
      <p className={layout.flush}>
        <b>{v?.name}</b> {v?.phone}
        <br />
        {o.status === 'TODO' && w?.placed && (
          <>
            leaves {when(w.placed.start, board.now, board.zone)}, back{' '}
            {when(w.placed.end, board.now, board.zone)}
            {w.placed.slotMissed && <b className="hot"> and misses its slot</b>}
          </>
        )}
        {o.status === 'STARTED' && w?.outwork?.backLikely && (
          <>
            away, back likely {when(w.outwork.backLikely, board.now, board.zone)}
            {o.promisedBack && o.promisedBack !== w.outwork.backLikely && (
              <span className="soft"> (promised {when(o.promisedBack, board.now, board.zone)})</span>
            )}
          </>
        )}
      </p>
      <Order key={o.id} sheet={o} />
      {o.status === 'TODO' && <Slots id={o.id} />}
      {o.status === 'TODO' && <Sending sheet={o} />}
      {o.status === 'STARTED' && <Returning sheet={o} onDone={onClose} />}
      {o.status !== 'DONE' && (
        <>
          <h3 className={layout.heading}>Said</h3>
          <WordFields
            kind="OUTWORK"
            id={id}
            arrival={{ likely: w?.outwork?.backLikely }}
            onDone={() => void sheet.refetch()}
          />
        </>
      )}
    </Drawer>
  )
}

function Order({ sheet }: { sheet: Sheet }) {
  const { send, busy } = useSend()
  const form = useForm({
    initialValues: {
      specification: sheet.specification,
      driver: sheet.driver,
      trailer: sheet.trailer,
      price: (sheet.price ?? '') as number | string,
    },
  })
  const save = (v: typeof form.values) =>
    send(
      async () => {
        await dataOf(
          client.PUT('/api/outworks/{id}/sheet', {
            params: { path: { id: sheet.id } },
            body: { ...v, price: v.price === '' ? undefined : Number(v.price) },
          }),
        )
        form.resetDirty()
        return true
      },
      (problem) => atFields(problem, form.setFieldError),
    )
  return (
    <form onSubmit={form.onSubmit((v) => void save(v))}>
      <Textarea
        label="What is asked, and the questions"
        autosize
        minRows={2}
        {...form.getInputProps('specification')}
      />
      <Group grow mt={8} align="end">
        <TextInput label="Who drives" {...form.getInputProps('driver')} />
        <NumberInput label="Price" decimalScale={2} {...form.getInputProps('price')} />
        <Checkbox label="trailer booked" mb={8} {...form.getInputProps('trailer', { type: 'checkbox' })} />
      </Group>
      {form.isDirty() && (
        <Button size="compact-sm" mt={8} type="submit" loading={busy}>
          Write it down
        </Button>
      )}
    </form>
  )
}

function Item({ id, side, check }: { id: string; side: 'SEND' | 'RETURN'; check: Check }) {
  const { send } = useSend()
  const [answer, setAnswer] = useState(check.answer)
  // A note that is left by pressing the tick is two sayings: the second must not be overtaken by the first.
  const last = useRef<Promise<unknown>>(Promise.resolve())
  const put = (ticked: boolean, said: string) => {
    const next = last.current.then(() =>
      send(() =>
        done(
          client.POST('/api/outworks/{id}/checks', {
            params: { path: { id } },
            body: { side, item: check.item, done: ticked, answer: said },
          }),
        ),
      ),
    )
    last.current = next
    return next
  }
  const { shown, choose, sending } = useSent(check.done, (ticked) => put(ticked, answer))
  return (
    <div className={css.wish}>
      <Checkbox
        size="sm"
        label={check.item}
        checked={shown}
        disabled={sending}
        onChange={(e) => choose(e.currentTarget.checked)}
      />
      <TextInput
        size="xs"
        aria-label={`Note on: ${check.item}`}
        placeholder="note"
        value={answer}
        onChange={(e) => setAnswer(e.currentTarget.value)}
        onBlur={() => {
          if (answer !== check.answer) void put(shown, answer)
        }}
      />
    </div>
  )
}

/** The list before it leaves; an unfinished one is warned of, and goes only on a second word. */
function Sending({ sheet }: { sheet: Sheet }) {
  const { send, busy } = useSend()
  const [warned, setWarned] = useState<string>()
  const open = sheet.send.filter((c) => !c.done).length
  const leave = (anyway: boolean) =>
    send(
      () =>
        dataOf(
          client.POST('/api/outworks/{id}/send', { params: { path: { id: sheet.id } }, body: { anyway } }),
        ),
      (problem) => {
        setWarned(problem.message)
        return true
      },
    )
  return (
    <section aria-label="Before it leaves">
      <h3 className={layout.heading}>
        Before it leaves <span className="soft small">{open === 0 ? 'all looked at' : `${open} open`}</span>
      </h3>
      {sheet.send.map((c) => (
        <Item key={c.item} id={sheet.id} side="SEND" check={c} />
      ))}
      {warned && (
        <p className="hot small" role="alert">
          {warned} What is not finished now is still there when it is back.
        </p>
      )}
      <Group mt={10} gap={8}>
        <Button loading={busy} onClick={() => void leave(false)}>
          It has left
        </Button>
        {warned && (
          <Button variant="default" loading={busy} onClick={() => void leave(true)}>
            Send it all the same
          </Button>
        )}
      </Group>
    </section>
  )
}

/** The list on return: what comes of it becomes jobs. */
function Returning({ sheet, onDone }: { sheet: Sheet; onDone: () => void }) {
  const { send, busy } = useSend()
  const offered = sheet.back.filter((c) => c.job !== undefined)
  const [jobs, setJobs] = useState<string[]>(offered.filter((c) => !c.hasJob).map((c) => c.job!))
  const [limits, setLimits] = useState('')
  const back = async () => {
    const made = await send(() =>
      dataOf(
        client.POST('/api/outworks/{id}/return', {
          params: { path: { id: sheet.id } },
          body: { jobs, limits },
        }),
      ),
    )
    if (!made) return
    notifications.show({
      title: `${sheet.name} is back`,
      message: made.jobs.length > 0 ? `Planned: ${made.jobs.join(', ')}.` : 'No jobs follow from it.',
      color: 'quiet',
      autoClose: 10_000,
    })
    onDone()
  }
  return (
    <section aria-label="When it is back">
      <h3 className={layout.heading}>When it is back</h3>
      {sheet.back
        .filter((c) => c.job === undefined)
        .map((c) => (
          <Item key={c.item} id={sheet.id} side="RETURN" check={c} />
        ))}
      {offered.length > 0 && <div className="small soft">Becomes a job:</div>}
      {offered.map((c) => (
        <Checkbox
          key={c.item}
          mt={4}
          size="sm"
          label={c.hasJob ? `${c.job} (is planned already)` : c.job}
          checked={jobs.includes(c.job!)}
          onChange={(e) =>
            setJobs(e.currentTarget.checked ? [...jobs, c.job!] : jobs.filter((j) => j !== c.job))
          }
        />
      ))}
      <TextInput
        label="Limits that were met"
        mt={8}
        placeholder="injectors at 92 % above 7 200"
        value={limits}
        onChange={(e) => setLimits(e.currentTarget.value)}
      />
      <Button mt={10} loading={busy} onClick={() => void back()}>
        It is back
      </Button>
    </section>
  )
}
