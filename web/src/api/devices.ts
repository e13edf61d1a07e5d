import { useQuery } from '@tanstack/react-query'
import { client, dataOf, ProblemError, type Schemas } from './client'

export type Device = Schemas['DeviceResponse']
export type Reading = Schemas['ReadingResponse']

const EVERY_MILLIS = 400

/** What an instrument says, asked again and again while it is looked at; undefined where the shop has none. */
export function useDevice(kind: 'pads' | 'weather' | 'logger', looking: boolean) {
  const query = useQuery({
    queryKey: ['device', kind],
    queryFn: () => dataOf(client.GET('/api/devices/{kind}', { params: { path: { kind } } })),
    enabled: looking,
    refetchInterval: (q) =>
      q.state.error instanceof ProblemError && q.state.error.status === 404 ? false : EVERY_MILLIS,
    retry: false,
    gcTime: 0,
  })
  const none = query.error instanceof ProblemError && query.error.status === 404
  return { device: query.data, none, at: query.dataUpdatedAt }
}

/** Whether the pads are stand-ins; asked once. */
export function useSimulated(): boolean {
  return (
    useQuery({
      queryKey: ['device-kind', 'pads'],
      queryFn: () => dataOf(client.GET('/api/devices/{kind}', { params: { path: { kind: 'pads' } } })),
      // It says what it is once it has been heard.
      refetchInterval: (q) => (q.state.data?.readings.length || q.state.error ? false : 2_000),
      staleTime: Infinity,
      retry: false,
    }).data?.simulated ?? false
  )
}

/** Tells a stand-in what to simulate. */
export const simulate = (kind: string, what: string) =>
  dataOf(client.POST('/api/devices/{kind}/simulate', { params: { path: { kind } }, body: { what } }))

/** Nulls a device, with nothing on it. */
export const zero = (kind: string) =>
  dataOf(client.POST('/api/devices/{kind}/zero', { params: { path: { kind } } }))
