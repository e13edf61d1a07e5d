import { Button, NumberInput, Select, TextInput } from '@mantine/core'
import { useState } from 'react'
import { type Car, useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { type Conditions, type Run, useComparison, useRuns } from '../api/dyno'
import { useSend } from '../api/send'
import layout from '../ui/layout.module.css'
import { Nothing } from '../ui/Nothing'
import css from './dyno.module.css'
import { RunChart } from './RunChart'
import { RunImport } from './RunImport'
import { RunList } from './RunList'
import { RunReview } from './RunReview'
import { commonRange, firstSides, stateSaid, statesOf, usualStandard } from './states'

const STANDARDS = [
  { value: 'none', label: 'as measured' },
  { value: 'sae j1349', label: 'SAE J1349' },
  { value: 'iso 1585', label: 'ISO 1585' },
  { value: 'din 70020', label: 'DIN 70020' },
  { value: 'std 60f', label: '60 °F' },
]

/** The runs of a car on the rolling road, before and after a change, and whether the change is real. */
export function PowerRuns({ car, manages }: { car: Car; manages: boolean }) {
  const { looked } = useBoard()
  const answer = useRuns(car.id, looked)
  const [sides, setSides] = useState<{ before?: string; after?: string }>({})
  const [off, setOff] = useState<Set<string>>(new Set())
  const [range, setRange] = useState<{ from?: number; to?: number }>({})
  const [chosen, setStandard] = useState<string>()
  const [comparisons, setComparisons] = useState(1)
  const [worth, setWorth] = useState('')
  const [here, setHere] = useState<string>()
  const runs = answer?.runs ?? []
  const first = firstSides(runs)
  const before = sides.before ?? first.before
  const after = sides.after ?? first.after
  const compared = (r: Run) => r.state === before || r.state === after
  const picked = (r: Run) => !off.has(r.id)
  const common = commonRange(runs.filter((r) => compared(r) && picked(r) && !r.mistaken))
  const standard = chosen ?? usualStandard(runs.filter((r) => compared(r) && picked(r)))
  const from = range.from ?? common?.from ?? 0
  const to = range.to ?? common?.to ?? 0
  const asked =
    runs.length > 0 && after !== before && to - from >= 100
      ? {
          before: runs.filter((r) => r.state === before && picked(r)).map((r) => r.id),
          after: runs.filter((r) => after !== undefined && r.state === after && picked(r)).map((r) => r.id),
          from,
          to,
          standard,
          comparisons,
          worth,
        }
      : undefined
  const { comparison, problems } = useComparison(car.id, looked, asked)
  const wrong = (field: string) => problems.find((p) => p.field === field)?.message
  const open = runs.find((r) => r.id === here) ?? runs.at(-1)
  const states = statesOf(runs).map((s) => ({ value: s || ' ', label: stateSaid(s) }))
  const counted = (ids: string[]) => ids.filter((id) => !comparison?.leftOut.some((l) => l.run === id)).length
  if (!answer) return null
  return (
    <>
      <div className={css.middle}>
        {comparison && asked && (
          <>
            <div className={css.sheet}>
              <RunChart
                comparison={comparison}
                before={`${stateSaid(before)}, ${runsSaid(counted(asked.before))}`}
                after={after === undefined ? '' : `${stateSaid(after)}, ${runsSaid(counted(asked.after))}`}
              />
            </div>
            <Verdict car={car.id} comparison={comparison} />
          </>
        )}
        {runs.length === 0 && (
          <Nothing
            title="No power runs yet"
            text="Take the files of the rolling road in: the runs before a change first, two or more of them, then those after it."
          />
        )}
        {runs.length > 0 && !asked && (
          <p className="soft">Pick two states that are not the same, and a range of 100 rpm or more.</p>
        )}
        {runs.length > 1 && (
          <div className={css.asked}>
            <Select
              size="xs"
              label="Before"
              data={states}
              value={before || ' '}
              allowDeselect={false}
              onChange={(v) => setSides({ ...sides, before: (v ?? '').trim() })}
            />
            <Select
              size="xs"
              label="After"
              data={states}
              value={after === undefined ? null : after || ' '}
              onChange={(v) => setSides({ ...sides, after: (v ?? '').trim() })}
            />
            <NumberInput
              size="xs"
              label="From, rpm"
              step={100}
              value={from || ''}
              onChange={(v) => setRange({ ...range, from: Number(v) || undefined })}
            />
            <NumberInput
              size="xs"
              label="To, rpm"
              step={100}
              value={to || ''}
              error={wrong('to')}
              onChange={(v) => setRange({ ...range, to: Number(v) || undefined })}
            />
            <Select
              size="xs"
              label="Corrected by"
              data={STANDARDS}
              value={standard}
              allowDeselect={false}
              onChange={(v) => setStandard(v ?? 'none')}
            />
            <TextInput
              size="xs"
              label="Worth finding"
              placeholder="2 kW"
              value={worth}
              error={wrong('worth')}
              onChange={(e) => setWorth(e.currentTarget.value)}
            />
            <NumberInput
              size="xs"
              label="Things compared"
              min={1}
              max={1000}
              value={comparisons}
              onChange={(v) => setComparisons(Number(v) || 1)}
            />
          </div>
        )}
        <RunImport
          key={car.id}
          car={car.id}
          dynos={answer.dynos}
          last={conditionsOf(runs.at(-1))}
          standIn={answer.standIn}
          onTaken={() => setHere(undefined)}
        />
        <p className="small soft">
          A boosted engine makes its own air: it is compared as measured unless you say otherwise. Rollers,
          straps and a hot exhaust hurt: nobody stands before or behind the car in a run.
        </p>
      </div>
      <aside className={css.right}>
        {runs.length > 0 && (
          <>
            <h2>Runs</h2>
            <RunList
              runs={runs}
              picked={picked}
              pick={(run, on) =>
                setOff((o) => new Set(on ? [...o].filter((id) => id !== run.id) : [...o, run.id]))
              }
              compared={compared}
              comparison={comparison}
              here={open?.id}
              open={(run) => setHere(run.id)}
            />
          </>
        )}
        {open && <RunReview key={open.id} run={open} car={car.id} manages={manages} />}
      </aside>
    </>
  )
}

const runsSaid = (count: number) => `${count} ${count === 1 ? 'run' : 'runs'}`

function conditionsOf(run: Run | undefined): Conditions | undefined {
  if (!run) return undefined
  const { state, gear, pressure, straps, fuel, airPressure, airTemperature, humidity } = run
  return { state, gear, pressure, straps, fuel, airPressure, airTemperature, humidity }
}

/** The verdict, what else is to be said of it, and its filing as a sheet of the car. */
function Verdict({
  car,
  comparison,
}: {
  car: string
  comparison: NonNullable<ReturnType<typeof useComparison>['comparison']>
}) {
  const { send, busy } = useSend()
  const [filed, setFiled] = useState<typeof comparison.asked>()
  const file = () =>
    void send(() =>
      dataOf(
        client.POST('/api/builds/{id}/measurements', {
          params: { path: { id: car } },
          body: { gauge: 'power-compare', asked: comparison.asked },
        }),
      ),
    ).then((done) => done && setFiled(comparison.asked))
  const isFiled = filed !== undefined && JSON.stringify(filed) === JSON.stringify(comparison.asked)
  const kind = { REAL: css.real, INSIDE_THE_NOISE: css.noise, NOT_ENOUGH_RUNS: css.noise }[comparison.verdict]
  return (
    <section className={`${css.verdict} ${kind ?? ''}`} aria-label="Verdict" aria-live="polite">
      <h2>{comparison.headline}</h2>
      {comparison.lines.map((l) => (
        <p key={l} className="small">
          {l}
        </p>
      ))}
      <div className={layout.row}>
        <Button
          size="compact-md"
          loading={busy}
          disabled={isFiled || comparison.verdict === 'NOT_ENOUGH_RUNS'}
          onClick={file}
        >
          {isFiled ? 'Filed' : 'File the verdict'}
        </Button>
        {isFiled && (
          <span className="small">
            It is in the log of the car; the customer is shown what is released there.
          </span>
        )}
      </div>
    </section>
  )
}
