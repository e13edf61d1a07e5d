import { Button, TextInput } from '@mantine/core'
import { type FormEvent, useState } from 'react'
import { type Car } from '../api/board'
import { type Fields, type Figure, figure, type Sheet } from '../api/gauges'
import { CarShell } from '../domain/CarOutline'
import layout from '../ui/layout.module.css'
import { EarlierSheets } from './EarlierSheets'
import { PadsPanel, PadState, STANDING, StandInPads, useReadPads } from './ReadPads'
import { Field, State } from './SheetFields'
import css from './gauges.module.css'
import { useSheet } from './useSheet'
import { CORNERS, cornersOf } from './values'

const GAUGE = 'corner-weights'

const AXLES = ['front', 'rear'] as const

interface ByAxle {
  front: string
  rear: string
}

interface Form {
  pads: Record<string, string>
  wheelbase: string
  track: ByAxle
  rate: ByAxle
  ratio: ByAxle
  pitch: string
  target: string
  tolerance: string
}

/** What is known of the car from the last sheet; a pad says something new each time. */
function begin(log: Sheet[]): Form {
  const known = (log.find((s) => s.gauge === GAUGE && s.asked)?.asked ?? {}) as Fields
  const text = (field: string, other = '') => String(known[field] ?? other)
  const four = (field: string, other = '') => {
    const list = known[field] as string[] | undefined
    return { front: list?.[0] ?? other, rear: list?.[2] ?? other }
  }
  return {
    pads: {},
    wheelbase: text('wheelbase'),
    track: { front: text('front track'), rear: text('rear track') },
    rate: four('wheel rate'),
    ratio: four('motion ratio', '1'),
    pitch: text('pitch', '2 mm'),
    target: text('target', '50 %'),
    tolerance: text('tolerance', '0.3 %'),
  }
}

/** What it weighed last, as it stands now with its driver or without: pads that are far from it are mistaken. */
const weighed = (log: Sheet[], driverIn: boolean) =>
  figure(log.find((s) => s.gauge === GAUGE && !s.correctedBy && s.driverIn === driverIn)?.answered, 'total')

function bothSides(axles: ByAxle) {
  return [axles.front, axles.front, axles.rear || axles.front, axles.rear || axles.front]
}

/** What the gauge is asked; undefined while a pad says nothing. Turns need to know the car's springs. */
function asked(form: Form, weighed?: Figure): Fields | undefined {
  if (CORNERS.some((c) => !form.pads[c]?.trim())) return undefined
  const fields: Fields = {
    pads: form.pads,
    ...(weighed && { 'known mass': `${weighed.value} ${weighed.unit}` }),
  }
  if (!form.wheelbase.trim() || !form.rate.front.trim()) return fields
  return {
    ...fields,
    wheelbase: form.wheelbase,
    'front track': form.track.front,
    'rear track': form.track.rear,
    'wheel rate': bothSides(form.rate),
    'motion ratio': bothSides(form.ratio),
    pitch: form.pitch,
    target: form.target,
    tolerance: form.tolerance,
  }
}

interface Props {
  car: Car
  log: Sheet[]
  manages: boolean
}

/** The car on four pads: what they say, what to turn, and what they will say then. */
export function CornerWeights({ car, log, manages }: Props) {
  const [form, setForm] = useState(() => begin(log))
  const sheet = useSheet(car.id, GAUGE, (state) => asked(form, weighed(log, state.driverIn)))
  const { answer, at } = sheet
  const change = (part: Partial<Form>) => {
    sheet.changed()
    setForm((f) => ({ ...f, ...part }))
  }
  const [standing, setStanding] = useState(STANDING)
  const pads = useReadPads(standing, (read) => {
    change({ pads: read })
    sheet.setState({ ...sheet.state, instrument: sheet.state.instrument || 'pads A–D' })
  })
  const file = (event: FormEvent) => {
    event.preventDefault()
    void sheet.file().then((filed) => filed && change({ pads: {} }))
  }
  return (
    <>
      <form onSubmit={file} className={css.middle}>
        <div className={css.sheet}>
          {sheet.corrects && <p className="small">Corrects an earlier sheet, which is kept.</p>}
          <div className={css.pads}>
            {CORNERS.map((corner) => (
              <Pad
                key={corner}
                corner={corner}
                value={form.pads[corner] ?? ''}
                onChange={(v) => change({ pads: { ...form.pads, [corner]: v } })}
                error={at(`pads.${corner}`)}
                answer={answer}
                live={pads.reading && <PadState reading={pads.at(corner)} pad={standing[corner] ?? ''} />}
              />
            ))}
            <Drawing car={car} answer={answer} />
          </div>
          <PadsPanel {...pads} />
          {at('pads') && <p className="hot">The pads {at('pads')}</p>}
          <Said answer={answer} />
          <Spring form={form} change={change} at={at} />
          <StandInPads answer={answer} standing={standing} setStanding={setStanding} />
        </div>
        <State state={sheet.state} setState={sheet.setState} at={at} />
        <div className={layout.row}>
          <Button type="submit" loading={sheet.busy} disabled={!answer}>
            {sheet.corrects ? 'File the corrected sheet' : 'File this sheet'}
          </Button>
          <Button
            variant="default"
            onClick={() => {
              change({ pads: {} })
              if (sheet.state.instrument) pads.setReading(true)
            }}
          >
            Weigh again
          </Button>
        </div>
      </form>
      <EarlierSheets
        car={car}
        log={log}
        gauge={GAUGE}
        driverIn={sheet.state.driverIn}
        trend={{ figure: ['cross'], name: 'cross', target: form.target, tolerance: form.tolerance }}
        manages={manages}
        onCorrect={(s) => {
          const pads = (s.asked as Fields | undefined)?.pads
          change({ pads: pads === undefined ? {} : (cornersOf(pads) as Record<string, string>) })
          sheet.correct(s)
        }}
      />
    </>
  )
}

interface PadProps {
  corner: string
  value: string
  onChange: (value: string) => void
  error?: string
  answer?: Fields
  /** What the pad says while it is read. */
  live: React.ReactNode
}

function Pad({ corner, value, onChange, error, answer, live }: PadProps) {
  const then = figure(answer, 'then', corner)
  const turns = figure(answer, 'turns', corner)
  return (
    <div className={css.pad} style={{ gridArea: corner.replace(' ', '-') }}>
      <TextInput
        label={corner}
        value={value}
        onChange={(e) => onChange(e.currentTarget.value)}
        error={error}
        placeholder="kg"
        inputMode="decimal"
        size="md"
        autoComplete="off"
      />
      {live}
      {then && turns && (
        <div className={css.then}>
          <span className="quiet small">then {then.value.toFixed(1)}</span>
          <Turn turns={turns.value} />
        </div>
      )}
    </div>
  )
}

/** By how much to turn the perch: a dial, and the number with its sign. */
function Turn({ turns }: { turns: number }) {
  const said = `${turns > 0 ? '+' : turns < 0 ? '−' : ''}${Math.abs(turns)}`
  return (
    <span className={css.turn}>
      <svg width="20" height="20" viewBox="-10 -10 20 20" aria-hidden="true">
        <circle r="8.5" fill="none" stroke="var(--ink)" strokeWidth="1.5" />
        <line y2="-8" stroke="var(--ink)" strokeWidth="2" transform={`rotate(${(turns % 1) * 360})`} />
      </svg>
      <b className={turns === 0 ? 'soft' : ''}>{said}</b>
      <span className="small soft">{Math.abs(turns) === 1 ? 'turn' : 'turns'}</span>
    </span>
  )
}

/** The car from above with both diagonals; the one that the cross counts is drawn through. */
function Drawing({ car, answer }: { car: Car; answer?: Fields }) {
  const cross = figure(answer, 'cross')
  const good = answer?.['within tolerance']
  const colour = good === false ? 'var(--hot)' : 'var(--quiet)'
  return (
    <div className={css.drawing}>
      <svg
        viewBox="0 0 160 80"
        role="img"
        aria-label={cross ? `cross ${cross.value.toFixed(1)} %` : 'the car from above'}
      >
        <CarShell body={car.body} />
        {cross && (
          <>
            <line
              x1="43"
              y1="66"
              x2="125"
              y2="14"
              stroke="var(--quiet-soft)"
              strokeWidth="1.2"
              strokeDasharray="1.5 3"
            />
            <line x1="43" y1="14" x2="125" y2="66" stroke={colour} strokeWidth="1.6" />
            <circle cx="84" cy="40" r="15" fill="var(--card)" stroke={colour} strokeWidth="1.2" />
            <text x="84" y="36.5" textAnchor="middle" fontSize="5.5" fill="var(--muted)">
              cross
            </text>
            <text x="84" y="44.5" textAnchor="middle" fontSize="7.5" fontWeight="700" fill={colour}>
              {cross.value.toFixed(1)} %
            </text>
          </>
        )}
      </svg>
      <dl className={css.shares}>
        {['front', 'left', 'total'].map((field) => (
          <div key={field}>
            <dt className="soft">{field}</dt>
            <dd>{figure(answer, field)?.said ?? '—'}</dd>
          </div>
        ))}
      </dl>
    </div>
  )
}

function Said({ answer }: { answer?: Fields }) {
  if (!answer) {
    return <p className="soft">Enter what the four pads say, in kg or lb; the car's nose is to the left.</p>
  }
  const other = figure(answer, 'other cross')
  return (
    <div aria-live="polite">
      <p className="strong">
        {String(answer.verdict ?? `Cross ${figure(answer, 'cross')?.said}.`)}{' '}
        <span className={`soft small ${css.plain}`}>
          By the other school, left front + right rear: {other?.said}
        </span>
      </p>
      {answer.advice ? (
        <p className="quiet strong">{String(answer.advice)}</p>
      ) : (
        <p className="soft">With wheelbase, tracks and wheel rates it says what to turn.</p>
      )}
      <p className="small soft">
        {[
          ...((answer.before as string[] | undefined) ?? []),
          'Off the pads before anyone goes under; stands, not the jack.',
        ].join(' ')}
      </p>
    </div>
  )
}

interface SpringProps {
  form: Form
  change: (part: Partial<Form>) => void
  at: (field: string) => string | undefined
}

/** What the turns are worked out from, folded away where it is known. */
function Spring({ form, change, at }: SpringProps) {
  const known = form.wheelbase && form.rate.front
  // It does not close under the hands of whoever fills it in.
  const [open, setOpen] = useState(!known)
  return (
    <details className={css.springs} open={open} onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary>
        {known
          ? `Wheelbase ${form.wheelbase}, wheel rates ${form.rate.front} and ${form.rate.rear || form.rate.front}, ${form.pitch} a turn; wanted ${form.target} ± ${form.tolerance}`
          : 'What the turns are worked out from'}
      </summary>
      <div className={css.fields}>
        <Field
          label="Wheelbase"
          value={form.wheelbase}
          placeholder="2500 mm"
          error={at('wheelbase')}
          onChange={(v) => change({ wheelbase: v })}
        />
        {AXLES.map((axle) => (
          <Field
            key={axle}
            label={`Track, ${axle}`}
            value={form.track[axle]}
            placeholder={axle === 'front' ? '1500 mm' : 'as in front'}
            error={at(`${axle} track`)}
            onChange={(v) => change({ track: { ...form.track, [axle]: v } })}
          />
        ))}
        {AXLES.map((axle, i) => (
          <Field
            key={axle}
            label={`Wheel rate, ${axle}`}
            value={form.rate[axle]}
            placeholder={axle === 'front' ? '40 N/mm' : 'as in front'}
            error={at(`wheel rate[${2 * i}]`)}
            onChange={(v) => change({ rate: { ...form.rate, [axle]: v } })}
          />
        ))}
        {AXLES.map((axle, i) => (
          <Field
            key={axle}
            label={`Spring to wheel travel, ${axle}`}
            value={form.ratio[axle]}
            error={at(`motion ratio[${2 * i}]`)}
            onChange={(v) => change({ ratio: { ...form.ratio, [axle]: v } })}
          />
        ))}
        <Field
          label="A turn raises"
          value={form.pitch}
          placeholder="2 mm"
          error={at('pitch')}
          onChange={(v) => change({ pitch: v })}
        />
        <Field
          label="Wanted cross"
          value={form.target}
          error={at('target')}
          onChange={(v) => change({ target: v })}
        />
        <Field
          label="Within"
          value={form.tolerance}
          error={at('tolerance')}
          onChange={(v) => change({ tolerance: v })}
        />
      </div>
    </details>
  )
}
