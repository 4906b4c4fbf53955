import type { Closure, Construction, MakeUp } from '../../contract/index.ts'
import { ok, type Result } from '../result/index.ts'
import type { Solid } from '../seat/index.ts'
import type { Allowances } from './allowances.ts'
import type { CoverDraft } from './cover.ts'
import type { Refusal } from './refusal.ts'

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

export type Recipe<K extends Construction['kind'] = Construction['kind']> = (
  input: RecipeInput<K>,
) => Result<CoverDraft, Refusal>

/** A draft with nothing said about what most make-ups have not. */
export const drafted = (
  draft: Pick<CoverDraft, 'panels' | 'seams' | 'closures' | 'patches' | 'perimeter' | 'surfaceMm2'> &
    Partial<CoverDraft>,
): Result<CoverDraft, never> =>
  ok({ rows: [], wall: null, figures: [], notes: [], fittings: [], board: null, ...draft })
