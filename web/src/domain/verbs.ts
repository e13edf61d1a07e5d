import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'

/** What a hand does with a piece of work. */
export function useWorkVerbs() {
  const { send, busy } = useSend()
  const at = (id: string) => ({ params: { path: { id } } })
  return {
    busy,
    start: (id: string) => void send(() => dataOf(client.POST('/api/works/{id}/start', at(id)))),
    pause: (id: string) => void send(() => dataOf(client.POST('/api/works/{id}/pause', at(id)))),
    done: (id: string) => void send(() => dataOf(client.POST('/api/works/{id}/done', at(id)))),
    release: (id: string) => void send(() => dataOf(client.POST('/api/works/{id}/release', at(id)))),
  }
}
