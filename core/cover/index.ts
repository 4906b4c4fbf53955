export { ALLOWANCE_LABELS, ALLOWANCE_NAMES, applied, type AllowanceName, type Allowances } from './allowances.ts'
export { boxingAsCut } from './boxing-choice.ts'
export { isPressedOn } from './closures/closure-plan.ts'
export { checkCover, type Check } from './checks/check.ts'
export { panelOf, type ClosurePlan, type Cover, type Fitting } from './cover.ts'
export { facetsOf, volumeWithin, type Facets } from './facets.ts'
export { frontFace, normalOf, topFace } from './faces.ts'
export { finishingWords, leastAllowance } from './finishing.ts'
export { makeCover, type CoverInput } from './make-cover.ts'
export { linerShapeFor } from './makeups/index.ts'
export { AIR_HOLE_MM } from './makeups/pull-over.ts'
export { tubeSeams } from './makeups/tube.ts'
export { layDown, neighbourly, turnedOutline, type LaidDown } from './neighbours.ts'
export { notchDepth } from './notches.ts'
export {
  cutOutline,
  marksOnPiece,
  middleOfCutEdge,
  notchOnPiece,
  onItsPiece,
  onPiece,
  pieceFactor,
  sewnOutline,
  type NotchOnPiece,
} from './piece.ts'
export { noteWords, type CoverNote } from './notes.ts'
export { isBehind } from './layers.ts'
export { FOLD_EDGE, halfPanel } from './half-panel.ts'
export { framesAsLaid } from './lie.ts'
export { clothFor, givesOrShrinks, looksAlikeEveryWay, usableWidth } from './on-the-roll.ts'
export { frontMismatch, legMismatch } from './mismatch.ts'
export { cushionFrames, depthWay, rowWay, type CushionFrames, type PatternFrame } from './pattern-frame.ts'
export { openingVerdict, type OpeningVerdict, type WayIn } from './opening.ts'
export {
  finishedEdgeLength,
  isBottomPlate,
  isLyingRole,
  isTopPlate,
  shortName,
  wholeId,
  type Mark,
  type Notch,
  type Panel,
  type PanelEdge,
  type PanelFace,
  type PanelRole,
} from './panel.ts'
export type { Patch } from './patch.ts'
export { pipedPairs, stripWidthOf } from './piping/piping.ts'
export type { PipingGroup, PipingPlan } from './piping/piping-plan.ts'
export { splitRun, splitToLay, type StripRules, type StripSplit } from './piping/split.ts'
export { JOIN_CLEAR_MM } from './piping/where-joins-lie.ts'
export { biasWays, type BiasWays } from './piping/yield.ts'
export { acrossTheWholeCloth, MOST_RESERVE_MM, oneToAnEdge } from './reserves.ts'
export type { Refusal, RefusalReason } from './refusal.ts'
export { seamLength, stretchLength, type Seam, type SeamPair, type Stretch } from './seam.ts'
export { seamPath, stretchPoints } from './seam-paths.ts'
export { normalTo, spaceBetween, type Space } from './space.ts'
export {
  CLOSURES,
  CONSTRUCTIONS,
  EARS,
  MAKE_UPS,
  NO_TRIMS,
  rebuilt,
  USUAL_BUTTONS,
  USUAL_HANDLES,
  USUAL_TIES,
  usualMakeUp,
  usualShut,
} from './usual.ts'
export { unroll, type Wall } from './wall.ts'
export { coverWarnings, refusalWarning } from './warnings.ts'
export { COVER_WORDS } from './warning-words.ts'
export type { CoverWarning } from './warning.ts'
