import { useBoard } from '../api/board'
import type { Schemas } from '../api/client'
import { margin } from '../format/margin'

type Turn = Schemas['RehearsalResponse']
type End = Schemas['EndView']

/** What was kept, what the planner alone would have kept with the same luck, and what each decision did. */
export function RehearsalEnd({ turn, end }: { turn: Turn; end: End }) {
  const { car } = useBoard()
  const date = new Map(turn.dates.map((d) => [d.id, d]))
  const kept = (of: 'yours' | 'planners' | 'idle') => end.dates.filter((d) => (d[of] ?? -1) >= 0).length
  const different = end.dates.filter(
    (d) => d.yours !== d.planners || d.yours !== d.idle || (d.yours ?? -1) < 0,
  )
  const worst = end.costs[0]
  return (
    <section aria-label="How it came out">
      <table className="plain">
        <thead>
          <tr>
            <th>With the same luck</th>
            <th className="right">your decisions</th>
            <th className="right">the planner’s</th>
            <th className="right">none</th>
          </tr>
        </thead>
        <tbody>
          <tr className="strong">
            <td>dates kept, of {end.dates.length}</td>
            <td className="right">{kept('yours')}</td>
            <td className="right">{kept('planners')}</td>
            <td className="right">{kept('idle')}</td>
          </tr>
          <tr className="strong">
            <td>hours late, by how much each matters</td>
            <td className="right">{end.yours.toFixed(1)}</td>
            <td className="right">{end.planners.toFixed(1)}</td>
            <td className="right">{end.idle.toFixed(1)}</td>
          </tr>
          {different.map((d) => (
            <tr key={d.id}>
              <td>
                {car.get(date.get(d.id)?.buildId ?? '')?.number} {date.get(d.id)?.name}
              </td>
              <td className={(d.yours ?? -1) < 0 ? 'right hot' : 'right'}>{margin(d.yours)}</td>
              <td className="right">{margin(d.planners)}</td>
              <td className="right">{margin(d.idle)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {worst && worst.hours > 0.05 ? (
        <p>
          What cost most: <b>{worst.said}</b>, at turn {worst.turn}: without it {worst.hours.toFixed(1)} h
          less would be late.
        </p>
      ) : (
        end.costs.length > 0 && <p className="quiet">None of your decisions cost anything.</p>
      )}
      {end.costs.length > 0 && (
        <ul>
          {end.costs.map((c, i) => (
            <li key={i} className="small">
              turn {c.turn}: {c.said}{' '}
              <span className="soft">
                {Math.abs(c.hours) < 0.05
                  ? 'changed nothing'
                  : c.hours > 0
                    ? `cost ${c.hours.toFixed(1)} h`
                    : `saved ${(-c.hours).toFixed(1)} h`}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
