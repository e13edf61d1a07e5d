import { useQuery } from '@tanstack/react-query'
import { client, dataOf, type Schemas } from './client'

export type Line = Schemas['DeskLine']
export type Desk = Schemas['DeskResponse']
export type PartDetail = Schemas['PartResponse']
export type Arrival = Schemas['ArrivalResponse']
export type Mate = Schemas['MateView']

export const DESK = ['desk']

/** All that is outside, the most harmful first. */
export function useDesk() {
  return useQuery({
    queryKey: DESK,
    queryFn: () => dataOf(client.GET('/api/desk')),
    placeholderData: (before) => before,
  })
}

/** Everything about one part line. */
export function usePart(id: string) {
  return useQuery({
    queryKey: ['part', id],
    queryFn: () => dataOf(client.GET('/api/parts/{id}', { params: { path: { id } } })),
  })
}

/** What lies there to be looked over, and what should come today. */
export function useArrivals() {
  return useQuery({ queryKey: ['arrivals'], queryFn: () => dataOf(client.GET('/api/arrivals')) }).data ?? []
}

export function useSupplies() {
  return useQuery({ queryKey: ['supplies'], queryFn: () => dataOf(client.GET('/api/supplies')) }).data ?? []
}
