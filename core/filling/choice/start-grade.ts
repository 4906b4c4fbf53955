import type { Grade } from '../../../contract/index.ts'
import { goodYears, hardnessOf, isHardToSitOn, isJudgeable, loadCaseOf, USUAL_LOAD } from '../model/index.ts'
import { firmnessOf, type Firmness } from '../firmness.ts'
import { judgeStack, type Verdict } from './verdict.ts'

/**
 * The grade a new job starts with: of those that hold what a seat usually carries, at this very thickness, the one that
 * feels right and costs least for a year of its life; where none holds, one of medium firmness. The catalogue is never
 * empty.
 */
export function startGrade(grades: readonly Grade[], thicknessMm: number): Grade {
  const load = loadCaseOf(USUAL_LOAD)
  const known = grades.filter((grade) => isJudgeable([{ grade, thicknessMm }]))
  const judged = known.map((grade) => ({ grade, verdict: judgeStack([{ grade, thicknessMm }], load) }))
  const [best] = judged
    .filter(({ verdict }) => verdict.failures.length === 0)
    .toSorted(
      (a, b) =>
        misses(a.grade, a.verdict) - misses(b.grade, b.verdict) ||
        costPerYear(a.grade, a.verdict) - costPerYear(b.grade, b.verdict),
    )
  return best?.grade ?? grades.find((g) => isFirmness(g, 'medium')) ?? grades[0]!
}

const isFirmness = (grade: Grade, wanted: Firmness): boolean => {
  const hardnessN = hardnessOf(grade)
  return hardnessN !== null && firmnessOf(hardnessN) === wanted
}

const misses = (grade: Grade, { doubts }: Verdict): number => doubts.length + (isHardToSitOn(grade) ? 2 : 0)

/** By volume: the thickness is the same for all. */
const costPerYear = ({ pricePerM3 }: Grade, { support }: Verdict): number =>
  pricePerM3 / Math.max(1, goodYears(support))
