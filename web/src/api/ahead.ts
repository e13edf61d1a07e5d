import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { useBoard } from './board'
import { client, dataOf } from './client'

/** What the plan asks of the days ahead: latest starts by work, loads of skills, what can go on now. Not for hands. */
export function useAhead(asks: boolean) {
  const { board, looked } = useBoard()
  const query = useQuery({
    queryKey: ['ahead', looked, board.now],
    queryFn: () => dataOf(client.GET('/api/ahead')),
    placeholderData: (before) => before,
    enabled: asks,
  })
  return useMemo(
    () => ({
      latest: new Map((query.data?.latestStarts ?? []).map((l) => [l.workId, l.at])),
      skills: query.data?.skills ?? [],
      bottleneck: query.data?.bottleneck,
      ready: query.data?.ready,
      held: query.data?.held ?? [],
    }),
    [query.data],
  )
}
