import { Button } from '@mantine/core'
import { type FormEvent, useState } from 'react'
import { type Car } from '../api/board'
import { type Fields, type Gauge, type Sheet } from '../api/gauges'
import layout from '../ui/layout.module.css'
import { AeroLever } from './AeroLever'
import { AnswerSheet, isFigure } from './AnswerSheet'
import { AroundTheCar } from './AroundTheCar'
import { ClassPicker } from './ClassPicker'
import { CopeView } from './CopeView'
import { Curve } from './Curve'
import { EarlierSheets } from './EarlierSheets'
import { FieldInput } from './FieldInput'
import css from './gauges.module.css'
import { LapsIn } from './LapsIn'
import { PadCheckReader } from './PadCheckReader'
import { RoomTemperature } from './RoomTemperature'
import { State } from './SheetFields'
import { useSheet } from './useSheet'
import { TraceIn } from './TraceIn'
import { askedBy, isEnough, knownOf, lastSaid, rowsOf, type Values, valuesOf } from './values'

interface Props {
  car: Car
  gauge: Gauge
  log: Sheet[]
  manages: boolean
}

/** The sheet of a gauge: what is measured at the corners around the car, the rest below, and what the gauge answers. */
export function GaugeSheet({ car, gauge, log, manages }: Props) {
  const known = () => knownOf(gauge.fields, log, gauge.name)
  const [values, setValues] = useState<Values>(known)
  const request = isEnough(gauge.fields, values) ? askedBy(gauge.fields, values) : undefined
  const sheet = useSheet(car.id, gauge.name, () => request)
  const set = (all: Values) => {
    sheet.changed()
    setValues(all)
  }
  const around = gauge.fields.filter((f) => f.type === 'WHEELS' || (f.type === 'CORNERS' && !f.known))
  const measured = gauge.fields.filter((f) => !around.includes(f) && !f.known)
  const ofTheCar = gauge.fields.filter((f) => f.known)
  // It does not close under the hands of whoever fills it in.
  const [open, setOpen] = useState(() => ofTheCar.some((f) => f.needed && !(f.name in values)))
  const file = (event: FormEvent) => {
    event.preventDefault()
    // What is so on the car stays for the next sheet.
    const kept = ofTheCar.filter((f) => f.name in values).map((f) => [f.name, values[f.name]])
    void sheet.file().then((filed) => filed && setValues(Object.fromEntries(kept) as Values))
  }
  const fields = (some: typeof gauge.fields) =>
    some.map((field) => <FieldInput key={field.name} field={field} values={values} set={set} at={sheet.at} />)
  return (
    <>
      <form onSubmit={file} className={css.middle}>
        <div className={css.sheet}>
          <h2>{gauge.title}</h2>
          {gauge.name === 'heat-soak' && <TraceIn onRead={(read) => set({ ...values, ...read })} />}
          {gauge.name === 'laps' && <LapsIn onRead={(runs) => set({ ...values, runs })} />}
          {sheet.corrects && <p className="small">Corrects an earlier sheet, which is kept.</p>}
          {around.length > 0 && (
            <AroundTheCar
              car={car}
              fields={around}
              values={values}
              set={set}
              at={sheet.at}
              answer={sheet.answer}
            />
          )}
          {gauge.name === 'class-check' && (
            <ClassPicker values={values} set={set} manages={manages} weighed={weighed(log)} />
          )}
          {gauge.name === 'pad-check' && (
            <PadCheckReader
              onRead={(rows) => set({ ...values, corners: merged(rowsOf(values, 'corners'), rows) })}
            />
          )}
          {measured.some((f) => f.name === 'temperature') && (
            <RoomTemperature onRead={(said) => set({ ...values, temperature: said })} />
          )}
          {measured.length > 0 && <div className={css.fields}>{fields(measured)}</div>}
          {sheet.answer ? (
            <>
              <Curve answer={sheet.answer} gauge={gauge.name} />
              {gauge.name === 'aero-balance' && <AeroLever answer={sheet.answer} />}
              {gauge.name === 'cope' && request && <CopeView answer={sheet.answer} asked={request} />}
              <AnswerSheet answer={sheet.answer} />
            </>
          ) : (
            sheet.problems.length === 0 && (
              <p className="soft small">
                Say quantities with their unit, as you would write them: 10 thou, 1.9 bar, 0° 12&#39;.
              </p>
            )
          )}
          {ofTheCar.length > 0 && (
            <details className={css.springs} open={open} onToggle={(e) => setOpen(e.currentTarget.open)}>
              <summary>What is so on this car, from sheet to sheet</summary>
              <div className={css.fields}>{fields(ofTheCar)}</div>
            </details>
          )}
        </div>
        <State state={sheet.state} setState={sheet.setState} at={sheet.at} />
        <div className={layout.row}>
          <Button type="submit" loading={sheet.busy} disabled={!sheet.answer}>
            {sheet.corrects ? 'File the corrected sheet' : 'File this sheet'}
          </Button>
          <Button variant="default" onClick={() => set(known())}>
            Clear
          </Button>
        </div>
      </form>
      <EarlierSheets
        car={car}
        log={log}
        gauge={gauge.name}
        driverIn={sheet.state.driverIn}
        trend={trend(log, gauge.name)}
        manages={manages}
        onCorrect={(s) => {
          setValues(valuesOf(gauge.fields, (s.asked ?? {}) as Fields))
          sheet.correct(s)
        }}
      />
    </>
  )
}

/** What was read first, and what is read once the pads were moved on, in the same rows. */
const merged = (rows: Values[], read: Values[]) => read.map((row, i) => ({ ...rows[i], ...row }))

/** What it weighed last, for the least weight of a class. */
const weighed = (log: Sheet[]) => lastSaid(log, 'corner-weights', 'total') ?? ''

/** The first figure of a gauge is the one that is followed from sheet to sheet. */
function trend(log: Sheet[], gauge: string) {
  const last = log.find((s) => s.gauge === gauge && s.answered)
  const key = Object.entries(last?.answered ?? {}).find(([, v]) => isFigure(v))?.[0]
  return key ? { figure: [key], name: key } : undefined
}
