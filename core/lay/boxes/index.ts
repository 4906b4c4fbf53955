export { boxBeams, isBeamInstance } from './box-beams.ts'
export { isProofInstance, proveBoxes } from './box-proof.ts'
export { isSkylineInstance } from './skyline.ts'
export { skylineWalks } from './skyline-walks.ts'
