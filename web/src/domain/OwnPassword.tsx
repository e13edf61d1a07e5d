import { Button, PasswordInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useState } from 'react'
import { client, dataOf } from '../api/client'
import { atFields, useSend } from '../api/send'

/** One's own password; other browsers in which one is signed in are signed out. */
export function OwnPassword() {
  const form = useForm({ initialValues: { old: '', next: '' } })
  const [done, setDone] = useState(false)
  const { send, busy } = useSend()
  const change = async (values: typeof form.values) => {
    setDone(false)
    const changed = await send(
      async () => {
        await dataOf(client.POST('/api/password', { body: values }))
        return true
      },
      (problem) => atFields(problem, form.setFieldError),
    )
    if (changed) {
      form.reset()
      setDone(true)
    }
  }
  return (
    <form aria-label="Your password" onSubmit={form.onSubmit((v) => void change(v))}>
      <PasswordInput
        label="The password you have"
        autoComplete="current-password"
        {...form.getInputProps('old')}
      />
      <PasswordInput
        label="The new one"
        description="at least 10 characters"
        autoComplete="new-password"
        mt={8}
        {...form.getInputProps('next')}
      />
      <Button type="submit" mt={12} loading={busy}>
        Change it
      </Button>
      {done && (
        <span role="status" className="quiet">
          {' '}
          Changed; other browsers are signed out.
        </span>
      )}
    </form>
  )
}
