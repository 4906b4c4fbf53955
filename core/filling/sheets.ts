import type { Grade } from '../../contract/index.ts'
import { areaOf, atHeight, boxOf, hasArcs } from '../outline/index.ts'
import type { Solid } from '../seat/index.ts'
import { entered, evaluate, given, figure, minus, over, plus, roundDown, roundUp, times, type Expression, type Figure } from '../working/index.ts'

/** Lost to each cut by an electric knife, and trimmed off each edge of a sheet. */
const KERF_MM = 2
const TRIM_MM = 10

export interface SheetPlan {
  readonly sheet: { readonly lengthMm: number; readonly widthMm: number }
  /** Sheet thicknesses stacked in one block; empty when no stack makes it. */
  readonly stack: readonly number[]
  readonly nearestStackMm: number
  /** Blocks cut from one sheet in straight rows; nought when a block is larger than the sheet. */
  readonly perSheet: Figure
  readonly sheets: Figure
  readonly cost: Figure
  /** Where blocks lie on the first sheet: rows from a corner, inside the trim, a kerf between them. */
  readonly firstSheet: readonly BlockPlace[]
}

/** A block on a sheet, by the box that foot and top need; `turned` by a quarter. */
export interface BlockPlace {
  /** Index of the block's design. */
  readonly design: number
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
  readonly turned: boolean
}

export interface BlockBatch {
  readonly block: Solid
  readonly count: number
}

/** The cheapest of the grade's sheet sizes for all blocks of a job, cut in straight rows. */
export function planSheets(batches: readonly BlockBatch[], grade: Grade): SheetPlan {
  const thickness = batches[0]!.block.thickness.value
  const stack = stackFor(thickness, grade.thicknessesMm)
  const stacking: Stacking = { stack, nearestMm: nearestStack(thickness, grade.thicknessesMm) }
  const boxes = batches.map(({ block, count }): BoxBatch => ({ ...boxNeeded(block), count }))
  const plans = grade.sheets.flatMap((sheet) => [false, true].map((turned) => (boxes.length === 1 ? equalBlocks(boxes[0]!, grade, sheet, turned, stacking) : mixedBlocks(boxes, grade, sheet, turned, stacking))))
  const possible = plans.filter((p) => p.perSheet.value > 0)
  return (possible.length > 0 ? possible : plans).reduce((best, p) => (p.cost.value < best.cost.value - 1e-6 ? p : best))
}

/** Upright and rectangular: its sizes over all say everything. */
export function isPlainBox({ outline, edges, width, depth }: Solid): boolean {
  return !hasArcs(outline) && edges.every((e) => e.leanRad === 0) && Math.abs(areaOf(outline) - width.value * depth.value) < 1
}

/** Up to three sheet thicknesses that add up to the block, thickest first; empty when none do. */
export function stackFor(thicknessMm: number, offered: readonly number[]): readonly number[] {
  const exact = stacks(offered).filter((s) => Math.abs(total(s) - thicknessMm) < 0.5)
  return exact.toSorted((a, b) => a.length - b.length)[0] ?? []
}

export function nearestStack(thicknessMm: number, offered: readonly number[]): number {
  return stacks(offered).map(total).reduce((best, t) => (Math.abs(t - thicknessMm) < Math.abs(best - thicknessMm) ? t : best))
}

interface Stacking {
  readonly stack: readonly number[]
  readonly nearestMm: number
}

interface Sheet {
  readonly lengthMm: number
  readonly widthMm: number
}

/** What each block of a batch takes of its sheet. */
interface BoxBatch {
  readonly width: Figure
  readonly depth: Figure
  readonly count: number
}

function equalBlocks({ count, ...box }: BoxBatch, grade: Grade, sheet: Sheet, turned: boolean, stacking: Stacking): SheetPlan {
  const [alongBlock, acrossBlock] = turned ? [box.depth, box.width] : [box.width, box.depth]
  const kerf = given(KERF_MM, 'length', 'knife kerf')
  const rows = (side: number, name: string, of: Figure) =>
    roundDown(over(plus(minus(given(side, 'length', name), times(2, given(TRIM_MM, 'length', 'trim'))), kerf), plus(of, kerf)), 1, 'count')
  const along = rows(sheet.lengthMm, 'sheet length', alongBlock)
  const perSheet = figure({
    id: 'filling.perSheet',
    label: 'Blocks from one sheet',
    quantity: 'count',
    sum: times(along, rows(sheet.widthMm, 'sheet width', acrossBlock)),
    rule: `straight rows${turned ? ', blocks turned' : ''}; nesting may do better`,
  })
  const blocks = given(count, 'count', 'blocks')
  const eachLayer = roundUp(over(blocks, perSheet.value > 0 ? perSheet : given(1, 'count', 'block from a sheet')), 1, 'count')
  const perRow = evaluate(along)
  const [width, height] = [alongBlock.value, acrossBlock.value]
  const firstSheet = Array.from({ length: Math.min(perSheet.value, count) }, (_, i): BlockPlace => ({ design: 0, x: TRIM_MM + (i % perRow) * (width + KERF_MM), y: TRIM_MM + Math.floor(i / perRow) * (height + KERF_MM), width, height, turned }))
  return { sheet, stack: stacking.stack, nearestStackMm: stacking.nearestMm, perSheet, firstSheet, ...bought(eachLayer, grade, sheet, stacking) }
}

/** Blocks of several designs in rows, tallest first; each goes into the first row and sheet with room. */
function mixedBlocks(batches: readonly BoxBatch[], grade: Grade, sheet: Sheet, turned: boolean, stacking: Stacking): SheetPlan {
  const boxes = batches.flatMap(({ width, depth, count }, design) => {
    return Array.from({ length: count }, () => ({ design, width: turned ? depth.value : width.value, height: turned ? width.value : depth.value }))
  })
  const [length, across] = [sheet.lengthMm - 2 * TRIM_MM, sheet.widthMm - 2 * TRIM_MM]
  const isTooLarge = boxes.some((b) => b.width > length || b.height > across)
  const sheets: { rows: { y: number; height: number; used: number }[]; filled: number }[] = []
  const firstSheet: BlockPlace[] = []
  for (const box of boxes.toSorted((a, b) => b.height - a.height)) {
    let at = sheets.findIndex((s) => s.rows.some((r) => r.used + box.width <= length && box.height <= r.height) || s.filled + box.height <= across)
    if (at < 0) at = sheets.push({ rows: [], filled: 0 }) - 1
    const on = sheets[at]!
    let row = on.rows.find((r) => r.used + box.width <= length && box.height <= r.height)
    if (!row) {
      row = { y: on.filled, height: box.height, used: 0 }
      on.rows.push(row)
      on.filled += box.height + KERF_MM
    }
    if (at === 0) firstSheet.push({ design: box.design, x: TRIM_MM + row.used, y: TRIM_MM + row.y, width: box.width, height: box.height, turned })
    row.used += box.width + KERF_MM
  }
  const perSheet = entered({ id: 'filling.perSheet', label: 'Blocks from the first sheet', quantity: 'count', value: isTooLarge ? 0 : firstSheet.length, rule: 'rows, tallest blocks first; nesting may do better' })
  return { sheet, stack: stacking.stack, nearestStackMm: stacking.nearestMm, perSheet, firstSheet: isTooLarge ? [] : firstSheet, ...bought(given(sheets.length, 'count', 'sheets filled'), grade, sheet, stacking) }
}

function bought(eachLayer: Expression, grade: Grade, sheet: Sheet, { stack, nearestMm }: Stacking): Pick<SheetPlan, 'sheets' | 'cost'> {
  const layers = Math.max(1, stack.length)
  const sheets = figure({ id: 'filling.sheets', label: 'Sheets to buy', quantity: 'count', sum: times(eachLayer, given(layers, 'count', 'layers')), rule: 'whole sheets, for each layer' })
  const eachMm = given(stack.length > 0 ? total(stack) / layers : nearestMm, 'length', 'sheet thickness')
  const cost = figure({
    id: 'filling.cost',
    label: 'Foam cost',
    quantity: 'money',
    sum: times(sheets, over(times(given(sheet.lengthMm, 'length', 'sheet length'), given(sheet.widthMm, 'length', 'sheet width'), eachMm), given(1e9, 'plain', 'mm³ in a m³')), given(grade.pricePerM3, 'money', 'price of a m³')),
    rule: 'sheets bought whole',
    setBy: 'catalogue',
    change: 'filling.grade',
  })
  return { sheets, cost }
}

/** What a block takes of its sheet: the box of foot and top together. */
function boxNeeded(block: Solid): { readonly width: Figure; readonly depth: Figure } {
  const leans = block.edges.map((e) => e.leanRad)
  if (leans.every((l) => l === 0)) return block
  const [foot, top] = [boxOf(block.outline), boxOf(atHeight(block.outline, leans, block.thickness.value))]
  const box = { minX: Math.min(foot.minX, top.minX), minY: Math.min(foot.minY, top.minY), maxX: Math.max(foot.maxX, top.maxX), maxY: Math.max(foot.maxY, top.maxY) }
  const side = (name: 'width' | 'depth', value: number) => entered({ id: `block.${name}Needed`, label: `Block ${name}, foot and top`, quantity: 'length', line: 'cut', value, rule: 'the leaning sides counted in' })
  return { width: side('width', box.maxX - box.minX), depth: side('depth', box.maxY - box.minY) }
}

function stacks(offered: readonly number[]): readonly (readonly number[])[] {
  const down = offered.toSorted((a, b) => b - a)
  return down.flatMap((a, i) => [[a], ...down.slice(i).flatMap((b, j) => [[a, b], ...down.slice(i + j).map((c) => [a, b, c])])])
}

const total = (stack: readonly number[]): number => stack.reduce((sum, t) => sum + t, 0)
