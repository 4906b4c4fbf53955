import type { Footprint } from '../../contract/index.ts'
import { spreadLimit, valueOf } from './dimension.ts'

export interface Squareness {
  /** How far the far edge stands to the right of the near one over the depth, at its middle. */
  readonly leanMm: number
  /** Width at the far edge as the diagonals say. */
  readonly farMm: number
  readonly leftOffsetMm: number
  /** What the diagonals would be if the shape were as entered. */
  readonly expected: { readonly rising: number; readonly falling: number }
  readonly isTrue: boolean
}

/**
 * What two diagonals tell of a four-sided seat with parallel near and far edges w apart d: the far
 * corners stand at √(p² − d²) and w − √(q² − d²). Null without both diagonals, or when one is
 * shorter than the depth and cannot be.
 */
export function squareness(shape: Extract<Footprint, { kind: 'rectangle' | 'taper' }>): Squareness | null {
  if (!shape.rising || !shape.falling) return null
  const [p, q, d] = [valueOf(shape.rising), valueOf(shape.falling), valueOf(shape.depth)]
  const near = valueOf(shape.kind === 'rectangle' ? shape.width : shape.near)
  const far = shape.kind === 'rectangle' ? near : valueOf(shape.far)
  const offset = shape.kind === 'rectangle' ? 0 : shape.offset.kind === 'centred' ? (near - far) / 2 : shape.offset.mm
  if (p <= d || q <= d) return null
  const right = Math.sqrt(p * p - d * d)
  const left = near - Math.sqrt(q * q - d * d)
  const expected = { rising: Math.hypot(offset + far, d), falling: Math.hypot(near - offset, d) }
  const isTrue = Math.abs(p - expected.rising) <= spreadLimit(p) && Math.abs(q - expected.falling) <= spreadLimit(q)
  return { leanMm: (left + right - near) / 2, farMm: right - left, leftOffsetMm: left, expected, isTrue }
}

/** The shape that the diagonals describe; squareness keeps its tapes. */
export function asTaped(shape: Extract<Footprint, { kind: 'rectangle' | 'taper' }>, found: Squareness): Footprint {
  const rounded = (mm: number): number => Math.round(mm * 10) / 10
  const near = shape.kind === 'rectangle' ? shape.width : shape.near
  return {
    kind: 'taper',
    near,
    far: { readings: [{ mm: rounded(found.farMm) }] },
    depth: shape.depth,
    offset: { kind: 'left', mm: rounded(found.leftOffsetMm) },
    rising: shape.rising,
    falling: shape.falling,
  }
}
