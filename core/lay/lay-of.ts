import type { Lay } from '../../contract/index.ts'
import { held } from '../keyed/index.ts'
import { leastSheets, type Bound } from './bounds/index.ts'
import type { Instance } from './instance.ts'
import type { Arrangement, Spot } from './placer.ts'
import { round4 } from './round.ts'

/** An arrangement as a lay of the contract. */
export function layOf(instance: Instance, a: Arrangement, bound: Bound, seed: number): Omit<Lay, 'seconds'> {
  return {
    format: 'loft-seam/lay',
    version: 1,
    length: round4(a.length),
    bound: Math.min(round4(a.length), round4(a.sheets > leastSheets(instance) ? 0 : bound.length)),
    seed,
    placements: a.spots.map((s) => ({
      id: instance.items[s.item]!.piece,
      copy: instance.items[s.item]!.copy,
      x: round4(s.x + s.posture.originX),
      y: round4(s.y + s.posture.originY),
      turn: s.posture.turn,
      flip: s.posture.flip,
      ...(instance.isCounted ? { sheet: s.sheet + 1 } : {}),
    })),
    offsets: Object.fromEntries(
      instance.groups.map((g, i) => [
        g.name,
        { across: roundedOrNull(a.offsets[i]!.across), along: roundedOrNull(a.offsets[i]!.along) },
      ]),
    ),
  }
}

const roundedOrNull = (v: number | null): number | null => (v === null ? null : round4(v))

/** The pieces of a lay as a search has them; pieces that the problem does not know are left out. */
export function spotsOf(instance: Instance, lay: Pick<Lay, 'placements'>): readonly Spot[] {
  const byKey = new Map(instance.items.map((item, i) => [`${item.piece}#${item.copy}`, i]))
  return lay.placements.flatMap((place) => {
    const item = byKey.get(`${place.id}#${place.copy}`)
    if (item === undefined) return []
    const turnings = instance.items[item]!.postures.flatMap((posture) =>
      [posture, ...posture.alike].map((turning) => ({ posture, turning })),
    )
    const said =
      turnings.find(({ turning }) => turning.turn === place.turn && turning.flip === place.flip) ?? turnings[0]
    if (!said) return []
    const { posture, turning } = said
    return [
      { item, posture, x: place.x - turning.originX, y: place.y - turning.originY, sheet: (place.sheet ?? 1) - 1 },
    ]
  })
}

/** A lay as a search may go on from it; null where it is not of all these pieces. */
export function arrangementOf(
  instance: Instance,
  lay: Pick<Lay, 'placements' | 'length' | 'offsets'>,
): Arrangement | null {
  const spots = spotsOf(instance, lay)
  if (new Set(spots.map((s) => s.item)).size < instance.items.length) return null
  const offsets = instance.groups.map(({ name }) => held(lay.offsets, name) ?? { across: null, along: null })
  return { spots, left: [], sheets: Math.max(1, ...spots.map((s) => s.sheet + 1)), length: lay.length, offsets }
}
