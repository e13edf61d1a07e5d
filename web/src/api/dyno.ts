import { useDebouncedValue } from '@mantine/hooks'
import { useQuery } from '@tanstack/react-query'
import { whileSame } from './beside'
import { client, dataOf, ProblemError, type Schemas, upload } from './client'

export type Run = Schemas['PowerRunResponse']
export type RunFile = Schemas['RunFileResponse']
export type Column = Schemas['ColumnForm']
export type Conditions = Schemas['RunConditionsRequest']
export type Comparison = Schemas['RunComparisonResponse']
export type CompareRequest = Schemas['CompareRequest']
export type ReviewLine = Schemas['ReviewLineResponse']
export type Series = Schemas['SeriesResponse']
export type Limit = Schemas['ReviewLimitResponse']

const LAG_MILLIS = 250

/** The power runs of a car in the order in which they were driven; asked anew with each change. */
export function useRuns(build: string, change: number) {
  return useQuery({
    queryKey: ['runs', build, change],
    queryFn: () => dataOf(client.GET('/api/builds/{id}/runs', { params: { path: { id: build } } })),
    placeholderData: whileSame(build),
  }).data
}

/** What a comparison comes to while it is being put together; and what is wrong, by field. */
export function useComparison(build: string, change: number, asked: CompareRequest | undefined) {
  const [now] = useDebouncedValue(asked, LAG_MILLIS)
  const query = useQuery({
    queryKey: ['compare', build, change, now],
    queryFn: () =>
      dataOf(
        client.POST('/api/builds/{id}/runs/compare', {
          params: { path: { id: build } },
          body: now as CompareRequest,
        }),
      ),
    enabled: now !== undefined,
    retry: false,
    placeholderData: (before) => before,
  })
  const problems = query.error instanceof ProblemError ? query.error.problems : []
  return { comparison: now && !query.error ? query.data : undefined, problems: now ? problems : [] }
}

/** The channels of a run for a picture so wide, and what its review says. */
export function useTrace(run: string | undefined, columns: number, change: number) {
  return useQuery({
    queryKey: ['trace', run, columns, change],
    queryFn: () =>
      dataOf(
        client.GET('/api/runs/{run}/trace', { params: { path: { run: run ?? '' }, query: { columns } } }),
      ),
    enabled: run !== undefined,
    placeholderData: (before) => before,
  }).data
}

/** What a file is when its columns are what is said. */
export function useLook(file: string, columns: Column[]) {
  const [now] = useDebouncedValue(columns, LAG_MILLIS)
  return useQuery({
    queryKey: ['run-file', file, now],
    queryFn: () =>
      dataOf(
        client.POST('/api/run-files/{file}/look', { params: { path: { file } }, body: { columns: now } }),
      ),
    retry: false,
    placeholderData: (before) => before,
  }).data
}

/** Reads a file; it is no run until it is taken. */
export const readRun = (file: File) => upload<RunFile>('/api/run-files', file)

/** What a car's runs are looked through for: its own limits, or the usual ones. */
export function useLimits(build: string, change: number) {
  return useQuery({
    queryKey: ['review-limits', build, change],
    queryFn: () => dataOf(client.GET('/api/builds/{id}/review-limits', { params: { path: { id: build } } })),
    placeholderData: whileSame(build),
  }).data
}
