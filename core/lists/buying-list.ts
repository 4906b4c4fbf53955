import type { Job } from '../../contract/index.ts'
import type { Cover } from '../cover/index.ts'
import type { SheetPlan } from '../filling/index.ts'
import type { WorkedPlan } from '../plan.ts'
import { stretchLength } from '../cover/index.ts'
import { formatLength, formatLengthWithUnit, unitName, type LengthUnit } from '../units/index.ts'
import { entered, figure, given, over, plus, roundUp, times, type Figure } from '../working/index.ts'

export interface BuyLine {
  readonly what: string
  readonly amount: Figure
  readonly cost: Figure | null
}

export interface BuyingList {
  readonly lines: readonly BuyLine[]
  readonly total: Figure
  /** False while the cloth is only known by its lower bound. */
  readonly hasLay: boolean
}

/** What to buy. Cloth is bought by the length of a real lay; without one only its lower bound is known. */
export function buyingList(job: Job, plan: Pick<WorkedPlan, 'designs' | 'sheets' | 'cushions'>, layLengthMm: number | null, boundMm: number): BuyingList {
  const { cloth } = job.cloth
  const step = cloth.buyingStepMm
  const used = entered({ id: 'buy.used', label: layLengthMm === null ? 'Cloth, at least (lower bound)' : 'Length of the lay', quantity: 'run', value: layLengthMm ?? boundMm, rule: layLengthMm === null ? 'no lay yet: only the lower bound is known' : 'as laid', change: 'lay.plan' })
  const clothLength = figure({ id: 'buy.cloth', label: `${cloth.name}, to buy`, quantity: 'run', sum: roundUp(used, step, 'run'), rule: `sold by the ${step} mm`, setBy: 'catalogue' })
  const clothCost = figure({ id: 'buy.clothCost', label: 'Cloth cost', quantity: 'money', sum: times(over(clothLength, given(1000, 'plain', 'mm in a metre')), given(cloth.pricePerMetre, 'money', 'price of a metre')), rule: 'length bought, not length used', setBy: 'catalogue' })
  const { sheets, designs, cushions } = plan
  const blocks = given(cushions.count, 'count', 'cushions')
  const lines: BuyLine[] = [
    { what: `${job.filling.grade.name}, sheets ${sheetSize(sheets, job.units)}`, amount: sheets.sheets, cost: sheets.cost },
    { what: cloth.name, amount: clothLength, cost: clothCost },
    ...zipLines(designs),
    { what: 'Sliders', amount: figure({ id: 'buy.sliders', label: 'Sliders', quantity: 'count', sum: times(blocks, given(1, 'count', 'slider a zip')), rule: 'one for each zip' }), cost: null },
  ]
  const piped = designs.flatMap(({ design, cover }) => (cover.piping ? [{ count: design.count, piping: cover.piping }] : []))
  if (piped.length > 0) {
    const perDesign = piped.map(({ count, piping }) => times(given(count, 'count', 'cushions'), piping.cordPerCushion))
    lines.push({ what: `Piping cord ${formatLengthWithUnit(piped[0]!.piping.choice.cordMm, job.units)}`, amount: figure({ id: 'buy.cord', label: 'Piping cord', quantity: 'run', sum: perDesign.length === 1 ? perDesign[0]! : plus(...perDesign), rule: 'cord of one cushion for each' }), cost: null })
  }
  lines.push({ what: 'Thread', amount: threadLength(designs), cost: null })
  const costs = lines.flatMap((l) => (l.cost ? [l.cost] : []))
  return { lines, total: figure({ id: 'buy.total', label: 'Foam and cloth', quantity: 'money', sum: plus(...costs), rule: 'what has a price' }), hasLay: layLengthMm !== null }
}

/** Zips of one length are one line; mirrored cushions take the same zip. */
function zipLines(designs: WorkedPlan['designs']): readonly BuyLine[] {
  const byLength = new Map<string, { count: number; length: Figure }>()
  for (const { design, cover } of designs) {
    const length = cover.closure.lengthMm
    const key = length.value.toFixed(0)
    byLength.set(key, { count: (byLength.get(key)?.count ?? 0) + design.count, length: byLength.get(key)?.length ?? length })
  }
  return [...byLength.values()].map(({ count, length }) => ({ what: `Zip, ${count} of`, amount: length, cost: null }))
}

/** Thread is three times the seam length and a tenth more. */
function threadLength(designs: WorkedPlan['designs']): Figure {
  const seamOf = (cover: Cover) => cover.seams.flatMap((s) => s.pairs).reduce((sum, p) => sum + stretchLength(p.a), 0)
  const perDesign = designs.map(({ design, cover }) => {
    const label = designs.length === 1 ? 'Seams of one cushion' : `Seams of one cushion ${design.id}`
    const seams = entered({ id: `buy.seamLength.${design.id}`, label, quantity: 'run', value: seamOf(cover), rule: 'every seam once' })
    return times(seams, given(design.count, 'count', designs.length === 1 ? 'cushions' : `cushions ${design.id}`))
  })
  const all = perDesign.length === 1 ? perDesign[0]! : plus(...perDesign)
  return figure({ id: 'buy.thread', label: 'Thread', quantity: 'run', sum: times(given(3, 'plain', 'thread to seam'), all, plus(1, given(0.1, 'share', 'spare'))), rule: 'three times the seams, and a tenth' })
}

/** Length, width and thicknesses of the sheets: `2000 x 1200 x 75 mm`. */
export function sheetSize(sheets: SheetPlan, units: LengthUnit): string {
  const say = (mm: number) => formatLength(mm, units)
  const thickness = sheets.stack.length > 0 ? [...new Set(sheets.stack)].map(say).join(' + ') : say(sheets.nearestStackMm)
  return `${say(sheets.sheet.lengthMm)} x ${say(sheets.sheet.widthMm)} x ${thickness} ${unitName(units)}`
}
