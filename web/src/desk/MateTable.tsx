import { Button, Select, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { client, dataOf } from '../api/client'
import type { Mate, PartDetail } from '../api/desk'
import { atFields, useSend } from '../api/send'
import { MateMark } from '../domain/MateMark'
import { Bolt } from './Bolt'
import layout from '../ui/layout.module.css'
import css from './desk.module.css'

const SAID: Record<Mate['outcome'], string> = {
  FITS: 'fits',
  NEEDS_ADAPTER: 'needs an adapter',
  DOES_NOT_FIT: 'does not fit',
  UNKNOWN: 'unknown: ask first',
}

/** A male thread that is no fitting's: something that may be a bolt. */
const isBolt = (side: string) => /^m\d/i.test(side.trim()) && /male/i.test(side) && !/female/i.test(side)
const threadOf = (side: string) => side.replace(/\b(male|bolt)\b/gi, '').trim()

/** Both sides of every joint of a part, as people write them, and what comes of each. */
export function MateTable({ part, changes }: { part: PartDetail; changes: boolean }) {
  const { send, busy } = useSend()
  const form = useForm({
    initialValues: {
      mates: part.mates.map(({ place, kind, carSide, partSide }) => ({ place, kind, carSide, partSide })),
    },
  })
  const example = (kind: string) => part.kinds.find((k) => k.kind === kind)?.example
  const save = () =>
    send(
      async () => {
        await dataOf(
          client.PUT('/api/parts/{id}/mates', { params: { path: { id: part.id } }, body: form.values.mates }),
        )
        return true
      },
      (problem) => atFields(problem, (field, message) => form.setFieldError(`mates.${field}`, message)),
    )
  return (
    <section aria-label="What it meets">
      <h3 className={css.subhead}>What it meets</h3>
      {form.values.mates.length === 0 && (
        <p className="soft small">
          Nothing is written down. Say what is on the car and what the part has, before it is ordered.
        </p>
      )}
      {form.values.mates.map((m, i) => {
        const judged = part.mates[i]
        const same =
          judged && judged.carSide === m.carSide && judged.partSide === m.partSide && judged.kind === m.kind
        return (
          <div key={i} className={css.joint}>
            <div className={css.ends}>
              <TextInput
                size="xs"
                label="Where"
                placeholder="wheel end"
                {...form.getInputProps(`mates.${i}.place`)}
              />
              <Select
                size="xs"
                label="Kind"
                allowDeselect={false}
                data={part.kinds.map((k) => ({ value: k.kind, label: k.said }))}
                {...form.getInputProps(`mates.${i}.kind`)}
              />
              <button
                type="button"
                className="link"
                aria-label={`Take ${m.place || 'this joint'} away`}
                onClick={() => form.removeListItem('mates', i)}
              >
                ×
              </button>
              <TextInput
                size="xs"
                label="On the car"
                placeholder={example(m.kind)}
                {...form.getInputProps(`mates.${i}.carSide`)}
              />
              <TextInput
                size="xs"
                label="On the part"
                placeholder="unknown"
                {...form.getInputProps(`mates.${i}.partSide`)}
              />
            </div>
            {same && (
              <div className={css.side}>
                <MateMark outcome={judged.outcome} />
                <span className={judged.outcome === 'FITS' ? 'small' : 'small strong'}>
                  {judged.outcome === 'FITS' ? `${SAID.FITS}: ${judged.said}` : judged.said}
                </span>
              </div>
            )}
            {same && judged.kind === 'THREAD' && judged.outcome === 'FITS' && isBolt(m.partSide) && (
              <Bolt thread={threadOf(m.partSide)} />
            )}
          </div>
        )
      })}
      {changes && (
        <div className={layout.row}>
          <Button
            size="compact-sm"
            variant="default"
            onClick={() =>
              form.insertListItem('mates', {
                place: '',
                kind: 'THREAD' as Mate['kind'],
                carSide: '',
                partSide: '',
              })
            }
          >
            Add a joint
          </Button>
          {form.isDirty() && (
            <Button size="compact-sm" loading={busy} onClick={() => void save()}>
              Write it down
            </Button>
          )}
        </div>
      )}
    </section>
  )
}
