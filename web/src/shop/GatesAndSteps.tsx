import { NativeSelect, SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { GateLines } from '../gates/GateLines'
import { Steps } from '../gates/Steps'
import layout from '../ui/layout.module.css'

/** What gates ask and how a car is rolled out: of the house, and of each discipline that has lists of its own. */
export function GatesAndSteps({ changes }: { changes: boolean }) {
  const { board } = useBoard()
  const [what, setWhat] = useState('gates')
  const [discipline, setDiscipline] = useState('')
  const disciplines = [...new Set(board.cars.map((c) => c.discipline).filter(Boolean))].sort()
  const whose = { discipline }
  return (
    <>
      <div className={layout.row}>
        <SegmentedControl
          value={what}
          onChange={setWhat}
          data={[
            { value: 'gates', label: 'What gates ask' },
            { value: 'steps', label: 'Steps of the roll-out' },
          ]}
        />
        <NativeSelect
          aria-label="For"
          value={discipline}
          data={[{ value: '', label: 'the house' }, ...disciplines]}
          onChange={(e) => setDiscipline(e.currentTarget.value)}
        />
      </div>
      {what === 'gates' ? (
        <GateLines whose={whose} changes={changes} />
      ) : (
        <Steps whose={whose} changes={changes} />
      )}
    </>
  )
}
