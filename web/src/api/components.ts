import { useQuery } from '@tanstack/react-query'
import { client, dataOf, type Schemas } from './client'

export type Component = Schemas['ComponentResponse']
export type Counter = Schemas['LimitRequest']['counter']

/** Every component with its life; asked anew with each change. */
export function useComponents(change: number): Component[] | undefined {
  return useQuery({
    queryKey: ['components', change],
    queryFn: () => dataOf(client.GET('/api/components')),
    placeholderData: (before) => before,
  }).data
}

/** What wears a component: its counter, the unit of that, and the word for it. */
export const COUNTERS: { value: Counter; label: string; unit: string }[] = [
  { value: 'HOURS', label: 'running hours', unit: 'h' },
  { value: 'DISTANCE', label: 'distance', unit: 'km' },
  { value: 'EVENTS', label: 'events', unit: 'events' },
  { value: 'HEAT_CYCLES', label: 'heat cycles', unit: 'cycles' },
  { value: 'FIRES', label: 'engine starts', unit: 'starts' },
  { value: 'IMPACTS', label: 'impacts', unit: 'impacts' },
]
