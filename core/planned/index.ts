export type { CutLine } from './cut-line.ts'
export type { DesignPlan, PartPlan, Plan, UnworkablePart, UnworkablePlan, WorkedPart, WorkedPlan } from './planned.ts'
export { cushionCount, isSewn, staysThere } from './planned.ts'
