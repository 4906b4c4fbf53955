export { fillsItsBox, isPlainBox } from './box.ts'
export * from './choice/index.ts'
export * from './cutting/index.ts'
export {
  planFilling,
  type FibrePlan,
  type FillingPlan,
  type FillingPlace,
  type FoamPlan,
  type InsertPlan,
} from './filling.ts'
export { firmnessOf, OVERSIZE_SHARE, type Firmness } from './firmness.ts'
export { mainGrade, settleLayers, stackForceN } from './layers.ts'
export { foamWords, quotedForceWords, quotedForceOf, quotedStrain, stackForceWords } from './quoted.ts'
export {
  LINER_OPEN_MM,
  linerFor,
  linerSize,
  LOOSE_WORDS,
  USUAL_FIBRE,
  USUAL_FILL_KG_M3,
  USUAL_LINER,
  type Liner,
} from './loose-fibre.ts'
export * from './model/index.ts'
export * from './sizing/index.ts'
export { asThere, bodiesIn, bodySizes, NOTHING_THERE } from './bodies.ts'
export { limitsOf, newLayer, usualFoam } from './usual-foam.ts'
export { cuttingWarnings, fillingWarnings, isInfantBed } from './warnings.ts'
export { FILLING_WORDS } from './warning-words.ts'
export type { FillingWarning } from './warning.ts'
