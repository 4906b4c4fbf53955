import type { Job } from '../contract/index.ts'
import { clothWarnings, planCloth, type ClothPlan } from './cloth/index.ts'
import { applied, boxed, boxingAsCut, checkCover, coverWarnings, type Allowances, type Check, type Cover } from './cover/index.ts'
import { fillingWarnings, isInfantBed, planCutting, planFilling, type CuttingPlan, type FillingPlan } from './filling/index.ts'
import { cutList, type CutLine } from './lists/index.ts'
import { boxOf } from './outline/index.ts'
import { cushionsOf, LEAST_COVER_MM, seatFaultWarning, seatWarnings, type Cushions, type Design } from './seat/index.ts'
import type { Warning } from './warning/index.ts'

/** One design of cushion worked out: its filling, its cover, and whether the cover can be sewn. */
export interface DesignPlan {
  readonly design: Design
  readonly filling: FillingPlan
  readonly cover: Cover
  readonly checks: readonly Check[]
}

/** Everything that follows from a job but the lay, which takes a search. */
export interface WorkedPlan {
  readonly kind: 'worked'
  readonly cushions: Cushions
  readonly allowances: Allowances
  readonly designs: readonly DesignPlan[]
  /** How the foam is cut; null where the cushions are filled with loose fibre. */
  readonly cutting: CuttingPlan | null
  readonly cloth: ClothPlan
  readonly cutList: readonly CutLine[]
  readonly warnings: readonly Warning[]
}

/** A seat on which nothing can be sewn; the warnings say why. Without cushions it has no outline at all. */
export interface UnworkablePlan {
  readonly kind: 'unworkable'
  readonly cushions: Cushions | null
  readonly warnings: readonly Warning[]
}

export type Plan = WorkedPlan | UnworkablePlan

/** From the tape to the pieces, at once. Total: bad sizes give warnings, never exceptions. */
export function planJob(job: Job): Plan {
  const found = cushionsOf(job.seat)
  if (!found.ok) return { kind: 'unworkable', cushions: null, warnings: [seatFaultWarning(found.error), ...seatWarnings(job.seat, null)] }
  const cushions = found.value
  const doubts = seatWarnings(job.seat, cushions)
  const allowances = applied(job.allowances)
  const oldThicknessMm = job.seat.old.measured?.thicknessMm ?? null
  const fillings = cushions.designs.map((d) => planFilling(job.filling, { cushion: d.solid, seam: allowances.seamMm, oldThicknessMm }))
  const stops = [...doubts.filter((w) => w.level === 'stop'), ...vanishing(fillings), ...infantBed(job, cushions)]
  if (stops.length > 0) return { kind: 'unworkable', cushions, warnings: [stops[0]!, ...doubts.filter((w) => w !== stops[0])] }
  const designs = cushions.designs.map((design, i) => planDesign(job, design, fillings[i]!, allowances))
  const cutting = cuttingOf(job, designs)
  const covers = designs.map((d) => d.cover)
  const cloth = planCloth(job.cloth, covers, cushions)
  return {
    kind: 'worked',
    cushions,
    allowances,
    designs,
    cutting,
    cloth,
    cutList: cutList(designs, cutting, cloth, job.units),
    warnings: [...doubts, ...fillingWarnings(job.filling, fillings, cutting, cushions), ...unique(designs.flatMap((d) => coverWarnings(job, d.cover, d.filling, d.checks))), ...clothWarnings(job, cloth, covers), { station: 'lists', level: 'safety', code: 'knives' }],
  }
}

function planDesign(job: Job, design: Design, filling: FillingPlan, allowances: Allowances): DesignPlan {
  const cover = boxed({ solid: filling.sizing.cover, makeUp: job.makeUp, boxing: boxingAsCut(job), allowances })
  return { design, filling, cover, checks: checkCover(cover, filling.sizing) }
}

function cuttingOf({ filling }: Job, designs: readonly DesignPlan[]): CuttingPlan | null {
  if (filling.kind !== 'foam') return null
  const blocks = designs.flatMap((d, i) => (d.filling.kind === 'foam' ? [{ design: i, letter: d.design.id, count: d.design.count, block: d.filling.sizing.block, layers: d.filling.layers }] : []))
  return planCutting(blocks, filling.cutting, filling.load.use, filling.wadding)
}

function infantBed({ filling }: Job, { seat }: Cushions): readonly Warning[] {
  const { minX, minY, maxX, maxY } = boxOf(seat.bare.outline)
  return isInfantBed(filling.load, { widthMm: maxX - minX, depthMm: maxY - minY }) ? [{ station: 'filling', level: 'stop', code: 'infant-bed' }] : []
}

/** A cover that its sizing school leaves nothing of. */
function vanishing(fillings: readonly FillingPlan[]): readonly Warning[] {
  for (const { sizing } of fillings) {
    const gone = (['width', 'depth', 'thickness'] as const).find((way) => sizing.cover[way].value < LEAST_COVER_MM)
    if (gone) return [{ station: 'measure', level: 'stop', code: 'cushion-vanishes', dimension: gone === 'width' ? 'width' : 'depth', left: sizing.cover[gone].value }]
  }
  return []
}

/** Designs of one job share most doubts: each is said once. */
function unique(warnings: readonly Warning[]): readonly Warning[] {
  const seen = new Set<string>()
  return warnings.filter((w) => {
    const key = w.code === 'check-failed' ? `${w.check}: ${w.detail}` : w.code === 'seam-over-half' ? `${w.code} ${w.panel}` : w.code
    if (seen.has(key)) return false
    seen.add(key)
    return true
  })
}
