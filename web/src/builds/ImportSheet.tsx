import { Button, FileInput, Group, Modal } from '@mantine/core'
import { useState } from 'react'
import type { Car } from '../api/board'
import { type Schemas, upload } from '../api/client'
import { useSend } from '../api/send'
import { duration } from '../format/margin'
import { days } from '../format/margin'
import layout from '../ui/layout.module.css'
import css from './builds.module.css'

const MOST_SHOWN = 60

/** One sheet of each kind: where it goes, what its lines show. */
const KINDS = {
  jobs: {
    title: 'Import jobs into the',
    label: 'Job sheet (CSV)',
    one: 'job',
    many: 'jobs',
    cells: (l: Schemas['JobLinePreview']) => [l.stage, l.job, duration(l.likelyMinutes)],
  },
  parts: {
    title: 'Import parts for the',
    label: 'Parts (CSV)',
    one: 'part',
    many: 'parts',
    cells: (l: Schemas['PartLinePreview']) => [l.vendor, l.part, `${l.quantity} ×`],
  },
  outwork: {
    title: 'Import outside work for the',
    label: 'Outside work (CSV)',
    one: 'piece of outside work',
    many: 'pieces of outside work',
    cells: (l: Schemas['OutworkLinePreview']) => [l.vendor, l.work, days(l.likelyDays)],
  },
} as const

interface Preview {
  lines: { line: number }[]
  problems: Schemas['Problem'][]
}

interface Props {
  car: Car
  kind: keyof typeof KINDS
  onClose: () => void
}

/** Reads a sheet, shows what it would bring or what is wrong with it, and takes it whole or not at all. */
export function ImportSheet({ car, kind, onClose }: Props) {
  const said = KINDS[kind]
  const cells = said.cells as (line: { line: number }) => string[]
  const [file, setFile] = useState<File | null>(null)
  const [preview, setPreview] = useState<Preview>()
  const [error, setError] = useState<string>()
  const { send, busy } = useSend()
  const choose = async (chosen: File | null) => {
    setFile(chosen)
    setPreview(undefined)
    setError(undefined)
    if (!chosen) return
    const read = await send(
      () => upload<Preview>(`/api/builds/${car.id}/${kind}/preview`, chosen),
      (problem) => {
        setError(problem.message)
        return true
      },
    )
    if (read) setPreview(read)
  }
  const take = async () => {
    if (!file) return
    const done = await send(
      () => upload<object>(`/api/builds/${car.id}/${kind}/import`, file),
      (problem) => {
        setError(problem.message)
        return true
      },
    )
    if (done) onClose()
  }
  const good = preview !== undefined && preview.problems.length === 0
  return (
    <Modal opened onClose={onClose} title={`${said.title} ${car.name}`} size="lg">
      <FileInput
        label={said.label}
        placeholder="choose a file"
        accept=".csv,text/csv"
        value={file}
        error={error}
        onChange={(f) => void choose(f)}
        description={
          <>
            UTF-8, at most 2 MB.{' '}
            <a href={kind === 'jobs' ? '/api/job-sheet-example.csv' : `/api/builds/${car.id}/${kind}.csv`}>
              {kind === 'jobs' ? 'An example to start from' : 'What is there now, to start from'}
            </a>
          </>
        }
      />
      {preview && preview.problems.length > 0 && (
        <div className={layout.below} role="alert">
          <b className="hot">
            {preview.problems.length} {preview.problems.length === 1 ? 'problem' : 'problems'}; nothing has
            been imported
          </b>
          <table className="plain">
            <tbody>
              {preview.problems.slice(0, MOST_SHOWN).map((p, i) => (
                <tr key={i}>
                  <td className={`strong ${layout.nowrap}`}>{p.field}</td>
                  <td>{p.message}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {good && (
        <div className={css.preview}>
          <b>
            {preview.lines.length} {preview.lines.length === 1 ? said.one : said.many} would be added
          </b>
          <table className="plain">
            <tbody>
              {preview.lines.map((l) => (
                <tr key={l.line}>
                  <td className="soft">{cells(l)[0]}</td>
                  <td>{cells(l)[1]}</td>
                  <td className="right">{cells(l)[2]}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <Group mt={14} gap={8}>
        <Button disabled={!good} loading={busy} onClick={() => void take()}>
          Import
        </Button>
        <Button variant="default" onClick={onClose}>
          Never mind
        </Button>
      </Group>
    </Modal>
  )
}
