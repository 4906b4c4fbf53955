import { phrase } from '../../core/language/index.ts'
import { LOOSE_WORDS } from '../../core/filling/index.ts'
import type { Job, Lay } from '../../contract/index.ts'
import type { LaidPiece } from '../../core/cloth/index.ts'
import { CLOSURES, MAKE_UPS } from '../../core/cover/index.ts'
import { buyingList } from '../../core/lists/index.ts'
import { progressOf, workOrder } from '../../core/making/index.ts'
import { areaOf } from '../../core/outline/index.ts'
import { cushionCount, type PartPlan, type Plan } from '../../core/planned/index.ts'
import { formatLength, formatLengthWithUnit, trimmed, unitName } from '../../core/units/index.ts'
import { isOfOnePart, type Station } from '../../core/warning/index.ts'
import { money } from '../ui/manner.ts'

/** The one figure of a station that stands on the spine: of the part in view, or of the whole ticket. */
export function keyFigure(
  station: Station,
  job: Job,
  plan: Plan,
  part: PartPlan,
  lays: readonly (Lay | null)[],
): string {
  const mm = (f: { value: number }) => formatLength(f.value, job.units)
  const { makeUp } = part.part
  if (station === 'measure') {
    if (!part.cushions) return 'no outline yet'
    const [first, ...others] = part.cushions.designs
    const { width, depth, thickness } = first!.solid
    return others.length === 0
      ? phrase`${part.cushions.count} of ${mm(width)} x ${mm(depth)} x ${mm(thickness)} ${unitName(job.units)}`
      : phrase`${part.cushions.count} cushions of ${others.length + 1} shapes`
  }
  if (station === 'make-up' && part.kind === 'unworkable') return MAKE_UPS[makeUp.construction.kind].label.toLowerCase()
  if (plan.kind === 'unworkable' || (isOfOnePart(station) && part.kind === 'unworkable'))
    return 'waits for the measurements'
  const worked = part.kind === 'worked' ? part : plan.worked[0]
  switch (station) {
    case 'filling': {
      const { filling, work: ordered } = worked.part
      if (ordered.kind === 'cover-only') return phrase`${worked.cushions.count} that stay`
      if (filling.kind === 'insert') return phrase`${worked.cushions.count} ready-made`
      if (!plan.cutting || filling.kind === 'loose-fibre')
        return phrase`${worked.cushions.count} of ${filling.kind === 'loose-fibre' ? LOOSE_WORDS[filling.of] : 'foam'}`
      const count = plan.cutting.blocks.reduce((sum, block) => sum + block.count, 0)
      if (plan.cutting.cutting.supply === 'cut-to-size')
        return phrase`${count} block${count === 1 ? '' : 's'}, cut to size`
      const sheets = plan.cutting.sheets.value
      return phrase`${count} block${count === 1 ? '' : 's'}, ${sheets} sheet${sheets === 1 ? '' : 's'}`
    }
    case 'make-up':
      if (worked.part.work.kind === 'filling-only') return 'the cover stays'
      return phrase`${MAKE_UPS[makeUp.construction.kind].label.toLowerCase()}, ${CLOSURES[makeUp.closure.kind].label.toLowerCase()}${makeUp.piping.kind === 'none' ? '' : ', piped'}`
    case 'pieces': {
      const wrong = worked.designs.flatMap((d) => d.checks).filter((c) => c.faults.length > 0).length
      const panels = worked.designs.reduce((sum, d) => sum + d.cover.panels.length, 0)
      return phrase`${panels} panels, ${wrong === 0 ? '5 checks right' : phrase`${wrong} checks wrong`}`
    }
    case 'lay': {
      const [lay] = lays
      if (!lay) return 'not laid yet'
      const [main, ...others] = plan.cloth.lays
      if (!main) return 'nothing to lay'
      return others.length === 0
        ? phrase`${formatLengthWithUnit(lay.length, job.units)}, ${wasteWords(main.pieces, lay.length, main.laidOn.widthMm)} waste`
        : phrase`${formatLengthWithUnit(lay.length, job.units)}, and ${others.length} other cloth${others.length === 1 ? '' : 's'}`
    }
    case 'lists': {
      const buying = buyingList(
        job,
        plan,
        plan.cloth.lays.map((_, i) => ({ laidMm: lays[i]?.length ?? null, boundMm: 0 })),
      )
      return buying.hasLay ? phrase`${money(buying.total.value, job.currency)} of foam and cloth` : 'waits for a lay'
    }
    case 'make': {
      const { done, of } = progressOf(workOrder(job, plan), job)
      return phrase`${done} of ${of} steps`
    }
    case 'fit': {
      const fits = Object.values(job.fitting.fits)
      return fits.length === 0
        ? 'not fitted yet'
        : phrase`${fits.filter((f) => f.verdict === 'right').length} of ${cushionCount(plan)} sit right`
    }
    case 'bill':
      return job.terms.given ? phrase`${money(job.terms.given.total, job.currency)} quoted` : job.terms.stage
    default:
      return station satisfies never
  }
}

/** Share of the cloth, selvedge to selvedge, that no piece uses. */
export function wasteWords(pieces: readonly LaidPiece[], lengthMm: number, widthMm: number): string {
  const used = pieces.reduce((sum, p) => sum + p.qty * areaOf(p.cut) * (p.way === 'one-spare' ? 0.5 : 1), 0)
  return `${trimmed((1 - used / (lengthMm * widthMm)) * 100, 1)} %`
}
