import type { SizingSchool, Wadding } from '../../../contract/index.ts'

/** The sizing schools in the order they are offered. */
export const SCHOOL_KINDS = [
  'full-block',
  'size-for-size',
  'snug-cover',
  'wrap-then-measure',
  'thinner-block',
  'into-cover',
] as const satisfies readonly SizingSchool['kind'][]

/** One layer front to back, as a wrap is laid on; the ends bare. */
export const usualWadding = (loftMm: number): Wadding => ({
  loftMm,
  layers: 1,
  top: true,
  bottom: true,
  front: true,
  back: true,
  ends: 'bare',
  measured: null,
})

/**
 * A school with its usual settings and the wadding it asks for. Thinner by an eighth: two faces, each
 * squeezed to a third of its loft, then fill what it leaves.
 */
export function usualSchool(
  kind: SizingSchool['kind'],
  thicknessMm: number,
): { readonly school: SizingSchool; readonly wadding: Wadding | null } {
  switch (kind) {
    case 'size-for-size':
    case 'snug-cover':
      return { school: { kind }, wadding: null }
    case 'full-block':
      return { school: { kind, thicknessExtraMm: 0 }, wadding: null }
    case 'wrap-then-measure':
      return { school: { kind }, wadding: usualWadding(20) }
    case 'thinner-block':
      return {
        school: { kind, thinnerShare: 0.125 },
        wadding: usualWadding(Math.min(200, Math.max(1, Math.round((thicknessMm * 0.125 * 3) / 2)))),
      }
    case 'into-cover':
      return { school: { kind, widthShare: 0.01, depthShare: 0.015, thicknessShare: 0.04 }, wadding: null }
    default:
      return kind satisfies never
  }
}
