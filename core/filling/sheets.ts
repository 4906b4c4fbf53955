import type { Grade } from '../../contract/index.ts'
import { evaluate, given, figure, minus, over, plus, roundDown, roundUp, times, type Figure } from '../working/index.ts'
import type { CushionSize } from '../seat/index.ts'

/** Lost to each cut by an electric knife, and trimmed off each edge of a sheet. */
const KERF_MM = 2
const TRIM_MM = 10

export interface SheetPlan {
  readonly sheet: { readonly lengthMm: number; readonly widthMm: number }
  /** Sheet thicknesses stacked in one block; empty when no stack makes it. */
  readonly stack: readonly number[]
  readonly nearestStackMm: number
  /** Blocks cut from one sheet in straight rows; nought when the block is larger than the sheet. */
  readonly perSheet: Figure
  /** Blocks side by side along the sheet. */
  readonly perRow: number
  readonly turned: boolean
  readonly sheets: Figure
  readonly cost: Figure
}

/** The cheapest of the grade's sheet sizes for so many equal blocks, cut in straight rows. */
export function planSheets(block: CushionSize, count: number, grade: Grade): SheetPlan {
  const stack = stackFor(block.thickness.value, grade.thicknessesMm)
  const nearestStackMm = nearestStack(block.thickness.value, grade.thicknessesMm)
  const plans = grade.sheets.flatMap((sheet) => [false, true].map((turned) => onSheet(block, count, grade, sheet, turned, stack, nearestStackMm)))
  const possible = plans.filter((p) => p.perSheet.value > 0)
  return (possible.length > 0 ? possible : plans).reduce((best, p) => (p.cost.value < best.cost.value - 1e-6 ? p : best))
}

export interface BlockPlace {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

/** Where the blocks lie on the first sheet: rows from a corner, inside the trim, a kerf between them. */
export function blocksOnFirstSheet(plan: SheetPlan, block: CushionSize, count: number): readonly BlockPlace[] {
  const [width, height] = plan.turned ? [block.depth.value, block.width.value] : [block.width.value, block.depth.value]
  return Array.from({ length: Math.min(plan.perSheet.value, count) }, (_, i) => ({ x: TRIM_MM + (i % plan.perRow) * (width + KERF_MM), y: TRIM_MM + Math.floor(i / plan.perRow) * (height + KERF_MM), width, height }))
}

/** Up to three sheet thicknesses that add up to the block, thickest first; empty when none do. */
export function stackFor(thicknessMm: number, offered: readonly number[]): readonly number[] {
  const exact = stacks(offered).filter((s) => Math.abs(total(s) - thicknessMm) < 0.5)
  return exact.toSorted((a, b) => a.length - b.length)[0] ?? []
}

export function nearestStack(thicknessMm: number, offered: readonly number[]): number {
  return stacks(offered).map(total).reduce((best, t) => (Math.abs(t - thicknessMm) < Math.abs(best - thicknessMm) ? t : best))
}

function onSheet(block: CushionSize, count: number, grade: Grade, sheet: { lengthMm: number; widthMm: number }, turned: boolean, stack: readonly number[], nearest: number): SheetPlan {
  const [alongBlock, acrossBlock] = turned ? [block.depth, block.width] : [block.width, block.depth]
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
  const layers = Math.max(1, stack.length)
  const blocks = given(count, 'count', 'blocks')
  const sheets = figure({
    id: 'filling.sheets',
    label: 'Sheets to buy',
    quantity: 'count',
    sum: times(roundUp(over(blocks, perSheet.value > 0 ? perSheet : given(1, 'count', 'block from a sheet')), 1, 'count'), given(layers, 'count', 'layers')),
    rule: 'whole sheets, for each layer',
  })
  const eachMm = given(stack.length > 0 ? total(stack) / layers : nearest, 'length', 'sheet thickness')
  const cost = figure({
    id: 'filling.cost',
    label: 'Foam cost',
    quantity: 'money',
    sum: times(sheets, over(times(given(sheet.lengthMm, 'length', 'sheet length'), given(sheet.widthMm, 'length', 'sheet width'), eachMm), given(1e9, 'plain', 'mm³ in a m³')), given(grade.pricePerM3, 'money', 'price of a m³')),
    rule: 'sheets bought whole',
    setBy: 'catalogue',
    change: 'filling.grade',
  })
  return { sheet, stack, nearestStackMm: nearest, perSheet, perRow: evaluate(along), turned, sheets, cost }
}

function stacks(offered: readonly number[]): readonly (readonly number[])[] {
  const down = offered.toSorted((a, b) => b - a)
  return down.flatMap((a, i) => [[a], ...down.slice(i).flatMap((b, j) => [[a, b], ...down.slice(i + j).map((c) => [a, b, c])])])
}

const total = (stack: readonly number[]): number => stack.reduce((sum, t) => sum + t, 0)
