import { NativeSelect } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useBoard } from '../api/board'
import { client, dataOf, done, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { useSent } from '../ui/useSent'
import css from './stale.module.css'

type Choices = Schemas['UnitsResponse']
type Kind = Choices['kinds'][number]['kind']
type System = 'METRIC' | 'CUSTOMARY'

/** Which units stand first, for each kind of quantity: for the house, and for whoever looks. The other stands beside. */
export function Units({ changes }: { changes: boolean }) {
  const { looked } = useBoard()
  const choices = useQuery({
    queryKey: ['units', looked],
    queryFn: () => dataOf(client.GET('/api/units')),
    placeholderData: (before) => before,
  }).data
  if (!choices) return null
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
                <Choice
                  whose="house"
                  of={k}
                  chosen={chosen('house', k.kind) || 'METRIC'}
                  disabled={!changes}
                />
              </td>
              <td>
                <Choice whose="own" of={k} chosen={chosen('own', k.kind)} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

interface ChoiceProps {
  whose: 'house' | 'own'
  of: Choices['kinds'][number]
  /** Empty where it goes by the house. */
  chosen: System | ''
  disabled?: boolean
}

/** The choice for one kind of quantity; the others stay as they are. */
function Choice({ whose, of, chosen, disabled }: ChoiceProps) {
  const { send } = useSend()
  const { shown, choose, sending } = useSent(chosen, (system) => {
    // The contract has no word for a value that may be null.
    const body = { choices: { [of.kind]: system || null } as Record<string, System> }
    return send(() =>
      done(
        whose === 'house'
          ? client.PUT('/api/units/house', { body })
          : client.PUT('/api/units/mine', { body }),
      ),
    )
  })
  return (
    <NativeSelect
      size="xs"
      aria-label={`${of.label}, ${whose === 'house' ? 'the house' : 'you'}`}
      disabled={disabled || sending}
      value={shown}
      data={[
        ...(whose === 'own' ? [{ value: '', label: 'as the house' }] : []),
        { value: 'METRIC', label: of.metric },
        { value: 'CUSTOMARY', label: of.customary },
      ]}
      onChange={(e) => choose(e.currentTarget.value as System | '')}
    />
  )
}
