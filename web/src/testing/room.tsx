import { MantineProvider } from '@mantine/core'
import { Notifications } from '@mantine/notifications'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { render } from '@testing-library/react'
import type { ReactNode } from 'react'
import { MemoryRouter } from 'react-router'
import { BoardContext, indexed, type Board, type Work } from '../api/board'

export const NOW = '2026-11-25T07:10:00Z'

/** A job of car 61, to be done by Bo from nine to ten. */
export function job(id: string, more: Record<string, unknown> = {}): Work {
  return {
    id,
    buildId: 'b61',
    kind: 'JOB',
    name: id,
    status: 'TODO',
    gate: 'EVENT',
    essential: true,
    note: '',
    version: 1,
    job: {
      zone: 'REAR',
      onCar: true,
      wholeCar: false,
      lowMinutes: 50,
      likelyMinutes: 60,
      highMinutes: 90,
      remainingMinutes: 60,
      crew: [],
      parts: [],
      startedBy: [],
    },
    placed: {
      start: '2026-11-25T08:00:00Z',
      end: '2026-11-25T09:00:00Z',
      ready: '2026-11-25T09:00:00Z',
      at: [],
      crew: ['bo'],
      slotMissed: false,
    },
    ...more,
  } as unknown as Work
}

/** A board of one car and two people, with what a test adds. */
export function boardWith(more: Partial<Record<keyof Board, unknown>> = {}): Board {
  return {
    edition: 'first',
    change: 1,
    now: NOW,
    zone: 'Europe/Berlin',
    shopName: 'Brackwater Works',
    cars: [{ id: 'b61', number: '61', name: 'Red coupe', restrictions: [] }],
    works: [],
    links: [],
    parts: [],
    commitments: [],
    people: [
      { id: 'bo', name: 'Bo' },
      { id: 'mara', name: 'Mara' },
    ],
    stations: [],
    vendors: [],
    pins: [],
    loads: [],
    ...more,
  } as unknown as Board
}

export function newQueries() {
  return new QueryClient({ defaultOptions: { queries: { retry: false } } })
}

/** All that a room stands in, with the queries of a test. */
export function Around({ queries, children }: { queries: QueryClient; children: ReactNode }) {
  return (
    <MantineProvider env="test">
      <Notifications />
      <QueryClientProvider client={queries}>
        <MemoryRouter>{children}</MemoryRouter>
      </QueryClientProvider>
    </MantineProvider>
  )
}

/** Draws something of a room with that board. */
export function inRoom(what: ReactNode, board: Board = boardWith()) {
  const queries = newQueries()
  queries.setQueryData(['board'], board)
  return {
    queries,
    ...render(
      <Around queries={queries}>
        <BoardContext.Provider value={indexed(board)}>{what}</BoardContext.Provider>
      </Around>,
    ),
  }
}
