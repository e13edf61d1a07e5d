import { TextInput } from '@mantine/core'
import { useRef, useState } from 'react'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import { useUnderstood } from '../api/understood'
import { SaidBack } from '../domain/SaidBack'
import layout from '../ui/layout.module.css'

/** What was begun of each car and not sent: it is there again with the car. */
const begun = new Map<string, string>()

/** The line that takes down a job, a hold, what is done, a finding, or what was fitted for now, in plain words. */
export function Capture({ car }: { car: string }) {
  const [text, setLine] = useState(begun.get(car) ?? '')
  const setText = (line: string) => {
    begun.set(car, line)
    setLine(line)
  }
  const [chosen, setChosen] = useState<string[]>([])
  const [error, setError] = useState<string>()
  const input = useRef<HTMLInputElement>(null)
  const { send, busy } = useSend()
  const understood = useUnderstood(car, text, chosen)
  const capture = async (picked: string[]) => {
    const as = await send(
      () =>
        dataOf(
          client.POST('/api/builds/{id}/capture', {
            params: { path: { id: car } },
            body: { text, chosen: picked },
          }),
        ),
      (problem) => {
        setError(problem.message)
        return true
      },
    )
    if (as) {
      setText('')
      setChosen([])
    }
    input.current?.focus()
  }
  return (
    <form
      className={layout.below}
      onSubmit={(e) => {
        e.preventDefault()
        void capture(chosen)
      }}
    >
      <TextInput
        id="capture"
        ref={input}
        aria-label="Write down a job, a hold, what is done or what was found"
        placeholder="hang bias cable, cockpit, 40 min"
        autoComplete="off"
        value={text}
        error={error}
        readOnly={busy}
        onChange={(e) => {
          setText(e.currentTarget.value)
          setChosen([])
          setError(undefined)
        }}
        onKeyDown={(e) => {
          if (e.key === 'Escape') e.currentTarget.blur()
        }}
      />
      {understood && !error ? (
        <SaidBack
          understood={understood}
          onChoose={(id) => {
            setChosen([...chosen, id])
            input.current?.focus()
          }}
        />
      ) : (
        <p className={`soft small ${layout.flat}`}>
          or: held for the manifold · found a weeping union, rear · bias cable, done · for now road springs
        </p>
      )}
    </form>
  )
}
