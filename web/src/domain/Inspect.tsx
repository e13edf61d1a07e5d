import { Button, Checkbox, FileButton, Modal, NumberInput, Textarea, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { notifications } from '@mantine/notifications'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf, upload, type Schemas } from '../api/client'
import type { Arrival } from '../api/desk'
import { atFields, useSend } from '../api/send'
import { MateMark } from './MateMark'
import layout from '../ui/layout.module.css'
import css from './domain.module.css'

/** Looks a delivery over against what was asked; accepts it, or refuses it with the reason and a photo. */
export function Inspect({ arrival, onClose }: { arrival: Arrival; onClose: () => void }) {
  const { car } = useBoard()
  const { send, busy } = useSend()
  const [photo, setPhoto] = useState<string>()
  const open = arrival.quantity - arrival.received
  const form = useForm({
    initialValues: {
      counted: open as number | string,
      rightVariant: true,
      sizes: '',
      damage: '',
      reason: '',
    },
  })
  const take = async (file: File | null) => {
    if (!file) return
    const taken = await send(() =>
      upload<{ id: string }>(
        `/api/builds/${arrival.buildId}/photos?partId=${arrival.id}&caption=${encodeURIComponent(`${arrival.name}, on arrival`)}`,
        file,
      ),
    )
    if (taken) setPhoto(taken.id)
  }
  const decide = async (accepted: boolean) => {
    const v = form.values
    const done = await send(
      () =>
        dataOf(
          client.POST('/api/parts/{id}/inspection', {
            params: { path: { id: arrival.id } },
            body: { ...v, counted: Number(v.counted), accepted, photoId: photo },
          }),
        ),
      (problem) => atFields(problem, form.setFieldError),
    )
    if (!done) return
    notifications.show(told(arrival, done))
    onClose()
  }
  return (
    <Modal
      opened
      onClose={onClose}
      title={`${arrival.name}, ${car.get(arrival.buildId)?.name ?? ''}`}
      size="md"
    >
      <p className={layout.flush}>
        Asked for: <b>{open}</b>
        {arrival.received > 0 && ` more of ${arrival.quantity}`} from {arrival.vendor || 'nobody named'}.
        {arrival.specification && <span className="soft"> {arrival.specification}</span>}
      </p>
      {arrival.mates.map((m) => (
        <div key={m.place} className={`small ${layout.row}`}>
          <MateMark outcome={m.outcome} />
          <span>
            {m.place}: measure <b>{m.partSide || 'what it is'}</b>, to meet {m.carSide || 'an unknown side'}
          </span>
        </div>
      ))}
      <NumberInput label="How many came" size="md" mt={10} {...form.getInputProps('counted')} />
      <Checkbox
        mt={12}
        size="md"
        label="It is the variant that was asked for"
        {...form.getInputProps('rightVariant', { type: 'checkbox' })}
      />
      <TextInput
        label="Measured"
        mt={10}
        size="md"
        placeholder="bore 12.02 mm"
        {...form.getInputProps('sizes')}
      />
      <TextInput label="Damage" mt={10} size="md" placeholder="none" {...form.getInputProps('damage')} />
      <FileButton onChange={(f) => void take(f)} accept="image/jpeg,image/png">
        {(props) => (
          <Button {...props} mt={12} variant="default" size="md" fullWidth loading={busy}>
            {photo ? 'Photo taken; take another' : 'Take a photo'}
          </Button>
        )}
      </FileButton>
      <Textarea label="Refused because" mt={10} size="md" {...form.getInputProps('reason')} />
      {form.errors.accepted && <p className="hot small">{form.errors.accepted}</p>}
      <div className={css.before}>
        <Button size="lg" loading={busy} onClick={() => void decide(true)}>
          Accept
        </Button>
        <Button size="lg" loading={busy} variant="default" onClick={() => void decide(false)}>
          Refuse
        </Button>
      </div>
    </Modal>
  )
}

function told(arrival: Arrival, done: Schemas['InspectedResponse']) {
  const refused = done.state === 'REFUSED'
  const cost = done.cost.length > 0 ? `It costs: ${done.cost.join('; ')}.` : 'No date loses by it.'
  return {
    title: refused ? `${arrival.name} refused` : `${arrival.name} accepted`,
    message: refused ? `${cost} Order it again at the Desk.` : 'Its jobs are free.',
    color: refused ? 'hot' : 'quiet',
    autoClose: 12_000,
  }
}
