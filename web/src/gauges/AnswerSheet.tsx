import { type Fields, type Figure } from '../api/gauges'
import css from './gauges.module.css'
import { CORNERS } from './values'

export const isFigure = (value: unknown): value is Figure =>
  typeof value === 'object' && value !== null && 'said' in value

/** Whether it is something of each of the four wheels. */
export const isByCorner = (value: unknown): value is Record<string, Figure> =>
  typeof value === 'object' && value !== null && CORNERS[0] in value

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** What is said apart: the verdict above, advice and cautions below. */
const APART = new Set(['verdict', 'advice', 'before', 'good', 'said'])

const listed = (value: unknown): string[] =>
  Array.isArray(value) ? value.map(String) : value === undefined ? [] : [String(value)]

/** What a gauge answers: its verdict, its figures with both units, rows as a table, and what to mind. */
export function AnswerSheet({ answer }: { answer: Fields }) {
  const plain = Object.entries(answer).filter(
    ([key, v]) => !APART.has(key) && (isFigure(v) || typeof v === 'string' || typeof v === 'boolean'),
  )
  const tables = Object.entries(answer).filter(
    ([, v]) => Array.isArray(v) && v.length > 0 && typeof v[0] === 'object',
  )
  const texts = Object.entries(answer).filter(
    ([key, v]) => !APART.has(key) && Array.isArray(v) && v.length > 0 && typeof v[0] === 'string',
  )
  return (
    <div aria-live="polite">
      {listed(answer.verdict).map((line) => (
        <p key={line} className={answer.good === false ? 'strong hot' : 'strong'}>
          {capital(line)}
        </p>
      ))}
      {listed(answer.advice).map((line) => (
        <p key={line} className="quiet strong">
          {line}
        </p>
      ))}
      {plain.length > 0 && (
        <dl className={css.figures}>
          {plain.map(([key, value]) => (
            <div key={key}>
              <dt className="soft">{capital(key)}</dt>
              <dd>{said(value)}</dd>
            </div>
          ))}
        </dl>
      )}
      {tables.map(([key, rows]) => (
        <Table key={key} rows={rows as Fields[]} />
      ))}
      {texts.map(([key, lines]) => (
        <div key={key}>
          <div className="small soft">{capital(key)}</div>
          <ol className={css.steps}>
            {(lines as string[]).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ol>
        </div>
      ))}
      <Before answer={answer} />
    </div>
  )
}

/** What to mind before and while it is measured. */
export function Before({ answer }: { answer: Fields }) {
  const lines = listed(answer.before)
  return lines.length > 0 ? <p className="small soft">{lines.join(' ')}</p> : null
}

function said(value: unknown): string {
  if (isFigure(value)) return value.said
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  return value === undefined || value === null ? '' : String(value)
}

function Table({ rows }: { rows: Fields[] }) {
  const columns = [...new Set(rows.flatMap((row) => Object.keys(row)))].filter((c) => c !== 'good')
  return (
    <table className={css.table}>
      <thead>
        <tr>
          {columns.map((c) => (
            <th key={c}>{capital(c)}</th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row, i) => (
          <tr key={i} className={row.good === false ? 'hot' : undefined}>
            {columns.map((c) => (
              <td key={c} className={isFigure(row[c]) ? css.right : undefined}>
                {said(row[c])}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  )
}
