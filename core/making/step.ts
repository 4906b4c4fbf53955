import type { Cloth, Resource, WorkKind } from '../../contract/index.ts'
import type { WarningCase } from '../warnings/index.ts'
import type { Figure } from '../working/index.ts'
import type { Measured } from './measured.ts'

/** So much of one kind of work. */
export interface Work {
  readonly kind: WorkKind
  readonly amount: Figure
}

/** The parts of a work order, in the order of the work. */
export const PARTS = ['foam', 'cloth', 'sewing', 'closing', 'fitting'] as const
export type Part = (typeof PARTS)[number]

/** What the machine is set up for at a step, and how the seam is held at its ends. */
export interface Sewing {
  readonly kind: 'seam' | 'zip' | 'piping' | 'top-stitch' | 'hem'
  readonly cloth: Cloth
  readonly lock: 'both-ends' | 'stop-short' | 'overlap'
}

/** One step of a work order, with the job's own figures in its words. */
export interface Step {
  /** Stable as long as the job is built the same way; its record is kept by it. */
  readonly id: string
  readonly part: Part
  readonly title: string
  readonly says: readonly string[]
  /** What to look at before it is ticked. */
  readonly checks: readonly string[]
  /** A question that wants a yes before the next step; null for a plain step. */
  readonly gate: string | null
  readonly work: readonly Work[]
  readonly resource: Resource
  /** Safety notes of the plan that belong here. */
  readonly safety: readonly WarningCase['code'][]
  /** Glue that must cure before the next part is begun. */
  readonly cures: boolean
  /** The seam that is sewn, and of which design; null where none is. */
  readonly sews: { readonly design: string; readonly layer: 'cover' | 'liner'; readonly seam: string } | null
  /** A number that is asked for with the question; null where none is. */
  readonly measures: Measured | null
  /** Null where no machine is used. */
  readonly sewing: Sewing | null
}

type StepDraft = Pick<Step, 'id' | 'part' | 'title' | 'resource'> & Partial<Step>

export const step = (draft: StepDraft): Step => ({
  says: [],
  checks: [],
  gate: null,
  work: [],
  safety: [],
  cures: false,
  sews: null,
  sewing: null,
  measures: null,
  ...draft,
})

/** A stop: its question wants a yes. */
export const gate = (
  draft: Pick<Step, 'id' | 'part' | 'resource'> & {
    readonly asks: string
    readonly title: string
    readonly says?: readonly string[]
    readonly measures?: Measured
  },
  work: readonly Work[],
): Step => {
  const { asks, ...rest } = draft
  return step({ ...rest, gate: asks, work })
}
