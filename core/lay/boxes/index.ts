export { boxBeams, isBeamInstance } from './box-beams.ts'
export { isProofInstance, proveBoxes } from './box-proof.ts'
export { hasSkyline, isSkylineInstance, layOnSkyline } from './skyline.ts'
export { skylineWalks } from './skyline-walks.ts'
