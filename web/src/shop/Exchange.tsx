import { Button, FileInput, Group } from '@mantine/core'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { type Problem, upload } from '../api/client'
import { useSend } from '../api/send'
import { TakeIn } from '../ui/TakeIn'
import { Calendars } from './Calendars'
import { WallLinks } from './WallLinks'
import css from './shop.module.css'

/** The shop as a snapshot: out as a file, in from one where the shop is empty. */
export function Exchange({ changes }: { changes: boolean }) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const [file, setFile] = useState<File | null>(null)
  const [problems, setProblems] = useState<Problem[]>([])
  const empty = board.cars.length === 0 && board.people.length === 0
  const take = async () => {
    if (!file) return
    const done = await send(
      async () => {
        await upload('/api/snapshot', file)
        return true
      },
      (problem) => {
        setProblems(
          problem.problems.length > 0 ? problem.problems : [{ field: 'file', message: problem.message }],
        )
        return true
      },
    )
    if (done) setFile(null)
  }
  return (
    <div className={css.form}>
      <p>
        A snapshot is all that the planner plans with, as JSON. It can be kept, attached to a report, or
        planned again with <code>./galecrest bench plan FILE</code>.
      </p>
      <Group>
        <Button component="a" href="/api/snapshot" variant="default">
          Export the snapshot
        </Button>
        <a href="/api/snapshot.schema.json">Its schema</a>
      </Group>
      <p>The plan as it is now, with crews, stations and reasons, for a spreadsheet:</p>
      <Button component="a" href="/api/plan.csv" variant="default">
        Export the plan
      </Button>
      <p>The components of all cars with how long they live:</p>
      <Group>
        <Button component="a" href="/api/components.csv" variant="default">
          Export the components
        </Button>
        {changes && (
          <TakeIn<{ added: number }>
            to="/api/components/import"
            label="Take components in"
            said={(a) => (a.added ? `${a.added} new` : 'all of these were here; they are as the table says')}
          />
        )}
      </Group>
      {changes && <Calendars />}
      {changes && <WallLinks />}
      <FileInput
        mt="lg"
        label="Import a snapshot"
        description={
          empty
            ? 'The shop is empty; it takes the whole file or nothing.'
            : 'Only an empty shop can take one in.'
        }
        accept=".json,application/json"
        disabled={!empty}
        value={file}
        onChange={(f) => {
          setFile(f)
          setProblems([])
        }}
      />
      {problems.map((p, i) => (
        <div key={i} className="hot small" role="alert">
          {p.field}: {p.message}
        </div>
      ))}
      <Button mt="sm" disabled={!file} loading={busy} onClick={() => void take()}>
        Import
      </Button>
    </div>
  )
}
