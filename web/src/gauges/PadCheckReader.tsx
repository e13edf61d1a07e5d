import { useState } from 'react'
import layout from '../ui/layout.module.css'
import { PadsPanel, PadState, STANDING, StandInPads, useReadPads } from './ReadPads'
import { LISTED, type Values } from './values'

/** Reads the pads twice for their check: as they were put down, and once they were moved on. */
export function PadCheckReader({ onRead }: { onRead: (rows: Values[]) => void }) {
  const [standing, setStanding] = useState(STANDING)
  const moved = LISTED.some((c) => standing[c] !== STANDING[c])
  const pads = useReadPads(standing, (read) =>
    onRead(
      LISTED.map((corner): Values =>
        moved
          ? { 'then pad': standing[corner] ?? '', 'then reads': read[corner] ?? '' }
          : { corner, pad: standing[corner] ?? '', reads: read[corner] ?? '' },
      ),
    ),
  )
  return (
    <div className={layout.column}>
      <PadsPanel {...pads} />
      {pads.reading &&
        LISTED.map((corner) => (
          <div key={corner}>
            <span className="small">{corner}: </span>
            <PadState reading={pads.at(corner)} pad={standing[corner] ?? ''} />
          </div>
        ))}
      <StandInPads standing={standing} setStanding={setStanding} />
    </div>
  )
}
