import { useDebouncedValue } from '@mantine/hooks'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { client, dataOf, type Schemas } from './client'

export type Understood = Schemas['UnderstoodResponse']

const PAUSE_MILLIS = 150

/** What the line about a car would be taken as, while it is typed; nothing where there is no line. */
export function useUnderstood(
  car: string | undefined,
  text: string,
  chosen: string[],
): Understood | undefined {
  const [settled] = useDebouncedValue(text.trim(), PAUSE_MILLIS)
  const query = useQuery({
    queryKey: ['understood', car, settled, chosen],
    queryFn: () =>
      dataOf(
        client.POST('/api/builds/{id}/capture/understand', {
          params: { path: { id: car! } },
          body: { text: settled, chosen },
        }),
      ),
    enabled: car !== undefined && settled !== '',
    placeholderData: keepPreviousData,
    staleTime: 5_000,
    retry: false,
  })
  return text.trim() === '' ? undefined : query.data
}
