import type { Grade } from '../../../contract/index.ts'
import { hardnessOf, loadCaseOf, USUAL_LOAD } from '../model/index.ts'
import { firmnessOf } from '../firmness.ts'
import { adviseFoam } from './advice.ts'

/**
 * The grade a new job starts with: the best single grade for what a seat usually carries, about as thick as
 * this one; where none does, one of medium firmness. The catalogue is never empty.
 */
export function startGrade(grades: readonly Grade[], thicknessMm: number): Grade {
  const { works } = adviseFoam(grades, {
    load: loadCaseOf(USUAL_LOAD),
    limits: { leastMm: thicknessMm * 0.6, mostMm: thicknessMm * 1.6 },
    areaMm2: 1e6,
  })
  return (
    works.find((c) => c.layers.length === 1)?.layers[0]!.grade ??
    grades.find((g) => firmnessOf(hardnessOf(g)) === 'medium') ??
    grades[0]!
  )
}
