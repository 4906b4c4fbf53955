export {
  rowsBeside,
  stripsBeside,
  type LaidStrip,
  type RowsBeside,
  type StripsLaid,
  type WantedStrips,
} from './strips-beside.ts'
export type { WantedRun } from './share-out.ts'
export type { StripWay } from './strip-frame.ts'
