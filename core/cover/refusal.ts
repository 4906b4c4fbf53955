import type { Construction } from '../../contract/index.ts'

/** Why a footprint or a size cannot take a make-up. Lengths in mm. */
export type RefusalReason =
  | { readonly code: 'bowed-edge'; readonly edge: string }
  | { readonly code: 'leaning-side'; readonly edge: string }
  | { readonly code: 'not-rectangular' }
  | { readonly code: 'inward-corner' }
  | { readonly code: 'borders-collide' }
  | { readonly code: 'not-round'; readonly depth: number; readonly thickness: number }
  | { readonly code: 'roll-too-deep'; readonly taken: number; readonly half: number }
  | { readonly code: 'lap-too-wide'; readonly lap: number; readonly most: number }
  | { readonly code: 'opening-over-edge'; readonly opening: number; readonly edge: number }
  | { readonly code: 'radius-over-half'; readonly radius: number; readonly most: number }
  | { readonly code: 'tucks-over-half'; readonly reach: number; readonly most: number }
  | { readonly code: 'slit-outside'; readonly share: number }
  | { readonly code: 'slot-outside'; readonly inset: number }
  | { readonly code: 'too-thin-to-border'; readonly left: number }
  | { readonly code: 'board-vanishes' }
  | { readonly code: 'hem-over-height'; readonly hem: number; readonly height: number }
  | { readonly code: 'closure-unfit'; readonly closure: string }

export interface Refusal {
  readonly construction: Construction['kind']
  readonly reason: RefusalReason
  /** The nearest make-up that this cushion can take; null where another measure cures it. */
  readonly nearest: Construction['kind'] | null
}
