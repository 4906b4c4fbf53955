import type { Cloth } from '../../contract/index.ts'
import { bandsOf, patternStart, repeatOf, type Way } from '../../core/pattern/index.ts'
import type { Lay } from '../../contract/index.ts'

/** A coloured part of one repeat of cloth, in millimetres from the repeat's start: x across the roll, y along it. */
export interface TilePart {
  readonly points: readonly (readonly [number, number])[]
  readonly colour: string
  readonly opacity: number
}

export interface ClothTile {
  readonly widthMm: number
  readonly lengthMm: number
  readonly ground: string
  readonly parts: readonly TilePart[]
}

/** What does not repeat a way is drawn in tiles of this size. */
const PLAIN_MM = 40

/** Bands across a check are woven with those along: half of each is seen where they cross. */
const WOVEN = 0.5

/** One repeat of a cloth as it is drawn everywhere. */
export function clothTile(cloth: Cloth): ClothTile {
  const [widthMm, lengthMm] = [repeatOf(cloth, 'across') ?? PLAIN_MM, repeatOf(cloth, 'along') ?? PLAIN_MM]
  return {
    widthMm,
    lengthMm,
    ground: cloth.ground,
    parts:
      cloth.pattern.kind === 'motif'
        ? motifParts(cloth.pattern, widthMm, lengthMm)
        : [
            ...bandParts(cloth, 'across', lengthMm, 1),
            ...bandParts(cloth, 'along', widthMm, repeatOf(cloth, 'across') === null ? 1 : WOVEN),
          ],
  }
}

/** Where a repeat starts on the cloth: along a roll that is bought it is begun where the lay says. */
export const tileStart = (cloth: Cloth, lay: Pick<Lay, 'offsets'> | null) => ({
  across: patternStart(cloth, 'across'),
  along: lay?.offsets['run']?.along ?? patternStart(cloth, 'along'),
})

function bandParts(cloth: Cloth, way: Way, otherMm: number, opacity: number): readonly TilePart[] {
  let from = 0
  return bandsOf(cloth, way).map(({ colour, widthMm }) => {
    const [a, b] = [from, (from += widthMm)]
    const points: readonly (readonly [number, number])[] =
      way === 'across'
        ? [
            [a, 0],
            [b, 0],
            [b, otherMm],
            [a, otherMm],
          ]
        : [
            [0, a],
            [otherMm, a],
            [otherMm, b],
            [0, b],
          ]
    return { points, colour, opacity }
  })
}

/** A small sail stands for any motif: it shows which way is up. */
function motifParts(
  pattern: Extract<Cloth['pattern'], { kind: 'motif' }>,
  widthMm: number,
  lengthMm: number,
): readonly TilePart[] {
  const { acrossMm, alongMm, colour } = pattern
  const size = Math.min(acrossMm, alongMm) * 0.28
  const sail = (x: number, y: number): TilePart => ({
    points: [
      [x - size * 0.6, y - size],
      [x + size * 0.8, y - size],
      [x - size * 0.6, y + size],
    ],
    colour,
    opacity: 1,
  })
  const middle = [widthMm / 2, lengthMm / 2] as const
  if (!pattern.halfDrop) return [sail(...middle)]
  // The neighbouring column, half a repeat along, is cut by the tile's edges: it is drawn on every side.
  return [sail(...middle), ...[0, widthMm].flatMap((x) => [0, lengthMm].map((y) => sail(x, y)))]
}
