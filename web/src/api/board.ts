import { type Query, useQuery, useQueryClient } from '@tanstack/react-query'
import { createContext, useCallback, useContext, useEffect, useMemo, useRef } from 'react'
import { AGAIN_MILLIS, client, dataOf, isAwayError, type Schemas } from './client'
import type { PushedNews } from './live'
import { useLooked, lookNow } from './looked'
import { applyNews } from './news'

export type Board = Schemas['Board']
export type Car = Schemas['Car']
export type Work = Schemas['WorkView']
export type Part = Schemas['PartView']
export type Commitment = Schemas['CommitmentView']
export type Person = Schemas['PersonView']
export type Station = Schemas['StationView']
export type Vendor = Schemas['VendorView']
export type Pin = Schemas['PinView']
export type Tag = NonNullable<Schemas['PlacedView']['tag']>

/** The board with its parts by id. */
export interface Indexed {
  board: Board
  /** The change as of which lists beside the board are looked up; see {@link useLooked}. */
  looked: number
  /** The builds that are cars; others hold work without one. */
  cars: Car[]
  car: Map<string, Car>
  work: Map<string, Work>
  person: Map<string, Person>
  station: Map<string, Station>
  vendor: Map<string, Vendor>
  commitment: Map<string, Commitment>
  part: Map<string, Part>
}

/** Whether a build is a car: stock, tools and errands are none. */
export const isCar = (build: Car) => build.body !== 'NONE'

const byId = <T extends { id: string }>(things: T[]) => new Map(things.map((t) => [t.id, t]))

/** The board with its things by their ids, and the change that lists beside it are looked up for. */
export function indexed(board: Board, looked = board.change): Indexed {
  return {
    board,
    looked,
    cars: board.cars.filter(isCar),
    car: byId(board.cars),
    work: byId(board.works),
    person: byId(board.people),
    station: byId(board.stations),
    vendor: byId(board.vendors),
    commitment: byId(board.commitments),
    part: byId(board.parts),
  }
}

const BOARD = ['board']
/** The plan moves on with the clock, in steps of five minutes. */
const REFETCH_MILLIS = 60_000

/** The board as it is now; what is new on it is fetched when the server says that something changed. */
export function useBoardQuery() {
  const queries = useQueryClient()
  const query = useQuery({
    queryKey: BOARD,
    queryFn: async () => {
      const before = queries.getQueryData<Board>(BOARD)
      if (!before) return dataOf(client.GET('/api/board'))
      const since = before.edition
      const news = await dataOf(client.GET('/api/board/news', { params: { query: { since } } }))
      const asked = applyNews(before, news)
      // What was pushed while this was on its way may be newer.
      const now = queries.getQueryData<Board>(BOARD)
      return now && now.change > asked.change ? now : asked
    },
    // News leave what did not change as it was; comparing a large board again would find nothing.
    structuralSharing: false,
    refetchInterval: (query) => (isAwayError(query.state.error) ? AGAIN_MILLIS : REFETCH_MILLIS),
  })
  const looked = useLooked(query.data?.change)
  const data = useMemo(() => (query.data ? indexed(query.data, looked) : undefined), [query.data, looked])
  const before = useRef(looked)
  useEffect(() => {
    const first = before.current === undefined
    before.current = looked
    // What has no change in its key does not see of itself that there was one.
    if (looked !== undefined && !first)
      void queries.invalidateQueries({ predicate: (q) => isBeside(q, looked) })
  }, [queries, looked])
  // Only what is read here draws anew: that a fetch has begun or ended does not.
  return { data, error: query.error }
}

/** What is looked up beside the board, and not for that very change already, nor once for all. */
const isBeside = ({ queryKey, observers }: Query, change?: number) =>
  queryKey[0] !== BOARD[0] &&
  (change === undefined || !queryKey.includes(change)) &&
  observers.some((observer) => observer.options.staleTime !== Infinity)

const MOST_TO_PAINT_MILLIS = 300

/** Until the browser has painted what it knows now; a window that nobody sees paints nothing and is not waited for. */
export function painted(): Promise<void> {
  return new Promise((done) => {
    requestAnimationFrame(() => setTimeout(done))
    setTimeout(done, MOST_TO_PAINT_MILLIS)
  })
}

/** Puts in what is new, where it leads from the very board that is here; else it is asked for as ever. */
export function usePushed() {
  const queries = useQueryClient()
  return useCallback(
    ({ since, news }: PushedNews) => {
      const before = queries.getQueryData<Board>(BOARD)
      if (before?.edition === since) queries.setQueryData(BOARD, applyNews(before, news))
    },
    [queries],
  )
}

/** The number of the last change that the board has. */
export function useKnownChange() {
  const queries = useQueryClient()
  return useCallback(() => queries.getQueryData<Board>(BOARD)?.change ?? 0, [queries])
}

/**
 * Fetches the board anew, and then, for what was done here, what hangs on it: what is looked at comes before what is
 * looked up. For a change of which the number is known, a board that has it already, or that is on its way, is not asked
 * for twice.
 */
export function useRefresh() {
  const queries = useQueryClient()
  const known = useKnownChange()
  return useCallback(
    async (change?: number, here = true) => {
      const missing = () => change === undefined || known() < change
      if (change !== undefined && missing()) {
        await queries.invalidateQueries({ queryKey: BOARD }, { cancelRefetch: false })
      }
      if (missing()) await queries.invalidateQueries({ queryKey: BOARD })
      if (!here) return
      await painted()
      lookNow()
      if (change !== undefined && !missing()) return
      // Nothing in the record tells that there is something new to look up.
      await painted()
      await queries.invalidateQueries({ predicate: (query) => isBeside(query) })
    },
    [queries, known],
  )
}

export const BoardContext = createContext<Indexed | undefined>(undefined)

/** The board, within a room. */
export function useBoard(): Indexed {
  const board = useContext(BoardContext)
  if (!board) throw new Error('There is no board here.')
  return board
}
