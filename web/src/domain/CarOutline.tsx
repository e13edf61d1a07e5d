import type { Car } from '../api/board'
import css from './domain.module.css'

export type ZoneName = 'FRONT' | 'ENGINE_BAY' | 'COCKPIT' | 'UNDERSIDE' | 'REAR'

/** Zones along the car seen from above, the nose to the left; the underside is a strip below. */
const ZONES: Record<ZoneName, { x: number; y: number; w: number; h: number }> = {
  FRONT: { x: 12, y: 14, w: 22, h: 52 },
  ENGINE_BAY: { x: 34, y: 14, w: 34, h: 52 },
  COCKPIT: { x: 68, y: 14, w: 52, h: 52 },
  REAR: { x: 120, y: 14, w: 28, h: 52 },
  UNDERSIDE: { x: 20, y: 70, w: 120, h: 8 },
}

function Wheels({ open }: { open: boolean }) {
  const y = open ? [4, 64] : [10, 63]
  return (
    <>
      {[34, 116].flatMap((x) =>
        y.map((top) => (
          <rect key={`${x}${top}`} x={x} y={top} width="18" height={open ? 12 : 7} rx="2" fill="var(--ink)" />
        )),
      )}
    </>
  )
}

function Shell({ body }: { body: string }) {
  const stroke = { fill: 'none', stroke: 'var(--ink)', strokeWidth: 1.5 }
  switch (body) {
    case 'SINGLE_SEATER':
      return (
        <g {...stroke}>
          <path d="M12 34 H60 Q64 24 84 24 H112 Q122 26 126 34 H144 M12 46 H60 Q64 56 84 56 H112 Q122 54 126 46 H144" />
          <path d="M12 34 V46 M144 34 V46" />
          <rect x="8" y="16" width="7" height="48" />
          <rect x="142" y="18" width="8" height="44" />
          <ellipse cx="86" cy="40" rx="12" ry="6" />
        </g>
      )
    case 'NONE':
      return (
        <g {...stroke}>
          <path d="M12 52 H148 M24 52 V68 M136 52 V68 M30 30 H70 V52 M84 38 H130 V52" />
        </g>
      )
    case 'TRUCK':
      return (
        <g {...stroke}>
          <rect x="12" y="14" width="136" height="52" rx="5" />
          <path d="M46 14 L56 22 V58 L46 66" />
          <rect x="56" y="22" width="30" height="36" />
          <path d="M92 14 V66" />
          <rect x="98" y="20" width="44" height="40" />
        </g>
      )
    case 'ROADSTER':
      return (
        <g {...stroke}>
          <path d="M14 26 Q14 14 30 14 H126 Q148 16 148 40 Q148 64 126 66 H30 Q14 66 14 54 Z" />
          <path d="M66 20 Q72 40 66 60" />
          <rect x="74" y="20" width="34" height="40" rx="8" />
        </g>
      )
    case 'HATCH':
      return (
        <g {...stroke}>
          <path d="M14 24 Q16 14 32 14 H140 Q148 15 148 24 V56 Q148 65 140 66 H32 Q16 66 14 56 Z" />
          <path d="M54 14 L66 22 V58 L54 66 M140 18 L128 24 V56 L140 62" />
          <rect x="66" y="22" width="62" height="36" />
        </g>
      )
    case 'COUPE':
      return (
        <g {...stroke}>
          <path d="M12 30 Q14 14 36 14 H124 Q146 16 148 34 V46 Q146 64 124 66 H36 Q14 66 12 50 Z" />
          <path d="M58 15 L72 24 V56 L58 65 M132 20 L108 26 V54 L132 60" />
          <rect x="72" y="24" width="36" height="32" />
        </g>
      )
    default:
      return (
        <g {...stroke}>
          <path d="M12 26 Q14 14 30 14 H132 Q148 15 148 28 V52 Q148 65 132 66 H30 Q14 66 12 54 Z" />
          <path d="M50 14 L64 22 V58 L50 66 M126 14 L112 22 V58 L126 66" />
          <rect x="64" y="22" width="48" height="36" />
        </g>
      )
  }
}

/** The car from above alone, the nose to the left, in a box of 160 by 80. */
export function CarShell({ body }: { body: string }) {
  return (
    <>
      <Wheels open={body === 'SINGLE_SEATER'} />
      <Shell body={body} />
    </>
  )
}

interface Props {
  body: Car['body']
  /** Zones in which somebody works now. */
  busy?: Set<string>
  /** Zones that can be clicked, with what to write on them. */
  counts?: Map<string, number>
  picked?: string
  onPick?: (zone: ZoneName) => void
  width?: number | string
}

/** The car from above, with its zones as places to see and to click. */
export function CarOutline({ body, busy, counts, picked, onPick, width = 130 }: Props) {
  return (
    <svg
      width={width}
      viewBox="0 0 160 82"
      role={onPick ? 'group' : 'img'}
      aria-label={`${body.toLowerCase().replace('_', ' ')} from above`}
    >
      <Wheels open={body === 'SINGLE_SEATER'} />
      <rect
        x="12"
        y="14"
        width="136"
        height="52"
        rx="10"
        fill="var(--card)"
        opacity={body === 'SINGLE_SEATER' ? 0 : 1}
      />
      {(Object.keys(ZONES) as ZoneName[]).map((zone) => {
        const box = ZONES[zone]
        const on = busy?.has(zone) || picked === zone
        return on ? (
          <rect
            key={zone}
            x={box.x}
            y={box.y}
            width={box.w}
            height={box.h}
            fill="var(--quiet)"
            opacity={0.3}
            stroke="var(--quiet)"
          />
        ) : null
      })}
      <Shell body={body} />
      {onPick &&
        (Object.keys(ZONES) as ZoneName[]).map((zone) => {
          const box = ZONES[zone]
          const label = `${zone.toLowerCase().replace('_', ' ')}: ${counts?.get(zone) ?? 0} open`
          return (
            <g
              key={zone}
              role="button"
              tabIndex={0}
              aria-label={label}
              aria-pressed={picked === zone}
              onClick={() => onPick(zone)}
              onKeyDown={(e) => {
                if (e.key === 'Enter' || e.key === ' ') {
                  e.preventDefault()
                  onPick(zone)
                }
              }}
              className={css.pick}
            >
              <title>{label}</title>
              <rect
                x={box.x}
                y={box.y}
                width={box.w}
                height={box.h}
                fill="transparent"
                stroke="var(--line)"
                strokeDasharray="2 2"
              />
              {counts && zone !== 'UNDERSIDE' && (
                <text
                  x={box.x + box.w / 2}
                  y="44"
                  textAnchor="middle"
                  fontSize="11"
                  fontWeight="700"
                  fill="var(--ink)"
                >
                  {counts.get(zone) ?? 0}
                </text>
              )}
              {counts && zone === 'UNDERSIDE' && (
                <text x="80" y="77.5" textAnchor="middle" fontSize="8" fontWeight="700" fill="var(--ink)">
                  {counts.get(zone) ?? 0}
                </text>
              )}
            </g>
          )
        })}
    </svg>
  )
}
