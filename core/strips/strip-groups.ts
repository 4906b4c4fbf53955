import type { Cloth } from '../../contract/index.ts'
import { cutOutline } from '../cover/index.ts'
import { boxOf } from '../outline/index.ts'
import type { WorkedPlan } from '../planned/index.ts'
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
 * Remnants of the same cloth in hand give rows for nothing to the highest strips, where no pattern is matched.
 */
export function stripGroups(plan: WorkedPlan, inHand: readonly Cloth[] = []): readonly StripGroup[] {
  return plan.cloth.lays.flatMap(({ cloth, pieces, problem, usableMm }) => {
    const remnants = pieces.some((p) => p.matched) ? [] : inHand.filter((c) => isRemnantOf(c, cloth))
    const strips = pieces.flatMap((piece, i) => {
      // What may only run along the roll is no row across it.
      if (!problem.pieces[i]!.turns.some((turn) => turn % 180 === 0)) return []
      const panel = piece.of?.panel
      const { minX, minY, maxX, maxY } = boxOf(panel ? cutOutline(panel) : piece.cut)
      const isStrip = panel
        ? (panel.role === 'boxing' || panel.role === 'gusset') && panel.finished.length === 4
        : piece.cut.length === 4 && Math.abs(piece.cut[0]!.y - piece.cut[1]!.y) < 1e-6
      return isStrip
        ? [
            {
              name: panel?.name ?? piece.name,
              lengthMm: maxX - minX,
              heightMm: Number((maxY - minY).toFixed(1)),
              count: piece.qty,
            },
          ]
        : []
    })
    const heights = [...new Set(strips.map((s) => s.heightMm))].toSorted((a, b) => b - a)
    return heights.flatMap((heightMm, place): readonly StripGroup[] => {
      const own = strips.filter((s) => s.heightMm === heightMm)
      const names = [...new Set(own.map((s) => `${s.name} ${s.lengthMm.toFixed(1)}`))]
      const wanted = names.map((id): WantedStrip => {
        const alike = own.filter((s) => `${s.name} ${s.lengthMm.toFixed(1)}` === id)
        return {
          id,
          name: alike[0]!.name,
          lengthMm: alike[0]!.lengthMm,
          count: alike.reduce((sum, s) => sum + s.count, 0),
        }
      })
      return [
        {
          clothId: cloth.id,
          clothName: cloth.name,
          heightMm,
          wanted,
          stock: [
            { id: 'row', name: 'row across the roll', lengthMm: usableMm, count: null, costMm: heightMm },
            ...(place === 0 ? remnants.flatMap((r) => rowsOf(r, heightMm)) : []),
          ],
        },
      ]
    })
  })
}

/** The same weave with the same pattern, wherever it begins on the remnant. */
function isRemnantOf(remnant: Cloth, cloth: Cloth): boolean {
  const weave = ({ ground, nap, massGM2, pattern }: Cloth) =>
    JSON.stringify({ ground, nap, massGM2, pattern: { ...pattern, startMm: 0, startAlongMm: 0 } })
  return remnant.id !== cloth.id && remnant.supply.kind === 'remnant' && weave(remnant) === weave(cloth)
}

/** Rows of one height across a rectangular remnant without flaws; others are cut by eye. */
function rowsOf({ id, name, supply, flaws, selvedgeMm }: Cloth, heightMm: number): readonly StripStock[] {
  if (supply.kind !== 'remnant' || flaws.length > 0) return []
  const [xs, ys] = [supply.outline.map((p) => p[0]), supply.outline.map((p) => p[1])]
  const [width, length] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)]
  const isRectangle =
    supply.outline.length === 4 &&
    supply.outline.every(
      ([x, y]) => (x === Math.min(...xs) || x === Math.max(...xs)) && (y === Math.min(...ys) || y === Math.max(...ys)),
    )
  const count = Math.floor(length / heightMm + 1e-9)
  return isRectangle && count > 0
    ? [{ id, name, lengthMm: width - selvedgeMm[0] - selvedgeMm[1], count, costMm: 0 }]
    : []
}
