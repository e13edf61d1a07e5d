import { useQuery } from '@tanstack/react-query'
import { whileSame } from './beside'
import { useBoard } from './board'
import { client, dataOf, type Schemas } from './client'

export type Decision = Schemas['CarDecisionResponse']

/** What is to be decided about a car, the open ones first, and what was. */
export function useDecisions(car: string): Decision[] | undefined {
  const { looked } = useBoard()
  const query = useQuery({
    queryKey: ['decisions', car, looked],
    queryFn: () => dataOf(client.GET('/api/builds/{id}/decisions', { params: { path: { id: car } } })),
    placeholderData: whileSame(car),
  })
  return query.data
}
