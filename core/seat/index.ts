export { divideSeat, LEAST_CUSHION_MM, seatWarnings, type Cushions, type CushionSize } from './cushions.ts'
export { dimensionFigure, spreadLimit, spreadOf } from './dimension.ts'
export { facing, type Facing } from './facing.ts'
