import type { Seat } from '../../contract/index.ts'
import type { Warning } from '../warning/index.ts'
import { asExpression, entered, figure, given, minus, over, times, type Figure, type Operand } from '../working/index.ts'
import { dimensionFigure, spreadLimit, spreadOf } from './dimension.ts'
import { facing } from './facing.ts'

export interface CushionSize {
  readonly width: Figure
  readonly depth: Figure
  readonly thickness: Figure
}

export interface Cushions {
  /** What every cushion of this seat finishes at. */
  readonly size: CushionSize
  readonly count: number
  /** From the left end of the seat (as the sitter's front edge is seen) to each cushion's left edge. */
  readonly leftMm: readonly number[]
  readonly measured: { readonly across: Figure; readonly frontToBack: Figure; readonly thickness: Figure }
}

/**
 * Divides a seat into cushions. A bench of length B with n cushions and gap g between them gives
 * each (B − (n − 1) g) / n, after a clearance at every end that meets a wall or hinge.
 * Sizes may come out negative; `seatWarnings` says so.
 */
export function divideSeat(seat: Seat): Cushions {
  const sides = facing(seat.front)
  const measured = {
    across: dimensionFigure(sides.across === 'width' ? seat.width : seat.depth, 'seat.across', seat.kind === 'bench' ? 'Bench length' : 'Seat width', `measure.${sides.across}`),
    frontToBack: dimensionFigure(sides.across === 'width' ? seat.depth : seat.width, 'seat.frontToBack', 'Seat depth', `measure.${sides.across === 'width' ? 'depth' : 'width'}`),
    thickness: dimensionFigure(seat.thickness, 'seat.thickness', 'Thickness', 'measure.thickness'),
  }
  const isEnclosed = (side: 'left' | 'right' | 'back' | 'front') => seat.roles[sides[side]] !== 'open'
  const clearance = entered({ id: 'seat.clearance', label: 'Clearance at a wall or hinge', quantity: 'length', value: seat.clearanceMm, rule: 'left free so that the cushion goes in and out', setBy: 'job', change: 'measure.clearance' })
  const clear = (from: Figure, enclosed: number): Operand => (enclosed === 0 || seat.clearanceMm === 0 ? from : minus(from, times(given(enclosed, 'count', 'walls or hinges it meets'), clearance)))
  const freeAcross = clear(measured.across, Number(isEnclosed('left')) + Number(isEnclosed('right')))
  const size: CushionSize = {
    width: figure({ id: 'cushion.width', label: 'Cushion width', quantity: 'length', line: 'net', sum: acrossSum(seat, freeAcross), rule: seat.kind === 'bench' ? 'the bench less its gaps, shared out evenly' : 'the seat less its clearances' }),
    depth: figure({ id: 'cushion.depth', label: 'Cushion depth', quantity: 'length', line: 'net', sum: asExpression(clear(measured.frontToBack, Number(isEnclosed('back')) + Number(isEnclosed('front')))), rule: 'the seat less its clearances' }),
    thickness: figure({ id: 'cushion.thickness', label: 'Cushion thickness', quantity: 'length', line: 'net', sum: asExpression(measured.thickness), rule: 'as measured' }),
  }
  const pitch = size.width.value + (seat.kind === 'bench' ? seat.gapMm : 0)
  const start = isEnclosed('left') ? seat.clearanceMm : 0
  return { size, count: seat.count, leftMm: Array.from({ length: seat.count }, (_, i) => start + (seat.kind === 'bench' ? i * pitch : 0)), measured }
}

/** What is doubtful about the measurements. */
export function seatWarnings(seat: Seat, cushions: Cushions): readonly Warning[] {
  const { width, depth, thickness } = cushions.size
  const warnings: Warning[] = []
  for (const dimension of ['width', 'depth', 'thickness'] as const) {
    const spread = spreadOf(seat[dimension])
    const limit = spreadLimit(Math.max(...seat[dimension].readings.map((r) => r.mm)))
    if (spread > limit) warnings.push({ station: 'measure', level: 'warning', code: 'readings-spread', dimension, spread, limit })
  }
  for (const [dimension, left] of [['width', width.value], ['depth', depth.value]] as const) {
    if (left < LEAST_CUSHION_MM) warnings.push({ station: 'measure', level: 'stop', code: 'cushion-vanishes', dimension, left })
  }
  if (thickness.value > depth.value && depth.value >= LEAST_CUSHION_MM) warnings.push({ station: 'measure', level: 'warning', code: 'thickness-over-depth', thickness: thickness.value, depth: depth.value })
  return warnings
}

/** Smaller than this nothing can be sewn; the plan stops there. */
export const LEAST_CUSHION_MM = 10

function acrossSum(seat: Seat, free: Operand) {
  if (seat.kind === 'singles' || seat.count === 1) return asExpression(free)
  const gap = entered({ id: 'seat.gap', label: seat.gapMm < 0 ? 'Gap (squeezed)' : 'Gap between cushions', quantity: 'length', value: seat.gapMm, rule: 'negative: neighbours are squeezed together', setBy: 'job', change: 'measure.gap' })
  const free2 = seat.gapMm === 0 ? free : minus(free, times(given(seat.count - 1, 'count', 'meetings between cushions'), gap))
  return over(free2, given(seat.count, 'count', 'cushions'))
}
