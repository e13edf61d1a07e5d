import { useQuery } from '@tanstack/react-query'
import { client, dataOf, type Schemas } from './client'
import { useBoard } from './board'

export type CatchUpDay = Schemas['CatchUpResponse']
export type PersonDay = Schemas['PersonDay']

/** A day of those whom one may see, as it is written down; the last working day where none is asked for. */
export function useCatchUp(day: string | undefined): CatchUpDay | undefined {
  const { looked } = useBoard()
  const query = useQuery({
    queryKey: ['catch-up', day, looked],
    queryFn: () => dataOf(client.GET('/api/catch-up', { params: { query: day ? { day } : {} } })),
    // A day says which it is; what is written down is of that one.
    placeholderData: (before) => before,
  })
  return query.data
}
