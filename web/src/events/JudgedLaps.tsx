import { useMemo } from 'react'
import { type Fields, type Figure, useAnswer } from '../api/gauges'
import { type TestRun } from '../api/season'
import css from './season.module.css'
import { changed } from './runs'

/** What the lap gauge says of the runs that were driven, in the conditions in which they were. */
export function JudgedLaps({ runs }: { runs: TestRun[] }) {
  const asked = useMemo(() => {
    const driven = runs.filter((r) => r.laps.trim())
    return driven.length === 0
      ? undefined
      : {
          runs: driven.map((r) => ({
            run: `run ${runs.indexOf(r) + 1}`,
            laps: r.laps,
            set: r.set ?? '',
            changed: changed(r),
            conditions: r.conditions.toLowerCase(),
            ...(r.track.trim() ? { track: r.track } : {}),
          })),
        }
  }, [runs])
  const { answer, problems } = useAnswer('laps', asked)
  if (!asked) return null
  const rows = (answer?.runs as Fields[] | undefined) ?? []
  const said = (value: unknown) =>
    typeof value === 'object' && value ? (value as Figure).said : value === undefined ? '' : String(value)
  return (
    <div className={css.judged} role="group" aria-label="What the laps say">
      <h3>What the laps say</h3>
      {problems.map((p) => (
        <p key={p.field} className="small hot">
          {p.message}
        </p>
      ))}
      {rows.length > 0 && (
        <table>
          <thead>
            <tr>
              {['run', 'best', 'mean', 'spread', 'against the run before'].map((h) => (
                <th key={h}>{h}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((r, i) => (
              <tr key={i}>
                <td>{said(r.run)}</td>
                <td className="number">{said(r.best)}</td>
                <td className="number">{said(r.mean)}</td>
                <td className="number">{said(r.spread)}</td>
                <td>
                  {said(r['against the run before'])}
                  {r.unlike !== undefined && <span className="hot"> {said(r.unlike)}</span>}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  )
}
