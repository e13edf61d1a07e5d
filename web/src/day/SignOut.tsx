import { useQueryClient } from '@tanstack/react-query'
import { Link } from 'react-router'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'

/** The way out of the day: a hand signs out, a lead or manager goes back to the desk. */
export function SignOut({ role }: { role: string }) {
  const queries = useQueryClient()
  const { send } = useSend()
  if (role !== 'HAND') {
    return (
      <Link to="/walk" style={{ marginLeft: 'auto' }}>
        Walkround
      </Link>
    )
  }
  return (
    <button
      className="link"
      style={{ marginLeft: 'auto', padding: '8px 0' }}
      onClick={() =>
        void send(async () => {
          await dataOf(client.POST('/api/logout' as never))
          await queries.resetQueries()
        })
      }
    >
      Sign out
    </button>
  )
}
