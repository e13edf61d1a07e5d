import { Button, FileInput, Group, Modal } from '@mantine/core'
import { useState } from 'react'
import type { Car } from '../api/board'
import { type Schemas, upload } from '../api/client'
import { useSend } from '../api/send'
import { work as length } from '../ui/say'

const MOST_SHOWN = 60

/** Reads a job sheet, shows what it would bring or what is wrong with it, and takes it whole or not at all. */
export function ImportSheet({ car, onClose }: { car: Car; onClose: () => void }) {
  const [file, setFile] = useState<File | null>(null)
  const [preview, setPreview] = useState<Schemas['Preview']>()
  const [error, setError] = useState<string>()
  const { send, busy } = useSend()
  const choose = async (chosen: File | null) => {
    setFile(chosen)
    setPreview(undefined)
    setError(undefined)
    if (!chosen) return
    const read = await send(
      () => upload<Schemas['Preview']>(`/api/builds/${car.id}/jobs/preview`, chosen),
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
      () => upload<Schemas['Imported']>(`/api/builds/${car.id}/jobs/import`, file),
      (problem) => {
        setError(problem.message)
        return true
      },
    )
    if (done) onClose()
  }
  const good = preview !== undefined && preview.problems.length === 0
  return (
    <Modal opened onClose={onClose} title={`Import jobs into the ${car.name}`} size="lg">
      <FileInput
        label="Job sheet (CSV)"
        placeholder="choose a file"
        accept=".csv,text/csv"
        value={file}
        error={error}
        onChange={(f) => void choose(f)}
        description={
          <>
            UTF-8, at most 2 MB. <a href="/api/job-sheet-example.csv">An example to start from</a>
          </>
        }
      />
      {preview && preview.problems.length > 0 && (
        <div style={{ marginTop: 12 }} role="alert">
          <b className="hot">
            {preview.problems.length} {preview.problems.length === 1 ? 'problem' : 'problems'}; nothing has
            been imported
          </b>
          <table className="plain">
            <tbody>
              {preview.problems.slice(0, MOST_SHOWN).map((p, i) => (
                <tr key={i}>
                  <td className="strong" style={{ whiteSpace: 'nowrap' }}>
                    {p.field}
                  </td>
                  <td>{p.message}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {good && (
        <div style={{ marginTop: 12, maxHeight: 340, overflow: 'auto' }}>
          <b>{preview.lines.length} jobs would be added</b>
          <table className="plain">
            <tbody>
              {preview.lines.map((l) => (
                <tr key={l.line}>
                  <td className="soft">{l.stage}</td>
                  <td>{l.job}</td>
                  <td className="right">{length(l.likelyMinutes)}</td>
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
