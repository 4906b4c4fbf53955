import type { Job, Trim } from '../../../contract/index.ts'
import type { WorkedPlan } from '../../planned/index.ts'
import { figure, given, plus } from '../../working/index.ts'
import { boardSheets } from '../board-sheets.ts'
import type { BuyLine, BuyingList, ClothLength, TrimLine } from './buy-line.ts'
import { clothLine } from './cloth-lines.ts'
import { supplyLines, closureLines, pipingLines, fittingLines, threadLength, trimLine } from './trim-lines.ts'
import { foamLines, fibreLines, insertLines } from './foam-lines.ts'

/**
 * What to buy. Cloth is bought by the length of a real lay; without one only its lower bound is known. `lengths` go
 * with the lays of the plan; trims have the prices of the shelf.
 */
export function buyingList(
  job: Pick<Job, 'units'>,
  plan: Pick<WorkedPlan, 'designs' | 'sewn' | 'cutting' | 'cloth'>,
  lengths: readonly ClothLength[],
  shelf: readonly Trim[] = [],
): BuyingList {
  const { cutting, designs, sewn } = plan
  const trims: readonly TrimLine[] = [
    ...(cutting ? supplyLines(cutting) : []),
    ...closureLines(sewn),
    ...pipingLines(job, sewn),
    ...fittingLines(sewn),
    ...boardSheets(job, sewn).map(({ what, sheets }) => ({ what, use: null, amount: sheets })),
    ...(sewn.length > 0 ? [{ what: 'Thread', use: 'thread', amount: threadLength(sewn) } as const] : []),
  ]
  const lines: BuyLine[] = [
    ...[...(cutting ? foamLines(cutting, job.units) : []), ...fibreLines(designs), ...insertLines(designs)].map(
      (l) => ({ ...l, from: 'foam' as const, trim: null }),
    ),
    ...plan.cloth.lays.map(({ cloth }, i) => ({
      ...clothLine(cloth, lengths[i] ?? { laidMm: null, boundMm: 0 }, i),
      from: 'cloth' as const,
      trim: null,
    })),
    ...trims.map((line) => trimLine(line, shelf)),
  ]
  const costs = lines.flatMap((l) => (l.cost ? [l.cost] : []))
  return {
    lines,
    total: figure({
      id: 'buy.total',
      label: 'Materials',
      quantity: 'money',
      sum: costs.length > 0 ? plus(...costs) : given(0, 'money', 'nothing to buy'),
      rule: 'what has a price',
    }),
    hasLay: plan.cloth.lays.every((_, i) => typeof lengths[i]?.laidMm === 'number'),
  }
}
