import type { Grade } from '../../../contract/index.ts'
import { FAMILIES } from './families.ts'

/** The standard test: a plate of 323 cm² (about 200 mm across) pressed into a sample 100 mm thick. */
export const TEST_PLATE_MM2 = 32_300
export const TEST_SAMPLE_MM = 100

/** Forces of the standard test in newtons, all three known. */
export interface TestForces {
  readonly at25N: number
  readonly at40N: number
  readonly at65N: number
}

/**
 * The three forces of a grade; what the supplier leaves out comes from the support factor and the habits of
 * its family. A foam with a low support factor climbs less to 40 % as well.
 *
 * @throws RangeError when neither the force at 25 % nor that at 40 % is known (a bug of the caller).
 */
export function testForces(grade: Pick<Grade, 'family' | 'at25N' | 'at40N' | 'at65N' | 'supportFactor'>): TestForces {
  const habits = FAMILIES[grade.family]
  const support =
    grade.supportFactor ??
    (grade.at25N !== null && grade.at65N !== null ? grade.at65N / grade.at25N : habits.supportFactor)
  const ratio40 = Math.min(habits.ratio40, 1 + LOW_SUPPORT_SHARE * (support - 1))
  if (grade.at25N === null && grade.at40N === null) throw new RangeError('testForces: nobody knows its force')
  const at25N = grade.at25N ?? grade.at40N! / ratio40
  const at40N = grade.at40N ?? at25N * ratio40
  // Where forces at 25 and 40 % are both given and rise fast, the factor may not bring 65 % below 40 %.
  const at65N = grade.at65N ?? Math.max(support * at25N, LEAST_RISE_TO_65 * at40N)
  return { at25N, at40N, at65N }
}

/** Whether anything of its force is known; never told from its density, or from a word. */
export const isForceKnown = ({ at25N, at40N }: Pick<Grade, 'at25N' | 'at40N'>): boolean =>
  at25N !== null || at40N !== null

/** Where suppliers quote a force: pounds at 25 %, newtons at 40 %. */
export type QuotedStrain = 0.25 | 0.4

/** The force at a strain in newtons. Null where nobody knows. */
export const quotedForceN = (grade: Grade, strain: QuotedStrain): number | null =>
  isForceKnown(grade) ? testForces(grade)[strain === 0.4 ? 'at40N' : 'at25N'] : null

/** Force at 40 % compression in newtons: what firmness is judged by. Null where nobody knows. */
export const hardnessOf = (grade: Grade): number | null => quotedForceN(grade, 0.4)

export const supportFactorOf = (grade: Grade): number => {
  const { at25N, at65N } = testForces(grade)
  return at65N / at25N
}

const LOW_SUPPORT_SHARE = 0.42
const LEAST_RISE_TO_65 = 1.1
