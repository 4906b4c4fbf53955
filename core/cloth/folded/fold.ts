import { phrase } from '../../language/index.ts'
import type { Cloth, LayPiece } from '../../../contract/index.ts'
import { cutOutline, FOLD_EDGE, halfPanel, middleOfCutEdge, usableWidth } from '../../cover/index.ts'
import { boxOf, flatten } from '../../outline/index.ts'
import { textKey } from '../../text-key/index.ts'
import type { ClothLay, LaidPiece } from '../cloth-lay.ts'
import { CHORD_MM } from '../chord.ts'
import { clothProblem } from '../cloth-problem.ts'
import { edgeAt } from '../ready-sides.ts'
import { foldTurn, pairTurns, widthIn } from './mirror.ts'

/**
 * The lay of a cloth folded lengthwise, right side in: half as wide, the fold at its right. What comes in mirrored
 * pairs is cut once through both layers; what is alone or too wide, and the same left and right, is cut as half on the
 * fold; of what has no partner a second one comes, and is spare.
 */
export function foldedLay(flat: ClothLay): ClothLay {
  const laidOn = foldedCloth(flat.laidOn)
  const usableMm = usableWidth(laidOn)
  const cut = foldedCuts(flat, usableMm)
  return {
    ...flat,
    isFolded: true,
    laidOn,
    pieces: cut.map((c) => c.laid),
    usableMm,
    problem: { ...flat.problem, version: 2, ...clothProblem(laidOn, false), pieces: cut.map((c) => c.piece) },
  }
}

/** Both selvedges lie on each other; a flaw of either layer is one of both. */
function foldedCloth(cloth: Cloth): Cloth {
  const half = cloth.widthMm / 2
  return {
    ...cloth,
    widthMm: half,
    selvedgeMm: [Math.max(...cloth.selvedgeMm), 0],
    flaws: cloth.flaws.flatMap((f) => {
      const [from, to] = [f.xMm, f.xMm + f.widthMm]
      const below = from < half ? [{ ...f, widthMm: Math.min(to, half) - from }] : []
      const above = to > half ? [{ ...f, xMm: cloth.widthMm - to, widthMm: to - Math.max(from, half) }] : []
      return [...below, ...above]
    }),
  }
}

interface Cut {
  readonly laid: LaidPiece
  readonly piece: LayPiece
}

function foldedCuts({ pieces, problem }: ClothLay, usableMm: number): readonly Cut[] {
  const narrow = onceByShape((piece, other) =>
    pairTurns(piece, other).filter((t) => widthIn(piece.outline, t) <= usableMm + 1e-6),
  )
  const all = pieces.map((laid, i): Cut => ({ laid, piece: problem.pieces[i]! }))
  const cuts: Cut[] = []
  /** One copy each of what has no partner yet. */
  const singles: Cut[] = []
  for (const { laid, piece } of all) {
    const turns = piece.qty > 1 ? narrow(piece, piece) : []
    const pairs = turns.length > 0 ? piece.qty >> 1 : 0
    if (pairs > 0) cuts.push(cutOf(laid, piece, { qty: pairs, turns, way: 'two-at-once' }))
    for (let k = 2 * pairs; k < piece.qty; k++) singles.push({ laid, piece })
  }
  while (singles.length > 0) {
    const single = singles.shift()!
    const partner = partnerOf(single, singles, narrow)
    if (partner) {
      const [other] = singles.splice(partner.at, 1)
      cuts.push(
        cutOf(single.laid, single.piece, {
          qty: 1,
          turns: partner.turns,
          way: 'two-at-once',
          id: `${single.piece.id}+${other!.piece.id}`,
          name: phrase`${single.laid.name}, with ${other!.laid.name}`,
          alsoOf: other!.laid.of,
        }),
      )
    } else
      cuts.push(
        onTheFold(single) ?? cutOf(single.laid, single.piece, { qty: 1, turns: single.piece.turns, way: 'one-spare' }),
      )
  }
  return merged(cuts)
}

type PairTurns = (piece: LayPiece, other: LayPiece) => readonly number[]

/** Cushions of a set have the same few shapes: two of them are held against each other once. */
function onceByShape(find: PairTurns): PairTurns {
  const keys = new Map<LayPiece, string>()
  const known = new Map<string, readonly number[]>()
  const keyOf = (p: LayPiece): string => {
    const key = keys.get(p) ?? textKey(JSON.stringify([p.outline, p.turns]))
    keys.set(p, key)
    return key
  }
  return (piece, other) => {
    const key = `${keyOf(piece)} ${keyOf(other)}`
    const turns = known.get(key) ?? find(piece, other)
    known.set(key, turns)
    return turns
  }
}

/** The nearest single that is its mirror image: of its own cushion first, as they stand in order. */
function partnerOf(
  { laid, piece }: Cut,
  singles: readonly Cut[],
  turnsOfPair: PairTurns,
): { at: number; turns: readonly number[] } | null {
  const isOwn = (s: Cut): boolean =>
    s.laid.of !== null && laid.of !== null && s.laid.of.cushion === laid.of.cushion && s.laid.of.part === laid.of.part
  for (const among of [isOwn, (s: Cut) => !isOwn(s)])
    for (const [at, single] of singles.entries()) {
      const turns = among(single) ? turnsOfPair(piece, single.piece) : []
      if (turns.length > 0) return { at, turns }
    }
  return null
}

interface CutAs {
  readonly qty: number
  readonly turns: readonly number[]
  readonly way: LaidPiece['way']
  readonly id?: string
  readonly name?: string
  readonly alsoOf?: LaidPiece['of']
}

function cutOf(
  laid: LaidPiece,
  piece: LayPiece,
  { qty, turns, way, id = piece.id, name = laid.name, alsoOf }: CutAs,
): Cut {
  return {
    laid: { ...laid, id, name, qty, way, ...(alsoOf ? { alsoOf } : {}) },
    // Both layers have their selvedges at the left.
    piece: {
      ...piece,
      id,
      qty,
      turns: [...turns],
      ...(piece.sides ? { sides: piece.sides.map((s) => ({ ...s, of: 'left' as const })) } : {}),
    },
  }
}

/** Half of a piece, its middle on the fold; null for a strip, or where it is not the same left and right. */
function onTheFold({ laid, piece }: Cut): Cut | null {
  const turn = foldTurn(piece)
  const panel = laid.of?.panel
  if (turn === null || !panel || piece.sides) return null
  const axis = turn % 180 === 0 ? 'x' : 'y'
  const { minX, maxX, minY, maxY } = boxOf(panel.finished)
  const half = halfPanel(
    panel,
    axis,
    axis === 'x' ? (minX + maxX) / 2 : (minY + maxY) / 2,
    // What lies at the left on the cloth is kept.
    turn === 0 || turn === 270 ? 'before' : 'after',
  )
  if (!half) return null
  const cut = cutOutline(half)
  const outline = flatten(cut, CHORD_MM).map((p): [number, number] => [p.x, p.y])
  const middle = middleOfCutEdge(half, FOLD_EDGE)
  return {
    laid: { ...laid, qty: 1, cut, of: { ...laid.of!, panel: half }, way: 'on-the-fold' },
    piece: { ...piece, qty: 1, outline, turns: [turn], sides: [{ edge: edgeAt(outline, middle), of: 'right' }] },
  }
}

/** Copies of one piece that are cut in one way are counted together; each id stands once. */
function merged(cuts: readonly Cut[]): readonly Cut[] {
  const byKey = new Map<string, Cut>()
  for (const { laid, piece } of cuts) {
    const id = laid.way === 'two-at-once' ? piece.id : `${piece.id} ${laid.way}`
    const known = byKey.get(id)
    const qty = piece.qty + (known?.piece.qty ?? 0)
    byKey.set(id, { laid: { ...laid, id, qty }, piece: { ...piece, id, qty } })
  }
  return [...byKey.values()]
}
