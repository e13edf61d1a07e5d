import { Modal } from '@mantine/core'
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { OwnPassword } from '../domain/OwnPassword'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import layout from '../ui/layout.module.css'
import css from './day.module.css'

/** The way out of the day: a hand signs out, a lead or manager goes back to the desk. */
export function SignOut({ role }: { role: string }) {
  const queries = useQueryClient()
  const { send } = useSend()
  const [changing, setChanging] = useState(false)
  if (role !== 'HAND') {
    return (
      <Link to="/walk" className={layout.push}>
        Walkround
      </Link>
    )
  }
  return (
    <>
      <button className={`link ${css.signOut}`} onClick={() => setChanging(true)}>
        Password
      </button>
      <Modal opened={changing} onClose={() => setChanging(false)} title="Your password" fullScreen>
        <OwnPassword />
      </Modal>
      <button
        className={`link ${css.leave}`}

        onClick={() =>
          void send(async () => {
            await dataOf(client.POST('/api/logout' as never))
            await queries.resetQueries()
          })
        }
      >
        Sign out
      </button>
    </>
  )
}
