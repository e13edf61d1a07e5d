import { Button, FileButton } from '@mantine/core'
import { useState } from 'react'
import { upload } from '../api/client'
import { useSend } from '../api/send'

interface Props<T> {
  to: string
  label?: string
  /** What was taken in, in words. */
  said: (answer: T) => string
}

/** Takes a table in as a file, wholly or not at all, and says what came of it. */
export function TakeIn<T>({ to, label = 'Take a CSV in', said: words }: Props<T>) {
  const { send, busy } = useSend()
  const [said, setSaid] = useState('')
  const takeIn = (file: File | null) => {
    if (!file) return
    setSaid('')
    void send(
      () => upload<T>(to, file),
      (problem) => {
        setSaid(problem.problems.map((p) => `${p.field}: ${p.message}`).join(' ') || problem.message)
        return true
      },
    ).then((answer) => answer && setSaid(words(answer)))
  }
  return (
    <>
      <FileButton accept=".csv,text/csv" onChange={takeIn}>
        {(props) => (
          <Button {...props} variant="default" size="compact-sm" loading={busy}>
            {label}
          </Button>
        )}
      </FileButton>
      <div aria-live="polite">{said}</div>
    </>
  )
}
