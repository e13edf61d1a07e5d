import { Button, Group, Menu, Modal, Select, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { OwnPassword } from '../domain/OwnPassword'
import { useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { atFields, useSend } from '../api/send'
import { day, when } from '../format/time'
import { word } from '../format/words'
import layout from '../ui/layout.module.css'
import css from './shop.module.css'

type Row = Schemas['AccountResponse']
type Role = Row['role']

const ROLES = [
  { value: 'MANAGER', label: 'manager: plans, money, accounts' },
  { value: 'LEAD', label: 'lead: jobs, parts, outside work' },
  { value: 'HAND', label: 'hand: the own day, findings, measuring' },
]
const ACCOUNTS = ['accounts']

/** Who may come in, and one's own password. */
export function Accounts({ account }: { account: Schemas['Account'] }) {
  return (
    <div className={css.accounts}>
      {account.role === 'MANAGER' && <AllAccounts me={account.username} />}
      <section className="panel" aria-label="Password">
        <h2>Your password</h2>
        <OwnPassword />
      </section>
    </div>
  )
}

function AllAccounts({ me }: { me: string }) {
  const { board, person } = useBoard()
  const [inviting, setInviting] = useState(false)
  const [changing, setChanging] = useState<Row>()
  const [link, setLink] = useState<{ name: string; path: string; until: string }>()
  const { send } = useSend()
  const rows = useQuery({ queryKey: ACCOUNTS, queryFn: () => dataOf(client.GET('/api/accounts')) })
  const at = (username: string) => ({ params: { path: { username } } })
  const after = <T,>(change: () => Promise<T>) => send(change).then((done) => rows.refetch().then(() => done))
  const reset = async (row: Row) => {
    const made = await after(() => dataOf(client.POST('/api/accounts/{username}/reset', at(row.username))))
    if (made) setLink({ name: row.name, ...made })
  }
  return (
    <section aria-label="Accounts">
      <Group mb={8}>
        <Button size="compact-sm" onClick={() => setInviting(true)}>
          Invite somebody
        </Button>
      </Group>
      {link && (
        <p className="panel" role="status">
          Give {link.name} this link; it works once, until {day(link.until, board.zone)}, and is shown only
          now: <b className={css.link}>{`${window.location.origin}${link.path}`}</b>{' '}
          <button
            className="link"
            onClick={() => void navigator.clipboard?.writeText(`${window.location.origin}${link.path}`)}
          >
            copy
          </button>
        </p>
      )}
      <table className="plain">
        <thead>
          <tr>
            <th>User name</th>
            <th>Name</th>
            <th>Role</th>
            <th>Signed in</th>
            <th>
              <span className={layout.unseen}>Actions</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {(rows.data ?? []).map((row) => (
            <tr key={row.username}>
              <td className="strong">{row.username}</td>
              <td>
                {row.name}
                {row.personId && (
                  <span className="soft small"> is {person.get(row.personId)?.name ?? 'gone'}</span>
                )}
              </td>
              <td>{word(row.role)}</td>
              <td className="small">
                {row.invitedUntil
                  ? `invited, until ${day(row.invitedUntil, board.zone)}`
                  : row.sessions === 0
                    ? 'nowhere'
                    : `${row.sessions} ${row.sessions === 1 ? 'browser' : 'browsers'}, last ${when(row.seenAt ?? board.now, board.now, board.zone)}`}
              </td>
              <td>
                <Menu position="bottom-end">
                  <Menu.Target>
                    <Button size="compact-xs" variant="default" aria-label={`More for ${row.username}`}>
                      More
                    </Button>
                  </Menu.Target>
                  <Menu.Dropdown>
                    <Menu.Item onClick={() => setChanging(row)}>Change name or role</Menu.Item>
                    {row.username !== me && (
                      <Menu.Item onClick={() => void reset(row)}>Reset the password</Menu.Item>
                    )}
                    <Menu.Item
                      onClick={() =>
                        void after(() =>
                          dataOf(client.POST('/api/accounts/{username}/end-sessions', at(row.username))),
                        )
                      }
                    >
                      Sign out everywhere
                    </Menu.Item>
                    {row.username !== me && (
                      <Menu.Item
                        onClick={() =>
                          void after(() =>
                            dataOf(client.DELETE('/api/accounts/{username}', at(row.username))),
                          )
                        }
                      >
                        Remove
                      </Menu.Item>
                    )}
                  </Menu.Dropdown>
                </Menu>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {(inviting || changing) && (
        <AccountForm
          row={changing}
          onClose={() => {
            setInviting(false)
            setChanging(undefined)
          }}
          onDone={(invited) => {
            void rows.refetch()
            if (invited) setLink(invited)
          }}
        />
      )}
    </section>
  )
}

interface FormProps {
  /** Absent where somebody is invited. */
  row?: Row
  onClose: () => void
  onDone: (invited?: { name: string; path: string; until: string }) => void
}

function AccountForm({ row, onClose, onDone }: FormProps) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const form = useForm({
    initialValues: {
      username: row?.username ?? '',
      name: row?.name ?? '',
      role: row?.role ?? ('HAND' as Role),
      personId: row?.personId ?? '',
    },
  })
  const save = async (values: typeof form.values) => {
    const body = { name: values.name, role: values.role, personId: values.personId || undefined }
    const done = await send(
      async () => {
        if (row)
          await dataOf(
            client.PUT('/api/accounts/{username}', { params: { path: { username: row.username } }, body }),
          )
        const made = row
          ? undefined
          : await dataOf(client.POST('/api/accounts', { body: { username: values.username, ...body } }))
        return { made }
      },
      (problem) => atFields(problem, form.setFieldError),
    )
    if (!done) return
    onDone(done.made && { name: values.name, ...done.made })
    onClose()
  }
  return (
    <Modal opened onClose={onClose} title={row ? `The account of ${row.name}` : 'Invite somebody'}>
      <form onSubmit={form.onSubmit((v) => void save(v))}>
        {!row && (
          <TextInput
            label="User name"
            description="small letters, as it is typed at the door"
            data-autofocus
            {...form.getInputProps('username')}
          />
        )}
        <TextInput label="Name" mt={8} {...form.getInputProps('name')} />
        <Select label="Role" mt={8} data={ROLES} allowDeselect={false} {...form.getInputProps('role')} />
        <Select
          label="Who that is on the roll"
          description="for the day on the phone"
          mt={8}
          data={[
            { value: '', label: 'nobody' },
            ...board.people.map((p) => ({ value: p.id, label: p.name })),
          ]}
          allowDeselect={false}
          {...form.getInputProps('personId')}
        />
        <Button type="submit" mt={14} loading={busy}>
          {row ? 'Save' : 'Make the invitation'}
        </Button>
      </form>
    </Modal>
  )
}
