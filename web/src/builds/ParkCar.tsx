import { Button, Group, Modal, Radio } from '@mantine/core'
import { useState } from 'react'
import { type Car, useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import { day, instantOf } from '../format/time'
import { MomentField } from '../ui/MomentField'
import layout from '../ui/layout.module.css'

/** Puts a car aside: until a day or with no end; each of its dates is made anew or withdrawn, on purpose. */
export function ParkCar({ car, onClose }: { car: Car; onClose: () => void }) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const [until, setUntil] = useState('')
  const [anew, setAnew] = useState<Record<string, string>>({})
  const [kept, setKept] = useState<Record<string, boolean>>({})
  const [errors, setErrors] = useState<Record<string, string>>({})
  const dates = board.commitments.filter((c) => c.buildId === car.id && !c.slotOf)
  const slots = board.commitments.filter((c) => c.buildId === car.id && c.slotOf)
  const park = async () => {
    const missing = dates.find((d) => kept[d.id] && !anew[d.id])
    if (missing) {
      setErrors({ dates: `Say the new day of ${missing.name}, or withdraw it.` })
      return
    }
    const done = await send(
      async () => {
        await dataOf(
          client.POST('/api/builds/{id}/park', {
            params: { path: { id: car.id } },
            body: {
              until: until ? instantOf(until, board.zone) : undefined,
              dates: dates.map((d) => ({
                id: d.id,
                due: kept[d.id] ? instantOf(anew[d.id] ?? '', board.zone) : undefined,
              })),
            },
          }),
        )
        return true
      },
      (problem) => {
        setErrors(Object.fromEntries(problem.problems.map((p) => [p.field, p.message])))
        return problem.problems.length > 0
      },
    )
    if (done) onClose()
  }
  return (
    <Modal opened onClose={onClose} title={`Park ${car.name}`}>
      <p className={layout.lead}>
        Its work leaves the plan and its place is free. Nothing is lost: one act takes it back.
      </p>
      <MomentField
        label="Until"
        placeholder="with no end"
        description="It comes back by itself on that day; left empty, nobody knows yet."
        mb={28}
        value={until}
        onChange={setUntil}
        error={errors.until}
      />
      {dates.map((d) => (
        <div key={d.id} className={`${layout.ruled} ${layout.belowTight}`}>
          <b>{d.name}</b> <span className="soft small">promised for {day(d.due, board.zone)}</span>
          <Radio.Group
            aria-label={`What becomes of ${d.name}`}
            value={kept[d.id] ? 'anew' : 'none'}
            onChange={(v) => setKept({ ...kept, [d.id]: v === 'anew' })}
          >
            <Group gap={14} mt={4}>
              <Radio value="none" label="withdraw it" />
              <Radio value="anew" label="another day" disabled={!until} />
            </Group>
          </Radio.Group>
          {kept[d.id] && (
            <MomentField
              aria-label={`The new day of ${d.name}`}
              mt={4}
              value={anew[d.id] ?? ''}
              onChange={(v) => setAnew({ ...anew, [d.id]: v })}
            />
          )}
        </div>
      ))}
      {slots.map((s) => (
        <p key={s.id} className={`hot ${layout.note}`}>
          {s.name} is booked for {day(s.due, board.zone)}: give the time back if it will not be used.
        </p>
      ))}
      {errors.dates && <p className={`hot ${layout.note}`}>{errors.dates}</p>}
      <Group mt={16} gap={8}>
        <Button loading={busy} onClick={() => void park()}>
          Park it
        </Button>
        <Button variant="default" onClick={onClose}>
          Leave it
        </Button>
      </Group>
    </Modal>
  )
}
