import { cutOutline } from '../cover/index.ts'
import { boxOf } from '../outline/index.ts'
import type { WorkedPlan } from '../plan.ts'
import type { StripStock, WantedStrip } from './cutting-stock.ts'

/** Strips of one height from one cloth, to be cut in rows across it. */
export interface StripGroup {
  readonly clothId: string
  readonly clothName: string
  readonly heightMm: number
  readonly wanted: readonly WantedStrip[]
  readonly stock: readonly StripStock[]
}

/**
 * What is cut as straight strips: rectangular boxing and gussets, and piping cut across. Strips of
 * one height share rows across the roll; where only one row's worth is wanted there is nothing to choose.
 */
export function stripGroups(plan: WorkedPlan): readonly StripGroup[] {
  return plan.cloth.lays.flatMap(({ cloth, pieces, problem, usableMm }) => {
    const strips = pieces.flatMap((piece, i) => {
      // What may only run along the roll is no row across it.
      if (!problem.pieces[i]!.turns.some((turn) => turn % 180 === 0)) return []
      const { minX, minY, maxX, maxY } = boxOf(piece.panel ? cutOutline(piece.panel) : piece.cut)
      const isStrip = piece.panel ? (piece.panel.role === 'boxing' || piece.panel.role === 'gusset') && piece.panel.finished.length === 4 : piece.cut.length === 4 && Math.abs(piece.cut[0]!.y - piece.cut[1]!.y) < 1e-6
      return isStrip ? [{ name: piece.panel?.name ?? piece.name, lengthMm: maxX - minX, heightMm: Number((maxY - minY).toFixed(1)), count: piece.qty }] : []
    })
    const heights = [...new Set(strips.map((s) => s.heightMm))].toSorted((a, b) => b - a)
    return heights.flatMap((heightMm): readonly StripGroup[] => {
      const own = strips.filter((s) => s.heightMm === heightMm)
      const names = [...new Set(own.map((s) => `${s.name} ${s.lengthMm.toFixed(1)}`))]
      const wanted = names.map((id): WantedStrip => {
        const alike = own.filter((s) => `${s.name} ${s.lengthMm.toFixed(1)}` === id)
        return { id, name: alike[0]!.name, lengthMm: alike[0]!.lengthMm, count: alike.reduce((sum, s) => sum + s.count, 0) }
      })
      return [{ clothId: cloth.id, clothName: cloth.name, heightMm, wanted, stock: [{ id: 'row', name: 'row across the roll', lengthMm: usableMm, count: null, costMm: heightMm }] }]
    })
  })
}
