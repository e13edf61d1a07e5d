import type { PersonDay } from '../api/catchup'
import type { Schemas } from '../api/client'

/** What is about to be said of one person and one job. */
export interface Draft {
  key: string
  personId: string
  workId: string
  minutes?: number
  done: boolean
  /** Whether it is to be written down. */
  on: boolean
}

/** What was planned of the day and is not written down, to be ticked. */
export function planned(people: PersonDay[]): Draft[] {
  return people.flatMap((p) =>
    p.planned.map((j) => ({
      key: `${p.personId} ${j.workId}`,
      personId: p.personId,
      workId: j.workId,
      minutes: j.minutes,
      done: false,
      on: false,
    })),
  )
}

/** Lines as they are sent: who did the same job for as long is on one line. */
export function linesOf(drafts: Draft[]): Schemas['DoneLine'][] {
  const lines = new Map<string, Schemas['DoneLine']>()
  for (const d of drafts) {
    if (!d.on || !d.minutes) continue
    const key = `${d.workId} ${d.minutes} ${d.done}`
    const line = lines.get(key)
    if (line) line.people.push(d.personId)
    else lines.set(key, { workId: d.workId, people: [d.personId], minutes: d.minutes, done: d.done })
  }
  return [...lines.values()]
}
