import { Button, PasswordInput, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useQueryClient } from '@tanstack/react-query'
import { client, dataOf, type Schemas } from '../api/client'
import { atFields, useSend } from '../api/send'
import layout from '../ui/layout.module.css'
import css from './access.module.css'

/** The door: user name and password; in the demo, its accounts to choose from. */
export function LogIn({ demo }: { demo: Schemas['DemoLogin'][] }) {
  const form = useForm({ initialValues: { username: '', password: '' } })
  const { send, busy } = useSend()
  const queries = useQueryClient()
  const enter = (username: string, password: string) =>
    send(
      async () => {
        await dataOf(client.POST('/api/login', { body: { username, password } }))
        await queries.resetQueries()
      },
      (problem) => atFields(problem, form.setFieldError),
    )
  return (
    <main className={css.page}>
      <h1 className={css.title}>Galecrest</h1>
      <p className={`soft ${layout.flush}`}>
        Who works on which car, what waits for what, and which date it costs.
      </p>
      <form className="panel" onSubmit={form.onSubmit((v) => enter(v.username, v.password))}>
        <TextInput label="User name" autoComplete="username" autoFocus {...form.getInputProps('username')} />
        <PasswordInput
          label="Password"
          autoComplete="current-password"
          mt="sm"
          {...form.getInputProps('password')}
        />
        <Button type="submit" fullWidth mt="md" loading={busy}>
          Sign in
        </Button>
      </form>
      {demo.length > 0 && (
        <section className={`panel ${layout.below}`} aria-label="Demo accounts">
          <h2>The demo shop: come in as</h2>
          {demo.map((d) => (
            <Button
              key={d.username}
              variant="default"
              fullWidth
              mt={6}
              justify="space-between"
              onClick={() => enter(d.username, d.password)}
              rightSection={<span className="soft small">{d.about}</span>}
            >
              {d.username}
            </Button>
          ))}
        </section>
      )}
    </main>
  )
}
