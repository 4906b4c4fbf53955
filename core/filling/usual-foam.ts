import type { FoamFilling, Grade } from '../../contract/index.ts'
import { USUAL_LOAD } from './model/index.ts'

/** A block of one grade, a little larger than its cover. */
export const usualFoam = (grade: Grade): FoamFilling => ({
  kind: 'foam',
  load: USUAL_LOAD,
  boardMm: { now: 0, before: 0 },
  layers: [{ grade, thicknessMm: null }],
  limits: null,
  school: { kind: 'full-block', thicknessExtraMm: 0 },
  wadding: null,

  test: null,
  old: null,
})

/** Thicknesses the advice looks among. */
export const limitsOf = (
  { limits }: FoamFilling,
  finishedMm: number,
): { readonly leastMm: number; readonly mostMm: number } =>
  limits ?? { leastMm: (finishedMm * 5) / 6, mostMm: (finishedMm * 7) / 6 }
