import { type Car } from '../api/board'

/** What keeps the gate of a date shut: what is stale, what is not as it should be, and what nobody has planned to measure. */
export function GateLine({ gate }: { gate: Car['gates'][number] }) {
  const { date, stale, unplanned, open, missed } = gate
  const shut = stale.length + missed.length > 0
  return (
    <div aria-label={`Gate to ${date}`}>
      <div className="strong">
        {date}: <span className={shut ? 'hot' : 'quiet'}>{shut ? 'gate shut' : 'measured'}</span>
      </div>
      <div className="small soft">
        {[
          stale.length ? `to be measured anew: ${stale.join(', ')}` : 'nothing that it needs is stale',
          missed.length ? `not as it should be: ${missed.join(', ')}` : '',
          unplanned.length ? `nothing planned measures ${unplanned.join(', ')}` : '',
          open ? `${open} ${open === 1 ? 'job' : 'jobs'} open` : '',
        ]
          .filter(Boolean)
          .join('; ')}
      </div>
    </div>
  )
}
