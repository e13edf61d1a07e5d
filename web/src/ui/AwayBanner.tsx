import { Button } from '@mantine/core'
import { useEffect, useState } from 'react'
import { forgetNotSaved, useAway } from '../api/away'

const TICK_MILLIS = 1_000

/** Says on any screen what cannot be reached, what is not saved for it, and when it is back. */
export function AwayBanner() {
  const away = useAway()
  if (!away) return null
  if (!away.what)
    return (
      <div className="back" role="status">
        <span>
          Back again. <NotSaved what={away.notSaved} /> Do it again where it is still wanted.
        </span>
        <Button size="compact-sm" variant="default" onClick={forgetNotSaved}>
          I have read it
        </Button>
      </div>
    )
  if (away.what === 'news')
    return (
      <div className="lost" role="alert">
        News of what others do does not come through, for <Since key={away.since} since={away.since} /> now.
        What you see may be old; it is being restored.
      </div>
    )
  return (
    <div className="lost" role="alert">
      {away.what === 'database' ? 'The database is away' : 'The server cannot be reached'}, for{' '}
      <Since key={away.since} since={away.since} /> now. What you see may be old, and nothing can be saved;
      what you typed stays, and this line goes when it is back. <NotSaved what={away.notSaved} />
    </div>
  )
}

function NotSaved({ what }: { what: string[] }) {
  return what.length > 0 && <b>Not saved: {what.join('; ')}.</b>
}

function Since({ since }: { since: number }) {
  const [now, setNow] = useState(since)
  useEffect(() => {
    const timer = window.setInterval(() => setNow(Date.now()), TICK_MILLIS)
    return () => window.clearInterval(timer)
  }, [])
  const seconds = Math.max(0, Math.round((now - since) / 1000))
  return <>{seconds < 60 ? `${seconds} s` : `${Math.floor(seconds / 60)} min`}</>
}
