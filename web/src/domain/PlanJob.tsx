import { Button } from '@mantine/core'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import { when } from '../format/time'

interface Props {
  car: string
  name: string
  minutes: number
  /** The skill that it takes where the shop has it; else the first that somebody has. */
  skill: string
  note: string
  changes: boolean
}

/** Makes a job before the event of what is only said to be due; where it is one already, when the plan has it. */
export function PlanJob({ car, name, minutes, skill, note, changes }: Props) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const there = board.works.find((w) => w.buildId === car && w.name === name && w.status !== 'DONE')
  if (there) {
    return (
      <span className="small soft">
        {' '}
        is planned{there.placed && `, done ${when(there.placed.end, board.now, board.zone)}`}
      </span>
    )
  }
  if (!changes) return null
  const skills = board.people.flatMap((p) => p.skills.map((s) => s.skill))
  const plan = () =>
    void send(() =>
      dataOf(
        client.POST('/api/jobs', {
          body: {
            buildId: car,
            stage: 'Service',
            note,
            after: [],
            version: 0,
            spec: {
              name,
              zone: 'ENGINE_BAY',
              onCar: true,
              wholeCar: false,
              lowMinutes: Math.round(minutes * 0.75),
              likelyMinutes: minutes,
              highMinutes: Math.round(minutes * 1.5),
              crew: [{ skill: skills.includes(skill) ? skill : (skills[0] ?? skill), least: 'ABLE' }],
              stationKind: '',
              oneGo: false,
              cureMinutes: 0,
              cureLock: 'NOTHING',
              gate: 'EVENT',
              essential: true,
              findPercent: 0,
              findMinutes: 0,
            },
          },
        }),
      ),
    )
  return (
    <Button size="compact-xs" variant="default" loading={busy} aria-label={`Plan ${name}`} onClick={plan}>
      Plan it
    </Button>
  )
}
