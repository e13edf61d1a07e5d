import { Button } from '@mantine/core'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import { duration } from '../format/margin'
import css from './domain.module.css'

/** What people say of a job that is not done yet. */
const USUAL = [30, 60, 120, 240]

/** "It needs two hours more", in one tap. */
export function MoreTime({ work, big }: { work: string; big?: boolean }) {
  const { send, busy } = useSend()
  return (
    <div className={css.moreTime} role="group" aria-label="Needs more time">
      <span className="soft small">needs more:</span>
      {USUAL.map((minutes) => (
        <Button
          key={minutes}
          size={big ? 'md' : 'compact-sm'}
          px={big ? 10 : undefined}
          variant="default"
          disabled={busy}
          aria-label={`Needs ${duration(minutes)} more`}
          onClick={() =>
            void send(() =>
              dataOf(
                client.POST('/api/works/{id}/more', { params: { path: { id: work } }, body: { minutes } }),
              ),
            )
          }
        >
          {duration(minutes)}
        </Button>
      ))}
    </div>
  )
}
