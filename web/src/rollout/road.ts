import { type GateState, type RollOut } from '../api/rollout'
import { GATES } from '../domain/gates'
import { title } from '../format/words'

/** What stands along the road: a gate, or a step. */
export interface Post {
  key: string
  name: string
  kind: 'gate' | 'step'
  state: 'passed' | 'ready' | 'shut' | 'open again' | 'done' | 'here' | 'ahead'
  /** What keeps it shut, in a few words. */
  held?: string
}

export const gateKey = (gate: string) => `gate-${gate}`

const ORDER = GATES.map((g) => g.value)

/** Gates and steps in the order in which a car comes to them: each gate before the first step that asks for it. */
export function postsOf(rollOut: RollOut, gates: GateState[]): Post[] {
  const posts: Post[] = []
  let next = 0
  const gatesUpTo = (most: number) => {
    while (next <= most) {
      const gate = gates.find((g) => g.gate === ORDER[next])
      if (gate) posts.push(gatePost(gate))
      next++
    }
  }
  for (const step of rollOut.steps) {
    if (step.gate) gatesUpTo(ORDER.indexOf(step.gate))
    const open = rollOut.findings.filter((f) => !f.fixed && f.before === step.key)
    posts.push({
      key: step.key,
      name: step.name,
      kind: 'step',
      state: step.done ? 'done' : rollOut.here === step.key ? 'here' : 'ahead',
      held: open[0]?.what,
    })
  }
  gatesUpTo(ORDER.length - 1)
  return posts
}

function gatePost(gate: GateState): Post {
  const open = gate.lines.filter((l) => !l.met)
  return {
    key: gateKey(gate.gate),
    name: title(gate.gate.toLowerCase().replaceAll('_', ' ')),
    kind: 'gate',
    state:
      gate.state === 'PASSED'
        ? 'passed'
        : gate.state === 'READY'
          ? 'ready'
          : gate.state === 'OPEN_AGAIN'
            ? 'open again'
            : 'shut',
    held: gate.state === 'PASSED' ? undefined : open.length ? `${open.length} open` : undefined,
  }
}

/** Where whoever opens the room wants to be: at the open try, else at the gate that is shut before the next step, else there. */
export function hereOf(rollOut: RollOut, posts: Post[]): string | undefined {
  if (rollOut.open) return rollOut.open.step
  const at = posts.findIndex((p) => p.kind === 'step' && p.state === 'here')
  const until = at < 0 ? posts.length : at
  const begun = posts.slice(0, until).some((p) => p.kind === 'step' && p.state === 'done')
  const shut = posts.slice(0, until).filter((p) => p.kind === 'gate' && p.state !== 'passed')
  // A car in service came past the early gates before anybody wrote that down; the last one before its date counts.
  const gate = begun || at >= 0 ? shut[0] : shut[shut.length - 1]
  return (gate ?? posts[at])?.key ?? posts[posts.length - 1]?.key
}
