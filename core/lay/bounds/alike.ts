import type { Instance, Item } from '../instance.ts'
import type { Shape } from '../shape.ts'
import { ACCEPTED_OVERLAP_MM } from '../tolerances.ts'

/** Pieces that are the same in every way they may be turned, and the ways that are narrow enough for the cloth. */
export interface Alike {
  readonly shapes: readonly Shape[]
  readonly count: number
}

export function alikeOf(items: readonly Item[], reachMm: number): readonly Alike[] {
  const byKey = new Map<string, Alike>()
  for (const { postures } of items) {
    const shapes = [...new Set(postures.map((p) => p.shape))].filter((s) => s.width <= reachMm + ACCEPTED_OVERLAP_MM)
    const key = shapes.map((s) => s.id).join()
    byKey.set(key, { shapes, count: (byKey.get(key)?.count ?? 0) + 1 })
  }
  return [...byKey.values()]
}

/** As wide as pieces may reach, with what a lay may have of them beyond either side. */
export const acceptedWidth = ({ reachMm }: Instance): number => reachMm + 2 * ACCEPTED_OVERLAP_MM

/** Area of a piece that lies in none of some slabs of it, mm². */
export const areaBeside = (
  { area }: Shape,
  slabs: readonly { readonly height: number; readonly width: number }[],
): number => Math.max(0, area - slabs.reduce((sum, { height, width }) => sum + height * width, 0))
