import { useQuery } from '@tanstack/react-query'
import { whileSame } from './beside'
import { client, dataOf, type Schemas } from './client'

export type StaleGraph = Schemas['StaleGraphResponse']
export type Cause = Schemas['StaleGraphResponse']['disturbances'][number]

/** What disturbs what in this house; asked anew with each change. */
export function useStaleGraph(change: number): StaleGraph | undefined {
  return useQuery({
    queryKey: ['disturbances', change],
    queryFn: () => dataOf(client.GET('/api/disturbances')),
    placeholderData: (before) => before,
  }).data
}

/** What a piece of work disturbs. */
export function useCarried(work: string, change: number) {
  return useQuery({
    queryKey: ['disturbs', work, change],
    queryFn: () => dataOf(client.GET('/api/works/{id}/disturbs', { params: { path: { id: work } } })),
    placeholderData: whileSame(work),
  }).data
}
