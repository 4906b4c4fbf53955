import type { Cutting, Grade, LayPiece, LayProblem } from '../../../contract/index.ts'
import { acceptLay, layWhatFits, solveLay, type SolveOptions } from '../../lay/index.ts'
import { areaOf, at } from '../../outline/index.ts'
import { layPieces, sheetProblem, stockProblem, type FoamGroup } from './groups.ts'
import { planRows } from './rows.ts'
import { sheetRoom } from './tools.ts'

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
export function nestGroup(
  group: FoamGroup,
  cutting: Cutting,
  seed: number,
  isStopped: (share: number) => boolean,
): Nest {
  let pieces = layPieces(group.parts)
  const lays: NestLay[] = []
  const stock = group.stock
    .flatMap((s) => Array.from({ length: s.count }, () => s))
    .toSorted((a, b) => a.lengthMm * a.widthMm - b.lengthMm * b.widthMm)
  stock.forEach((s, i) => {
    if (pieces.length === 0) return
    const found = layWhatFits(stockProblem(s, pieces, cutting), {
      seed,
      budget: { steps: Infinity, isStopped: () => isStopped((i + 1) / (stock.length + 1)) },
    })
    if (found.placements.length === 0) return
    lays.push({
      group: group.id,
      stock: s.id,
      sheet: { lengthMm: s.lengthMm, widthMm: s.widthMm },
      lay: { ...found, seconds: 0 },
    })
    pieces = without(pieces, found.placements)
  })
  if (pieces.length === 0) return { lays, left: [] }
  const rows = inRows(group, pieces, cutting, seed)
  const tries = group.grade.sheets.flatMap((sheet) => [
    { sheet, isOne: false },
    ...(mayBeOneSheet(sheet, pieces, cutting) ? [{ sheet, isOne: true }] : []),
  ])
  const searched = tries.flatMap(({ sheet, isOne }, i): readonly NestLay[] => {
    const budget = {
      steps: Infinity,
      isStopped: () => isStopped((stock.length + (i + 1) / tries.length) / (stock.length + 1)),
    }
    const lay = isOne
      ? onOneSheet(group, sheet, pieces, cutting, { seed, budget })
      : solvedOr(sheetProblem(group, sheet, pieces, cutting), { seed, budget })
    return lay ? [{ group: group.id, stock: null, sheet, lay }] : []
  })
  const options = [...rows, ...searched]
  if (options.length === 0) return { lays, left: pieces.map((p) => p.id) }
  return { lays: [...lays, options.reduce((a, b) => (isCheaper(b, a) ? b : a))], left: [] }
}

/** Less foam is bought; of equals, less of the last sheet is used. */
function isCheaper(a: NestLay, b: NestLay): boolean {
  const area = (n: NestLay) => sheetsIn(n) * n.sheet.lengthMm * n.sheet.widthMm
  return area(a) < area(b) - 1 || (Math.abs(area(a) - area(b)) < 1 && a.lay.length < b.lay.length)
}

function solvedOr(problem: LayProblem, options: SolveOptions): NestLay['lay'] | null {
  const solved = solveLay(problem, options)
  return solved.ok ? { ...solved.value.lay, seconds: 0 } : null
}

/** With more parts than this one sheet is left to the usual search. */
const FEW_PARTS = 40

const mayBeOneSheet = (sheet: Grade['sheets'][number], pieces: readonly LayPiece[], cutting: Cutting): boolean => {
  const { lengthMm, widthMm } = sheetRoom(sheet, cutting)
  const area = (outline: LayPiece['outline']) => Math.abs(areaOf(outline.map(([x, y]) => at(x, y))))
  return (
    pieces.reduce((sum, p) => sum + p.qty, 0) <= FEW_PARTS &&
    pieces.reduce((sum, p) => sum + p.qty * area(p.outline), 0) <= lengthMm * widthMm
  )
}

/**
 * As short as can be on a sheet without an end, where few boxes are laid for proof; null where that is longer than the
 * sheet.
 */
function onOneSheet(
  group: FoamGroup,
  sheet: Grade['sheets'][number],
  pieces: readonly LayPiece[],
  cutting: Cutting,
  options: SolveOptions,
): NestLay['lay'] | null {
  const { cloth, ...problem } = sheetProblem(group, sheet, pieces, cutting)
  const lay = solvedOr({ ...problem, cloth: { ...cloth, length: null, count: 1 } }, options)
  return lay && lay.length <= cloth.length! + ROUNDING_MM ? lay : null
}

const ROUNDING_MM = 0.05

/** The straight rows that need no search, on the sheet on which they cost least: no nest is dearer. */
function inRows(group: FoamGroup, pieces: readonly LayPiece[], cutting: Cutting, seed: number): readonly NestLay[] {
  const parts = pieces.map((p) => ({ ...group.parts.find((part) => part.id === p.id)!, count: p.qty }))
  const rows = planRows(parts, group.grade, group.thicknessMm, cutting)
  if (!rows || rows.places.length === 0) return []
  const copies = new Map<string, number>()
  const placements = rows.places.map((place) => {
    const copy = (copies.get(place.part) ?? 0) + 1
    copies.set(place.part, copy)
    // A sheet's length is the y of a lay: a part that lies along it unturned is turned there.
    const [across, along] = [place.y - cutting.trimMm, place.x - cutting.trimMm]
    return {
      id: place.part,
      copy,
      x: place.turned ? across : across + place.height,
      y: along,
      turn: place.turned ? 0 : 90,
      flip: false,
      sheet: place.sheet + 1,
    }
  })
  const last = Math.max(...rows.places.map((p) => p.sheet))
  const length = Math.max(...rows.places.flatMap((p) => (p.sheet === last ? [p.x - cutting.trimMm + p.width] : [])))
  const lay = {
    format: 'loft-seam/lay' as const,
    version: 1 as const,
    length,
    bound: 0,
    seed,
    seconds: 0,
    placements,
    offsets: {},
  }
  // Rows count boxes; a part that leans out of its box would be told of here.
  return acceptLay(sheetProblem(group, rows.sheet, pieces, cutting), lay).length === 0
    ? [{ group: group.id, stock: null, sheet: rows.sheet, lay }]
    : []
}

export const sheetsIn = ({ lay }: NestLay): number => Math.max(1, ...lay.placements.map((p) => p.sheet ?? 1))

/** The pieces less those that were laid. */
function without(pieces: readonly LayPiece[], placements: NestLay['lay']['placements']): readonly LayPiece[] {
  return pieces.flatMap((p) => {
    const left = p.qty - placements.filter((l) => l.id === p.id).length
    return left > 0 ? [{ ...p, qty: left }] : []
  })
}
