import type { Schemas } from '../api/client'
import { word } from '../format/words'

export type Gate = Schemas['CommitmentRequest']['gate']

const ORDER: Gate[] = ['POWER_UP', 'FIRST_FIRE', 'GROUND', 'TUNER', 'ROLL_OUT', 'TEST', 'EVENT']

/** The gates as choices, in the order in which a car passes them. */
export const GATES = ORDER.map((value) => ({ value, label: word(value) }))

/** Where a gate of a car is worked. */
export const gateAddress = (car: string, gate: Gate) => `/rollout/${car}/gate-${gate}`
