import { useQuery } from '@tanstack/react-query'
import { useBoard } from './board'
import { client, dataOf, type Schemas } from './client'

export type Errand = Schemas['ErrandResponse']

/** Errands that are to be done, the next first; who goes when is on the board, under the job. */
export function useErrands(): Errand[] {
  const { looked } = useBoard()
  const query = useQuery({
    queryKey: ['errands', looked],
    queryFn: () => dataOf(client.GET('/api/errands')),
    placeholderData: (before) => before,
  })
  return query.data ?? []
}
