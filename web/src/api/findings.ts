import { useQuery } from '@tanstack/react-query'
import { useBoard } from './board'
import { client, dataOf, type Schemas } from './client'

export type AskedFinding = Schemas['AskedFindingResponse']

/** What was found and waits for a customer's yes; those that nobody has asked about first. */
export function useAskedFindings(): AskedFinding[] {
  const { looked } = useBoard()
  const query = useQuery({
    queryKey: ['findings', looked],
    queryFn: () => dataOf(client.GET('/api/findings')),
    placeholderData: (before) => before,
  })
  return query.data ?? []
}
