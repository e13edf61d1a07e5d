import { Checkbox } from '@mantine/core'
import { useBoard } from '../api/board'
import { type Comparison, type Run } from '../api/dyno'
import { when } from '../format/time'
import css from './dyno.module.css'
import { stateSaid } from './states'

interface Props {
  runs: Run[]
  picked: (run: Run) => boolean
  pick: (run: Run, on: boolean) => void
  /** Whether its state is one of the two that are compared. */
  compared: (run: Run) => boolean
  comparison: Comparison | undefined
  here: string | undefined
  open: (run: Run) => void
}

/** The runs of a car, which of them are compared, and why one is left out. */
export function RunList({ runs, picked, pick, compared, comparison, here, open }: Props) {
  const { board } = useBoard()
  const why = (run: Run) => comparison?.leftOut.find((l) => l.run === run.id)?.why
  return (
    <ul className={css.runs} aria-label="Runs">
      {runs.map((run) => {
        const left = compared(run) && picked(run) ? why(run) : undefined
        return (
          <li key={run.id} className={run.id === here ? css.here : undefined}>
            <Checkbox
              size="xs"
              aria-label={`compare ${run.name}`}
              checked={compared(run) && picked(run)}
              disabled={!compared(run)}
              onChange={(e) => pick(run, e.currentTarget.checked)}
            />
            <button type="button" onClick={() => open(run)} aria-label={`what the log said in ${run.name}`}>
              {run.name}
            </button>
            <span className={css.state}>{stateSaid(run.state)}</span>
            <span className="number">{run.peak.said.replace(/ \(.*/, '')}</span>
            <span className={`small soft ${css.about}`}>
              {[
                run.airTemperature,
                run.airPressure,
                run.pressure && `tyres ${run.pressure}`,
                run.crossed > 0 && (run.crossed === 1 ? 'a limit crossed' : `${run.crossed} limits crossed`),
                when(run.at, board.now, board.zone),
              ]
                .filter(Boolean)
                .join(' · ')}
            </span>
            {left && <span className={`small hot ${css.about}`}>left out: {left}</span>}
            {run.mistaken && <span className={`small hot ${css.about}`}>{run.mistaken}</span>}
            {run.slips && <span className={`small hot ${css.about}`}>{run.slips}</span>}
          </li>
        )
      })}
    </ul>
  )
}
