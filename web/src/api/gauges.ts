import { useDebouncedValue } from '@mantine/hooks'
import { useQuery } from '@tanstack/react-query'
import { whileSame } from './beside'
import { client, dataOf, ProblemError, type Schemas } from './client'

export type Sheet = Schemas['MeasurementResponse']
export type Gauge = Schemas['GaugeResponse']
export type GaugeField = Schemas['GaugeFieldResponse']

/** A figure of a gauge: as it is shown, and in words with the other system of units beside it. */
export interface Figure {
  value: number
  unit: string
  said: string
}

/** What a gauge is asked, or answers. */
export type Fields = Record<string, unknown>

/** The figure of a field, or of a field of a part; undefined where the answer has none. */
export function figure(fields: Fields | undefined, ...path: string[]): Figure | undefined {
  let at: unknown = fields
  for (const field of path) at = (at as Fields | undefined)?.[field]
  return at as Figure | undefined
}

/** Every gauge with the form that asks it. */
export function useGauges(): Gauge[] {
  return (
    useQuery({ queryKey: ['gauges'], queryFn: () => dataOf(client.GET('/api/gauges')), staleTime: Infinity })
      .data ?? NONE
  )
}

const NONE: Gauge[] = []

const LAG_MILLIS = 250

/** What a gauge answers while it is typed; and what is wrong, by field. */
export function useAnswer(gauge: string, asked: Fields | undefined) {
  const [now] = useDebouncedValue(asked, LAG_MILLIS)
  const query = useQuery({
    queryKey: ['gauge', gauge, now],
    queryFn: () =>
      dataOf(
        client.POST('/api/gauges/{name}', { params: { path: { name: gauge } }, body: now as never }),
      ) as Promise<Fields>,
    enabled: now !== undefined,
    retry: false,
    placeholderData: (before) => before,
  })
  const problems = query.error instanceof ProblemError ? query.error.problems : []
  return { answer: now && !query.error ? query.data : undefined, problems: now ? problems : [] }
}

/** The log of a car, the newest first; asked anew with each change. */
export function useLog(build: string, change: number): Sheet[] | undefined {
  return useQuery({
    queryKey: ['measurements', build, change],
    queryFn: () => dataOf(client.GET('/api/builds/{id}/measurements', { params: { path: { id: build } } })),
    placeholderData: whileSame(build),
  }).data
}

/** The photos of a car; asked anew with each change. */
export function usePhotos(build: string, change: number): Schemas['PhotoResponse'][] {
  return (
    useQuery({
      queryKey: ['photos', build, change],
      queryFn: () => dataOf(client.GET('/api/builds/{build}/photos', { params: { path: { build } } })),
      placeholderData: whileSame(build),
    }).data ?? NO_PHOTOS
  )
}

const NO_PHOTOS: Schemas['PhotoResponse'][] = []
