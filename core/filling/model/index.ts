export { forceTravel } from './force-travel.ts'
export { ageingOf, type Ageing } from './ageing.ts'
export { curveThrough, diameterOf, edgeFactor, PACKED_STRAIN, type FoamCurve } from './curve.ts'
export { FAMILIES, type FamilyHabits } from './families.ts'
export { demandsOf, loadCaseOf, USES, USUAL_LOAD, type LoadCase, type Sitter, type UseDemands } from './load.ts'
export { hardnessOf, supportFactorOf, testForces, TEST_PLATE_MM2, TEST_SAMPLE_MM, type TestForces } from './points.ts'
export { layerStrains, strainUnder, type PressedLayer } from './pressed.ts'
export { whereReaches } from './rising.ts'
export {
  BOTTOM,
  curveBook,
  curveOf,
  NEAR_BOTTOM,
  pressed,
  supportOf,
  type Age,
  type Bottoming,
  type CurveBook,
  type SettledLayer,
  type Sink,
  type Support,
} from './support.ts'
