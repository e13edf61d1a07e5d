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
        if (taken) await painted()
        if (!taken || isUnsaid(problem)) {
          const message = taken ? problem.problems.map((p) => p.message).join(' ') : problem.message
          notifications.show({ title: 'Not done', message, color: 'hot', autoClose: 9000 })
        }
        return undefined
      } finally {
        setBusy(false)
      }
    },
    [refresh, known],
  )
  return { send, busy }
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
