export { forceTravel } from './force-travel.ts'
export { ageingOf, isLifeKnown, type Ageing } from './ageing.ts'
export { curveThrough, diameterOf, edgeFactor, PACKED_STRAIN, type FoamCurve } from './curve.ts'
export { FAMILIES, isHardToSitOn, type FamilyHabits } from './families.ts'
export { demandsOf, loadCaseOf, USES, USUAL_LOAD, type LoadCase, type Sitter, type UseDemands } from './load.ts'
export {
  hardnessOf,
  isForceKnown,
  quotedForceN,
  supportFactorOf,
  testForces,
  TEST_PLATE_MM2,
  TEST_SAMPLE_MM,
  type QuotedStrain,
  type TestForces,
} from './points.ts'
export { type Body, riseMm, touchMm } from './body.ts'
export { stackOf, type PressedLayer, type Stack } from './stack.ts'
export { depthUnder, forceAt, sunkUnder, type Sunk } from './sunk.ts'
export { isJudgeable, unknownsOf, type Unknown } from './known.ts'
export { whereReaches } from './rising.ts'
export {
  curveOf,
  goodYears,
  NEAR_BOARD,
  ON_BOARD,
  pressed,
  standingOf,
  supportOf,
  type Age,
  type SettledLayer,
  type Sink,
  type Standing,
  type Support,
} from './support.ts'
