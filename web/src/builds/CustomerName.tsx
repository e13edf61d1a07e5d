import { TextInput } from '@mantine/core'
import { useEffect, useState } from 'react'
import type { Work } from '../api/board'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'

/** What the customer's page calls a piece of work; kept as soon as the field is left. */
export function CustomerName({ work, changes }: { work: Work; changes: boolean }) {
  const { send, busy } = useSend()
  const kept = work.customerName ?? ''
  const [name, setName] = useState(kept)
  const [error, setError] = useState<string>()
  useEffect(() => setName(kept), [kept])
  const keep = () => {
    if (name.trim() === kept) return
    setError(undefined)
    void send(
      () =>
        dataOf(
          client.PUT('/api/works/{id}/customer-name', {
            params: { path: { id: work.id } },
            body: { name },
          }),
        ),
      (problem) => {
        setError(problem.message)
        return true
      },
    )
  }
  return (
    <TextInput
      label="The customer reads"
      mt={8}
      disabled={!changes || busy}
      placeholder={
        work.job?.finding ? 'nothing of it' : work.stage ? `only “${work.stage}”` : 'nothing of it'
      }
      value={name}
      error={error}
      onChange={(e) => setName(e.currentTarget.value)}
      onBlur={keep}
      onKeyDown={(e) => e.key === 'Enter' && keep()}
    />
  )
}
