import type { Filling } from '../../contract/index.ts'
import type { Cushions } from '../seat/index.ts'
import type { Warning } from '../warning/index.ts'
import { given, figure, over, times, type Figure } from '../working/index.ts'
import { firmnessOf, type Firmness } from './firmness.ts'
import { fitOf, fitWarnings, type Fit } from './fit.ts'
import { planSheets, type SheetPlan } from './sheets.ts'
import { sizeBlock, type Sizing } from './sizing.ts'

export interface FillingPlan {
  readonly firmness: Firmness
  readonly sizing: Sizing
  readonly fit: Fit
  readonly sheets: SheetPlan
  readonly mass: Figure
}

/** Block, cover size, fit, sheets, mass and cost of the filling. */
export function planFilling(filling: Filling, cushions: Cushions, seam: Figure): FillingPlan {
  const { grade } = filling
  const firmness = firmnessOf(grade.hardnessN)
  const sizing = sizeBlock(cushions.size, grade, filling.school, seam)
  const { width, depth, thickness } = sizing.block
  const mass = figure({
    id: 'filling.mass',
    label: 'Mass of one block',
    quantity: 'mass',
    sum: times(over(times(width, depth, thickness), given(1e9, 'plain', 'mm³ in a m³')), given(grade.densityKgM3, 'plain', 'density, kg/m³')),
    rule: 'volume by density',
    setBy: 'catalogue',
    change: 'filling.grade',
  })
  return { firmness, sizing, fit: fitOf(sizing, firmness), sheets: planSheets(sizing.block, cushions.count, grade), mass }
}

/** What is doubtful about the filling. */
export function fillingWarnings(filling: Filling, plan: FillingPlan, cushions: Cushions): readonly Warning[] {
  const { block, cover } = plan.sizing
  const warnings: Warning[] = [{ station: 'filling', level: 'safety', code: 'fire-label' }, ...fitWarnings(plan.fit)]
  const lengthMm = Math.max(block.width.value, block.depth.value)
  if (plan.mass.value > 12 || lengthMm > 1800) warnings.push({ station: 'filling', level: 'safety', code: 'heavy', massKg: plan.mass.value, lengthMm })
  if (plan.sheets.stack.length === 0) {
    warnings.push({ station: 'filling', level: 'warning', code: 'no-sheet-thickness', wanted: block.thickness.value, nearest: plan.sheets.nearestStackMm, offered: filling.grade.thicknessesMm })
  }
  if (plan.sheets.perSheet.value < 1) {
    warnings.push({ station: 'filling', level: 'warning', code: 'block-longer-than-sheet', block: lengthMm, sheet: Math.max(...filling.grade.sheets.flatMap((s) => [s.lengthMm, s.widthMm])) })
  }
  if (filling.school.kind === 'snug-cover') {
    warnings.push({ station: 'filling', level: 'warning', code: 'cover-shrinks-seat', width: cushions.size.width.value - cover.width.value, depth: cushions.size.depth.value - cover.depth.value })
  }
  if (filling.school.kind === 'wrap-then-measure' && filling.school.measured === null) warnings.push({ station: 'filling', level: 'warning', code: 'wrapped-size-not-measured' })
  return warnings
}
