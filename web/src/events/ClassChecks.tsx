import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { type RaceEvent } from '../api/events'
import { useLog } from '../api/gauges'
import layout from '../ui/layout.module.css'

/** The classes that were entered, with what they limit. */
export function useClasses(change: number) {
  return useQuery({
    queryKey: ['classes', change],
    queryFn: () => dataOf(client.GET('/api/classes')),
    placeholderData: (before) => before,
  }).data
}

/** What the class of an event limits, and whether each car that races was checked for it. */
export function ClassChecks({ event }: { event: RaceEvent }) {
  const { looked } = useBoard()
  const limits = useClasses(looked)?.find((c) => c.name === event.className)?.limits
  return (
    <section aria-label="Class">
      <h2>Class</h2>
      {!event.className && <p className="small soft">None is named.</p>}
      {event.className && (
        <p className="small">
          {event.className}.{' '}
          {limits ? (
            limits
              .map((l) =>
                [l.measure, l.least && `at least ${l.least}`, l.most && `at most ${l.most}`]
                  .filter(Boolean)
                  .join(' '),
              )
              .join('; ')
          ) : (
            <span className="soft">Its limits are not entered; the class check takes them in.</span>
          )}
        </p>
      )}
      {event.className &&
        event.cars
          .filter((c) => !c.spare)
          .map((c) => <OfCar key={c.buildId} build={c.buildId} called={c.called} name={event.className} />)}
    </section>
  )
}

function OfCar({ build, called, name }: { build: string; called: string; name: string }) {
  const { looked } = useBoard()
  const sheet = useLog(build, looked)?.find((m) => m.gauge === 'class-check' && !m.correctedBy)
  const other = sheet && String(sheet.asked?.class ?? '') !== name
  const wrong = !sheet || other || sheet.staleBecause
  return (
    <div className={`small ${layout.ruled}`}>
      <Link to={`/gauges/${build}/class-check`} className="strong">
        {called}
      </Link>{' '}
      <span className={wrong ? 'hot' : ''}>
        {!sheet
          ? 'not checked for its class'
          : other
            ? `checked for ${String(sheet.asked?.class ?? 'another class')} only`
            : sheet.staleBecause
              ? `stale: ${sheet.staleBecause}`
              : sheet.value}
      </span>
    </div>
  )
}
