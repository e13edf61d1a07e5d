import { Alert, Button, Group, Modal, Textarea, TextInput } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf, type ProblemError, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { duration } from '../format/margin'
import css from './shop.module.css'

type Sheet = Schemas['TemplateSheetResponse']

/** Templates: what a kind of build takes. Those that ship with the shop are saved under a name of the house. */
export function Templates({ changes }: { changes: boolean }) {
  const { looked } = useBoard()
  const { send } = useSend()
  const [editing, setEditing] = useState<Sheet>()
  const templates = useQuery({
    queryKey: ['templates', looked],
    queryFn: () => dataOf(client.GET('/api/templates')),
    placeholderData: (before) => before,
  })
  const open = async (id: string) =>
    setEditing(await dataOf(client.GET('/api/templates/{id}', { params: { path: { id } } })))
  return (
    <section aria-label="Templates">
      <p className="soft">
        A build begins from one, and its work can be added to a car that is there (Build, More). The work of a
        build becomes one there too.
      </p>
      <table className="plain">
        <thead>
          <tr>
            <th>Template</th>
            <th className="right">Jobs</th>
            <th className="right">Likely</th>
            <th>Stages</th>
            <th>Whose</th>
          </tr>
        </thead>
        <tbody>
          {(templates.data ?? []).map((t) => (
            <tr key={t.id}>
              <td>
                <button className="link strong" onClick={() => void open(t.id)}>
                  {t.name}
                </button>
              </td>
              <td className="right">{t.jobs}</td>
              <td className="right">{duration(t.likelyMinutes)}</td>
              <td className="small">{t.stages.join(', ')}</td>
              <td className="small">
                {t.own ? 'the house' : 'ships with the shop'}{' '}
                {t.own && changes && (
                  <button
                    className="link"
                    onClick={() =>
                      void send(() =>
                        dataOf(client.DELETE('/api/templates/{id}', { params: { path: { id: t.id } } })),
                      )
                    }
                  >
                    remove
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {editing && <Edit sheet={editing} changes={changes} onClose={() => setEditing(undefined)} />}
    </section>
  )
}

function Edit({ sheet, changes, onClose }: { sheet: Sheet; changes: boolean; onClose: () => void }) {
  const { send, busy } = useSend()
  const [name, setName] = useState(sheet.own ? sheet.name : `${sheet.name}, ours`)
  const [text, setText] = useState(sheet.sheet)
  const [problem, setProblem] = useState<ProblemError>()
  const save = async () => {
    const done = await send(
      async () => {
        const body = { name, sheet: text, version: sheet.version }
        if (sheet.own)
          await dataOf(client.PUT('/api/templates/{id}', { params: { path: { id: sheet.id } }, body }))
        else await dataOf(client.POST('/api/templates', { body }))
        return true
      },
      (p) => {
        setProblem(p)
        return true
      },
    )
    if (done) onClose()
  }
  const atName = problem?.problems.find((p) => p.field === 'name')?.message
  return (
    <Modal opened onClose={onClose} title={`The template ${sheet.name}`} size="90%">
      <TextInput label="Name" value={name} error={atName} onChange={(e) => setName(e.currentTarget.value)} />
      <Textarea
        label="Its job sheet"
        description="a line a job, as in a table: the first line names the columns; a spreadsheet reads and writes it"
        mt={8}
        autosize
        minRows={8}
        maxRows={20}
        value={text}
        classNames={{ input: css.sheet }}
        onChange={(e) => {
          setText(e.currentTarget.value)
          setProblem(undefined)
        }}
      />
      {problem && !atName && (
        <Alert color="hot" mt={8} title="Nothing has been saved">
          {problem.problems.length === 0 && problem.message}
          {problem.problems.slice(0, 20).map((p, i) => (
            <div key={i}>
              <b>{p.field}</b> {p.message}
            </div>
          ))}
        </Alert>
      )}
      {changes && (
        <Group mt={12}>
          <Button loading={busy} onClick={() => void save()}>
            {sheet.own ? 'Save' : 'Save as a template of the house'}
          </Button>
        </Group>
      )}
    </Modal>
  )
}
