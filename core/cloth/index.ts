export { PIPING_ID, planCloth, type ClothPlan, type LaidPiece } from './lay-pieces.ts'
export { ruledPlace, runStart } from './match.ts'
export { bandCentre, bandsWidth, colourAt, mirrorAxes, modulo, repeatOf } from './stripes.ts'
export { clothWarnings } from './warnings.ts'
