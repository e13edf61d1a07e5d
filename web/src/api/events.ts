import { useQuery } from '@tanstack/react-query'
import { whileSame } from './beside'
import { client, dataOf, type Schemas } from './client'

export type RaceEvent = Schemas['EventResponse']
export type EventForm = Schemas['EventRequest']
export type EventSession = Schemas['EventSessionResponse']
export type TyreSet = Schemas['TyreSetResponse']
export type TyrePlan = Schemas['TyrePlanResponse']

/** How a car of an event is called, though it may be put away by now. */
export const calledAt = (event: RaceEvent, build: string) =>
  event.cars.find((c) => c.buildId === build)?.called ?? ''

/** Every event, the soonest first; asked anew with each change. */
export function useEvents(change: number): RaceEvent[] | undefined {
  return useQuery({
    queryKey: ['events', change],
    queryFn: () => dataOf(client.GET('/api/events')),
    placeholderData: (before) => before,
  }).data
}

/** Every set of tyres. */
export function useTyreSets(change: number): TyreSet[] | undefined {
  return useQuery({
    queryKey: ['tyre-sets', change],
    queryFn: () => dataOf(client.GET('/api/tyre-sets')),
    placeholderData: (before) => before,
  }).data
}

/** Which set serves which session, of each car of an event that races. */
export function useTyrePlans(event: string, change: number): TyrePlan[] | undefined {
  return useQuery({
    queryKey: ['tyre-plans', event, change],
    queryFn: () => dataOf(client.GET('/api/events/{id}/tyres', { params: { path: { id: event } } })),
    placeholderData: whileSame(event),
  }).data
}
