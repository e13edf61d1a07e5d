import { useQuery } from '@tanstack/react-query'
import { useBoard } from './board'
import { client, dataOf, type Schemas } from './client'

/** What cars owe each other, and the shelf. */
export function useLoans(): Schemas['LoanResponse'][] {
  const { looked } = useBoard()
  const query = useQuery({
    queryKey: ['loans', looked],
    queryFn: () => dataOf(client.GET('/api/loans')),
    placeholderData: (before) => before,
  })
  return query.data ?? []
}
