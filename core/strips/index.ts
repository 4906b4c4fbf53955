export {
  asLp,
  firstFit,
  lengthBound,
  MOST_PATTERNS,
  readPlan,
  stripProblem,
  type CutRow,
  type Pattern,
  type StripFault,
  type StripPlan,
  type StripProblem,
  type StripStock,
  type WantedStrip,
} from './cutting-stock.ts'
export { solveStrips, type MipAnswer, type SolveMip } from './solve.ts'
export { stripGroups, type StripGroup } from './strip-groups.ts'
export {
  rowsBeside,
  stripsBeside,
  type LaidStrip,
  type StripsLaid,
  type StripWay,
  type WantedRun,
  type WantedStrips,
} from './in-the-lay/index.ts'
