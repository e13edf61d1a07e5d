import { Button, TextInput } from '@mantine/core'
import { useState } from 'react'
import { type Car } from '../api/board'
import { type Fields, type GaugeField } from '../api/gauges'
import { CarShell } from '../domain/CarOutline'
import { isByCorner } from './AnswerSheet'
import { type At } from './FieldInput'
import css from './gauges.module.css'
import { CORNERS, partOf, type Values } from './values'

interface Props {
  car: Car
  fields: GaugeField[]
  values: Values
  set: (values: Values) => void
  at: At
  answer?: Fields
}

/** The car from above, its nose to the left, with what is measured at each corner to be entered there. */
export function AroundTheCar({ car, fields, values, set, at, answer }: Props) {
  const [asked, setAsked] = useState<string[]>([])
  const optional = [...new Set(fields.flatMap((f) => (f.type === 'WHEELS' ? f.columns : [f])))].filter(
    (f) => !f.needed,
  )
  const filled = (name: string) =>
    CORNERS.some((c) => partOf(values, name)[c] || partOf(values, c)[name]) || asked.includes(name)
  const hidden = optional.filter((f) =>
    optional.length > 1 || fields.some((o) => o.needed || o.type === 'WHEELS') ? !filled(f.name) : false,
  )
  const shown = fields
    .filter((f) => !hidden.includes(f))
    .map((f) => ({ ...f, columns: f.columns.filter((c) => !hidden.includes(c)) }))
  return (
    <div className={css.pads}>
      {CORNERS.map((corner) => (
        <Corner key={corner} corner={corner} {...{ fields: shown, values, set, at, answer }} />
      ))}
      <div className={css.drawingAlone}>
        <svg viewBox="0 0 160 80" role="img" aria-label="the car from above, its nose to the left">
          {'toe' in (answer ?? {}) && <Strings answer={answer} />}
          <CarShell body={car.body} />
        </svg>
        {hidden.length > 0 && (
          <div className={css.chips}>
            <span className="small soft">also, where it was measured:</span>
            {hidden.map((f) => (
              <Button
                key={f.name}
                variant="default"
                size="compact-sm"
                onClick={() => setAsked((all) => [...all, f.name])}
              >
                {f.label}
              </Button>
            ))}
          </div>
        )}
      </div>
    </div>
  )
}

function Corner({ corner, fields, values, set, at, answer }: Omit<Props, 'car'> & { corner: string }) {
  const inputs = fields.flatMap((field) =>
    field.type === 'WHEELS'
      ? field.columns.map((column) => ({
          label: column.label,
          hint: column.hint,
          path: `${corner}.${column.name}`,
          value: partOf(values, corner)[column.name],
          put: (text: string) =>
            set({ ...values, [corner]: { ...partOf(values, corner), [column.name]: text } }),
        }))
      : [
          {
            label: field.label,
            hint: field.hint,
            path: `${field.name}.${corner}`,
            value: partOf(values, field.name)[corner],
            put: (text: string) =>
              set({ ...values, [field.name]: { ...partOf(values, field.name), [corner]: text } }),
          },
        ],
  )
  const here = Object.entries(answer ?? {}).filter(
    ([key, v]) => isByCorner(v) && !fields.some((f) => f.name === key),
  )
  return (
    <div className={css.pad} style={{ gridArea: corner.replace(' ', '-') }}>
      <div className="strong">{corner}</div>
      {inputs.map((input) => (
        <TextInput
          key={input.path}
          className={css.lineField}
          label={input.label}
          aria-label={`${input.label}, ${corner}`}
          placeholder={input.hint}
          size="xs"
          value={String(input.value ?? '')}
          onChange={(e) => input.put(e.currentTarget.value)}
          error={at(input.path)}
          autoComplete="off"
        />
      ))}
      {here.map(([key, v]) => (
        <div key={key} className="small quiet">
          {key} <b>{(v as Record<string, { said: string }>)[corner]?.said}</b>
        </div>
      ))}
    </div>
  )
}

/** Twelve times what it is, so that it is seen. */
const DRAWN = 12

/** The strings beside the car, and each wheel as it points, drawn many times steeper. */
function Strings({ answer }: { answer?: Fields }) {
  const toe = answer?.toe as Record<string, { value: number }> | undefined
  return (
    <g>
      {[3, 77].map((y) => (
        <line key={y} x1="4" x2="156" y1={y} y2={y} stroke="var(--quiet)" strokeWidth="0.8" />
      ))}
      {CORNERS.map((corner) => {
        const x = corner.endsWith('front') ? 43 : 125
        const left = corner.startsWith('left')
        const turned = (toe?.[corner]?.value ?? 0) * DRAWN * (left ? 1 : -1)
        const y = left ? 71 : 9
        return (
          <line
            key={corner}
            x1={x - 16}
            x2={x + 16}
            y1={y}
            y2={y}
            stroke="var(--hot)"
            strokeWidth="1.2"
            transform={`rotate(${turned} ${x} ${y})`}
          />
        )
      })}
    </g>
  )
}
