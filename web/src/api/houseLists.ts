import { useQuery } from '@tanstack/react-query'
import { client, dataOf, done, type Schemas } from './client'

export type GateLine = Schemas['GateLineRequest']
export type Step = Schemas['StepRequest']

/** Whose list it is: of a car, or of a discipline; blank for the house. */
export type Whose = { car: string } | { discipline: string }

const carOf = (whose: Whose) => ('car' in whose ? whose.car : undefined)

const isOf = (other: unknown, whose: Whose) => JSON.stringify(other) === JSON.stringify(whose)

/** What gates ask, of a car, a discipline or the house. */
export function useGateLines(whose: Whose, change: number) {
  const car = carOf(whose)
  return useQuery({
    queryKey: ['gate-lines', whose, change],
    queryFn: () =>
      car !== undefined
        ? dataOf(client.GET('/api/builds/{id}/gate-lines', { params: { path: { id: car } } }))
        : dataOf(client.GET('/api/gate-lines', { params: { query: whose as { discipline: string } } })),
    placeholderData: (before, query) => (isOf(query?.queryKey[1], whose) ? before : undefined),
  }).data
}

export function keepGateLines(whose: Whose, edition: string, lines: GateLine[]) {
  const car = carOf(whose)
  const body = { edition, lines }
  return car !== undefined
    ? done(client.PUT('/api/builds/{id}/gate-lines', { params: { path: { id: car } }, body }))
    : done(client.PUT('/api/gate-lines', { params: { query: whose as { discipline: string } }, body }))
}

export function forgetGateLines(whose: Whose) {
  const car = carOf(whose)
  return car !== undefined
    ? dataOf(client.DELETE('/api/builds/{id}/gate-lines', { params: { path: { id: car } } }))
    : dataOf(client.DELETE('/api/gate-lines', { params: { query: whose as { discipline: string } } }))
}

/** The steps of the roll-out, of a car, a discipline or the house. */
export function useSteps(whose: Whose, change: number) {
  const car = carOf(whose)
  return useQuery({
    queryKey: ['rollout-steps', whose, change],
    queryFn: () =>
      car !== undefined
        ? dataOf(client.GET('/api/builds/{id}/rollout-steps', { params: { path: { id: car } } }))
        : dataOf(client.GET('/api/rollout-steps', { params: { query: whose as { discipline: string } } })),
    placeholderData: (before, query) => (isOf(query?.queryKey[1], whose) ? before : undefined),
  }).data
}

export function keepSteps(whose: Whose, edition: string, steps: Step[]) {
  const car = carOf(whose)
  const body = { edition, steps }
  return car !== undefined
    ? done(client.PUT('/api/builds/{id}/rollout-steps', { params: { path: { id: car } }, body }))
    : done(client.PUT('/api/rollout-steps', { params: { query: whose as { discipline: string } }, body }))
}

export function forgetSteps(whose: Whose) {
  const car = carOf(whose)
  return car !== undefined
    ? dataOf(client.DELETE('/api/builds/{id}/rollout-steps', { params: { path: { id: car } } }))
    : dataOf(client.DELETE('/api/rollout-steps', { params: { query: whose as { discipline: string } } }))
}
