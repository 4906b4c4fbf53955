export {
  rectanglePanel,
  seamEdge,
  shapedPanel,
  type EdgeDraft,
  type PanelDraft,
  type PanelHead,
  type SizeSums,
} from './panel-draft.ts'
export { edgeNames, frontFirst, isLevelBox, mirroredOrder, plateOf, type Plate } from './plates.ts'
export { endToStart, isWholeEdge, stripOf, type EdgeKind, type Strip } from './strips.ts'
export { allRound, boxingRuns, longestFlatRun, shareWall, sideOrBack, type WallRound } from './wall-round.ts'
export {
  boxFrame,
  closingPairs,
  framePanels,
  framePatches,
  perimeterFigure,
  ringJoins,
  type BoxFrame,
} from './box-frame.ts'
export { boxSurface, cutAt, frameDraft } from './frame-draft.ts'
export { easeCorners, type Eased } from './ears.ts'
export { cutRun, runLength } from './pieced.ts'
export { pillowPlace, type PillowBox } from './pillow.ts'
export { splitPlate, type SplitPlate } from './split-plate.ts'
export { borderedBlank, type BorderedBlank } from './bordered-blank.ts'
export { notABox } from './not-a-box.ts'
export { withZipEdges } from './zip-edges.ts'
