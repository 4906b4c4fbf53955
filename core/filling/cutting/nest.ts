import type { Cutting, LayPiece } from '../../../contract/index.ts'
import { layWhatFits, solveLay } from '../../lay/index.ts'
import { layPieces, sheetProblem, stockProblem, type FoamGroup } from './groups.ts'

export type KeptNest = NonNullable<Cutting['nest']>
/** Parts of a group on one piece of stock, or on so many sheets of one size (trim taken off both). */
export type NestLay = KeptNest['lays'][number]

export interface Nest {
  readonly lays: readonly NestLay[]
  /** Parts with no place on any sheet or piece of stock. */
  readonly left: readonly string[]
}

/**
 * Nests a group as true shapes: first on what lies in stock, smallest pieces first, then on the sheet size
 * that costs least. `isStopped` ends the search; the first answer is always finished.
 */
export function nestGroup(group: FoamGroup, cutting: Cutting, seed: number, isStopped: (share: number) => boolean): Nest {
  let pieces = layPieces(group.parts)
  const lays: NestLay[] = []
  const stock = group.stock.flatMap((s) => Array.from({ length: s.count }, () => s)).toSorted((a, b) => a.lengthMm * a.widthMm - b.lengthMm * b.widthMm)
  stock.forEach((s, i) => {
    if (pieces.length === 0) return
    const found = layWhatFits(stockProblem(s, pieces, cutting), { seed, budget: { steps: Infinity, isStopped: () => isStopped((i + 1) / (stock.length + 1)) } })
    if (found.placements.length === 0) return
    lays.push({ group: group.id, stock: s.id, sheet: { lengthMm: s.lengthMm, widthMm: s.widthMm }, lay: { ...found, seconds: 0 } })
    pieces = without(pieces, found.placements)
  })
  if (pieces.length === 0) return { lays, left: [] }
  const options = group.grade.sheets.flatMap((sheet, i): readonly NestLay[] => {
    const solved = solveLay(sheetProblem(group, sheet, pieces, cutting), { seed, budget: { steps: Infinity, isStopped: () => isStopped((stock.length + (i + 1) / group.grade.sheets.length) / (stock.length + 1)) } })
    return solved.ok ? [{ group: group.id, stock: null, sheet, lay: { ...solved.value.lay, seconds: 0 } }] : []
  })
  if (options.length === 0) return { lays, left: pieces.map((p) => p.id) }
  const area = (n: NestLay) => sheetsIn(n) * n.sheet.lengthMm * n.sheet.widthMm
  const best = options.reduce((a, b) => (area(b) < area(a) - 1 || (Math.abs(area(b) - area(a)) < 1 && b.lay.length < a.lay.length) ? b : a))
  return { lays: [...lays, best], left: [] }
}

export const sheetsIn = ({ lay }: NestLay): number => Math.max(1, ...lay.placements.map((p) => p.sheet ?? 1))

/** The pieces less those that were laid. */
function without(pieces: readonly LayPiece[], placements: NestLay['lay']['placements']): readonly LayPiece[] {
  return pieces.flatMap((p) => {
    const left = p.qty - placements.filter((l) => l.id === p.id).length
    return left > 0 ? [{ ...p, qty: left }] : []
  })
}
