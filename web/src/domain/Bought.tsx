import { Checkbox } from '@mantine/core'
import { client, done, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { useSent } from '../ui/useSent'

interface Props {
  supply: Schemas['SupplyResponse']
  size: 'sm' | 'lg'
  /** Whether it says where it is bought. */
  where?: boolean
  gap: number
}

/** A thing of the supply run, ticked by whoever has bought it. */
export function Bought({ supply, size, where, gap }: Props) {
  const { send } = useSend()
  const { shown, choose, sending } = useSent(supply.boughtAt !== undefined, (bought) =>
    send(() =>
      done(
        client.POST('/api/supplies/{id}/bought', { params: { path: { id: supply.id } }, body: { bought } }),
      ),
    ),
  )
  return (
    <Checkbox
      size={size}
      my={gap}
      checked={shown}
      disabled={sending}
      label={`${supply.name}${supply.quantity && `, ${supply.quantity}`}`}
      description={where && supply.boughtFrom}
      onChange={(e) => choose(e.currentTarget.checked)}
    />
  )
}
