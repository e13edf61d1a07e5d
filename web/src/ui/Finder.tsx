import { Spotlight, spotlight, type SpotlightActionData } from '@mantine/spotlight'
import { useEffect, useMemo, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import { isCar, useBoard } from '../api/board'
import type { Schemas } from '../api/client'
import { useGauges } from '../api/gauges'

export const openFinder = () => spotlight.open()

/** Finds any car, job, part, person, gauge or action. */
export function Finder({ account }: { account: Schemas['Account'] }) {
  const present = useBoard()
  // The board as it was when the finder was opened last: a closed finder has nothing to do at each change.
  const [{ board, car }, look] = useState(present)
  const latest = useRef(present)
  useEffect(() => {
    latest.current = present
  })
  const navigate = useNavigate()
  const gauges = useGauges()
  const actions = useMemo(() => {
    const all: SpotlightActionData[] = [
      ...[
        ['Walkround', '/walk'],
        ['Runway', '/runway'],
        ['Events', '/events'],
        ['People and shifts', '/shop/people'],
        ['Stations', '/shop/stations'],
        ['Vendors', '/shop/vendors'],
        ['House rules', '/shop/rules'],
        ['What disturbs what', '/shop/stale'],
        ['Gates and steps', '/shop/gates'],
        ['Units', '/shop/units'],
        ['Journal', '/shop/journal'],
      ].map(([label, path]) => ({
        id: `go ${path}`,
        label,
        description: 'room',
        onClick: () => navigate(path!),
      })),
      ...board.cars.map((c) => ({
        id: c.id,
        label: `${c.number} ${c.name}`.trim(),
        description: c.discipline,
        keywords: [c.customer, 'car', 'build'],
        onClick: () =>
          navigate(account.role === 'HAND' || !isCar(c) ? `/build/${c.id}` : `/walk?car=${c.id}`),
      })),
      ...board.cars.filter(isCar).map((c) => ({
        id: `rollout ${c.id}`,
        label: `Roll-out and gates of ${`${c.number} ${c.name}`.trim()}`,
        description: 'roll-out',
        keywords: ['gate', 'first fire', 'step'],
        onClick: () => navigate(`/rollout/${c.id}`),
      })),
      ...gauges.map((g) => ({
        id: `gauge ${g.name}`,
        label: g.title,
        description: 'gauge',
        onClick: () =>
          navigate(`/gauges/${board.cars.find((c) => !c.parked && isCar(c))?.id ?? ''}/${g.name}`),
      })),
      ...board.people.map((p) => ({
        id: p.id,
        label: p.name,
        description: p.skills.map((s) => s.skill).join(', '),
        onClick: () => navigate(`/shop/people?person=${p.id}`),
      })),
      ...board.works.map((w) => {
        const of = car.get(w.buildId)
        return {
          id: w.id,
          label: w.name,
          description: `${of?.number ?? ''} ${of?.name ?? ''}`.trim(),
          onClick: () => navigate(`/build/${w.buildId}?work=${w.id}`),
        }
      }),
      ...board.parts.map((p) => ({
        id: p.id,
        label: p.name,
        description: `part, ${car.get(p.buildId)?.name ?? ''}`,
        onClick: () => navigate(`/build/${p.buildId}?part=${p.id}`),
      })),
    ]
    if (account.role === 'MANAGER') {
      all.unshift({
        id: 'new build',
        label: 'New build',
        description: 'from a template',
        onClick: () => navigate('/build?new'),
      })
    }
    return all
  }, [board, car, gauges, navigate, account.role])
  return useMemo(
    () => (
      <Spotlight
        actions={actions}
        limit={12}
        shortcut={null}
        scrollable
        nothingFound="Nothing of that name in the shop."
        searchProps={{ placeholder: 'A car, job, part, person, gauge or action' }}
        onSpotlightOpen={() => look(latest.current)}
      />
    ),
    [actions],
  )
}
