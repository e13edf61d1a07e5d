import { Button } from '@mantine/core'
import { useEffect, useState } from 'react'
import { type Device, type Reading, simulate, useDevice, useSimulated, zero } from '../api/devices'
import { type Fields, figure } from '../api/gauges'
import { useSend } from '../api/send'
import layout from '../ui/layout.module.css'
import css from './gauges.module.css'
import { CORNERS, LISTED } from './values'

const FRESH_MILLIS = 700
/** More than a pad drifts, less than anything that is weighed on it. */
const EMPTY_KG = 10

/** Which pad stands at which corner, as they are put down first. */
export const STANDING: Record<string, string> = {
  'left front': 'A',
  'right front': 'B',
  'left rear': 'C',
  'right rear': 'D',
}

/** Each pad a corner further: the way in which all four are compared. */
export const movedOn = (standing: Record<string, string>): Record<string, string> => {
  const ring = ['left front', 'right front', 'right rear', 'left rear']
  return Object.fromEntries(ring.map((corner, i) => [corner, standing[ring[(i + 3) % 4] ?? ''] ?? '']))
}

/** Reads the pads until all four have come to rest, then hands on what they say by corner. */
export function useReadPads(
  standing: Record<string, string>,
  onSteady: (pads: Record<string, string>) => void,
) {
  const [began, setBegan] = useState<number>()
  const reading = began !== undefined
  const { device, none, at: heardAt } = useDevice('pads', reading)
  const at = (corner: string): Reading | undefined =>
    device?.readings.find((r) => r.name === standing[corner])
  // What was said before the reading began may be of another state of the car.
  const steady = began !== undefined && heardAt > began + FRESH_MILLIS && CORNERS.every((c) => at(c)?.steady)
  useEffect(() => {
    if (!steady) return
    setBegan(undefined)
    onSteady(Object.fromEntries(CORNERS.map((c) => [c, `${at(c)?.steady?.value.toFixed(1)} kg`])))
    // Once they have settled; what they say after that is not taken.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [steady])
  const setReading = (on: boolean) => setBegan(on ? Date.now() : undefined)
  return { reading, setReading, device, none, at }
}

/** How a pad stands while it is read. */
export function PadState({ reading, pad }: { reading?: Reading; pad: string }) {
  if (!reading) return <span className="small soft">pad {pad}: not heard yet</span>
  if (reading.silent) {
    return <span className="small hot">pad {pad} is silent: look at its cable and battery</span>
  }
  return (
    <span className={`small ${reading.steady ? 'quiet' : 'soft'}`}>
      pad {pad}: <b>{reading.now?.said.replace(/ \(.*/, '')}</b> {reading.steady ? 'steady' : 'settling'}
    </span>
  )
}

interface PanelProps {
  device?: Device
  none: boolean
  reading: boolean
  setReading: (on: boolean) => void
}

/** Begins and ends the reading, and says what is wrong with the pads as a whole. */
export function PadsPanel({ device, none, reading, setReading }: PanelProps) {
  const { send, busy } = useSend()
  // What stands on a pad would be taken for nought.
  const loaded = device?.readings.some((r) => (r.now?.value ?? 0) > EMPTY_KG)
  return (
    <div className={layout.row}>
      <Button variant="default" size="compact-sm" onClick={() => setReading(!reading)}>
        {reading ? 'Stop reading' : 'Read the pads'}
      </Button>
      {reading && !none && (
        <Button
          variant="default"
          size="compact-sm"
          loading={busy}
          disabled={!device || loaded}
          title={loaded ? 'Something stands on them: they are nulled empty.' : undefined}
          onClick={() => void send(() => zero('pads'))}
        >
          Null the empty pads
        </Button>
      )}
      <span className="small soft" aria-live="polite">
        {none
          ? 'No pads are joined; type what they say.'
          : reading
            ? (device?.problem ?? 'Takes what they say once all four have settled.')
            : ''}
      </span>
    </div>
  )
}

/** What the simulated car and its pads can be made to do; only where they are simulated. */
export function StandInPads({
  answer,
  standing,
  setStanding,
}: {
  answer?: Fields
  standing: Record<string, string>
  setStanding: (standing: Record<string, string>) => void
}) {
  const simulated = useSimulated()
  const { send, busy } = useSend()
  if (!simulated) return null
  const tell = (what: string) => void send(() => simulate('pads', what))
  const raised = LISTED.map((c) => figure(answer, 'raise', c)?.value)
  const stand = (next: Record<string, string>) => {
    setStanding(next)
    tell(`stand ${LISTED.map((c) => next[c]).join(' ')}`)
  }
  return (
    <details className={css.springs}>
      <summary>These pads are simulated, and so is the car on them</summary>
      <div className={css.chips}>
        <Button
          variant="default"
          size="compact-sm"
          disabled={busy || raised.some((r) => r === undefined)}
          onClick={() => tell(`raise ${raised.map((r) => r?.toFixed(4)).join(' ')}`)}
        >
          Turn the perches as said
        </Button>
        <Button variant="default" size="compact-sm" disabled={busy} onClick={() => tell('settle')}>
          Bounce the car
        </Button>
        <Button variant="default" size="compact-sm" disabled={busy} onClick={() => stand(movedOn(standing))}>
          Move the pads on by one corner
        </Button>
        <Button variant="default" size="compact-sm" disabled={busy} onClick={() => tell('load 0 0 0 0')}>
          Roll the car off
        </Button>
        <Button
          variant="default"
          size="compact-sm"
          disabled={busy}
          onClick={() => tell('load 121.5 114 168.5 173')}
        >
          Roll it on again
        </Button>
        <Button variant="default" size="compact-sm" disabled={busy} onClick={() => tell('silent C')}>
          Unplug pad C
        </Button>
        <Button variant="default" size="compact-sm" disabled={busy} onClick={() => tell('well')}>
          Plug all in
        </Button>
      </div>
    </details>
  )
}
