import {
  Autocomplete,
  Button,
  Checkbox,
  Drawer,
  MultiSelect,
  NativeSelect,
  NumberInput,
  TextInput,
} from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { type FormEvent, useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { type EventForm as Form, type RaceEvent } from '../api/events'
import { useSend } from '../api/send'
import { instantOf, localOf } from '../format/time'
import layout from '../ui/layout.module.css'
import { MomentField } from '../ui/MomentField'
import { useClasses } from './ClassChecks'
import css from './events.module.css'

interface Session {
  id?: string
  name: string
  kind: NonNullable<Form['sessions']>[number]['kind']
  start: string
  minutes: number | string
  km: number | string
}

interface CarOf {
  buildId: string
  spare: boolean
  driver: string
  template: string
}

interface Props {
  event?: RaceEvent
  onClose: () => void
  onKept: (id: string) => void
}

const KINDS: { value: Session['kind']; label: string }[] = [
  { value: 'TEST', label: 'test' },
  { value: 'PRACTICE', label: 'practice' },
  { value: 'QUALIFYING', label: 'qualifying' },
  { value: 'RACE', label: 'race' },
]

/** An event with its sessions, cars and crew. */
export function EventForm({ event, onClose, onKept }: Props) {
  const { board, cars: allCars, looked } = useBoard()
  const { zone } = board
  const classes = useClasses(looked)
  const [name, setName] = useState(event?.name ?? '')
  const [place, setPlace] = useState(event?.place ?? '')
  const [className, setClassName] = useState(event?.className ?? '')
  const [loads, setLoads] = useState(localOf(event?.loadsAt, zone))
  const [back, setBack] = useState(localOf(event?.backAt, zone))
  const [rules, setRules] = useState<Record<'mostSets' | 'mostNew' | 'uses', number | string>>({
    mostSets: event?.mostSets ?? 6,
    mostNew: event?.mostNew ?? 2,
    uses: event?.uses ?? 2,
  })
  const [sessions, setSessions] = useState<Session[]>(
    event?.sessions.map((s) => ({ ...s, start: localOf(s.start, zone) })) ?? [],
  )
  const [cars, setCars] = useState<CarOf[]>(event?.cars.map((c) => ({ ...c, template: '' })) ?? [])
  const [crew, setCrew] = useState<string[]>(event?.crew ?? [])
  const [errors, setErrors] = useState<Record<string, string>>({})
  const { send, busy } = useSend()
  const templates = useQuery({ queryKey: ['templates'], queryFn: () => dataOf(client.GET('/api/templates')) })
  const save = (submit: FormEvent) => {
    submit.preventDefault()
    setErrors({})
    const body: Form = {
      name,
      place,
      className,
      loadsAt: instantOf(loads, zone),
      backAt: instantOf(back, zone),
      mostSets: Number(rules.mostSets) || 0,
      mostNew: Number(rules.mostNew) || 0,
      uses: Number(rules.uses) || 0,
      sessions: sessions.map((s) => ({
        id: s.id,
        name: s.name,
        kind: s.kind,
        start: instantOf(s.start, zone),
        minutes: Number(s.minutes) || 0,
        km: Number(s.km) || 0,
      })),
      cars: cars.map(({ buildId, spare, driver, template }) => ({
        buildId,
        spare,
        driver,
        template: template || undefined,
      })),
      crew,
      version: event?.version ?? 0,
    }
    void send(
      async () => {
        if (!event) return (await dataOf(client.POST('/api/events', { body }))).id
        await dataOf(client.PUT('/api/events/{id}', { params: { path: { id: event.id } }, body }))
        return event.id
      },
      (problem) => {
        setErrors(Object.fromEntries(problem.problems.map((p) => [p.field, p.message])))
        return problem.problems.length > 0
      },
    ).then((id) => id && onKept(id))
  }
  const putSession = (i: number, part: Partial<Session>) =>
    setSessions((all) => all.map((s, j) => (i === j ? { ...s, ...part } : s)))
  const putCar = (i: number, part: Partial<CarOf>) =>
    setCars((all) => all.map((c, j) => (i === j ? { ...c, ...part } : c)))
  const known = new Set(event?.cars.map((c) => c.buildId))
  // A car that was put away since is no longer there to be chosen, but still is the one that went.
  const gone = (event?.cars ?? []).filter((c) => !allCars.some((b) => b.id === c.buildId))
  const choice = [
    ...allCars.map((b) => ({ value: b.id, label: `${b.number} ${b.name}`.trim() })),
    ...gone.map((c) => ({ value: c.buildId, label: `${c.called} (put away)` })),
  ]
  return (
    <Drawer opened onClose={onClose} position="right" size="xl" title={event ? event.name : 'Enter an event'}>
      <form onSubmit={save}>
        <div className={css.fields}>
          <TextInput
            label="Event"
            value={name}
            error={errors.name}
            onChange={(e) => setName(e.currentTarget.value)}
            data-autofocus
          />
          <TextInput label="Place" value={place} onChange={(e) => setPlace(e.currentTarget.value)} />
          <MomentField label="The cars are loaded" value={loads} error={errors.loadsAt} onChange={setLoads} />
          <MomentField label="All are back" value={back} error={errors.backAt} onChange={setBack} />
          <Autocomplete
            label="Class"
            value={className}
            data={(classes ?? []).map((c) => c.name)}
            onChange={setClassName}
          />
          <MultiSelect
            label="Who goes along"
            value={crew}
            error={errors.crew}
            data={board.people.map((p) => ({ value: p.id, label: p.name }))}
            onChange={setCrew}
          />
          {(
            [
              ['mostSets', 'Sets of tyres allowed'],
              ['mostNew', 'of them new'],
              ['uses', 'Sessions a set serves'],
            ] as const
          ).map(([field, label]) => (
            <NumberInput
              key={field}
              label={label}
              min={0}
              value={rules[field]}
              error={errors[field]}
              onChange={(v) => setRules((r) => ({ ...r, [field]: v }))}
            />
          ))}
        </div>
        <h3>Cars</h3>
        {cars.map((c, i) => (
          <div key={i} className={css.row}>
            <NativeSelect
              aria-label="Car"
              value={c.buildId}
              data={choice}
              onChange={(e) => putCar(i, { buildId: e.currentTarget.value })}
            />
            <TextInput
              aria-label="Driver"
              placeholder="driver"
              value={c.driver}
              onChange={(e) => putCar(i, { driver: e.currentTarget.value })}
            />
            {known.has(c.buildId) ? (
              <span className="small soft">its work is laid</span>
            ) : (
              <NativeSelect
                aria-label="Work before it"
                value={c.template}
                data={[
                  { value: '', label: 'no work of its own' },
                  ...(templates.data ?? []).map((t) => ({ value: t.id, label: t.name })),
                ]}
                onChange={(e) => putCar(i, { template: e.currentTarget.value })}
              />
            )}
            <Checkbox
              label="spare"
              checked={c.spare}
              onChange={(e) => putCar(i, { spare: e.currentTarget.checked })}
            />
            <Button
              variant="default"
              size="compact-sm"
              onClick={() => setCars((all) => all.filter((_, j) => j !== i))}
            >
              Remove
            </Button>
          </div>
        ))}
        {errors.cars && <p className="hot small">{errors.cars}</p>}
        <Button
          variant="default"
          size="compact-sm"
          onClick={() =>
            setCars((all) => [
              ...all,
              { buildId: allCars[0]?.id ?? '', spare: false, driver: '', template: '' },
            ])
          }
        >
          Add a car
        </Button>
        <h3>Sessions</h3>
        {sessions.map((s, i) => (
          <div key={i} className={css.row}>
            <TextInput
              aria-label="Session"
              placeholder="practice"
              value={s.name}
              error={errors[`sessions[${i}].name`]}
              onChange={(e) => putSession(i, { name: e.currentTarget.value })}
            />
            <NativeSelect
              aria-label="Kind"
              w={130}
              value={s.kind}
              data={KINDS}
              onChange={(e) => putSession(i, { kind: e.currentTarget.value as Session['kind'] })}
            />
            <MomentField
              aria-label="Begins"
              value={s.start}
              error={errors[`sessions[${i}].start`]}
              onChange={(v) => putSession(i, { start: v })}
            />
            <NumberInput
              aria-label="Minutes"
              hideControls
              w={90}
              suffix=" min"
              min={1}
              value={s.minutes}
              error={errors[`sessions[${i}].minutes`]}
              onChange={(v) => putSession(i, { minutes: v })}
            />
            <NumberInput
              aria-label="Distance"
              hideControls
              w={90}
              suffix=" km"
              min={0}
              value={s.km}
              error={errors[`sessions[${i}].km`]}
              onChange={(v) => putSession(i, { km: v })}
            />
            <Button
              variant="default"
              size="compact-sm"
              onClick={() => setSessions((all) => all.filter((_, j) => j !== i))}
            >
              Remove
            </Button>
          </div>
        ))}
        <Button
          variant="default"
          size="compact-sm"
          onClick={() =>
            setSessions((all) => [
              ...all,
              { name: '', kind: 'PRACTICE', start: all[all.length - 1]?.start ?? loads, minutes: 30, km: 0 },
            ])
          }
        >
          Add a session
        </Button>
        <div className={`${layout.row} ${layout.below}`}>
          <Button type="submit" loading={busy}>
            {event ? 'Keep' : 'Enter it'}
          </Button>
          <Button variant="default" onClick={onClose}>
            Back
          </Button>
        </div>
      </form>
    </Drawer>
  )
}
