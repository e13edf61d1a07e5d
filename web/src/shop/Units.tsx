import { NativeSelect } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import css from './stale.module.css'

type Choices = Schemas['UnitsResponse']
type Kind = Choices['kinds'][number]['kind']
type System = 'METRIC' | 'CUSTOMARY'

/** Which units stand first, for each kind of quantity: for the house, and for whoever looks. The other stands beside. */
export function Units({ changes }: { changes: boolean }) {
  const { looked } = useBoard()
  const { send, busy } = useSend()
  const choices = useQuery({
    queryKey: ['units', looked],
    queryFn: () => dataOf(client.GET('/api/units')),
    placeholderData: (before) => before,
  }).data
  if (!choices) return null
  const put = (whose: 'house' | 'own', kind: Kind, system: string) => {
    const next: Partial<Record<Kind, System>> = { ...choices[whose] }
    if (system) next[kind] = system as System
    else delete next[kind]
    const body = { choices: next as Record<string, System> }
    void send(() =>
      dataOf(
        whose === 'house'
          ? client.PUT('/api/units/house', { body })
          : client.PUT('/api/units/mine', { body }),
      ),
    )
  }
  const chosen = (whose: 'house' | 'own', kind: Kind) =>
    (choices[whose] as Partial<Record<Kind, System>>)[kind] ?? ''
  return (
    <div className={css.room}>
      <p className="soft">
        A bare number in a gauge is of the unit that stands first; the other system always stands beside it.
        What you choose for yourself goes before the house.
      </p>
      <table className="plain">
        <thead>
          <tr>
            <th>quantity</th>
            <th>the house</th>
            <th>you</th>
          </tr>
        </thead>
        <tbody>
          {choices.kinds.map((k) => (
            <tr key={k.kind}>
              <td>{k.label}</td>
              <td>
                <NativeSelect
                  size="xs"
                  aria-label={`${k.label}, the house`}
                  disabled={!changes || busy}
                  value={chosen('house', k.kind) || 'METRIC'}
                  data={[
                    { value: 'METRIC', label: k.metric },
                    { value: 'CUSTOMARY', label: k.customary },
                  ]}
                  onChange={(e) => put('house', k.kind, e.currentTarget.value)}
                />
              </td>
              <td>
                <NativeSelect
                  size="xs"
                  aria-label={`${k.label}, you`}
                  disabled={busy}
                  value={chosen('own', k.kind)}
                  data={[
                    { value: '', label: 'as the house' },
                    { value: 'METRIC', label: k.metric },
                    { value: 'CUSTOMARY', label: k.customary },
                  ]}
                  onChange={(e) => put('own', k.kind, e.currentTarget.value)}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
