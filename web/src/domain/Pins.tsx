import { Button, Select } from '@mantine/core'
import { useState } from 'react'
import { type Pin, useBoard, type Work } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { instantOf, when } from '../format/time'
import { MomentField } from '../ui/MomentField'
import layout from '../ui/layout.module.css'
import css from './domain.module.css'

type Kind = Schemas['PinRequest']['kind']

const KINDS: { value: Kind; label: string }[] = [
  { value: 'PERSON', label: 'this person' },
  { value: 'STATION', label: 'at this station' },
  { value: 'NOT_BEFORE', label: 'not before' },
  { value: 'EXACTLY', label: 'exactly then' },
  { value: 'AFTER', label: 'after this job' },
]

/** What the manager has settled about a job by hand; a pin that cannot hold says why. */
export function Pins({ work, canPin }: { work: Work; canPin: boolean }) {
  const { board, person, station, work: works } = useBoard()
  const { send, busy } = useSend()
  const [kind, setKind] = useState<Kind>('PERSON')
  const [value, setValue] = useState<string | null>(null)
  const [error, setError] = useState<string>()
  const pins = board.pins.filter((p) => p.workId === work.id)
  const said = (pin: Pin) => {
    switch (pin.kind) {
      case 'PERSON':
        return `${person.get(pin.personId ?? '')?.name} does it`
      case 'STATION':
        return `at ${station.get(pin.stationId ?? '')?.name}`
      case 'AFTER':
        return `after ${works.get(pin.firstId ?? '')?.name}`
      case 'NOT_BEFORE':
        return `not before ${when(pin.at ?? board.now, board.now, board.zone)}`
      case 'EXACTLY':
        return `exactly ${when(pin.at ?? board.now, board.now, board.zone)}`
    }
  }
  const timed = kind === 'NOT_BEFORE' || kind === 'EXACTLY'
  const pin = async () => {
    if (!value) {
      setError('Say which.')
      return
    }
    const body: Schemas['PinRequest'] = { workId: work.id, kind }
    if (kind === 'PERSON') body.personId = value
    else if (kind === 'STATION') body.stationId = value
    else if (kind === 'AFTER') body.firstId = value
    else {
      const at = instantOf(value, board.zone)
      if (!at) {
        setError('Say when.')
        return
      }
      body.at = at
    }
    const done = await send(
      () => dataOf(client.POST('/api/pins', { body })),
      (problem) => {
        setError(problem.message)
        return true
      },
    )
    if (done) setValue(null)
  }
  const options =
    kind === 'PERSON'
      ? board.people.map((p) => ({ value: p.id, label: p.name }))
      : kind === 'STATION'
        ? board.stations.map((s) => ({ value: s.id, label: s.name }))
        : board.works
            .filter((w) => w.buildId === work.buildId && w.id !== work.id && w.status !== 'DONE')
            .map((w) => ({ value: w.id, label: w.name }))
  return (
    <section aria-label="Pins" className={layout.belowTight}>
      {pins.map((p) => (
        <div key={p.id} className="small">
          <b>Pinned:</b> {said(p)}
          {p.broken && <span className="hot"> does not hold: {p.broken}</span>}{' '}
          {canPin && (
            <button
              className="link"
              onClick={() =>
                void send(() => dataOf(client.DELETE('/api/pins/{id}', { params: { path: { id: p.id } } })))
              }
            >
              take out
            </button>
          )}
        </div>
      ))}
      {canPin && work.status !== 'DONE' && (
        <div className={css.pin}>
          <Select
            size="xs"
            aria-label="Kind of pin"
            data={KINDS}
            value={kind}
            allowDeselect={false}
            onChange={(v) => {
              setKind((v ?? 'PERSON') as Kind)
              setValue(null)
              setError(undefined)
            }}
          />
          {timed ? (
            <MomentField
              size="xs"
              aria-label="Pin to"
              value={value ?? ''}
              error={error}
              onChange={(local) => {
                setValue(local)
                setError(undefined)
              }}
            />
          ) : (
            <Select
              size="xs"
              aria-label="Pin to"
              placeholder="which"
              searchable
              data={options}
              value={value}
              error={error}
              onChange={(v) => {
                setValue(v)
                setError(undefined)
              }}
            />
          )}
          <Button size="xs" variant="default" loading={busy} onClick={() => void pin()}>
            Pin
          </Button>
        </div>
      )}
    </section>
  )
}
