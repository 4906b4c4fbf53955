export { isSimple } from './is-simple.ts'
export { offsetEdges } from './offset.ts'
export { areaOf, at, boxOf, distance, edgeLength, edgeOf, perimeterOf, rectangle, type Box, type Point, type Polygon } from './polygon.ts'
