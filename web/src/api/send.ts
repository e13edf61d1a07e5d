import { notifications } from '@mantine/notifications'
import { startTransition, useCallback, useState } from 'react'
import { pressed, wasNotSaved } from './away'
import { painted, useKnownChange, useRefresh } from './board'
import { ProblemError } from './client'

/** Sends a change; shows what went wrong, at the fields where the form gives a place for it. */
export function useSend() {
  const refresh = useRefresh()
  const known = useKnownChange()
  const [busy, setBusy] = useState(false)
  const send = useCallback(
    async <T>(
      change: () => Promise<T>,
      onProblem?: (problem: ProblemError) => boolean,
    ): Promise<T | undefined> => {
      const what = pressed()
      try {
        const before = known()
        const going = change()
        // The request is on its way before anything is drawn of it.
        startTransition(() => setBusy(true))
        const result = await going
        // What is heard of the change may have begun to fetch the board already; that is not done twice.
        await refresh(before + 1)
        return result
      } catch (error) {
        const problem = error instanceof ProblemError ? error : new ProblemError(0, String(error))
        if (problem.isAway) wasNotSaved(what)
        const taken = onProblem?.(problem) ?? false
        // The form is free meanwhile: it may be drawn and sent again.
        if (taken) void sayUnsaid(problem)
        else say(problem.message)
        return undefined
      } finally {
        setBusy(false)
      }
    },
    [refresh, known],
  )
  return { send, busy }
}

const say = (message: string) =>
  notifications.show({ title: 'Not done', message, color: 'hot', autoClose: 9000 })

/** So long a form may take to draw what it took, on a slow machine too. */
const MOST_TO_DRAW_MILLIS = 700

/** Says what a form took and does not show in good time. */
async function sayUnsaid(problem: ProblemError) {
  const end = performance.now() + MOST_TO_DRAW_MILLIS
  do {
    await painted()
    if (!isUnsaid(problem)) return
  } while (performance.now() < end)
  say(problem.problems.map((p) => p.message).join(' '))
}

/** Whether a form took the problems and has no place for any of them: nothing of them stands on the screen. */
function isUnsaid(problem: ProblemError): boolean {
  const screen = document.body.textContent ?? ''
  return problem.problems.length > 0 && problem.problems.every((p) => !screen.includes(p.message))
}

/** Puts problems on a form's fields; true where each found one. */
export function atFields(problem: ProblemError, setError: (field: string, message: string) => void): boolean {
  problem.problems.forEach((p) => setError(p.field, p.message))
  return problem.problems.length > 0
}
