import { type Fields, figure, type GaugeField } from '../api/gauges'

/** What stands in a form: texts as people write them, yes or no, and parts and rows of these. */
export type Value = string | boolean | Values | Values[]
export interface Values {
  [field: string]: Value
}

/** As they lie around the car from above with its nose to the left: its left side is below. */
export const CORNERS = ['right front', 'right rear', 'left front', 'left rear'] as const
/** As they stand in a list of four. */
export const LISTED = ['left front', 'right front', 'left rear', 'right rear'] as const

const isBlank = (value: Value | undefined): boolean =>
  value === undefined || value === '' || value === false
    ? true
    : typeof value === 'object'
      ? Object.values(value).every((v) => isBlank(v as Value))
      : typeof value === 'string' && !value.trim()

export const rowsOf = (values: Values, name: string) => (values[name] as Values[] | undefined) ?? []
export const partOf = (values: Values, name: string) => (values[name] as Values | undefined) ?? {}

/** What a gauge is asked by a form; blank fields are left out. */
export function askedBy(fields: GaugeField[], values: Values): Fields {
  const asked: Fields = {}
  for (const field of fields) {
    if (field.type === 'WHEELS') {
      for (const corner of CORNERS) {
        const wheel = askedBy(field.columns, partOf(values, corner))
        if (Object.keys(wheel).length) asked[corner] = wheel
      }
      continue
    }
    const value = values[field.name]
    if (isBlank(value)) continue
    if (field.type === 'LIST') asked[field.name] = split(value as string)
    else if (field.type === 'PART') asked[field.name] = askedBy(field.columns, value as Values)
    else if (field.type === 'ROWS')
      asked[field.name] = (value as Values[]).filter((r) => !isBlank(r)).map((r) => askedBy(field.columns, r))
    else asked[field.name] = value
  }
  return asked
}

/** "81 mm, 82 mm; 80" is three: a comma that has no space behind it belongs to its number. */
export const split = (text: string) =>
  text
    .split(/;|,\s/)
    .map((t) => t.trim())
    .filter(Boolean)

/** Whether enough is said for an answer: all that is needed, or where nothing is, anything that was measured. */
export function isEnough(fields: GaugeField[], values: Values) {
  const needed = fields.filter((f) => f.needed || f.type === 'WHEELS')
  const said = (field: GaugeField) => {
    if (field.type === 'WHEELS') {
      return CORNERS.every((c) =>
        field.columns.filter((f) => f.needed).every((f) => !isBlank(partOf(values, c)[f.name])),
      )
    }
    if (field.type === 'CORNERS') return CORNERS.every((c) => !isBlank(partOf(values, field.name)[c]))
    return !isBlank(values[field.name])
  }
  if (needed.length) return needed.every(said)
  return fields.some((f) => !f.known && said(f))
}

/** What was asked once, put into a form again. */
export function valuesOf(fields: GaugeField[], asked: Fields): Values {
  const values: Values = {}
  for (const field of fields) {
    if (field.type === 'WHEELS') {
      for (const corner of CORNERS) {
        if (asked[corner]) values[corner] = valuesOf(field.columns, asked[corner] as Fields)
      }
      continue
    }
    const said = asked[field.name]
    if (said === undefined || said === null) continue
    if (field.type === 'LIST') values[field.name] = (said as unknown[]).map(String).join('; ')
    else if (field.type === 'CORNERS') values[field.name] = cornersOf(said)
    else if (field.type === 'PART') values[field.name] = valuesOf(field.columns, said as Fields)
    else if (field.type === 'ROWS')
      values[field.name] = (said as Fields[]).map((row) => valuesOf(field.columns, row))
    else values[field.name] = typeof said === 'boolean' ? said : String(said)
  }
  return values
}

/** Four values by corner: of a list, of one for all, or as they are. */
export function cornersOf(said: unknown): Values {
  if (Array.isArray(said)) return Object.fromEntries(LISTED.map((c, i) => [c, String(said[i] ?? '')]))
  if (typeof said === 'object') return said as Values
  return Object.fromEntries(LISTED.map((c) => [c, String(said)]))
}

interface Filed {
  gauge: string
  asked?: unknown
  answered?: unknown
  correctedBy?: string
}

/**
 * What a new sheet begins with: what is true of the car from sheet to sheet, of the last sheet of this gauge, else of any
 * that knows a field; and the figures of other gauges' last sheets.
 */
export function knownOf(fields: GaugeField[], sheets: Filed[], gauge: string): Values {
  const known = fields.filter((f) => f.known)
  const values: Values = {}
  const own = sheets.filter((s) => s.gauge === gauge)
  const others = sheets.filter((s) => s.gauge !== gauge)
  for (const sheet of [...own, ...others]) {
    const its = valuesOf(
      known.filter((f) => !(f.name in values) && (sheet.gauge === gauge || isShared(f.name))),
      (sheet.asked ?? {}) as Fields,
    )
    Object.assign(values, its)
  }
  return { ...lastOf(fields, sheets), ...values }
}

/** The figures that fields take over from other gauges' last sheets. */
function lastOf(fields: GaugeField[], sheets: Filed[]): Values {
  const values: Values = {}
  for (const field of fields) {
    const said = field.last && lastSaid(sheets, field.last.gauge, field.last.figure)
    if (said) values[field.name] = said
    else if (field.type === 'PART') {
      const part = lastOf(field.columns, sheets)
      if (Object.keys(part).length) values[field.name] = part
    }
  }
  return values
}

/** A figure of a gauge's last sheet, as a form takes it; undefined where there is none. */
export function lastSaid(sheets: Filed[], gauge: string, name: string): string | undefined {
  const sheet = sheets.find((s) => s.gauge === gauge && s.answered && !s.correctedBy)
  const found = figure(sheet?.answered as Fields | undefined, name)
  return found && `${found.value} ${found.unit}`
}

/** What means the same on every sheet. */
const isShared = (name: string) =>
  ['wheelbase', 'front track', 'rear track', 'wheel rate', 'tyre'].includes(name)
