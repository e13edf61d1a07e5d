import { Button } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { client, dataOf, type ProblemError } from '../api/client'
import { useSend } from '../api/send'

/** What a hand does with a piece of work. */
export function useWorkVerbs() {
  const { send, busy } = useSend()
  const at = (id: string) => ({ params: { path: { id } } })
  const start = (id: string, anyway = false) =>
    void send(
      () =>
        dataOf(
          client.POST('/api/works/{id}/start', {
            params: { path: { id }, query: anyway ? { anyway } : undefined },
          }),
        ),
      (problem) => asksAtGate(problem, () => start(id, true)),
    )
  return {
    busy,
    start: (id: string) => start(id),
    pause: (id: string) => void send(() => dataOf(client.POST('/api/works/{id}/pause', at(id)))),
    done: (id: string) => void send(() => dataOf(client.POST('/api/works/{id}/done', at(id)))),
    release: (id: string) => void send(() => dataOf(client.POST('/api/works/{id}/release', at(id)))),
  }
}

/** A gate asks after what is open before it; whoever knows better goes on. */
function asksAtGate(problem: ProblemError, onAnyway: () => void): boolean {
  const asked = problem.problems.find((p) => p.field === 'gate')
  if (!asked) return false
  const id = 'gate'
  notifications.show({
    id,
    title: 'Something before it is open',
    color: 'hot',
    autoClose: false,
    message: (
      <>
        <div>{asked.message}</div>
        <Button
          size="compact-sm"
          variant="default"
          mt={6}
          onClick={() => {
            notifications.hide(id)
            onAnyway()
          }}
        >
          Start it all the same
        </Button>
      </>
    ),
  })
  return true
}
