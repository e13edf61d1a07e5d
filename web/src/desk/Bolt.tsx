import { Select } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { client, dataOf } from '../api/client'
import layout from '../ui/layout.module.css'
import css from './desk.module.css'

const STRENGTHS = [
  { value: 'C4_8', label: '4.8' },
  { value: 'C5_8', label: '5.8' },
  { value: 'C8_8', label: '8.8' },
  { value: 'C10_9', label: '10.9' },
  { value: 'C12_9', label: '12.9' },
] as const
const FACES = [
  { value: 'DRY', label: 'dry' },
  { value: 'OILED', label: 'oiled' },
  { value: 'MOLY_PASTE', label: 'moly paste' },
] as const

type Strength = (typeof STRENGTHS)[number]['value']
type Face = (typeof FACES)[number]['value']

/** How a bolt of this thread may be tightened where the maker says nothing. */
export function Bolt({ thread }: { thread: string }) {
  const [strength, setStrength] = useState<Strength>('C8_8')
  const [lubrication, setLubrication] = useState<Face>('OILED')
  const bolt = useQuery({
    queryKey: ['bolt', thread, strength, lubrication],
    queryFn: () => dataOf(client.GET('/api/bolt', { params: { query: { thread, strength, lubrication } } })),
    retry: false,
  }).data
  if (!bolt) return null
  return (
    <div className={`small ${layout.belowThin}`} aria-label={`Bolt ${bolt.thread}`}>
      <div className={css.bolt}>
        <span>As a bolt {bolt.thread}</span>
        <Select
          size="xs"
          w={84}
          aria-label="Property class"
          data={STRENGTHS}
          allowDeselect={false}
          value={strength}
          onChange={(v) => v && setStrength(v as Strength)}
        />
        <Select
          size="xs"
          w={112}
          aria-label="Lubrication"
          data={FACES}
          allowDeselect={false}
          value={lubrication}
          onChange={(v) => v && setLubrication(v as Face)}
        />
        <b>{bolt.torque < 20 ? bolt.torque.toFixed(1) : Math.round(bolt.torque)} Nm</b>
      </div>
      <div className="soft">
        {bolt.stressArea.toFixed(1)} mm², proof load {bolt.proofLoad.toFixed(1)} kN, preload{' '}
        {bolt.preload.toFixed(1)} kN (75 % of proof). Steel in steel; the maker’s figure always wins.
      </div>
    </div>
  )
}
