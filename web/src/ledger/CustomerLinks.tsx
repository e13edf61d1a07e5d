import { Button, Checkbox, Group, NumberInput } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { type Car, useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import { day } from '../format/time'
import layout from '../ui/layout.module.css'
import css from './ledger.module.css'

/** Links to the customer's page: made, told once, revoked. */
export function CustomerLinks({ car }: { car: Car }) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const [days, setDays] = useState<number | string>(60)
  const [money, setMoney] = useState(false)
  const [made, setMade] = useState<string>()
  const links = useQuery({
    queryKey: ['customer-links', car.id],
    queryFn: () =>
      dataOf(client.GET('/api/builds/{build}/customer-links', { params: { path: { build: car.id } } })),
  })
  const make = async () => {
    const link = await send(() =>
      dataOf(
        client.POST('/api/builds/{build}/customer-links', {
          params: { path: { build: car.id } },
          body: { days: Number(days), money },
        }),
      ),
    )
    if (link) setMade(window.location.origin + link.path)
  }
  return (
    <section className="panel" aria-label="Customer's page">
      <h2>Customer’s page</h2>
      {made && (
        <p className={`small ${layout.flush}`}>
          Send this to {car.customer || 'the customer'}; it is shown this once:
          <br />
          <a href={made} target="_blank" rel="noreferrer" className={css.address}>
            {made}
          </a>
        </p>
      )}
      {(links.data ?? []).map((l) => {
        const ended = l.revokedAt !== undefined || l.expiresAt <= board.now
        return (
          <div key={l.id} className={`small ${css.charge}`}>
            <span className={ended ? 'soft' : ''}>
              made {day(l.madeAt, board.zone)},{' '}
              {l.revokedAt ? 'revoked' : `${ended ? 'ended' : 'until'} ${day(l.expiresAt, board.zone)}`}
              {l.money && ', with money'}
            </span>
            {!ended && (
              <button
                className="link"
                onClick={() =>
                  void send(() =>
                    dataOf(
                      client.POST('/api/customer-links/{id}/revoke', { params: { path: { id: l.id } } }),
                    ),
                  )
                }
              >
                revoke
              </button>
            )}
          </div>
        )
      })}
      <Group gap={8} mt={6} align="end">
        <NumberInput size="xs" label="Days" w={80} value={days} onChange={setDays} />
        <Checkbox
          size="xs"
          label="shows money"
          mb={6}
          checked={money}
          onChange={(e) => setMoney(e.currentTarget.checked)}
        />
        <Button size="xs" variant="default" loading={busy} onClick={() => void make()}>
          Make a link
        </Button>
        <Button
          size="xs"
          variant="default"
          component="a"
          target="_blank"
          href={`/api/builds/${car.id}/customer-report.pdf?money=${money}`}
        >
          Report (PDF)
        </Button>
      </Group>
    </section>
  )
}
