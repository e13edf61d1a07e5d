import { useQuery } from '@tanstack/react-query'
import { whileSame } from './beside'
import { client, dataOf, type Schemas } from './client'

export type Turnaround = Schemas['TurnaroundResponse']
export type Spare = Schemas['SpareResponse']
export type Stretch = Schemas['StretchResponse']
export type TestDay = Schemas['TestDayResponse']
export type TestRun = Schemas['TestRunResponse']
export type TestFinding = Schemas['TestFindingResponse']
export type Inspection = Schemas['ScrutinyResponse']
export type Looks = Schemas['LooksResponse']

/** The turnarounds before an event, of the cars that come from another one; asked anew with each change. */
export function useTurnarounds(event: string, change: number): Turnaround[] | undefined {
  return useQuery({
    queryKey: ['turnarounds', event, change],
    queryFn: () => dataOf(client.GET('/api/events/{id}/turnarounds', { params: { path: { id: event } } })),
    placeholderData: whileSame(event),
  }).data
}

/** How far the spare cars of an event are from running. */
export function useSpares(event: string, change: number): Spare[] | undefined {
  return useQuery({
    queryKey: ['spares', event, change],
    queryFn: () => dataOf(client.GET('/api/events/{id}/spares', { params: { path: { id: event } } })),
    placeholderData: whileSame(event),
  }).data
}

/** How long people are at it around an event. */
export function useStretches(event: string, change: number): Stretch[] | undefined {
  return useQuery({
    queryKey: ['stretches', event, change],
    queryFn: () => dataOf(client.GET('/api/events/{id}/stretches', { params: { path: { id: event } } })),
    placeholderData: whileSame(event),
  }).data
}

/** The test day of each car of an event. */
export function useTestDays(event: string, change: number): TestDay[] | undefined {
  return useQuery({
    queryKey: ['test-days', event, change],
    queryFn: () => dataOf(client.GET('/api/events/{id}/test-days', { params: { path: { id: event } } })),
    placeholderData: whileSame(event),
  }).data
}

/** The inspections of a car, the last first. */
export function useInspections(build: string, change: number): Inspection[] | undefined {
  return useQuery({
    queryKey: ['inspections', build, change],
    queryFn: () => dataOf(client.GET('/api/builds/{id}/inspections', { params: { path: { id: build } } })),
    placeholderData: whileSame(build),
  }).data
}

/** What else to look at after an impact, by where it was. */
export function useLooks(): Looks[] {
  return (
    useQuery({
      queryKey: ['impact-looks'],
      queryFn: () => dataOf(client.GET('/api/impact-looks')),
      staleTime: Infinity,
    }).data ?? NONE
  )
}

const NONE: Looks[] = []
