import { Button } from '@mantine/core'
import { useEffect, useState } from 'react'
import { type Car } from '../api/board'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import layout from '../ui/layout.module.css'
import { type Loom } from './LoomSheet'
import css from './loom.module.css'
import { laidOut } from './lay'

interface PointRow {
  name: string
  from: string
  length: string
}

interface WireRow {
  circuit: string
  from: string
  to: string
  size: string
  colour: string
}

const WIDTH = 620

interface Props {
  car: Car
  loom: Loom
  manages: boolean
  onTyping: (typing: boolean) => void
}

/** The tree in which the wires lie, drawn, and the wires with the length that each takes. */
export function LoomTree({ car, loom, manages, onTyping }: Props) {
  const [editing, setEditing] = useState(false)
  useEffect(() => onTyping(editing), [editing, onTyping])
  const at = `/api/builds/${car.id}`
  const some = loom.points.length > 0
  return (
    <section className={css.sheet} aria-label="Loom">
      <h2>Loom</h2>
      {some ? (
        <Drawing loom={loom} />
      ) : (
        <p className="small soft">Its points and branches are not written down yet.</p>
      )}
      {loom.wires.length > 0 && !editing && (
        <div className={css.scroll}>
          <table className={css.table}>
            <thead>
              <tr>
                {['', 'circuit', 'way', 'size', 'colour', 'length'].map((h) => (
                  <th key={h}>{h}</th>
                ))}
              </tr>
            </thead>
            <tbody>
              {loom.wires.map((w, i) => (
                <tr key={w.circuit}>
                  <td>{i + 1}</td>
                  <td>
                    <b>{w.circuit}</b>
                  </td>
                  <td>{w.way.join(' – ')}</td>
                  <td>{w.size}</td>
                  <td>{w.colour}</td>
                  <td className="number">{w.length.said.replace(/ \(.*/, '')}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {editing ? (
        <Edit car={car} loom={loom} onDone={() => setEditing(false)} />
      ) : (
        <div className={layout.row}>
          {manages && (
            <Button size="compact-md" variant="default" onClick={() => setEditing(true)}>
              {some ? 'Change points and wires' : 'Write points and wires down'}
            </Button>
          )}
          {loom.wires.length > 0 && (
            <span className="small">
              {loom.total.said} of wire in all. <a href={`${at}/wires.pdf`}>Wire list and labels (PDF)</a>,{' '}
              <a href={`${at}/wires.csv`}>wire list (CSV)</a>,{' '}
              <a href={`${at}/wire-labels.csv`}>labels (CSV)</a>
            </span>
          )}
        </div>
      )}
    </section>
  )
}

function Drawing({ loom }: { loom: Loom }) {
  const { points, height } = laidOut(loom.points, WIDTH)
  return (
    <svg
      className={css.tree}
      viewBox={`0 0 ${WIDTH} ${height}`}
      role="img"
      aria-label={`the loom: ${loom.points.map((p) => (p.from ? `${p.name} ${p.length} from ${p.from}` : p.name)).join(', ')}`}
    >
      {points.map(
        (p) =>
          p.parent && (
            <g key={`way ${p.name}`}>
              <path
                d={`M${p.parent.x},${p.parent.y} L${p.parent.x},${p.y} L${p.x},${p.y}`}
                fill="none"
                stroke="var(--ink)"
                strokeWidth={1.2 + 0.6 * Math.min(6, wiresOn(loom, p.name))}
              />
              <text x={(p.parent.x + p.x) / 2} y={p.y - 5} textAnchor="middle" className={css.length}>
                {p.length}
              </text>
            </g>
          ),
      )}
      {points.map((p) => (
        <g key={p.name}>
          <circle cx={p.x} cy={p.y} r="4.5" fill="var(--card)" stroke="var(--ink)" strokeWidth="2" />
          <text x={p.x + 8} y={p.y + 14} className={css.point}>
            {p.name}
          </text>
        </g>
      ))}
    </svg>
  )
}

/** How many wires lie on the way to a point. */
const wiresOn = (loom: Loom, name: string) => {
  const from = loom.points.find((p) => p.name === name)?.from
  return loom.wires.filter((w) =>
    w.way.some((p, i) => (p === name && w.way[i + 1] === from) || (p === from && w.way[i + 1] === name)),
  ).length
}

function Edit({ car, loom, onDone }: { car: Car; loom: Loom; onDone: () => void }) {
  const [points, setPoints] = useState<PointRow[]>(
    loom.points.map(({ name, from, length }) => ({ name, from, length })),
  )
  const [wires, setWires] = useState<WireRow[]>(
    loom.wires.map(({ circuit, from, to, size, colour }) => ({ circuit, from, to, size, colour })),
  )
  const [wrong, setWrong] = useState<Record<string, string>>({})
  const { send, busy } = useSend()
  const save = () =>
    void send(
      () =>
        dataOf(
          client.PUT('/api/builds/{id}/loom-tree', {
            params: { path: { id: car.id } },
            body: {
              points: points.filter((p) => p.name.trim()),
              wires: wires.filter((w) => w.circuit.trim()),
              version: loom.version,
            },
          }),
        ).then(() => true),
      (problem) => {
        setWrong(Object.fromEntries(problem.problems.map((p) => [p.field, p.message])))
        return problem.problems.length > 0
      },
    ).then((done) => done && onDone())
  return (
    <div className={layout.column}>
      <Rows
        title="Points"
        path="points"
        rows={points}
        fields={[
          ['name', 'bulkhead'],
          ['from', 'branches off; blank for the first'],
          ['length', '600 mm'],
        ]}
        blank={{ name: '', from: '', length: '' }}
        set={setPoints}
        wrong={wrong}
      />
      <Rows
        title="Wires"
        path="wires"
        rows={wires}
        fields={[
          ['circuit', 'fuel pump'],
          ['from', 'relay box'],
          ['to', 'tank'],
          ['size', '2.5 mm²'],
          ['colour', 'red'],
        ]}
        blank={{ circuit: '', from: '', to: '', size: '', colour: '' }}
        set={setWires}
        wrong={wrong}
      />
      <div className={layout.row}>
        <Button size="compact-md" loading={busy} onClick={save}>
          Keep the loom
        </Button>
        <Button size="compact-md" variant="default" onClick={onDone}>
          Not now
        </Button>
      </div>
    </div>
  )
}

interface RowsProps<R> {
  title: string
  path: string
  rows: R[]
  fields: [keyof R & string, string][]
  blank: R
  set: (rows: R[]) => void
  wrong: Record<string, string>
}

/** Rows that are typed one below the other; an empty one at the end takes the next. */
function Rows<R extends object>({ title, path, rows, fields, blank, set, wrong }: RowsProps<R>) {
  const shown = [...rows, blank]
  return (
    <fieldset className={layout.bare}>
      <legend className={layout.bold}>{title}</legend>
      <div className={css.scroll}>
        <table className={css.table}>
          <tbody>
            {shown.map((row, i) => (
              <tr key={i}>
                {fields.map(([field, hint]) => {
                  const error = wrong[`${path}.${i}.${field}`]
                  return (
                    <td key={field}>
                      <input
                        aria-label={`${title} ${i + 1}, ${field}`}
                        aria-invalid={error ? true : undefined}
                        placeholder={hint}
                        value={String(row[field])}
                        onChange={(e) =>
                          set(
                            i === rows.length
                              ? [...rows, { ...blank, [field]: e.currentTarget.value }]
                              : rows.map((r, k) => (k === i ? { ...r, [field]: e.currentTarget.value } : r)),
                          )
                        }
                      />
                      {error && <div className="small hot">{error}</div>}
                    </td>
                  )
                })}
                <td>
                  {i < rows.length && (
                    <button
                      type="button"
                      aria-label={`take row ${i + 1} of ${title} away`}
                      onClick={() => set(rows.filter((_, k) => k !== i))}
                    >
                      ×
                    </button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </fieldset>
  )
}
