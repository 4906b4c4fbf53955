import type { Closure, Construction, MakeUp } from '../../contract/index.ts'
import { ok, type Result } from '../result/index.ts'
import type { Solid } from '../seat/index.ts'
import type { Allowances } from './allowances.ts'
import type { CoverDraft } from './cover.ts'

/** What a recipe is given. `solid` is what the cover finishes at. */
export interface RecipeInput<K extends Construction['kind'] = Construction['kind']> {
  readonly solid: Solid
  readonly construction: Extract<Construction, { kind: K }>
  readonly closure: Closure
  readonly piping: MakeUp['piping']
  readonly allowances: Allowances
  /** The longest strip of boxing that the cloth gives, sewing line to sewing line; null: no limit. */
  readonly longestStripMm: number | null
}

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

export type Recipe<K extends Construction['kind'] = Construction['kind']> = (
  input: RecipeInput<K>,
) => Result<CoverDraft, Refusal>

/** A draft with nothing said about what most make-ups have not. */
export const drafted = (
  draft: Pick<CoverDraft, 'panels' | 'seams' | 'closures' | 'patches' | 'perimeter' | 'surfaceMm2'> &
    Partial<CoverDraft>,
): Result<CoverDraft, never> => ok({ rows: [], wall: null, figures: [], notes: [], fittings: [], ...draft })
