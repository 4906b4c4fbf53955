export { clothFaults } from './cloth-faults.ts'
export { clothRow, type ClothRow } from './cloth-row.ts'
export { LEAST_LEFTOVER_MM, leftover, remnantFrom } from './leftover.ts'
export {
  planCloth,
  type ClothLay,
  type ClothPlan,
  type DesignCovers,
  type LaidPiece,
  type PartCovers,
} from './lay-pieces.ts'
export { pieceId, type PieceOf } from './piece-id.ts'
export type { PipingStrips } from './piping-strips.ts'
export { rowPattern, ruledPlaces } from './match.ts'
export { clothWarnings } from './warnings.ts'
export { USUAL_CLOTH } from './usual-cloth.ts'
export { CLOTH_WORDS } from './warning-words.ts'
export type { ClothWarning } from './warning.ts'

export { shortfallWords, type Shortfall } from './shortfall-words.ts'
