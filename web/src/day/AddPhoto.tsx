import { Button, FileButton } from '@mantine/core'
import { useState } from 'react'
import { upload } from '../api/client'
import { useSend } from '../api/send'

/** A photo of what is seen at the car, on its record. */
export function AddPhoto({ car }: { car: string }) {
  const { send, busy } = useSend()
  const [taken, setTaken] = useState(0)
  const add = async (file: File | null) => {
    if (!file) return
    const done = await send(async () => {
      await upload(`/api/builds/${car}/photos`, file)
      return true
    })
    if (done) setTaken((n) => n + 1)
  }
  return (
    <FileButton accept="image/jpeg,image/png" capture="environment" onChange={(file) => void add(file)}>
      {(props) => (
        <Button {...props} fullWidth size="lg" mt="md" variant="default" loading={busy}>
          {taken === 0 ? 'Add a photo' : `${taken} ${taken === 1 ? 'photo' : 'photos'} added; one more`}
        </Button>
      )}
    </FileButton>
  )
}
