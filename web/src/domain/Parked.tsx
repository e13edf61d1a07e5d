import { Button } from '@mantine/core'
import { type Car, useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { day } from '../format/time'
import css from './domain.module.css'

/** Says that a car is put aside, and takes it back. */
export function Parked({ car, account }: { car: Car; account: Schemas['Account'] }) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  if (!car.parked) return null
  return (
    <div className={css.parked} role="status">
      <span>
        Parked{' '}
        {car.parkedUntil
          ? `until ${day(car.parkedUntil, board.zone)}: nothing is planned on it before.`
          : 'with no end: its work is not in the plan.'}
      </span>
      {account.role === 'MANAGER' && (
        <Button
          size="compact-sm"
          variant="default"
          loading={busy}
          onClick={() =>
            void send(() =>
              dataOf(client.POST('/api/builds/{id}/take-back', { params: { path: { id: car.id } } })),
            )
          }
        >
          Take it back
        </Button>
      )}
    </div>
  )
}
