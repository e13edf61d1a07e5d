import { useQuery } from '@tanstack/react-query'
import { whileSame } from './beside'
import { client, dataOf, type Schemas } from './client'

export type RollOut = Schemas['RollOutResponse']
export type StepState = Schemas['StepStateResponse']
export type Attempt = Schemas['AttemptResponse']
export type Finding = Schemas['FindingResponse']
export type Fire = Schemas['FireResponse']
export type GateState = Schemas['GateResponse']
export type GateName = GateState['gate']
export type Live = Schemas['LiveResponse']

const LIVE_MILLIS = 500

/** How far a car has come; asked anew with each change and at once, for two who stand at a car wait for each other. */
export function useRollOut(build: string, change: number): RollOut | undefined {
  return useQuery({
    queryKey: ['rollout', build, change],
    queryFn: () => dataOf(client.GET('/api/builds/{id}/rollout', { params: { path: { id: build } } })),
    placeholderData: whileSame(build),
  }).data
}

/** What the gates of a car ask and how they stand; asked anew with each change. */
export function useGates(build: string, change: number): GateState[] | undefined {
  return useQuery({
    queryKey: ['gates', build, change],
    queryFn: () => dataOf(client.GET('/api/builds/{id}/gates', { params: { path: { id: build } } })),
    placeholderData: whileSame(build),
  }).data
}

/** What the logger says of the channels that the open try is watched for. */
export function useLiveChannels(build: string, looking: boolean): Live[] {
  return (
    useQuery({
      queryKey: ['rollout-live', build],
      queryFn: () => dataOf(client.GET('/api/builds/{id}/rollout/live', { params: { path: { id: build } } })),
      enabled: looking,
      refetchInterval: LIVE_MILLIS,
      retry: false,
      gcTime: 0,
    }).data ?? NONE
  )
}

const NONE: Live[] = []
