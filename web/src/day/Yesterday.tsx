import { Button, Modal } from '@mantine/core'
import { useState } from 'react'
import { useCatchUp } from '../api/catchup'
import { CatchUp } from '../catchup/CatchUp'
import { duration } from '../format/margin'
import { Section } from './Section'

/** What of the last working day is written down, and the place to write down the rest. */
export function Yesterday({ person }: { person: string }) {
  const [open, setOpen] = useState(false)
  const mine = useCatchUp(undefined)?.people.find((p) => p.personId === person)
  if (!mine || (mine.inMinutes === 0 && mine.written.length === 0)) return null
  const written = mine.written.reduce((sum, w) => sum + w.minutes, 0)
  return (
    <Section title="The day before">
      <Button
        fullWidth
        size="lg"
        variant="default"
        justify="space-between"
        rightSection={<span className="soft">write down the rest</span>}
        onClick={() => setOpen(true)}
      >
        {duration(written)} of {duration(mine.inMinutes)}
      </Button>
      <Modal opened={open} onClose={() => setOpen(false)} title="What did you do?" fullScreen>
        <CatchUp />
      </Modal>
    </Section>
  )
}
