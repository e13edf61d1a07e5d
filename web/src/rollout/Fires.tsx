import { scaleSqrt } from 'd3-scale'
import { useBoard } from '../api/board'
import { type RollOut } from '../api/rollout'
import { when } from '../format/time'
import css from './rollout.module.css'

const TALLEST = 70
const SHOWN = 8
const MINUTE = 60

const lasted = (seconds: number) =>
  seconds < MINUTE ? `${seconds} s` : `${Math.round(seconds / MINUTE)} min`

/** The fires so far: how long each ran, why it was stopped; heat cycles and the running-in. */
export function Fires({ rollOut }: { rollOut: RollOut }) {
  const { board } = useBoard()
  const fires = rollOut.fires.slice(-SHOWN)
  const tall = scaleSqrt()
    .domain([0, Math.max(1, ...fires.map((f) => f.seconds))])
    .range([4, TALLEST])
  const short = rollOut.fires.filter((f) => f.seconds < MINUTE && !f.warm).length
  const run = rollOut.runningIn
  return (
    <section aria-label="Fires so far">
      <h2>Fires so far</h2>
      {fires.length === 0 ? (
        <p className="small soft">
          {rollOut.started ? 'None was logged one by one.' : 'It has not run yet.'}
        </p>
      ) : (
        <ol className={css.fires}>
          {fires.map((f) => (
            <li key={f.at} title={`${when(f.at, board.now, board.zone)}, ${f.by}`}>
              <span
                className={f.leaked || f.stoppedBecause ? css.fireStopped : css.fire}
                style={{ height: tall(f.seconds) }}
              />
              <span className="small strong">{lasted(f.seconds)}</span>
              <span className="small soft">
                {f.leaked ? 'leak' : f.stoppedBecause ? 'stopped' : f.warm ? 'warm' : ''}
              </span>
            </li>
          ))}
        </ol>
      )}
      <p className="small">
        {rollOut.started} {rollOut.started === 1 ? 'start' : 'starts'}; {rollOut.complete} complete heat{' '}
        {rollOut.complete === 1 ? 'cycle' : 'cycles'} (warm through, then cooled fully).
      </p>
      {short > 2 && (
        <p className="small hot">{short} short starts: hard on plugs. Look at them before the next.</p>
      )}
      {run && (
        <p className="small">
          Running-in: {run.done} of {run.km} km, {run.days} {run.days === 1 ? 'day' : 'days'} at {run.perDay}{' '}
          km. {run.likely && <b>By the plan {when(run.likely, board.now, board.zone)}.</b>}
        </p>
      )}
    </section>
  )
}
