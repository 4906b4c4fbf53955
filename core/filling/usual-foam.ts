import type { FoamFilling, Grade, Layer } from '../../contract/index.ts'
import { USUAL_LOAD } from './model/index.ts'

/** New foam, both its faces flat. */
export const newLayer = (grade: Grade, thicknessMm: number | null = null): Layer => ({
  grade,
  thicknessMm,
  body: null,
  profile: null,
})

/** A block of one grade, a little larger than its cover. */
export const usualFoam = (grade: Grade): FoamFilling => ({
  kind: 'foam',
  load: USUAL_LOAD,
  boardMm: { now: 0, before: 0 },
  layers: [newLayer(grade)],
  limits: null,
  school: { kind: 'full-block', thicknessExtraMm: 0 },
  wadding: null,
  test: null,
  trials: [],
})

/** Thicknesses the advice looks among. */
export const limitsOf = (
  { limits }: FoamFilling,
  finishedMm: number,
): { readonly leastMm: number; readonly mostMm: number } =>
  limits ?? { leastMm: (finishedMm * 5) / 6, mostMm: (finishedMm * 7) / 6 }
