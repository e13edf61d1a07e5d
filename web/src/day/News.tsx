import { Button } from '@mantine/core'
import { useEffect, useRef, useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { when } from '../format/time'
import css from './day.module.css'

/** What the last publishing changed for this hand, until it says that it has seen it. */
export function News({ day: mine }: { day: Schemas['MyDayResponse'] }) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const [open, setOpen] = useState(false)
  const published = mine.publishedAt
  const seen = useRef<string>(undefined)
  const nothing = mine.changes.length === 0
  useEffect(() => {
    if (!published || !nothing || seen.current === published) return
    seen.current = published
    void client.POST('/api/my-day/looked')
  }, [published, nothing])
  if (!published) return <p className="soft">Nothing has been published yet. Ask what is next.</p>
  if (nothing) return null
  return (
    <section className={`panel ${css.alert}`} aria-label="What changed">
      <button className={`link strong hot ${css.fold}`} aria-expanded={open} onClick={() => setOpen(!open)}>
        {mine.changes.length} changed {when(published, board.now, board.zone)}: {open ? 'fold away' : 'show'}
      </button>
      {open && (
        <ul className={css.news}>
          {mine.changes.map((c) => (
            <li key={c.workId}>{c.said}</li>
          ))}
        </ul>
      )}
      <Button
        fullWidth
        size="lg"
        variant="default"
        loading={busy}
        onClick={() => void send(() => dataOf(client.POST('/api/my-day/looked')))}
      >
        Seen
      </Button>
    </section>
  )
}
