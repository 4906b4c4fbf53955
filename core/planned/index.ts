export type { CutLine } from './cut-line.ts'
export type { DesignPlan, Plan, UnworkablePlan, WorkedPlan } from './planned.ts'
