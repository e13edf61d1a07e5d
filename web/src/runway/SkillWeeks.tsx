import { useAhead } from '../api/ahead'
import { useBoard } from '../api/board'
import { day } from '../format/time'
import layout from '../ui/layout.module.css'
import css from './runway.module.css'

/** From this share on a week counts as full. */
const FULL = 0.85

/** How loaded each skill is, week by week, against all who have it; the fullest named. */
export function SkillWeeks({ asks }: { asks: boolean }) {
  const { board } = useBoard()
  const { skills, bottleneck } = useAhead(asks)
  if (skills.length === 0) return null
  const weeks = [...new Set(skills.map((s) => s.week))]
  const names = [...new Set(skills.map((s) => s.skill))]
  const of = new Map(skills.map((s) => [s.skill + s.week, s]))
  return (
    <section className={`panel ${layout.belowTight}`} aria-label="Skills by week">
      <h2>
        Skills by week{' '}
        <span className={`${bottleneck ? 'hot' : 'soft'} ${css.week}`}>
          {bottleneck ?? 'no skill is short'}
        </span>
      </h2>
      <table className="plain" tabIndex={0}>
        <thead>
          <tr>
            <th />
            {weeks.map((w) => (
              <th key={w} className={`small ${layout.rightAligned}`}>
                {day(`${w}T12:00:00Z`, board.zone).slice(4)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {names.map((name) => (
            <tr key={name}>
              <td className="strong">{name}</td>
              {weeks.map((week) => {
                const load = of.get(name + week)
                const share = load && load.thereMinutes > 0 ? load.plannedMinutes / load.thereMinutes : 0
                const full = share >= FULL
                return (
                  <td
                    key={week}
                    className={`right${full ? ' hot strong' : ''}`}
                    title={`${Math.round((load?.plannedMinutes ?? 0) / 60)} of ${Math.round((load?.thereMinutes ?? 0) / 60)} h`}
                  >
                    {share === 0 ? '·' : `${Math.round(share * 100)} %`}
                  </td>
                )
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
