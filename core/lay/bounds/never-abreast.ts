import type { LayProblem } from '../../../contract/index.ts'
import { instanceOf } from '../instance.ts'
import type { Shape } from '../shape.ts'
import { profileOf } from './profile.ts'

/** Pieces of which none lies beside another, since each is wider than half of the cloth in every turn it may have. */
export interface NeverAbreast {
  readonly pieces: readonly { readonly id: string; readonly qty: number }[]
  /** What they take one after the other where they are so wide, mm. */
  readonly lengthMm: number
}

export function neverAbreast(problem: LayProblem): NeverAbreast {
  const instance = instanceOf(problem)
  const half = (instance.maxX - instance.minX - instance.gap) / 2
  const wide = instance.items.flatMap(({ piece, postures }) => {
    const ways = postures.map((p) => ({ onMm: wideOn(p.shape, half), heightMm: p.shape.height }))
    const isWide = ways.every(({ onMm, heightMm }) => onMm > 0 && onMm >= WIDE_SHARE * heightMm)
    return isWide ? [{ piece, onMm: Math.min(...ways.map((w) => w.onMm)) }] : []
  })
  const counts = new Map<string, number>()
  for (const { piece } of wide) counts.set(piece, (counts.get(piece) ?? 0) + 1)
  return {
    pieces: [...counts].map(([id, qty]) => ({ id, qty })),
    lengthMm: wide.reduce((sum, w) => sum + w.onMm, 0) + instance.gap * Math.max(0, wide.length - 1),
  }
}

/** A piece with corners cut off or rounded is wide as a whole. */
const WIDE_SHARE = 0.9

/** On how much of its height a line across a piece meets more than so much of it: of a strip on the bias on none. */
const wideOn = ({ ring }: Shape, widthMm: number): number =>
  profileOf(ring, Infinity).reduce((sum, s) => sum + (s.width > widthMm ? s.height : 0), 0)
