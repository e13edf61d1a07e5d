import { Button, PasswordInput } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { AGAIN_MILLIS, client, dataOf, isAwayError, ProblemError, tooOften } from '../api/client'
import { Nothing } from '../ui/Nothing'
import layout from '../ui/layout.module.css'
import css from './access.module.css'

/** Where an invited person chooses a password; the link works once. */
export function Welcome() {
  const { token = '' } = useParams()
  const [password, setPassword] = useState('')
  const [error, setError] = useState<string>()
  const [done, setDone] = useState(false)
  const [busy, setBusy] = useState(false)
  const invited = useQuery({
    queryKey: ['invitation', token],
    queryFn: async () => {
      // Asking who one is sets the token that a change needs.
      await client.GET('/api/me')
      return dataOf(client.GET('/api/invitations/{token}', { params: { path: { token } } }))
    },
    retry: false,
    staleTime: Infinity,
    refetchInterval: (query) => (isAwayError(query.state.error) ? AGAIN_MILLIS : false),
  })
  if (invited.isError && isAwayError(invited.error))
    return (
      <Nothing
        title="The shop cannot be reached at the moment"
        text="The invitation stays good; this page looks again by itself."
      />
    )
  if (invited.isError)
    return (
      <Nothing
        title="This invitation is no longer good"
        text={tooOften(invited.error) ?? 'It works once and for seven days. Ask the manager for another.'}
      />
    )
  if (!invited.data) return null
  const accept = async () => {
    setBusy(true)
    try {
      await dataOf(
        client.POST('/api/invitations/{token}', { params: { path: { token } }, body: { password } }),
      )
      setDone(true)
    } catch (problem) {
      setError(problem instanceof ProblemError ? problem.message : String(problem))
    } finally {
      setBusy(false)
    }
  }
  return (
    <main className={css.page}>
      <h1 className={css.title}>Galecrest</h1>
      {done ? (
        <p>
          Your password is set. <Link to="/">Sign in</Link> as <b>{invited.data.username}</b>.
        </p>
      ) : (
        <form
          className="panel"
          onSubmit={(e) => {
            e.preventDefault()
            void accept()
          }}
        >
          <p className={layout.flush}>
            Welcome, {invited.data.name}. Your user name is <b>{invited.data.username}</b>. Choose a password
            of at least 10 characters; nobody else will know it.
          </p>
          <input type="text" autoComplete="username" value={invited.data.username} readOnly hidden />
          <PasswordInput
            label="Password"
            autoComplete="new-password"
            mt="sm"
            value={password}
            error={error}
            onChange={(e) => {
              setPassword(e.currentTarget.value)
              setError(undefined)
            }}
          />
          <Button type="submit" fullWidth mt="md" loading={busy}>
            Set it
          </Button>
        </form>
      )}
    </main>
  )
}
