export { withAllowances } from './allowance.ts'
export { alongEdge, directionOn, isSmoothAt, onEdge, outwardOfChord, outwardOn, stretchOf, turnAt } from './along.ts'
export { arcBetween, bulgeOfRise, isStraight, riseOfBulge, type Arc } from './arc.ts'
export { atHeight, bevelVolume, leanOut, needOf, slantOf } from './bevel.ts'
export { centroidOf } from './centroid.ts'
export { dressCorners, type CornerCut, type CornerFault, type Dressed, type EdgeSource } from './corners.ts'
export { islandsLeftOf, keepLeftOf, wholeOf, withoutSlivers, type CutOff } from './cut.ts'
export { flatten } from './flatten.ts'
export { distanceFromEdge } from './from-edge.ts'
export { grown } from './grow.ts'
export { isInside } from './inside.ts'
export { isSimple } from './is-simple.ts'
export { mapped } from './mapped.ts'
export { keepsShape, offsetEdges } from './offset.ts'
export {
  areaOf,
  boxOf,
  boxRound,
  edgeLength,
  edgeOf,
  hasArcs,
  perimeterOf,
  rectangle,
  vertex,
  type Box,
  type Outline,
  type Polygon,
  type Vertex,
} from './outline.ts'
export { at, between, cross, distance, dot, minusPoint, rightOf, unit, type Point } from './point.ts'
export { mirrored, mirroredEdge, moved, movePoint, startedAt, turnedBy } from './transform.ts'
