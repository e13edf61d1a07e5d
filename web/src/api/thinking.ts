import { type QueryClient, useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { DESK } from './desk'
import { OFFERS } from './offers'
import { client, dataOf, type Schemas } from './client'

export type Odds = Schemas['Odds']
export type Thought = Schemas['ThoughtResponse']
export type Tried = Schemas['Tried']

const ODDS = ['odds']
const THOUGHTS = ['thoughts']
/** What is asked anew when the server tells of thinking. */
export const THINKING = [ODDS, THOUGHTS, DESK, OFFERS]
/** Whether something that people asked for is being thought about. */
export const isThinkingFor = (queries: QueryClient) =>
  (queries.getQueryData<Thought[]>(THOUGHTS) ?? []).some(thinking)

/** Should a notice be lost, it is asked for after this long anyway. */
const REFETCH_MILLIS = 20_000

/** The newest odds, by commitment, what they are for, and what a day more of each thing outside does. */
export function useOdds() {
  const query = useQuery({
    queryKey: ODDS,
    queryFn: () => dataOf(client.GET('/api/odds')),
    refetchInterval: REFETCH_MILLIS,
  })
  const view = query.data?.odds
  return useMemo(
    () => ({
      view,
      of: new Map((view?.odds ?? []).map((o) => [o.commitmentId, o])),
      harm: new Map((view?.harm ?? []).map((h) => [h.id, h])),
    }),
    [view],
  )
}

/** What people have asked the planner to think about, the newest first. */
export function useThoughts(): Thought[] {
  const query = useQuery({
    queryKey: THOUGHTS,
    queryFn: () => dataOf(client.GET('/api/thoughts')),
    refetchInterval: REFETCH_MILLIS,
  })
  return query.data ?? []
}

/** Whether it is still being thought about. */
export const thinking = (thought: Thought | undefined) =>
  thought?.state === 'WAITING' || thought?.state === 'RUNNING'
