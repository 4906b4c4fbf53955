export {
  axesOf,
  bandCentre,
  bandsOf,
  bandsWidth,
  colourAt,
  mirrorAxes,
  modulo,
  patternStart,
  repeatOf,
  usualMatch,
  wayOf,
  type PatternWay,
  type Way,
} from './stripes.ts'
export { beforeWash, cutLarger, leftByWash, washed, washedChoice } from './washed.ts'
