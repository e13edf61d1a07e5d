import { useQuery } from '@tanstack/react-query'
import { whileSame } from '../api/beside'
import { type Car, useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { LoomTree } from './LoomTree'
import { Typed } from '../ui/Typed'
import css from './loom.module.css'
import { Modules } from './Modules'

export type Loom = Schemas['LoomResponse']

/** A rewire: what becomes of each module, the tree in which the wires lie, and the wires. */
export function LoomSheet({ car, manages }: { car: Car; manages: boolean }) {
  const { looked } = useBoard()
  const loom = useQuery({
    queryKey: ['loom', car.id, looked],
    queryFn: () => dataOf(client.GET('/api/builds/{id}/loom', { params: { path: { id: car.id } } })),
    placeholderData: whileSame(car.id),
  }).data
  if (!loom) return null
  return (
    <div className={css.room}>
      <Modules car={car} loom={loom} manages={manages} />
      <Typed key={car.id} said={loom} edition={loom.version} what="points and wires">
        {(shown, onTyping) => <LoomTree car={car} loom={shown} manages={manages} onTyping={onTyping} />}
      </Typed>
    </div>
  )
}
