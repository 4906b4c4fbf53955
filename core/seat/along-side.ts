import { edgeLength, type Outline } from '../outline/index.ts'
import type { SideName } from './sides.ts'

/** An outline whose edges know which side they lie at. */
interface Sided {
  readonly outline: Outline
  readonly edges: readonly { readonly side?: SideName | null }[]
}

const edgesOf = ({ outline, edges }: Sided, side: SideName) =>
  edges.flatMap((e, i) => (e.side === side ? [{ edge: i, length: edgeLength(outline, i) }] : []))

/** All edges of a side together, in mm; 0 where none lies there. */
export const sideLength = (of: Sided, side: SideName): number => edgesOf(of, side).reduce((sum, e) => sum + e.length, 0)

/**
 * The edge on which a place falls that is so far along a side, and how far along that edge; null beyond the side's end.
 */
export function alongSide(
  of: Sided,
  side: SideName,
  alongMm: number,
): { readonly edge: number; readonly atMm: number } | null {
  let left = alongMm
  for (const { edge, length } of edgesOf(of, side)) {
    if (left <= length + 1e-9) return { edge, atMm: Math.min(left, length) }
    left -= length
  }
  return null
}
