import type { Job } from '../../contract/index.ts'
import type { Cover } from '../cover/index.ts'
import type { FillingPlan } from '../filling/index.ts'
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
export function buyingList(job: Job, filling: FillingPlan, cover: Cover, cushions: number, layLengthMm: number | null, boundMm: number): BuyingList {
  const { cloth } = job.cloth
  const step = cloth.buyingStepMm
  const used = entered({ id: 'buy.used', label: layLengthMm === null ? 'Cloth, at least (lower bound)' : 'Length of the lay', quantity: 'run', value: layLengthMm ?? boundMm, rule: layLengthMm === null ? 'no lay yet: only the lower bound is known' : 'as laid', change: 'lay.plan' })
  const clothLength = figure({ id: 'buy.cloth', label: `${cloth.name}, to buy`, quantity: 'run', sum: roundUp(used, step, 'run'), rule: `sold by the ${step} mm`, setBy: 'catalogue' })
  const clothCost = figure({ id: 'buy.clothCost', label: 'Cloth cost', quantity: 'money', sum: times(over(clothLength, given(1000, 'plain', 'mm in a metre')), given(cloth.pricePerMetre, 'money', 'price of a metre')), rule: 'length bought, not length used', setBy: 'catalogue' })
  const blocks = given(cushions, 'count', 'cushions')
  const { sheets } = filling.sheets
  const lines: BuyLine[] = [
    { what: `${job.filling.grade.name}, sheets ${sheetSize(filling, job.units)}`, amount: sheets, cost: filling.sheets.cost },
    { what: cloth.name, amount: clothLength, cost: clothCost },
    { what: `Zip, ${cushions} of`, amount: cover.closure.lengthMm, cost: null },
    { what: 'Sliders', amount: figure({ id: 'buy.sliders', label: 'Sliders', quantity: 'count', sum: times(blocks, given(1, 'count', 'slider a zip')), rule: 'one for each zip' }), cost: null },
  ]
  if (cover.piping) {
    lines.push({ what: `Piping cord ${formatLengthWithUnit(cover.piping.choice.cordMm, job.units)}`, amount: figure({ id: 'buy.cord', label: 'Piping cord', quantity: 'run', sum: times(blocks, cover.piping.cordPerCushion), rule: 'cord of one cushion for each' }), cost: null })
  }
  lines.push({ what: 'Thread', amount: threadLength(cover, cushions), cost: null })
  const costs = lines.flatMap((l) => (l.cost ? [l.cost] : []))
  return { lines, total: figure({ id: 'buy.total', label: 'Foam and cloth', quantity: 'money', sum: plus(...costs), rule: 'what has a price' }), hasLay: layLengthMm !== null }
}

/** Thread is three times the seam length and a tenth more. */
function threadLength(cover: Cover, cushions: number): Figure {
  const seamMm = cover.seams.flatMap((s) => s.pairs).reduce((sum, p) => sum + stretchLength(p.a), 0)
  const seams = entered({ id: 'buy.seamLength', label: 'Seams of one cushion', quantity: 'run', value: seamMm, rule: 'every seam once' })
  return figure({ id: 'buy.thread', label: 'Thread', quantity: 'run', sum: times(given(3, 'plain', 'thread to seam'), seams, given(cushions, 'count', 'cushions'), plus(1, given(0.1, 'share', 'spare'))), rule: 'three times the seams, and a tenth' })
}

/** Length, width and thicknesses of the sheets: `2000 x 1200 x 75 mm`. */
export function sheetSize({ sheets }: FillingPlan, units: LengthUnit): string {
  const say = (mm: number) => formatLength(mm, units)
  const thickness = sheets.stack.length > 0 ? [...new Set(sheets.stack)].map(say).join(' + ') : say(sheets.nearestStackMm)
  return `${say(sheets.sheet.lengthMm)} x ${say(sheets.sheet.widthMm)} x ${thickness} ${unitName(units)}`
}
