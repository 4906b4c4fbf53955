import type { Lay, LayPiece, Placement } from '../../contract/index.ts'
import { onTheCloth } from '../lay/index.ts'
import type { ClothLay, LaidPiece } from './cloth-lay.ts'

/**
 * A lay with the same places taken by the same shapes, pieces of one cushion nearer each other: what may stand for each
 * other changes places as long as that brings cushions together. Length, cuts and phases stay as they are.
 */
export function withMatesTogether<L extends Pick<Lay, 'placements'>>(own: ClothLay, lay: L): L {
  if (lay.placements.length > MOST_PIECES) return lay
  const { pieces } = own.problem
  const cushionOf = new Map(own.pieces.map((piece) => [piece.id, cushionKey(piece)]))
  const kindOf = new Map(pieces.map((piece) => [piece.id, kindKey(piece)]))
  const middleOf = new Map(pieces.map((piece) => [piece.id, middle(piece.outline)]))
  // Alike pieces have one outline, so where a place has its middle does not depend on whose it is.
  const seats = lay.placements.map((place): Seat => {
    const [x, y] = onTheCloth(place, ...middleOf.get(place.id)!)
    return { x, y }
  })
  const holders = lay.placements.map(({ id, copy }) => ({ id, copy }))
  const cushionAt = (i: number) => cushionOf.get(holders[i]!.id) ?? ''
  const kinds = grouped(holders.map((h) => kindOf.get(h.id) ?? ''))
  const spread = (cushion: string): number => {
    const own = seats.filter((_, i) => cushionAt(i) === cushion)
    const [x, y] = [meanOf(own.map((s) => s.x)), meanOf(own.map((s) => s.y))]
    return own.reduce((sum, s) => sum + (s.x - x) ** 2 + (s.y - y) ** 2, 0)
  }
  const exchange = (i: number, j: number) => ([holders[i], holders[j]] = [holders[j]!, holders[i]!])
  const isBetterExchanged = (i: number, j: number): boolean => {
    const [a, b] = [cushionAt(i), cushionAt(j)]
    if (a === b || a === '' || b === '') return false
    const before = spread(a) + spread(b)
    exchange(i, j)
    if (spread(a) + spread(b) < before - WORTH_MM2) return true
    exchange(i, j)
    return false
  }
  for (let round = 0, isBetter = true; isBetter && round < MOST_ROUNDS; round++) {
    isBetter = false
    for (const kind of kinds)
      for (const [n, i] of kind.entries())
        for (const j of kind.slice(n + 1)) if (isBetterExchanged(i, j)) isBetter = true
  }
  return { ...lay, placements: lay.placements.map((place, i): Placement => ({ ...place, ...holders[i]! })) }
}

interface Seat {
  readonly x: number
  readonly y: number
}

/** Nothing that a hand would notice. */
const WORTH_MM2 = 1
const MOST_ROUNDS = 6
/** With more it is not worth the time that a page stands still. */
const MOST_PIECES = 250

/** Strips of piping belong to no cushion. */
const cushionKey = ({ of, ticket }: LaidPiece): string => (of ? `${ticket ?? ''}/${of.part}/${of.cushion}` : '')

const kindKey = ({ outline, turns, flip, match, sides }: LayPiece): string =>
  JSON.stringify([outline, turns, flip, match, sides])

function grouped(keys: readonly string[]): readonly (readonly number[])[] {
  const byKey = new Map<string, number[]>()
  keys.forEach((key, i) => {
    const own = byKey.get(key)
    if (own) own.push(i)
    else byKey.set(key, [i])
  })
  return [...byKey.values()]
}

const meanOf = (values: readonly number[]): number => values.reduce((sum, v) => sum + v, 0) / values.length

function middle(outline: LayPiece['outline']): readonly [number, number] {
  const [xs, ys] = [outline.map((p) => p[0]), outline.map((p) => p[1])]
  return [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2]
}
