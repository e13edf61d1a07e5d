import { word } from '../format/words'

const choices = <T extends string>(codes: readonly T[]) =>
  codes.map((value) => ({ value, label: word(value) }))

export const ZONES = choices(['FRONT', 'ENGINE_BAY', 'COCKPIT', 'UNDERSIDE', 'REAR'] as const)
export const LOCKS = [
  { value: 'NOTHING', label: 'nothing' },
  { value: 'ZONE', label: 'its zone' },
  { value: 'WHOLE_CAR', label: 'the whole car' },
]
export const LEVELS = choices(['LEARNER', 'ABLE', 'LEAD'] as const)
export const BODIES = choices([
  'SALOON',
  'COUPE',
  'HATCH',
  'ROADSTER',
  'SINGLE_SEATER',
  'TRUCK',
  'NONE',
] as const).map((b) => (b.value === 'NONE' ? { ...b, label: 'no car' } : b))
export const STATES = choices([
  'WANTED',
  'SPECIFIED',
  'QUOTED',
  'ORDERED',
  'SHIPPED',
  'ARRIVED',
  'INSPECTED',
  'ACCEPTED',
  'FITTED',
  'FITTED_FOR_NOW',
  'REFUSED',
  'RETURNED',
] as const)
