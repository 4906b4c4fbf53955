export { stripsBeside, type LaidStrip, type StripsLaid, type WantedStrips } from './strips-beside.ts'
export type { WantedRun } from './share-out.ts'
export type { StripWay } from './strip-frame.ts'
