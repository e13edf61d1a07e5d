import { Button, Group, Select } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import layout from '../ui/layout.module.css'
import css from './shop.module.css'

/** Private links to calendars of what was published, for a person, a station or a car. */
export function Calendars() {
  const { board, person, station, car, looked } = useBoard()
  const feeds = useQuery({
    queryKey: ['feeds', looked],
    queryFn: () => dataOf(client.GET('/api/feeds')),
    placeholderData: (before) => before,
  })
  const { send, busy } = useSend()
  const [whose, setWhose] = useState<string | null>(null)
  const add = () => {
    const [kind, subject] = (whose ?? '').split(' ') as [Schemas['FeedRequest']['kind'], string]
    void send(() => dataOf(client.POST('/api/feeds', { body: { kind, subject } })))
  }
  const name = (feed: Schemas['FeedResponse']) =>
    person.get(feed.subject)?.name ??
    station.get(feed.subject)?.name ??
    called(car.get(feed.subject)) ??
    'gone'
  return (
    <section aria-label="Calendar links" className={css.section}>
      <p>
        A calendar link shows what was published to whoever has it, in any calendar program, until it is
        revoked.
      </p>
      <Group align="end">
        <Select
          label="Whose calendar"
          searchable
          value={whose}
          onChange={setWhose}
          data={[
            { group: 'People', items: board.people.map((p) => ({ value: `PERSON ${p.id}`, label: p.name })) },
            {
              group: 'Stations',
              items: board.stations.map((s) => ({ value: `STATION ${s.id}`, label: s.name })),
            },
            {
              group: 'Cars',
              items: board.cars.map((c) => ({ value: `BUILD ${c.id}`, label: called(c) ?? c.name })),
            },
          ]}
        />
        <Button variant="default" disabled={!whose} loading={busy} onClick={add}>
          Make a link
        </Button>
      </Group>
      <table className={`plain ${layout.belowTight}`}>
        <tbody>
          {(feeds.data ?? []).map((feed) => (
            <tr key={feed.token}>
              <td className="strong">{name(feed)}</td>
              <td className={css.address}>
                <a href={`/feeds/${feed.token}.ics`}>{`${window.location.origin}/feeds/${feed.token}.ics`}</a>
              </td>
              <td>
                <button
                  className="link"
                  aria-label={`Revoke the link for ${name(feed)}`}
                  onClick={() =>
                    void send(() =>
                      dataOf(
                        client.DELETE('/api/feeds/{token}', { params: { path: { token: feed.token } } }),
                      ),
                    )
                  }
                >
                  revoke
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}

function called(car: Schemas['Car'] | undefined): string | undefined {
  return car && `${car.number} ${car.name}`.trim()
}
