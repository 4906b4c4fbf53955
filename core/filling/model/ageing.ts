import { phrase } from '../../language/index.ts'
import type { Grade } from '../../../contract/index.ts'

/** How a foam ages in daily use. */
export interface Ageing {
  /** Share of its firmness that is gone at the end of its years. */
  readonly lossShare: number
  readonly years: number
  readonly says: string
}

/** By density in kg/m³; a foam on the line belongs to the denser class. A rule of thumb of the trade. */
const BY_DENSITY = [
  { below: 24, years: [1, 2], lossShare: 0.35 },
  { below: 30, years: [3, 4], lossShare: 0.25 },
  { below: 37, years: [5, 7], lossShare: 0.18 },
  { below: 45, years: [8, 10], lossShare: 0.12 },
  { below: Infinity, years: [10, 15], lossShare: 0.08 },
] as const

/** Whether its life is known: set on the grade, or by its density. */
export const isLifeKnown = ({ densityKgM3, ageing }: Pick<Grade, 'densityKgM3' | 'ageing'>): boolean =>
  ageing !== null || densityKgM3 !== null

/** @throws RangeError when neither its density nor its own ageing is known (a bug of the caller). */
export function ageingOf({ densityKgM3, ageing }: Pick<Grade, 'densityKgM3' | 'ageing'>): Ageing {
  if (!ageing && densityKgM3 === null) throw new RangeError('ageingOf: nobody knows its density')
  if (ageing) return { ...ageing, says: phrase`${ageing.years} years, set on this grade` }
  const { years, lossShare } = BY_DENSITY.find((c) => densityKgM3! < c.below)!
  return { lossShare, years: years[1], says: phrase`${years[0]} to ${years[1]} years of daily use, by density` }
}
