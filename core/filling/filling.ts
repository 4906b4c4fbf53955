import type { Filling } from '../../contract/index.ts'
import { bevelVolume, keepsShape } from '../outline/index.ts'
import { HEAVY_KG, type Cushions, type Solid } from '../seat/index.ts'
import type { Warning } from '../warning/index.ts'
import { given, figure, over, times, type Expression, type Figure } from '../working/index.ts'
import { firmnessOf, type Firmness } from './firmness.ts'
import { fitOf, fitWarnings, type Fit } from './fit.ts'
import { isPlainBox, type SheetPlan } from './sheets.ts'
import { sizeBlock, type Sizing } from './sizing.ts'

/** The filling of one cushion of a design. */
export interface FillingPlan {
  readonly firmness: Firmness
  readonly sizing: Sizing
  readonly fit: Fit
  readonly mass: Figure
}

/** Block, cover size, fit and mass of one cushion's filling. */
export function planFilling(filling: Filling, cushion: Solid, seam: Figure): FillingPlan {
  const { grade } = filling
  const firmness = firmnessOf(grade.hardnessN)
  const sizing = sizeBlock(cushion, grade, filling.school, seam)
  const mass = figure({
    id: 'filling.mass',
    label: 'Mass of one block',
    quantity: 'mass',
    sum: times(volumeM3(sizing.block), given(grade.densityKgM3, 'plain', 'density, kg/m³')),
    rule: 'volume by density',
    setBy: 'catalogue',
    change: 'filling.grade',
  })
  return { firmness, sizing, fit: fitOf(sizing, firmness), mass }
}

/** What is doubtful about the filling. */
export function fillingWarnings(filling: Filling, plans: readonly FillingPlan[], sheets: SheetPlan, cushions: Cushions): readonly Warning[] {
  const heaviest = plans.reduce((most, p) => (p.mass.value > most.mass.value ? p : most))
  const { block } = heaviest.sizing
  const warnings: Warning[] = [{ station: 'filling', level: 'safety', code: 'fire-label' }, ...fitWarnings(heaviest.fit)]
  const lengthMm = Math.max(...plans.flatMap((p) => [p.sizing.block.width.value, p.sizing.block.depth.value]))
  if (heaviest.mass.value > HEAVY_KG || lengthMm > 1800) warnings.push({ station: 'filling', level: 'safety', code: 'heavy', massKg: heaviest.mass.value, lengthMm })
  if (sheets.stack.length === 0) {
    warnings.push({ station: 'filling', level: 'warning', code: 'no-sheet-thickness', wanted: block.thickness.value, nearest: sheets.nearestStackMm, offered: filling.grade.thicknessesMm })
  }
  if (sheets.perSheet.value < 1) {
    warnings.push({ station: 'filling', level: 'warning', code: 'block-longer-than-sheet', block: lengthMm, sheet: Math.max(...filling.grade.sheets.flatMap((s) => [s.lengthMm, s.widthMm])) })
  }
  plans.slice(0, 1).forEach(({ sizing: { cover } }, i) => {
    const { solid } = cushions.designs[i]!
    if (!keepsShape(solid.outline, cover.outline)) warnings.push({ station: 'filling', level: 'stop', code: 'cover-outline-lost' })
    if (filling.school.kind === 'snug-cover') warnings.push({ station: 'filling', level: 'warning', code: 'cover-shrinks-seat', width: solid.width.value - cover.width.value, depth: solid.depth.value - cover.depth.value })
  })
  if (filling.school.kind === 'wrap-then-measure' && filling.school.measured === null) warnings.push({ station: 'filling', level: 'warning', code: 'wrapped-size-not-measured' })
  return warnings
}

function volumeM3(block: Solid): Expression {
  const { width, depth, thickness, outline, edges } = block
  if (isPlainBox(block)) return over(times(width, depth, thickness), given(1e9, 'plain', 'mm³ in a m³'))
  return given(bevelVolume(outline, edges.map((e) => e.leanRad), thickness.value) / 1e9, 'plain', 'volume from the outline, m³')
}
