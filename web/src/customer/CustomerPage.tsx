import { Button, Loader, Textarea, TextInput } from '@mantine/core'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useParams } from 'react-router'
import {
  AGAIN_MILLIS,
  client,
  dataOf,
  isAwayError,
  ProblemError,
  tooOften,
  type Schemas,
} from '../api/client'
import { Effects } from '../domain/Effects'
import { amount } from '../format/money'
import { Nothing } from '../ui/Nothing'
import { day, speak, when } from '../format/time'
import layout from '../ui/layout.module.css'
import css from './customer.module.css'

type Page = Schemas['CustomerPageResponse']
type Change = Schemas['CustomerChange']

/** The one honest page of a customer: how far, what next, what waits for them, when, photos, money. */
export function CustomerPage() {
  const token = useParams().token ?? ''
  const page = useQuery({
    queryKey: ['customer', token],
    queryFn: () => dataOf(client.GET('/api/customer/{token}', { params: { path: { token } } })),
    retry: false,
    refetchInterval: (query) => (isAwayError(query.state.error) ? AGAIN_MILLIS : 120_000),
  })
  if (page.isPending || (!page.data && isAwayError(page.error)))
    return (
      <div className={layout.centred}>
        <Loader aria-label="Loading" />
      </div>
    )
  if (!page.data)
    return (
      <Nothing
        title="There is no page here"
        text={tooOften(page.error) ?? 'The link may have ended. Ask the shop for a new one.'}
      />
    )
  const p = page.data
  speak(p.says)
  return (
    <main className={css.page}>
      <div className="soft">{p.shop}</div>
      <h1 className={css.title}>
        <span className="number">{p.number}</span> {p.car}
      </h1>
      {p.waitsForYou.length > 0 && (
        <section className={`panel ${css.decision}`} aria-label="Waits for you">
          <h2>Waits for you</h2>
          <ul className={css.findings}>
            {p.waitsForYou.map((w) => (
              <li key={w}>{w}</li>
            ))}
          </ul>
        </section>
      )}
      {p.changes.map((c) => (
        <Answer key={c.id} change={c} page={p} token={token} />
      ))}
      <Dates page={p} />
      <Progress page={p} />
      {p.money && (
        <section className={`panel ${css.before}`} aria-label="Money">
          <h2>Money, {p.currency}</h2>
          <table className="plain">
            <tbody>
              {(
                [
                  ['agreed, net', p.money.agreed],
                  ['done so far, net', p.money.spent],
                  ['tax on it', p.money.tax],
                  ['paid', p.money.paid],
                  ['open', p.money.owed],
                ] as const
              ).map(([name, value]) => (
                <tr key={name}>
                  <td>{name}</td>
                  <td className="right">{amount(value)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      )}
      {p.measured.length > 0 && (
        <section className={`panel ${css.before}`} aria-label="Measured">
          <h2>Measured</h2>
          <table className="plain">
            <tbody>
              {p.measured.map((m) => (
                <tr key={m.what}>
                  <td>{m.what}</td>
                  <td>{m.value}</td>
                  <td className="soft">{day(m.at, p.zone)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      )}
      {p.photos.length > 0 && (
        <section aria-label="Photos" className={css.released}>
          <h2 className={css.sectionTitle}>Photos</h2>
          <div className={css.gallery}>
            {p.photos.map((f) => (
              <a key={f.id} href={`/api/customer/${token}/photos/${f.id}`} target="_blank" rel="noreferrer">
                <img
                  src={`/api/customer/${token}/photos/${f.id}/small`}
                  alt={f.caption || 'the car'}
                  className={css.photo}
                />
                <span className="small">
                  {f.caption} {day(f.at, p.zone)}
                </span>
              </a>
            ))}
          </div>
        </section>
      )}
      <p className={`small soft ${css.fineprint}`}>
        As of {when(p.now, p.now, p.zone)}. <a href={`/api/customer/${token}/report.pdf`}>The same as PDF</a>
      </p>
    </main>
  )
}

function Dates({ page }: { page: Page }) {
  return (
    <section className="panel" aria-label="Dates">
      <h2>When</h2>
      {page.dates.map((d) => (
        <div key={d.name} className={css.row}>
          <b>{d.name}</b> <span className="soft">{day(d.due, page.zone)}</span>
          <div>
            {d.likelyBy && d.almostSurelyBy ? (
              <>
                likely ready by <b>{day(d.likelyBy, page.zone)}</b>, almost surely by{' '}
                <b>{day(d.almostSurelyBy, page.zone)}</b>
                {d.almostSurelyBy > d.due && <span className="hot"> — it is not sure to make it</span>}
              </>
            ) : d.planned ? (
              <>planned for {day(d.planned, page.zone)}</>
            ) : (
              <span className="hot">cannot be said yet</span>
            )}
          </div>
        </div>
      ))}
      {page.dates.length === 0 && <span className="soft">No date is agreed yet.</span>}
    </section>
  )
}

function Progress({ page }: { page: Page }) {
  return (
    <section className={`panel ${css.before}`} aria-label="Progress">
      <h2>
        How far: {page.done} of {page.total} jobs
      </h2>
      {page.stages.map((s) => (
        <div key={s.name} className={css.hoursRow}>
          <span>{s.name}</span>
          <svg
            height="12"
            width="100%"
            viewBox="0 0 100 12"
            preserveAspectRatio="none"
            aria-hidden="true"
            className={css.outline}
          >
            <rect x="0" y="5" width="100" height="2" fill="var(--line)" />
            <rect x="0" y="2" width={(s.done / s.total) * 100} height="8" fill="var(--quiet)" />
          </svg>
          <span className="right soft">
            {s.done}/{s.total}
          </span>
        </div>
      ))}
      {page.doing.length > 0 && (
        <p className={css.paragraph}>
          <b>Going on:</b> {page.doing.join(', ')}
        </p>
      )}
      {page.next.length > 0 && (
        <p className={css.answer}>
          <b>Next:</b> {page.next.join(', ')}
        </p>
      )}
    </section>
  )
}

/** A change with its price and its days; the customer says yes or no with a name. */
function Answer({ change, page, token }: { change: Change; page: Page; token: string }) {
  const queries = useQueryClient()
  const [name, setName] = useState('')
  const [note, setNote] = useState('')
  const [wrong, setWrong] = useState<string>()
  const [busy, setBusy] = useState(false)
  const answer = async (accept: boolean) => {
    setBusy(true)
    try {
      // The token against forged requests comes with the first answer of the server.
      await client.GET('/api/me')
      await dataOf(
        client.POST('/api/customer/{token}/changes/{id}', {
          params: { path: { token, id: change.id } },
          body: { accept, name, note },
        }),
      )
      await queries.invalidateQueries({ queryKey: ['customer', token] })
    } catch (error) {
      setWrong(error instanceof ProblemError ? error.message : String(error))
    } finally {
      setBusy(false)
    }
  }
  return (
    <section className={`panel ${css.after}`} aria-label={change.title}>
      <div className={layout.spread}>
        <b>{change.title}</b>
        <b>{amount(change.total, page.currency)} net</b>
      </div>
      {change.note && <p className={css.line}>{change.note}</p>}
      <Effects effects={change.effect} nameOf={(e) => e.name ?? ''} zone={page.zone} days />
      {change.state === 'OFFERED' ? (
        <>
          <TextInput
            label="Your name"
            value={name}
            onChange={(e) => setName(e.currentTarget.value)}
            error={wrong}
          />
          <Textarea
            label="A word, if you like"
            mt={6}
            autosize
            minRows={1}
            value={note}
            onChange={(e) => setNote(e.currentTarget.value)}
          />
          <div className={css.fields}>
            <Button size="md" loading={busy} onClick={() => void answer(true)}>
              Yes, do it
            </Button>
            <Button size="md" loading={busy} variant="default" onClick={() => void answer(false)}>
              No
            </Button>
          </div>
        </>
      ) : (
        <div className="strong">
          {change.state === 'ACCEPTED' ? 'Accepted' : 'Refused'} by {change.decidedBy}
        </div>
      )}
    </section>
  )
}
