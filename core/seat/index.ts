export { adviseCount, HEAVY_KG, LONG_MM, SHEET_TRIM_MM, type CountAdvice } from './advice.ts'
export { USUAL_CLEARANCE_MM } from './clearance.ts'
export {
  cushionsOf,
  designLetter,
  frontSpan,
  hasTop,
  LEAST_COVER_MM,
  LEAST_CUSHION_MM,
  topOf,
  type Cushions,
  type CushionSize,
  type Design,
  type Solid,
} from './cushions.ts'
export { dimensionFigure, spreadLimit, spreadOf, valueOf } from './dimension.ts'
export type { DivisionFault, Place } from './division/index.ts'
export { seatFaultWords } from './fault-words.ts'
export {
  footingOf,
  ringSizes,
  settingName,
  tapedSurvey,
  tapeName,
  type Footing,
  type FootprintFault,
  type Mark,
  type Suspicion,
} from './footprints/index.ts'
export { insertPoint, removePoint } from './edit-points.ts'
export { handlesOf, type Handle } from './handles.ts'
export { FRONTS, isRow, reshape } from './reshape.ts'
export { rowDimension, rowSeats, seatOfRows } from './size-rows.ts'
export {
  PLAIN_EDGE,
  shapeSeat,
  type EdgedOutline,
  type SeatEdge,
  type SeatFault,
  type ShapedSeat,
} from './shaped-seat.ts'
export { SIDES, type SideName } from './sides.ts'
export { alongSide, sideLength } from './along-side.ts'
export { slotOf, slotsOf, type Slot } from './slots.ts'
export { asTaped, squareness, type Squareness } from './squareness.ts'
export { seatFaultWarning, seatWarnings } from './warnings.ts'
export { SEAT_WORDS } from './warning-words.ts'
export type { SeatWarning } from './warning.ts'
