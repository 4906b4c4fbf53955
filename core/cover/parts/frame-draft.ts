import { areaOf } from '../../outline/index.ts'
import type { CoverDraft } from '../cover.ts'
import { partnerPlace, type SeamPair, type Stretch } from '../seam.ts'
import { wallArea, type Wall, type WallPart } from '../wall.ts'
import { framePanels, framePatches, type BoxFrame } from './box-frame.ts'

/** What every make-up with plates and boxing has in common. */
export const frameDraft = (frame: BoxFrame) =>
  ({
    panels: framePanels(frame),
    patches: framePatches(frame),
    wall: frame.wall,
    perimeter: frame.perimeter,
    surfaceMm2: boxSurface(frame.wall),
    notes: frame.joined > 0 ? [{ code: 'boxing-joined' }] : [],
    rows: [
      { row: 'top', panel: 'top-plate', pairs: frame.rings.top, perimeter: frame.perimeter },
      { row: 'bottom', panel: 'bottom-plate', pairs: frame.rings.bottom, perimeter: frame.perimeter },
    ] as const,
  }) satisfies Partial<CoverDraft>

/** Both plates and the walls between them. */
export const boxSurface = (wall: Wall): number => areaOf(wall.foot) + areaOf(wall.top) + wallArea(wall)

/** Parts the pairs of the bottom ring into those on given stretches of the foot and the others. */
export function cutAt(
  frame: BoxFrame,
  pairs: readonly SeamPair[],
  along: readonly WallPart[],
): { readonly inside: readonly SeamPair[]; readonly outside: readonly SeamPair[] } {
  const plate = frame.plates.bottom.panel
  const spans = along.map((p) => frame.plates.bottom.stretch(p.edge, p.from, p.to))
  const [inside, outside]: [SeamPair[], SeamPair[]] = [[], []]
  for (const pair of pairs) {
    const own = spans.filter((s) => s.edge === pair.a.edge).map(levelled)
    const [low, high] = [Math.min(pair.a.from, pair.a.to), Math.max(pair.a.from, pair.a.to)]
    const cuts = [
      low,
      ...own
        .flatMap((s) => [s.from, s.to])
        .filter((c) => c > low + HAIR && c < high - HAIR)
        .toSorted((a, b) => a - b),
      high,
    ]
    const pieces = cuts.slice(1).map((to, i) => ({ from: cuts[i]!, to }))
    for (const piece of pair.a.from <= pair.a.to ? pieces : pieces.toReversed()) {
      const a: Stretch =
        pair.a.from <= pair.a.to ? { ...pair.a, ...piece } : { ...pair.a, from: piece.to, to: piece.from }
      const b: Stretch = {
        ...pair.b,
        from: partnerPlace(pair.a, pair.b, a.from),
        to: partnerPlace(pair.a, pair.b, a.to),
      }
      const middle = (piece.from + piece.to) / 2
      const isInside = own.some((s) => s.from < middle && middle < s.to)
      ;(isInside ? inside : outside).push({ a, b })
    }
  }
  if (pairs.some((p) => p.a.panel !== plate.id)) throw new RangeError('cutAt: pairs of another plate')
  return { inside, outside }
}

const HAIR = 1e-6

const levelled = (s: Stretch) => ({ from: Math.min(s.from, s.to), to: Math.max(s.from, s.to) })
