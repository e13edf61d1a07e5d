import { Loader, Modal } from '@mantine/core'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { clock, day } from '../format/time'

/** In the demo: the shop's own time, and the next morning at a click. */
export function ShopTime({ account }: { account: Schemas['Account'] }) {
  const { board } = useBoard()
  const { send } = useSend()
  const queries = useQueryClient()
  const [going, setGoing] = useState(false)
  const me = useQuery({ queryKey: ['me'], queryFn: () => dataOf(client.GET('/api/me')), staleTime: Infinity })
  if (!me.data?.demoLogins.length) return null
  const morning = async () => {
    setGoing(true)
    await send(() => dataOf(client.POST('/api/demo/next-morning')))
    await queries.invalidateQueries()
    setGoing(false)
  }
  return (
    <>
      <span className="shop-time" title="The demo keeps a working time of its own">
        {day(board.now, board.zone)}
        <b>{clock(board.now, board.zone)}</b>
      </span>
      {account.role === 'MANAGER' && (
        <button
          onClick={() => void morning()}
          title="The hands do what the plan has for today, and it is tomorrow"
        >
          Next morning
        </button>
      )}
      <Modal opened={going} onClose={() => undefined} withCloseButton={false} centered title="A day goes by">
        <p>The hands start and finish what the plan has for them, parcels come. A few seconds.</p>
        <Loader aria-label="The day goes by" />
      </Modal>
    </>
  )
}
