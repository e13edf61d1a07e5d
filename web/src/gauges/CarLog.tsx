import { Button, Textarea, TextInput } from '@mantine/core'
import { useDebouncedValue } from '@mantine/hooks'
import { useQuery } from '@tanstack/react-query'
import { type FormEvent, useState } from 'react'
import { type Car, useBoard } from '../api/board'
import { whileSame } from '../api/beside'
import { client, dataOf, type ProblemError, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { when } from '../format/time'
import layout from '../ui/layout.module.css'
import { Nothing } from '../ui/Nothing'
import css from './gauges.module.css'

type Note = Schemas['CarNoteResponse']
const BLANK = { place: '', driver: '', felt: '', changed: '' }
const LAG_MILLIS = 200

/** Road and test notes: who drove, what was felt, what was changed, beside what was measured in that hour. */
export function CarLog({ car }: { car: Car }) {
  const { board, looked } = useBoard()
  const [find, setFind] = useState('')
  const [words] = useDebouncedValue(find, LAG_MILLIS)
  const notes = useQuery({
    queryKey: ['notes', car.id, words, looked],
    queryFn: () =>
      dataOf(
        client.GET('/api/builds/{id}/notes', { params: { path: { id: car.id }, query: { find: words } } }),
      ),
    placeholderData: whileSame(car.id),
  }).data
  return (
    <div className={css.middle}>
      <div className={css.sheet}>
        <h2>Car log</h2>
        <NoteForm key={car.id} car={car} />
      </div>
      <TextInput
        label="Find in the log"
        placeholder="a word, a driver, a place"
        value={find}
        onChange={(e) => setFind(e.currentTarget.value)}
      />
      {notes?.map((n) => (
        <OneNote key={n.id} car={car} note={n} at={when(n.at, board.now, board.zone)} />
      ))}
      {notes?.length === 0 && (
        <Nothing
          title={words ? 'No note has these words' : 'No notes yet'}
          text="What is felt at the wheel is soon forgotten; a line here keeps it beside what was measured."
        />
      )}
    </div>
  )
}

function NoteForm({ car }: { car: Car }) {
  const [form, setForm] = useState(BLANK)
  const [wrong, setWrong] = useState<Record<string, string>>({})
  const { send, busy } = useSend()
  const set = (part: Partial<typeof BLANK>) => setForm((f) => ({ ...f, ...part }))
  const add = (event: FormEvent) => {
    event.preventDefault()
    void send(
      () =>
        dataOf(
          client.POST('/api/builds/{id}/notes', {
            params: { path: { id: car.id } },
            body: { ...form, version: 0 },
          }),
        ),
      (problem: ProblemError) => {
        setWrong(Object.fromEntries(problem.problems.map((p) => [p.field, p.message])))
        return problem.problems.length > 0
      },
    ).then((added) => {
      if (added) {
        setForm(BLANK)
        setWrong({})
      }
    })
  }
  return (
    <form onSubmit={add} className={layout.column}>
      <Textarea
        label="What was felt or seen"
        autosize
        minRows={2}
        value={form.felt}
        error={wrong.felt}
        onChange={(e) => set({ felt: e.currentTarget.value })}
      />
      <div className={css.fields}>
        <TextInput
          size="xs"
          label="Where"
          placeholder="road, track, hill"
          value={form.place}
          error={wrong.place}
          onChange={(e) => set({ place: e.currentTarget.value })}
        />
        <TextInput
          size="xs"
          label="Who drove"
          value={form.driver}
          error={wrong.driver}
          onChange={(e) => set({ driver: e.currentTarget.value })}
        />
        <TextInput
          size="xs"
          label="What was changed"
          value={form.changed}
          error={wrong.changed}
          onChange={(e) => set({ changed: e.currentTarget.value })}
        />
      </div>
      <div>
        <Button type="submit" loading={busy}>
          Note it
        </Button>
      </div>
    </form>
  )
}

function OneNote({ car, note, at }: { car: Car; note: Note; at: string }) {
  const { send, busy } = useSend()
  return (
    <article className={layout.ruled}>
      <div className={layout.spread}>
        <span className="strong">
          {[at, note.place, note.driver && `${note.driver} drove`].filter(Boolean).join(', ')}
        </span>
        <Button
          variant="subtle"
          size="compact-sm"
          loading={busy}
          onClick={() =>
            void send(() =>
              dataOf(
                client.DELETE('/api/builds/{id}/notes/{note}', {
                  params: { path: { id: car.id, note: note.id } },
                }),
              ),
            )
          }
        >
          Take it out
        </Button>
      </div>
      <div>{note.felt}</div>
      {note.changed && <div className="quiet">changed: {note.changed}</div>}
      {note.measured.length > 0 && (
        <div className="small soft">measured in that hour: {note.measured.join('; ')}</div>
      )}
      <div className="small soft">noted by {note.by}</div>
    </article>
  )
}
