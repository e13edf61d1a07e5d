import { Button, Group } from '@mantine/core'
import { Link } from 'react-router'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { type AskedFinding, useAskedFindings } from '../api/findings'
import { useSend } from '../api/send'
import { amount, hours } from '../format/money'
import { day } from '../format/time'
import layout from '../ui/layout.module.css'

/** What was found and costs more than goes ahead unasked: to be priced and put to the customer. */
export function ForCustomer({ manager }: { manager: boolean }) {
  const { car } = useBoard()
  const findings = useAskedFindings()
  if (findings.length === 0) return null
  return (
    <section className="panel" aria-label="For the customer">
      <h2>For the customer</h2>
      {findings.map((f) => (
        <div key={f.workId} className={`small ${layout.ruled}`}>
          <b>{car.get(f.buildId)?.number || car.get(f.buildId)?.name}</b> found: {f.name}{' '}
          <span className="soft">
            {hours(f.hours)}
            {manager && `, ${amount(f.price)} for the work`}
          </span>
          <Standing finding={f} />
          {manager && <Acts finding={f} />}
        </div>
      ))}
    </section>
  )
}

function Standing({ finding }: { finding: AskedFinding }) {
  const { board } = useBoard()
  const { state, at, decidedNote } = finding
  if (!state || !at) return <div className="strong">not put to the customer yet</div>
  if (state === 'OFFERED') return <div className="soft">asked {day(at, board.zone)}, no answer yet</div>
  if (state === 'ACCEPTED') return <div className="soft">yes, {day(at, board.zone)}; held again since</div>
  return (
    <div className="hot strong">
      no, {day(at, board.zone)}
      {decidedNote && <span className="soft">: {decidedNote}</span>}
    </div>
  )
}

function Acts({ finding }: { finding: AskedFinding }) {
  const { send, busy } = useSend()
  const path = { path: { id: finding.workId } }
  return (
    <Group gap={6} mt={4}>
      {finding.state !== 'OFFERED' && (
        <Button
          size="compact-xs"
          component={Link}
          to={`/ledger/${finding.buildId}?finding=${finding.workId}`}
        >
          {finding.state === 'REFUSED' ? 'Ask again' : 'Price it and ask'}
        </Button>
      )}
      {finding.state === 'OFFERED' && (
        <Button size="compact-xs" variant="default" component={Link} to={`/ledger/${finding.buildId}`}>
          Note the answer
        </Button>
      )}
      <Button
        size="compact-xs"
        variant="default"
        loading={busy}
        title="Done all the same; nothing is asked for it"
        onClick={() => void send(() => dataOf(client.POST('/api/works/{id}/release', { params: path })))}
      >
        Do it anyway
      </Button>
      {finding.state === 'REFUSED' && (
        <Button
          size="compact-xs"
          variant="default"
          loading={busy}
          title="Only where the car is safe without it"
          onClick={() => void send(() => dataOf(client.DELETE('/api/works/{id}', { params: path })))}
        >
          Take it off the list
        </Button>
      )}
    </Group>
  )
}
