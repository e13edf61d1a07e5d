import { TextInput } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { useState } from 'react'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import layout from '../ui/layout.module.css'

/** The line that takes down a job, a hold, a finding, or what was fitted for now. */
export function Capture({ car }: { car: string }) {
  const [text, setText] = useState('')
  const [error, setError] = useState<string>()
  const { send, busy } = useSend()
  const capture = async () => {
    const as = await send(
      () =>
        dataOf(client.POST('/api/builds/{id}/capture', { params: { path: { id: car } }, body: { text } })),
      (problem) => {
        setError(problem.message)
        return true
      },
    )
    if (as) {
      setText('')
      notifications.show({ title: 'Taken down', message: as.said, color: 'quiet' })
    }
  }
  return (
    <form
      className={layout.below}
      onSubmit={(e) => {
        e.preventDefault()
        void capture()
      }}
    >
      <TextInput
        id="capture"
        aria-label="Write down a job, a hold or a finding"
        placeholder="hang bias cable, cockpit, 40m"
        description="or: held part: manifold · finding: weeping union, rear · for now: road springs"
        inputWrapperOrder={['label', 'input', 'error', 'description']}
        value={text}
        error={error}
        disabled={busy}
        onChange={(e) => {
          setText(e.currentTarget.value)
          setError(undefined)
        }}
        onKeyDown={(e) => {
          if (e.key === 'Escape') e.currentTarget.blur()
        }}
      />
    </form>
  )
}
