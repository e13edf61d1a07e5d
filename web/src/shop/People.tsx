import { ActionIcon, Button, Drawer, Group, Modal, NumberInput, Select, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { type Person, useBoard } from '../api/board'
import { client, dataOf, done, type Schemas } from '../api/client'
import { atFields, useSend } from '../api/send'
import { day, dayKey } from '../format/time'
import { word } from '../format/words'
import { Hours, hoursOf, saidHours } from './Hours'
import layout from '../ui/layout.module.css'
import css from './shop.module.css'
import { DayField } from '../ui/MomentField'

/** The people: what they can do, when they are in, who is away. */
export function People({ changes }: { changes: boolean }) {
  const { board, person } = useBoard()
  const [search, setSearch] = useSearchParams()
  const [adding, setAdding] = useState(false)
  const [leave, setLeave] = useState<Person>()
  const { send } = useSend()
  const picked = person.get(search.get('person') ?? '')
  const zone = board.zone
  const noon = (date: string) => `${date}T12:00:00Z`
  return (
    <>
      <table className="plain">
        <thead>
          <tr>
            <th>Person</th>
            <th>Can</th>
            <th>In</th>
            <th>Leave and extra shifts</th>
            <th className="right">per hour</th>
          </tr>
        </thead>
        <tbody>
          {board.people.map((p) => (
            <tr key={p.id}>
              <td>
                <button className="link strong" onClick={() => setSearch({ person: p.id })}>
                  {p.name}
                </button>
                <div className="soft small">{p.inNow ? 'in now' : ''}</div>
              </td>
              <td>
                {p.skills.map((s) => (
                  <span key={s.skill} className={css.skill}>
                    <span className={s.level === 'LEAD' ? 'strong' : s.level === 'LEARNER' ? 'soft' : ''}>
                      {s.skill}
                    </span>{' '}
                    <span className="soft small">{word(s.level)}</span>
                  </span>
                ))}
              </td>
              <td className="small">{saidHours(p.shifts)}</td>
              <td className="small">
                {p.changes.map((c) => (
                  <div key={c.id || c.note}>
                    {c.kind === 'EXTRA' ? 'extra' : 'away'} {day(noon(c.from), zone)}
                    {c.to !== c.from && ` to ${day(noon(c.to), zone)}`}
                    {!(c.start.startsWith('00:00') && c.end.startsWith('00:00')) &&
                      ` ${c.start.slice(0, 5)}–${c.end.slice(0, 5)}`}
                    {c.note && <span className="soft"> {c.note}</span>}{' '}
                    {changes && c.id && (
                      <button
                        className="link"
                        onClick={() =>
                          void send(() =>
                            dataOf(
                              client.DELETE('/api/people/{id}/shift-changes/{change}', {
                                params: { path: { id: p.id, change: c.id } },
                              }),
                            ),
                          )
                        }
                      >
                        take back
                      </button>
                    )}
                  </div>
                ))}
                {changes && (
                  <Button
                    size="compact-sm"
                    variant="default"
                    onClick={() => setLeave(p)}
                    aria-label={`Leave or extra shift for ${p.name}`}
                  >
                    Leave, extra shift
                  </Button>
                )}
              </td>
              <td className="right">{p.costPerHour?.toFixed(2)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {board.people.length === 0 && (
        <p className="soft">Nobody yet. Without people nothing can be planned.</p>
      )}
      {changes && (
        <Button mt="md" variant="default" onClick={() => setAdding(true)}>
          Add a person
        </Button>
      )}
      {(picked || adding) && (
        <PersonForm
          key={picked?.id ?? 'new'}
          person={adding ? undefined : picked}
          changes={changes}
          onClose={() => {
            setAdding(false)
            setSearch({})
          }}
        />
      )}
      {leave && <LeaveForm person={leave} onClose={() => setLeave(undefined)} />}
    </>
  )
}

function PersonForm({
  person,
  changes,
  onClose,
}: {
  person?: Person
  changes: boolean
  onClose: () => void
}) {
  const { send, busy } = useSend()
  const form = useForm({
    initialValues: {
      name: person?.name ?? '',
      skills: person?.skills ?? [{ skill: 'fit', level: 'ABLE' as const }],
      shifts: hoursOf(
        person?.shifts ?? [1, 2, 3, 4, 5].map((d) => ({ day: d, start: '07:30', end: '16:00' })),
      ),
      costPerHour: person?.costPerHour ?? 45,
    },
  })
  const save = async (values: typeof form.values) => {
    const body: Schemas['PersonRequest'] = { ...values, version: person?.version ?? 0 }
    const done = await send(
      async () => {
        if (person)
          await dataOf(client.PUT('/api/people/{id}', { params: { path: { id: person.id } }, body }))
        else await dataOf(client.POST('/api/people', { body }))
        return true
      },
      (problem) => atFields(problem, form.setFieldError),
    )
    if (done) onClose()
  }
  return (
    <Drawer opened onClose={onClose} position="right" size={440} title={person?.name ?? 'Somebody new'}>
      <form onSubmit={form.onSubmit((v) => void save(v))}>
        <fieldset disabled={!changes} className={layout.bare}>
          <TextInput label="Name" {...form.getInputProps('name')} />
          <NumberInput label="Cost per hour" mt={8} decimalScale={2} {...form.getInputProps('costPerHour')} />
          <div className={`small strong ${layout.below}`}>Can</div>
          {form.values.skills.map((s, i) => (
            <Group key={i} gap={6} mt={4} wrap="nowrap">
              <TextInput
                aria-label="Skill"
                size="xs"
                value={s.skill}
                error={form.errors[`skills.${i}`]}
                onChange={(e) => form.setFieldValue(`skills.${i}.skill`, e.currentTarget.value)}
              />
              <Select
                aria-label="Level"
                size="xs"
                allowDeselect={false}
                data={[
                  { value: 'LEARNER', label: 'learner' },
                  { value: 'ABLE', label: 'able' },
                  { value: 'LEAD', label: 'lead' },
                ]}
                value={s.level}
                onChange={(v) => form.setFieldValue(`skills.${i}.level`, (v ?? 'ABLE') as 'ABLE')}
              />
              <ActionIcon
                variant="default"
                aria-label="Remove this skill"
                onClick={() => form.removeListItem('skills', i)}
              >
                −
              </ActionIcon>
            </Group>
          ))}
          <Button
            size="compact-sm"
            variant="default"
            mt={6}
            onClick={() => form.insertListItem('skills', { skill: '', level: 'ABLE' })}
          >
            One more skill
          </Button>
          <div className={`small strong ${layout.below}`}>In</div>
          <Hours
            field="shifts"
            hours={form.values.shifts}
            errors={form.errors}
            onChange={(h) => form.setFieldValue('shifts', h)}
          />
          {changes && (
            <Group mt={16} gap={8}>
              <Button type="submit" loading={busy}>
                Save
              </Button>
              {person && (
                <Button
                  variant="default"
                  onClick={() =>
                    void send(() =>
                      done(client.DELETE('/api/people/{id}', { params: { path: { id: person.id } } })),
                    ).then((gone) => gone && onClose())
                  }
                >
                  Take off the list
                </Button>
              )}
            </Group>
          )}
        </fieldset>
      </form>
    </Drawer>
  )
}

function LeaveForm({ person, onClose }: { person: Person; onClose: () => void }) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const form = useForm({
    initialValues: {
      kind: 'LEAVE' as 'LEAVE' | 'EXTRA',
      from: dayKey(board.now, board.zone),
      to: dayKey(board.now, board.zone),
      start: '',
      end: '',
      note: '',
    },
  })
  const save = async (v: typeof form.values) => {
    const done = await send(
      () =>
        dataOf(
          client.POST('/api/people/{id}/shift-changes', {
            params: { path: { id: person.id } },
            body: { ...v, start: v.start || undefined, end: v.end || undefined },
          }),
        ),
      (problem) => atFields(problem, form.setFieldError),
    )
    if (done) onClose()
  }
  return (
    <Modal opened onClose={onClose} title={`${person.name}: leave or extra shift`}>
      <form onSubmit={form.onSubmit((v) => void save(v))}>
        <Select
          label="What"
          allowDeselect={false}
          data={[
            { value: 'LEAVE', label: 'away' },
            { value: 'EXTRA', label: 'an extra shift' },
          ]}
          {...form.getInputProps('kind')}
        />
        <Group grow mt={8} align="start">
          <DayField label="First day" {...form.getInputProps('from')} />
          <DayField label="Last day" {...form.getInputProps('to')} />
        </Group>
        <Group grow mt={8} align="start">
          <TextInput label="From (empty: all day)" type="time" {...form.getInputProps('start')} />
          <TextInput label="To" type="time" {...form.getInputProps('end')} />
        </Group>
        <TextInput label="Note" mt={8} {...form.getInputProps('note')} />
        <Button type="submit" mt={16} loading={busy}>
          Save
        </Button>
      </form>
    </Modal>
  )
}
