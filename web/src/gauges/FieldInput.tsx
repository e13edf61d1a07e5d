import { ActionIcon, Checkbox, NativeSelect, TextInput } from '@mantine/core'
import { type GaugeField } from '../api/gauges'
import css from './gauges.module.css'
import { CORNERS, partOf, rowsOf, type Value, type Values } from './values'

/** What is wrong, by the path of its field. */
export type At = (path: string) => string | undefined

interface Props {
  field: GaugeField
  /** Of what the field belongs to. */
  values: Values
  set: (values: Values) => void
  at: At
  path?: string
  /** What stands before its label for those who hear the form read. */
  prefix?: string
}

/** A field of a sheet: what people write, with its unit; rows and parts with fields of their own. */
export function FieldInput({ field, values, set, at, path = '', prefix = '' }: Props) {
  const put = (value: Value) => set({ ...values, [field.name]: value })
  const here = path + field.name
  const label = field.label
  switch (field.type) {
    case 'FLAG':
      return (
        <Checkbox
          size="xs"
          label={label}
          aria-label={prefix + label}
          checked={values[field.name] === true}
          onChange={(e) => put(e.currentTarget.checked)}
        />
      )
    case 'CHOICE':
      return (
        <NativeSelect
          size="xs"
          label={label}
          aria-label={prefix + label}
          data={field.choices}
          value={String(values[field.name] ?? field.choices[0])}
          onChange={(e) => put(e.currentTarget.value)}
          error={at(here)}
        />
      )
    case 'ROWS':
      return <Rows field={field} values={values} set={set} at={at} path={path} />
    case 'PART':
      return (
        <fieldset className={css.part}>
          <legend>{label}</legend>
          {at(here) && <div className="small hot">{at(here)}</div>}
          <div className={css.fields}>
            {field.columns.map((column) => (
              <FieldInput
                key={column.name}
                field={column}
                values={partOf(values, field.name)}
                set={(v) => put(v)}
                at={at}
                path={`${here}.`}
                prefix={`${label}, `}
              />
            ))}
          </div>
        </fieldset>
      )
    case 'CORNERS':
      return (
        <fieldset className={css.part}>
          <legend>{label}</legend>
          {at(here) && <div className="small hot">{at(here)}</div>}
          <div className={css.fields}>
            {CORNERS.map((corner) => (
              <TextInput
                key={corner}
                size="xs"
                label={corner}
                aria-label={`${label}, ${corner}`}
                placeholder={field.hint}
                value={String(partOf(values, field.name)[corner] ?? '')}
                onChange={(e) => put({ ...partOf(values, field.name), [corner]: e.currentTarget.value })}
                error={at(`${here}.${corner}`)}
                autoComplete="off"
              />
            ))}
          </div>
        </fieldset>
      )
    default:
      return (
        <TextInput
          size="xs"
          label={label}
          aria-label={prefix + label}
          placeholder={field.hint}
          value={String(values[field.name] ?? '')}
          onChange={(e) => put(e.currentTarget.value)}
          error={at(here) ?? firstOf(at, here)}
          autoComplete="off"
        />
      )
  }
}

const MOST_LISTED = 12

/** Of a list, the first that is wrong. */
function firstOf(at: At, here: string) {
  for (let i = 0; i < MOST_LISTED; i++) {
    const wrong = at(`${here}[${i}]`)
    if (wrong) return `${i + 1}: ${wrong}`
  }
  return undefined
}

/** Rows, the last of them blank for the next; a row that is wholly blank says nothing. */
function Rows({ field, values, set, at, path = '' }: Props) {
  const rows = rowsOf(values, field.name)
  const here = path + field.name
  const put = (all: Values[]) => set({ ...values, [field.name]: all })
  return (
    <fieldset className={css.part}>
      <legend>{field.label}</legend>
      {at(here) && <div className="small hot">{at(here)}</div>}
      {[...rows, {}].map((row, i) => (
        <div key={i} className={css.rowOf}>
          <span className={css.rowNumber}>{i + 1}</span>
          <div className={css.fields}>
            {field.columns.map((column) => (
              <FieldInput
                key={column.name}
                field={column}
                values={row}
                set={(v) => put(i < rows.length ? rows.map((r, j) => (j === i ? v : r)) : [...rows, v])}
                at={at}
                path={`${here}[${i}].`}
                prefix={`${i + 1}, `}
              />
            ))}
          </div>
          {i < rows.length && (
            <ActionIcon
              variant="subtle"
              size="sm"
              aria-label={`Take out row ${i + 1}`}
              onClick={() => put(rows.filter((_, j) => j !== i))}
            >
              ×
            </ActionIcon>
          )}
        </div>
      ))}
    </fieldset>
  )
}
