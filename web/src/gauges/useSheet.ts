import { useState } from 'react'
import { client, dataOf, type Problem, type ProblemError } from '../api/client'
import { type Fields, type Sheet, useAnswer } from '../api/gauges'
import { useSend } from '../api/send'
import { type StateValues } from './SheetFields'

const STATE: StateValues = {
  driverIn: true,
  barsHooked: false,
  fuel: '',
  pressures: '',
  instrument: '',
  note: '',
}

/** The state in which a sheet found the car. */
export const stateOf = (sheet: Sheet): StateValues => ({
  driverIn: sheet.driverIn ?? true,
  barsHooked: sheet.barsHooked ?? false,
  fuel: sheet.fuel,
  pressures: sheet.pressures,
  instrument: sheet.instrument,
  note: sheet.note,
})

/** A sheet while it is filled in: what the gauge answers, what is wrong at which field, and its filing. */
export function useSheet(build: string, gauge: string, ask: (state: StateValues) => Fields | undefined) {
  const [state, setState] = useState(STATE)
  const request = ask(state)
  const [corrects, setCorrects] = useState<string>()
  const [wrong, setWrong] = useState<Problem[]>([])
  const { send, busy } = useSend()
  const { answer, problems } = useAnswer(gauge, request)
  const at = (field: string) => [...problems, ...wrong].find((p) => p.field === field)?.message
  /** Whether it was filed. */
  const file = async () => {
    const filed = await send(
      () =>
        dataOf(
          client.POST('/api/builds/{id}/measurements', {
            params: { path: { id: build } },
            body: { gauge, asked: request as never, ...state, correctsId: corrects },
          }),
        ),
      (problem: ProblemError) => {
        setWrong(problem.problems)
        return problem.problems.length > 0
      },
    )
    if (filed) setCorrects(undefined)
    return filed
  }
  const correct = (sheet: Sheet) => {
    setState(stateOf(sheet))
    setCorrects(sheet.id)
  }
  return {
    answer,
    at,
    problems,
    state,
    setState,
    corrects,
    correct,
    file,
    busy,
    changed: () => setWrong([]),
  }
}
