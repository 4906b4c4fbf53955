import type { LayProblem } from '../../../contract/index.ts'
import { instanceOf } from '../instance.ts'

/** Pieces of which none lies beside another, since each is wider than half of the cloth in every turn it may have. */
export interface NeverAbreast {
  readonly pieces: readonly { readonly id: string; readonly qty: number }[]
  /** What they take one after the other, mm. */
  readonly lengthMm: number
}

export function neverAbreast(problem: LayProblem): NeverAbreast {
  const instance = instanceOf(problem)
  const half = (instance.maxX - instance.minX - instance.gap) / 2
  const wide = instance.items.filter((item) => item.postures.every((p) => p.shape.width > half))
  const counts = new Map<string, number>()
  for (const { piece } of wide) counts.set(piece, (counts.get(piece) ?? 0) + 1)
  const heights = wide.map((item) => Math.min(...item.postures.map((p) => p.shape.height)))
  return {
    pieces: [...counts].map(([id, qty]) => ({ id, qty })),
    lengthMm: heights.reduce((sum, h) => sum + h, 0) + instance.gap * Math.max(0, wide.length - 1),
  }
}
