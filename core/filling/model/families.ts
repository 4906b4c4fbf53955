import type { Exposure, FoamFamily, Grade } from '../../../contract/index.ts'

/** What the foams of a family have in common, where a supplier leaves it out. Rules of thumb. */
export interface FamilyHabits {
  readonly name: string
  /** Force at 40 % over force at 25 %. */
  readonly ratio40: number
  /** Force at 65 % over force at 25 %. */
  readonly supportFactor: number
  readonly exposures: readonly Exposure[]
  /** Why it is not for the places left out. */
  readonly notFor: string
}

export const FAMILIES: Readonly<Record<FoamFamily, FamilyHabits>> = {
  conventional: {
    name: 'conventional',
    ratio40: 1.4,
    supportFactor: 2.0,
    exposures: ['indoors', 'sun', 'damp'],
    notFor: 'it soaks and stays wet',
  },
  'high-resilience': {
    name: 'high-resilience',
    ratio40: 1.42,
    supportFactor: 2.6,
    exposures: ['indoors', 'sun', 'damp'],
    notFor: 'it soaks and stays wet',
  },
  memory: {
    name: 'memory',
    ratio40: 1.35,
    supportFactor: 2.0,
    exposures: ['indoors', 'sun'],
    notFor: 'memory foam holds water and goes stiff below about 10 °C',
  },
  latex: {
    name: 'latex',
    ratio40: 1.5,
    supportFactor: 3.0,
    exposures: ['indoors', 'damp'],
    notFor: 'latex perishes in the sun, and soaks in the wet',
  },
  'quick-dry': {
    name: 'quick-dry',
    ratio40: 1.4,
    supportFactor: 2.0,
    exposures: ['indoors', 'sun', 'damp', 'wet'],
    notFor: '',
  },
  'closed-cell': {
    name: 'closed-cell',
    ratio40: 1.45,
    supportFactor: 2.4,
    exposures: ['indoors', 'sun', 'damp', 'wet'],
    notFor: '',
  },
  rebond: {
    name: 'rebonded chip',
    ratio40: 1.45,
    supportFactor: 2.5,
    exposures: ['indoors', 'sun'],
    notFor: 'it holds damp',
  },
  wadding: {
    name: 'polyester wadding block',
    ratio40: 1.5,
    supportFactor: 3.0,
    exposures: ['indoors', 'sun', 'damp'],
    notFor: 'it mats when wet',
  },
}

/** Chip and closed cells carry, but nobody chooses to sit on them bare: they lie below, or under knees. */
export const isHardToSitOn = ({ family }: Pick<Grade, 'family'>): boolean =>
  family === 'rebond' || family === 'closed-cell'
