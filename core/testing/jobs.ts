import type { Construction, Dimension, FoamFilling, PartJob, MakeUp } from '../../contract/index.ts'
import { applied, makeCover, usualMakeUp, type Cover } from '../cover/index.ts'
import type { FoamPlan } from '../filling/index.ts'
import { discSeat, jobOf, newSeat, reading, setFoam } from '../job/index.ts'
import { planJob } from '../plan/index.ts'
import type { DesignPlan, UnworkablePart, UnworkablePlan, WorkedPart, WorkedPlan } from '../planned/index.ts'
import { cushionsOf, type Cushions, type Solid } from '../seat/index.ts'
import { DEMO_CLOTHS, keepersBenchPart } from '../demo/index.ts'
import { FACTORY_BOOK } from '../defaults/index.ts'

/** The plan of a ticket of one part, with what only the part has of it beside. */
export type OnePlan = WorkedPlan & Pick<WorkedPart, 'cushions' | 'allowances'>

/** The plan of a ticket of one part that can be worked; throws its warnings otherwise. */
export function worked(part: PartJob): OnePlan {
  const plan = planOne(part)
  if (plan.kind !== 'worked') throw new Error(JSON.stringify(plan.warnings))
  return plan
}

/** The plan of a ticket of one part, its cushions and allowances beside. */
export function planOne(part: PartJob): OnePlan | (UnworkablePlan & Pick<UnworkablePart, 'cushions'>) {
  const plan = planJob(jobOf(part))
  if (plan.kind === 'unworkable') return { ...plan, cushions: plan.parts[0]!.cushions }
  const { cushions, allowances } = plan.worked[0]
  return { ...plan, cushions, allowances }
}

/** A job with its foam filling changed. */
export const foamJob = (change: (foam: FoamFilling) => FoamFilling, job: PartJob = keepersBenchPart()): PartJob =>
  setFoam('', change).apply(job)

/** The foam plan of a design; throws where it is filled with something else. */
export function foamOf({ filling }: DesignPlan): FoamPlan {
  if (filling.kind !== 'foam') throw new Error(filling.kind)
  return filling
}

/** The only design of a job whose cushions are all alike. */
export function onlyDesign(plan: WorkedPlan): DesignPlan {
  if (plan.designs.length !== 1) throw new Error(`${plan.designs.length} designs`)
  return plan.designs[0]!
}

export function cushionsFrom(seat: PartJob['seat']): Cushions {
  const found = cushionsOf(seat)
  if (!found.ok) throw new Error(JSON.stringify(found.error))
  return found.value
}

/**
 * The cover of a make-up on a cushion, by the factory's book, from a plain cloth that lies any way; throws a refusal.
 */
export function coverOf(
  solid: Solid,
  change: Partial<MakeUp> & { readonly kind?: Construction['kind'] } = {},
  overrides: PartJob['allowances']['overrides'] = {},
): Cover {
  const { kind = 'boxed', ...rest } = change
  const made = makeCover({
    units: 'mm',
    solid,
    makeUp: { ...usualMakeUp(kind), ...rest },
    cloth: {
      ...keepersBenchPart().cloth,
      cloth: DEMO_CLOTHS.find((c) => c.id === 'house-calico')!,
      match: { kind: 'none' },
    },
    allowances: applied({ book: FACTORY_BOOK, overrides }),
    edges: {},
  })
  if (!made.ok) throw new Error(JSON.stringify(made.error))
  return made.value
}

/** An upright rectangular cushion. */
export const boxSolid = (width: number, depth: number, thickness: number): Solid =>
  cushionsFrom(newSeat('singles', width, depth, thickness, 1)).designs[0]!.solid

/** An upright round cushion. */
export const roundSolid = (across: number, thickness: number): Solid =>
  cushionsFrom(discSeat(across, thickness, 1)).designs[0]!.solid

export interface BenchChange {
  readonly width?: Dimension | number
  readonly depth?: Dimension | number
  readonly thickness?: Dimension | number
  readonly count?: number
  readonly gapMm?: number
}

/** The demo bench with something changed. */
export function benchJob(
  { width, depth, thickness, count, gapMm }: BenchChange,
  job: PartJob = keepersBenchPart(),
): PartJob {
  const { footprint, division } = job.seat
  if (footprint.kind !== 'rectangle' || division.kind !== 'run') throw new Error('not a bench')
  const dimension = (d: Dimension | number | undefined, was: Dimension) =>
    d === undefined ? was : typeof d === 'number' ? reading(d) : d
  return {
    ...job,
    seat: {
      ...job.seat,
      footprint: { ...footprint, width: dimension(width, footprint.width), depth: dimension(depth, footprint.depth) },
      thickness: dimension(thickness, job.seat.thickness),
      division: { ...division, count: count ?? division.count, gapMm: gapMm ?? division.gapMm },
    },
  }
}

/** The keepers' bench in foam of medium firmness, for figures worked by hand. */
export const mediumBenchPart = (): PartJob => keepersBenchPart('Gannet 30/140')
