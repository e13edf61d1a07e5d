import { type Column, type RunFile, useLook } from '../api/dyno'
import css from './dyno.module.css'

/** What a column of a run file may hold, and the units in which it is usually written. */
const CHANNELS: Record<string, string[]> = {
  time: ['s', 'min'],
  'engine speed': ['rpm', 'Hz'],
  'roller speed': ['rpm', 'Hz'],
  power: ['kW', 'hp', 'PS', 'W'],
  torque: ['Nm', 'lb·ft'],
  'intake temperature': ['°C', '°F', 'K'],
  'oil temperature': ['°C', '°F', 'K'],
  'water temperature': ['°C', '°F', 'K'],
  'oil pressure': ['bar', 'psi', 'kPa'],
  'fuel pressure': ['bar', 'psi', 'kPa'],
  boost: ['bar', 'psi', 'kPa'],
  'boost target': ['bar', 'psi', 'kPa'],
  'lambda left': [''],
  'lambda right': [''],
  'injector duty': ['%'],
}

interface Props {
  file: RunFile
  columns: Column[]
  setColumns: (columns: Column[]) => void
}

/** The first lines of a file, and above each column what it holds and in which unit; below, what comes of it. */
export function ColumnPicker({ file, columns, setColumns }: Props) {
  const of = (column: string) => columns.find((c) => c.column === column)
  const set = (column: string, channel: string, unit?: string) => {
    // A thing stands in one column: the one that had it lets go of it.
    const others = columns.filter((c) => c.column !== column && c.channel !== channel)
    setColumns(
      channel ? [...others, { channel, column, unit: unit ?? CHANNELS[channel]?.[0] ?? '' }] : others,
    )
  }
  return (
    <div className={css.preview}>
      <table>
        <thead>
          <tr>
            {file.header.map((name) => {
              const here = of(name)
              const units = CHANNELS[here?.channel ?? ''] ?? []
              return (
                <th key={name}>
                  <div>{name}</div>
                  <select
                    aria-label={`what ${name} holds`}
                    value={here?.channel ?? ''}
                    onChange={(e) => set(name, e.currentTarget.value)}
                  >
                    <option value="">not needed</option>
                    {Object.keys(CHANNELS).map((c) => (
                      <option key={c}>{c}</option>
                    ))}
                  </select>
                  {here && units.length > 1 && (
                    <select
                      aria-label={`unit of ${name}`}
                      value={here.unit ?? ''}
                      onChange={(e) => set(name, here.channel, e.currentTarget.value)}
                    >
                      {[...new Set([...units, here.unit ?? ''])].map((u) => (
                        <option key={u}>{u}</option>
                      ))}
                    </select>
                  )}
                </th>
              )
            })}
          </tr>
        </thead>
        <tbody>
          {file.rows.map((row, i) => (
            <tr key={i}>
              {row.map((cell, k) => (
                <td key={k} className={of(file.header[k] ?? '') ? undefined : 'soft'}>
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

/** What comes of a file when its columns are so: what it has, what is wrong, what looks mistaken. */
export function Looked({ file, columns }: { file: RunFile; columns: Column[] }) {
  const look = useLook(file.id, columns)
  if (!look) return null
  const plain = (said: string | undefined) => said?.replace(/ \(.*/, '')
  return (
    <li>
      <b>{file.name}</b>{' '}
      {look.problems.length === 0 ? (
        <span>
          {look.samples} samples, {plain(look.from?.said)} to {plain(look.to?.said)}, {plain(look.peak?.said)}{' '}
          at {plain(look.peakAt?.said)}
          {look.agrees && !look.mistaken && `; torque × speed agrees within ${plain(look.agrees.said)}`}
        </span>
      ) : (
        look.problems.map((p) => (
          <span key={p.field + p.message} className="hot">
            {p.field.startsWith('line') && `${p.field}: `}
            {p.message}{' '}
          </span>
        ))
      )}
      {[look.mistaken, look.slips].filter(Boolean).map((m) => (
        <div key={m} className="hot small">
          {m}
        </div>
      ))}
      {look.notices.map((n) => (
        <div key={n} className="small soft">
          {n}
        </div>
      ))}
    </li>
  )
}
