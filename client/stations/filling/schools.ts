import type { SizingSchool } from '../../../contract/index.ts'
import type { Sizing } from '../../../core/filling/index.ts'

export const SCHOOLS: readonly { readonly kind: SizingSchool['kind']; readonly name: string }[] = [
  { kind: 'full-block', name: 'Full block' },
  { kind: 'size-for-size', name: 'Size for size' },
  { kind: 'snug-cover', name: 'Snug cover' },
  { kind: 'wrap-then-measure', name: 'Wrap, then measure' },
  { kind: 'thinner-block', name: 'Thinner block' },
]

/** A school with its usual settings; a thinner block gets wadding enough to fill what it leaves. */
export function startSchool(kind: SizingSchool['kind'], sizing: Sizing | null): SizingSchool {
  const thickness = sizing?.cover.thickness.value ?? 80
  switch (kind) {
    case 'size-for-size':
    case 'snug-cover':
      return { kind }
    case 'full-block':
      return { kind, thicknessExtraMm: 0 }
    case 'wrap-then-measure':
      return { kind, loftMm: 20, layers: 1, ends: false, measured: null }
    case 'thinner-block':
      // Two faces, each squeezed to a third of its loft, fill an eighth of the thickness.
      return { kind, thinnerShare: 0.125, loftMm: Math.min(200, Math.max(1, Math.round((thickness * 0.125 * 3) / 2))) }
    default:
      return kind satisfies never
  }
}
