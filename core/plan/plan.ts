import type { Cutting, Job } from '../../contract/index.ts'
import { clothWarnings, planCloth } from '../cloth/index.ts'
import { cuttingWarnings, planCutting, type BlockToCut, type CuttingPlan, type FillingPlan } from '../filling/index.ts'
import { partJobs } from '../job/index.ts'
import { cutList } from '../lists/index.ts'
import { isSewn, staysThere, type DesignPlan, type Plan } from '../planned/index.ts'
import { withoutMeant, type Warning } from '../warnings/index.ts'
import type { PartPlanner } from './part-planner.ts'
import { planPart } from './plan-part.ts'

/**
 * From the tape to the pieces, at once: each part by itself, then what they share. A part that cannot be made does not
 * stop the others. Total: bad sizes give warnings, never exceptions.
 */
export function planJob(job: Job, plan: PartPlanner = planPart): Plan {
  const isSet = job.parts.length > 1
  const parts = partJobs(job).map((part) => plan(part, isSet ? part.letter : ''))
  const own = parts.flatMap((p) => (isSet ? p.warnings.map((w) => ({ ...w, part: p.part.letter })) : p.warnings))
  const [first, ...others] = parts.filter((p) => p.kind === 'worked')
  if (!first) return { kind: 'unworkable', parts, warnings: withoutMeant(job, own) }
  const worked = [first, ...others] as const
  const designs = worked.flatMap((p) => p.designs)
  const sewn = designs.filter((d) => isSewn(d.part))
  const cutting = cuttingOf(job.cutting, designs)
  const covers = worked
    .filter((p) => isSewn(p.part))
    .map(({ part: { letter, follows, cloth, seat }, ...p }) => ({
      ...p,
      letter,
      follows,
      cloth,
      division: seat.division,
    }))
  const cloth = planCloth(covers, job.folded)
  return {
    kind: 'worked',
    parts,
    worked,
    designs,
    sewn,
    cutting,
    cloth,
    cutList: cutList(job, { designs, sewn, cutting, cloth }),
    warnings: withoutMeant(
      job,
      once([
        ...own,
        ...(cutting ? cuttingWarnings(cutting) : []),
        ...clothWarnings(covers, cloth),
        { station: 'lists', level: 'safety', code: 'knives' },
        ...(sewn.length > 0 ? [{ station: 'make', level: 'safety', code: 'needles' } as const] : []),
      ]),
    ),
  }
}

/** The foam of all parts; null where every cushion is filled with loose fibre. */
function cuttingOf(cutting: Cutting, designs: readonly DesignPlan[]): CuttingPlan | null {
  const block = ({ part, design }: DesignPlan, plan: FillingPlan | null, i: number, letter: string): BlockToCut[] =>
    plan?.kind === 'foam' && part.filling.kind === 'foam'
      ? [
          {
            design: i,
            letter,
            count: design.count,
            block: plan.sizing.block,
            layers: plan.layers,
            use: part.filling.load.use,
            wadding: staysThere(part, 'wadding') ? null : part.filling.wadding,
            sheetMm: part.makeUp.construction.kind === 'cube' ? part.makeUp.construction.sheetMm : null,
          },
        ]
      : []
  const blocks = designs.flatMap((d, i) => [
    ...block(d, d.filling, i, d.design.id),
    ...block(d, d.backFilling, i, `${d.design.id}-back`),
  ])
  return blocks.length > 0 ? planCutting(blocks, cutting) : null
}

/** What can hurt is said once, whichever part it comes from. */
function once(warnings: readonly Warning[]): readonly Warning[] {
  const safety = new Set<string>()
  return warnings.flatMap((w) => {
    if (w.level !== 'safety') return [w]
    const isNew = !safety.has(w.code)
    safety.add(w.code)
    const { part: _, ...said } = w
    return isNew ? [said as Warning] : []
  })
}
