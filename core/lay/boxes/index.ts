export { isSkylineInstance } from './skyline.ts'
export { skylineWalks } from './skyline-walks.ts'
export { isTilingInstance, tilings } from './tilings.ts'
