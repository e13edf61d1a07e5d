import { Button, FileButton, Select, TextInput } from '@mantine/core'
import { type FormEvent, useEffect, useState } from 'react'
import { client, dataOf, ProblemError } from '../api/client'
import { useDevice } from '../api/devices'
import { type Column, type Conditions, readRun, type RunFile } from '../api/dyno'
import { useSend } from '../api/send'
import layout from '../ui/layout.module.css'
import { ColumnPicker, Looked } from './ColumnPicker'
import css from './dyno.module.css'

interface Props {
  car: string
  dynos: string[]
  /** What was said of the last run, to begin with. */
  last: Conditions | undefined
  standIn: boolean
  onTaken: () => void
}

const FIELDS: [keyof Conditions, string, string][] = [
  ['state', 'What is on the car', 'smaller pulley; several changes parted by ;'],
  ['gear', 'Gear', '4th'],
  ['pressure', 'Driven tyres', '2.6 bar'],
  ['straps', 'Straps', 'cross, four'],
  ['fuel', 'Fuel', '98'],
  ['airPressure', 'Air pressure', '992 hPa'],
  ['airTemperature', 'Air', '21 °C'],
  ['humidity', 'Humidity', '45 %'],
]

const SIMULATED: [string, { gain: number; softTyres: boolean; exchanged: boolean }][] = [
  ['as it is', { gain: 0, softTyres: false, exchanged: false }],
  ['with 4.6 kW more', { gain: 4.6, softTyres: false, exchanged: false }],
  ['with soft tyres', { gain: 0, softTyres: true, exchanged: false }],
  ['with exchanged columns', { gain: 0, softTyres: false, exchanged: true }],
]

/** Takes run files in: reads them, asks what their columns hold and how they were driven, and shows what comes of it. */
export function RunImport({ car, dynos, last, standIn, onTaken }: Props) {
  const [files, setFiles] = useState<RunFile[]>([])
  const [columns, setColumns] = useState<Column[]>([])
  const [dyno, setDyno] = useState(dynos[0] ?? '')
  const [said, setSaid] = useState<Conditions>(last ?? {})
  const [wrong, setWrong] = useState<Record<string, string>>({})
  const [refused, setRefused] = useState<string[]>([])
  const { send, busy } = useSend()
  const [reading, setReading] = useState(false)
  const read = async (each: (() => Promise<RunFile>)[]) => {
    setReading(true)
    setRefused([])
    const done: RunFile[] = []
    for (const one of each) {
      try {
        done.push(await one())
      } catch (error) {
        const problem = error instanceof ProblemError ? error : new ProblemError(0, String(error))
        setRefused((r) => [...r, problem.problems.map((p) => p.message).join(' ') || problem.message])
      }
    }
    setReading(false)
    const first = done[0]
    if (!first) return
    if (files.length === 0) {
      setColumns(first.columns)
      if (first.dyno) setDyno(first.dyno)
    }
    setFiles((f) => [...f, ...done])
  }
  const take = (event: FormEvent) => {
    event.preventDefault()
    void send(
      () =>
        dataOf(
          client.POST('/api/builds/{id}/runs', {
            params: { path: { id: car } },
            body: { files: files.map((f) => f.id), dyno, columns, conditions: said },
          }),
        ),
      (problem) => {
        setWrong(Object.fromEntries(problem.problems.map((p) => [p.field, p.message])))
        return problem.problems.length > 0
      },
    ).then((taken) => {
      if (!taken) return
      setFiles([])
      setWrong({})
      onTaken()
    })
  }
  const first = files[0]
  return (
    <section className={css.import} aria-label="Take runs in">
      <div className={layout.row}>
        <FileButton
          multiple
          accept=".csv,.txt,text/csv,text/plain"
          onChange={(f) => void read(f.map((x) => () => readRun(x)))}
        >
          {(props) => (
            <Button {...props} variant="default" size="compact-sm" loading={reading}>
              Take runs in (CSV)
            </Button>
          )}
        </FileButton>
        {standIn && (
          <select
            aria-label="A run of the simulated road"
            value=""
            onChange={(e) => {
              const how = SIMULATED.find(([name]) => name === e.currentTarget.value)?.[1]
              if (how) void read([() => dataOf(client.POST('/api/run-files/stand-in', { body: how }))])
            }}
          >
            <option value="">A run of the simulated road …</option>
            {SIMULATED.map(([name]) => (
              <option key={name}>{name}</option>
            ))}
          </select>
        )}
      </div>
      {refused.map((r) => (
        <p key={r} className="small hot" role="alert">
          {r}
        </p>
      ))}
      {first && (
        <form onSubmit={take} className={layout.column}>
          <p className="small">
            {first.dyno
              ? `These columns are those of ${first.dyno}; they need not be said again.`
              : 'Say once what the columns of this road hold; it is remembered.'}
          </p>
          <ColumnPicker file={first} columns={columns} setColumns={setColumns} />
          <ul className={css.looked}>
            {files.map((f) => (
              <Looked key={f.id} file={f} columns={columns} />
            ))}
          </ul>
          <div className={css.conditions}>
            <Dyno value={dyno} set={setDyno} dynos={dynos} wrong={wrong.dyno} />
            {FIELDS.map(([field, label, hint]) => (
              <TextInput
                key={field}
                size="xs"
                label={label}
                placeholder={hint}
                value={said[field] ?? ''}
                error={wrong[field]}
                onChange={(e) => setSaid({ ...said, [field]: e.currentTarget.value })}
              />
            ))}
          </div>
          <div className={layout.row}>
            <Room onRead={(air) => setSaid({ ...said, ...air })} />
            <Button type="submit" size="compact-md" loading={busy}>
              {files.length === 1 ? 'Take it in' : `Take ${files.length} runs in`}
            </Button>
            <Button size="compact-md" variant="default" onClick={() => setFiles([])}>
              Not now
            </Button>
          </div>
          {(wrong.file ?? wrong.columns) && <p className="small hot">{wrong.file ?? wrong.columns}</p>}
        </form>
      )}
    </section>
  )
}

function Dyno(props: { value: string; set: (name: string) => void; dynos: string[]; wrong?: string }) {
  const [other, setOther] = useState(props.dynos.length === 0)
  if (other) {
    return (
      <TextInput
        size="xs"
        label="Rolling road"
        placeholder="its name, once"
        value={props.value}
        error={props.wrong}
        onChange={(e) => props.set(e.currentTarget.value)}
      />
    )
  }
  return (
    <Select
      size="xs"
      label="Rolling road"
      data={[...new Set([...props.dynos, props.value].filter(Boolean)), 'another …']}
      value={props.value}
      error={props.wrong}
      allowDeselect={false}
      onChange={(v) => (v === 'another …' ? (setOther(true), props.set('')) : props.set(v ?? ''))}
    />
  )
}

/** Takes the air of the room from the weather station, where there is one. */
function Room({ onRead }: { onRead: (air: Conditions) => void }) {
  const [asking, setAsking] = useState(false)
  const { device, none } = useDevice('weather', asking)
  const said = (name: string) => device?.readings.find((r) => r.name === name && !r.silent)?.said
  const [airPressure, airTemperature, humidity] = [said('pressure'), said('temperature'), said('humidity')]
  useEffect(() => {
    if (!asking || !airPressure || !airTemperature) return
    setAsking(false)
    onRead({ airPressure, airTemperature, humidity })
    // Once it is known; how it changes after that does not matter here.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [airPressure, airTemperature, humidity])
  return (
    <>
      <Button variant="default" size="compact-md" loading={asking && !none} onClick={() => setAsking(true)}>
        Air of the room
      </Button>
      {none && <span className="small soft">No weather station is joined.</span>}
    </>
  )
}
