import { Button, Modal } from '@mantine/core'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { type Limit, useLimits } from '../api/dyno'
import { useSend } from '../api/send'
import layout from '../ui/layout.module.css'
import css from './dyno.module.css'

type Row = Omit<Limit, 'usual'>

/** What a car's runs are looked through for, and where that is changed: the maker's figure goes before the usual one. */
export function Limits({ car, channels }: { car: string; channels: string[] }) {
  const { looked } = useBoard()
  const limits = useLimits(car, looked)
  const [open, setOpen] = useState(false)
  if (!limits) return null
  return (
    <>
      <Button size="compact-xs" variant="default" onClick={() => setOpen(true)}>
        {limits.some((l) => !l.usual) ? "The car's own limits" : 'Limits: the usual ones'}
      </Button>
      {open && <Change car={car} channels={channels} limits={limits} onClose={() => setOpen(false)} />}
    </>
  )
}

interface Props {
  car: string
  channels: string[]
  limits: Limit[]
  onClose: () => void
}

function Change({ car, channels, limits, onClose }: Props) {
  const [rows, setRows] = useState<Row[]>(limits)
  const [wrong, setWrong] = useState<Record<string, string>>({})
  const { send, busy } = useSend()
  const set = (i: number, part: Partial<Row>) =>
    setRows(rows.map((row, k) => (k === i ? { ...row, ...part } : row)))
  const save = (kept: Row[]) =>
    void send(
      () =>
        dataOf(
          client.PUT('/api/builds/{id}/review-limits', {
            params: { path: { id: car } },
            body: kept.map(({ channel, floor, watch, per1000 }) => ({ channel, floor, watch, per1000 })),
          }),
        ).then(() => true),
      (problem) => {
        setWrong(Object.fromEntries(problem.problems.map((p) => [p.field, p.message])))
        return problem.problems.length > 0
      },
    ).then((done) => done && onClose())
  const free = channels.filter((c) => !rows.some((r) => r.channel === c))
  return (
    <Modal opened onClose={onClose} title="What the runs of this car are looked through for" size="lg">
      <div className={layout.column}>
        <table className={css.limits}>
          <thead>
            <tr>
              {['channel', '', 'watch', 'and per 1000 rpm', ''].map((h, i) => (
                <th key={i}>{h}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row, i) => (
              <tr key={row.channel}>
                <td>{row.channel}</td>
                <td>
                  <select
                    aria-label={`${row.channel}, which side`}
                    value={row.floor ? 'floor' : 'ceiling'}
                    onChange={(e) => set(i, { floor: e.currentTarget.value === 'floor' })}
                  >
                    <option value="ceiling">stays below</option>
                    <option value="floor">stays above</option>
                  </select>
                </td>
                {(['watch', 'per1000'] as const).map((field) => (
                  <td key={field}>
                    <input
                      aria-label={`${row.channel}, ${field === 'watch' ? 'watch' : 'per 1000 rpm'}`}
                      value={row[field]}
                      onChange={(e) => set(i, { [field]: e.currentTarget.value })}
                    />
                    {wrong[`limits.${i}.${field}`] && (
                      <div className="small hot">{wrong[`limits.${i}.${field}`]}</div>
                    )}
                  </td>
                ))}
                <td>
                  <Button
                    size="compact-xs"
                    variant="subtle"
                    aria-label={`no limit for ${row.channel}`}
                    onClick={() => setRows(rows.filter((_, k) => k !== i))}
                  >
                    ×
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {free.length > 0 && (
          <select
            aria-label="another channel"
            value=""
            onChange={(e) =>
              setRows([...rows, { channel: e.currentTarget.value, floor: false, watch: '', per1000: '' }])
            }
          >
            <option value="">another channel …</option>
            {free.map((c) => (
              <option key={c}>{c}</option>
            ))}
          </select>
        )}
        <p className="small soft">
          The usual ones are common practice; what the maker says goes before them.
        </p>
        <div className={layout.row}>
          <Button size="compact-md" loading={busy} onClick={() => save(rows)}>
            Keep these
          </Button>
          <Button size="compact-md" variant="default" onClick={() => save([])}>
            Back to the usual ones
          </Button>
        </div>
      </div>
    </Modal>
  )
}
