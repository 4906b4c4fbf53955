import type { Job } from '../../contract/index.ts'
import type { Cover } from '../cover/index.ts'
import type { CuttingPlan, GroupBuy } from '../filling/index.ts'
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
export function buyingList(job: Job, plan: Pick<WorkedPlan, 'designs' | 'cutting' | 'cushions'>, layLengthMm: number | null, boundMm: number): BuyingList {
  const { cloth } = job.cloth
  const step = cloth.buyingStepMm
  const used = entered({ id: 'buy.used', label: layLengthMm === null ? 'Cloth, at least (lower bound)' : 'Length of the lay', quantity: 'run', value: layLengthMm ?? boundMm, rule: layLengthMm === null ? 'no lay yet: only the lower bound is known' : 'as laid', change: 'lay.plan' })
  const clothLength = figure({ id: 'buy.cloth', label: `${cloth.name}, to buy`, quantity: 'run', sum: roundUp(used, step, 'run'), rule: `sold by the ${step} mm`, setBy: 'catalogue' })
  const clothCost = figure({ id: 'buy.clothCost', label: 'Cloth cost', quantity: 'money', sum: times(over(clothLength, given(1000, 'plain', 'mm in a metre')), given(cloth.pricePerMetre, 'money', 'price of a metre')), rule: 'length bought, not length used', setBy: 'catalogue' })
  const { cutting, designs, cushions } = plan
  const blocks = given(cushions.count, 'count', 'cushions')
  const lines: BuyLine[] = [
    ...(cutting ? foamLines(cutting, job.units) : fibreLines(job, designs)),
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

/** Sheets of each grade and thickness, or the parts cut to size; glue, wadding and film besides. */
function foamLines({ groups, order, cost, cutting, supplies }: CuttingPlan, units: LengthUnit): readonly BuyLine[] {
  const say = (mm: number) => formatLength(mm, units)
  const pieces = figure({ id: 'buy.cutToSize', label: 'Parts cut to size', quantity: 'count', sum: given(order.reduce((sum, l) => sum + l.count, 0), 'count', 'parts'), rule: 'as on the order list' })
  const foam: readonly BuyLine[] = cutting.supply === 'cut-to-size' ? [{ what: 'Foam, cut to size', amount: pieces, cost }] : groups.flatMap((g) => (g.buy ? [{ what: `${g.group.grade.name}, sheets ${sheetSize(g.buy.sheet, g.group.thicknessMm, units)}`, amount: g.buy.sheets, cost: g.buy.cost }] : fromStock(g, say)))
  const extras = [
    ['Foam glue', supplies.glue],
    ['Wadding', supplies.waddingM2],
    ['Film', supplies.filmM2],
  ] as const
  return [...foam, ...extras.flatMap(([what, amount]) => (amount ? [{ what, amount, cost: null }] : []))]
}

function fromStock({ group, nest }: GroupBuy, say: (mm: number) => string): readonly BuyLine[] {
  if (nest.length === 0) return []
  return [{ what: `${group.grade.name} ${say(group.thicknessMm)}, from stock`, amount: entered({ id: `buy.stock.${group.id}`, label: 'Pieces of stock', quantity: 'count', value: nest.length, rule: 'as nested' }), cost: null }]
}

function fibreLines({ filling }: Job, designs: WorkedPlan['designs']): readonly BuyLine[] {
  if (filling.kind !== 'loose-fibre') return []
  const masses = designs.map((d) => times(given(d.design.count, 'count', `cushions ${d.design.id}`), d.filling.mass))
  const mass = figure({ id: 'buy.fibre', label: 'Loose fibre', quantity: 'mass', sum: masses.length === 1 ? masses[0]! : plus(...masses), rule: 'fill of every cushion' })
  return [{ what: 'Loose fibre', amount: mass, cost: figure({ id: 'buy.fibreCost', label: 'Fibre cost', quantity: 'money', sum: times(mass, given(filling.pricePerKg, 'money', 'price of a kg')), rule: 'by mass' }) }]
}

/** Length, width and thickness of a sheet: `2000 x 1200 x 75 mm`. */
export function sheetSize(sheet: { readonly lengthMm: number; readonly widthMm: number }, thicknessMm: number, units: LengthUnit): string {
  const say = (mm: number) => formatLength(mm, units)
  return `${say(sheet.lengthMm)} x ${say(sheet.widthMm)} x ${say(thicknessMm)} ${unitName(units)}`
}
