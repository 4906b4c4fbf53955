import type { Job, Rates, WorkKind } from '../../contract/index.ts'
import { mainGrade, type Firmness } from '../filling/index.ts'
import { recordOf, stepMinutes, workOrder, type Step } from '../making/index.ts'
import type { WorkedPlan } from '../plan.ts'

/** One cushion: what was planned and what was measured on the seat, mm. */
export interface FitEvidence {
  readonly ticket: string
  readonly cushion: string
  readonly makeUp: string
  readonly clothId: string
  readonly cloth: string
  readonly foam: string
  readonly firmness: Firmness | null
  readonly day: string
  readonly planned: { readonly widthMm: number; readonly depthMm: number; readonly thicknessMm: number }
  readonly measured: { readonly widthMm: number | null; readonly depthMm: number | null; readonly thicknessMm: number | null }
  readonly verdict: 'unknown' | 'loose' | 'right' | 'tight'
  /** How the cover squeezes its filling, the mean of both ways; null for loose fibre. */
  readonly fitShare: number | null
}

/** A step with its time: minutes by the shop's own rates, and worked. */
export interface TimeEvidence {
  readonly ticket: string
  readonly work: WorkKind
  readonly plannedMin: number
  readonly workedMin: number
}

/** A cloth: laid and really used. */
export interface ClothEvidence {
  readonly ticket: string
  readonly clothId: string
  readonly cloth: string
  readonly laidMm: number
  readonly usedMm: number
}

export interface Evidence {
  readonly fits: readonly FitEvidence[]
  readonly times: readonly TimeEvidence[]
  readonly cloths: readonly ClothEvidence[]
}

/** What a job's logs say about its plan. Times are held against the rates as entered, without what was learnt. */
export const evidenceOf = (job: Job, plan: WorkedPlan, rates: Rates): Evidence => ({ fits: fitEvidence(job, plan), times: timeEvidence(job, plan, rates), cloths: clothEvidence(job, plan) })

export const joined = (all: readonly Evidence[]): Evidence => ({ fits: all.flatMap((e) => e.fits), times: all.flatMap((e) => e.times), cloths: all.flatMap((e) => e.cloths) })

function fitEvidence(job: Job, plan: WorkedPlan): readonly FitEvidence[] {
  return Object.entries(job.fitting.fits).flatMap(([number, fit]): FitEvidence[] => {
    const place = plan.cushions.inOrder[Number(number) - 1]
    if (!place) return []
    const design = plan.designs[place.design]!
    const { width, depth, thickness } = design.cover.solid
    const foam = design.filling.kind === 'foam' && job.filling.kind === 'foam' ? { name: mainGrade(job.filling.layers).name, firmness: design.filling.firmness, fitShare: (design.filling.fit.across.value + design.filling.fit.frontToBack.value) / 2 } : { name: 'loose fibre', firmness: null, fitShare: null }
    return [{ ticket: job.ticket, cushion: number, makeUp: job.makeUp.construction.kind, clothId: job.cloth.cloth.id, cloth: job.cloth.cloth.name, foam: foam.name, firmness: foam.firmness, day: fit.day, planned: { widthMm: width.value, depthMm: depth.value, thicknessMm: thickness.value }, measured: fit, verdict: fit.verdict, fitShare: foam.fitShare }]
  })
}

function timeEvidence(job: Job, plan: WorkedPlan, rates: Rates): readonly TimeEvidence[] {
  return workOrder(job, plan).flatMap((step): TimeEvidence[] => {
    const { doneAt, workedS } = recordOf(job, step.id)
    const plannedMin = stepMinutes(step, rates).value
    const work = mainWork(step, rates)
    return doneAt === null || workedS < LEAST_WORKED_S || plannedMin <= 0 || work === null ? [] : [{ ticket: job.ticket, work, plannedMin, workedMin: workedS / 60 }]
  })
}

/** A timer that ran for less was a slip of the finger. */
const LEAST_WORKED_S = 20

/** The kind of work that most of a step's time goes to. */
function mainWork(step: Step, rates: Rates): WorkKind | null {
  const minutes = step.work.map((w) => ({ kind: w.kind, min: stepMinutes({ ...step, work: [w] }, rates).value }))
  return minutes.toSorted((a, b) => b.min - a.min)[0]?.kind ?? null
}

function clothEvidence(job: Job, plan: WorkedPlan): readonly ClothEvidence[] {
  return plan.cloth.lays.flatMap(({ cloth }): ClothEvidence[] => {
    const [used, kept] = [job.fitting.clothUsedMm[cloth.id], job.lays[cloth.id]]
    return used && kept ? [{ ticket: job.ticket, clothId: cloth.id, cloth: cloth.name, laidMm: kept.lay.length, usedMm: used }] : []
  })
}
