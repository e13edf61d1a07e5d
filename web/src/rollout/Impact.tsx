import { Button, Checkbox, Modal, NativeSelect, TextInput } from '@mantine/core'
import { useState } from 'react'
import { client, dataOf } from '../api/client'
import { type Looks, useLooks } from '../api/season'
import { useSend } from '../api/send'
import { word } from '../format/words'
import layout from '../ui/layout.module.css'

const keyOf = () => crypto.randomUUID()

/** It hit something: counted on all that is fitted, and what else to look at as work before it drives again. */
export function Impact({ car }: { car: string }) {
  const [open, setOpen] = useState(false)
  return (
    <div className="no-print">
      <Button variant="default" size="compact-md" onClick={() => setOpen(true)}>
        It hit something
      </Button>
      <Modal opened={open} onClose={() => setOpen(false)} title="It hit something" size="lg">
        <Sheet car={car} onDone={() => setOpen(false)} />
      </Modal>
    </div>
  )
}

function Sheet({ car, onDone }: { car: string; onDone: () => void }) {
  const looks = useLooks()
  const [key] = useState(keyOf)
  const [where, setWhere] = useState<Looks['where']>('FRONT')
  const [what, setWhat] = useState('')
  const [left, setLeft] = useState<string[]>([])
  const [error, setError] = useState<string>()
  const { send, busy } = useSend()
  const list = looks.find((l) => l.where === where)?.looks ?? []
  const wanted = list.filter((l) => !left.includes(l.what))
  const book = () => {
    setError(undefined)
    void send(
      () =>
        dataOf(
          client.POST('/api/builds/{id}/impacts', {
            params: { path: { id: car } },
            body: { key, where, what, looks: wanted.map((l) => l.what) },
          }),
        ).then(() => true),
      (problem) => {
        setError(problem.problems.map((p) => p.message).join(' '))
        return problem.problems.length > 0
      },
    ).then((booked) => booked && onDone())
  }
  return (
    <>
      <div className={layout.row}>
        <NativeSelect
          label="Where"
          value={where}
          data={looks.map((l) => ({ value: l.where, label: word(l.where) }))}
          onChange={(e) => setWhere(e.currentTarget.value as Looks['where'])}
        />
        <TextInput
          label="What happened"
          placeholder="tyre wall, about 40 km/h"
          value={what}
          error={error}
          onChange={(e) => setWhat(e.currentTarget.value)}
          data-autofocus
        />
      </div>
      <h3 className={layout.heading}>What else to look at, before it drives again</h3>
      <p className="small soft">
        What is bent is often not where it was hit. Harness, seat and wheels go by their makers; a frame is
        measured, not looked at.
      </p>
      {list.map((l) => (
        <Checkbox
          key={l.what}
          mt={6}
          label={`${l.what} (${l.minutes} min)`}
          checked={!left.includes(l.what)}
          onChange={(e) => {
            const on = e.currentTarget.checked
            setLeft((all) => (on ? all.filter((w) => w !== l.what) : [...all, l.what]))
          }}
        />
      ))}
      <div className={`${layout.row} ${layout.below}`}>
        <Button loading={busy} onClick={book}>
          Write it down, and {wanted.length} {wanted.length === 1 ? 'job' : 'jobs'}
        </Button>
        <Button variant="default" onClick={onDone}>
          Back
        </Button>
      </div>
    </>
  )
}
