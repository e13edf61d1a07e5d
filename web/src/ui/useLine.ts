import { type FormEvent, useState } from 'react'
import { useSend } from '../api/send'

/** A line that is typed and sent: what is wrong stands at it, and it is cleared once it was taken. */
export function useLine(post: (text: string) => Promise<unknown>) {
  const [text, setText] = useState('')
  const [error, setError] = useState<string>()
  const { send, busy } = useSend()
  const submit = (event: FormEvent) => {
    event.preventDefault()
    setError(undefined)
    void send(
      () => post(text).then(() => setText('')),
      (problem) => {
        setError(problem.problems.map((p) => p.message).join(' '))
        return problem.problems.length > 0
      },
    )
  }
  return { text, setText, error, busy, submit }
}
