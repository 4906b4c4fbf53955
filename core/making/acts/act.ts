import type { Cover, Seam } from '../../cover/index.ts'
import type { Step } from '../step.ts'

/**
 * What a thing in work is like. A cover is sewn wrong side out, turned, filled and shut; so is a liner. A body of foam
 * is ready once it is glued and wrapped, a board once it is cut and drilled.
 */
export const STAGES = ['wrong-side', 'right-side', 'filled', 'shut'] as const
export type Stage = (typeof STAGES)[number]

/** What an act does, as the check of the order reads it. */
export type Deed =
  /** Work on foam, cloth or board before it is in anything. */
  | { readonly kind: 'prepare' }
  /** Sewn onto panels or edges while they lie flat. */
  | { readonly kind: 'onto-flat'; readonly panels: readonly string[] }
  | { readonly kind: 'seam'; readonly seam: Seam }
  /** The opening is set open: the last seam from inside shuts everything else. */
  | { readonly kind: 'open' }
  | { readonly kind: 'finish' }
  | { readonly kind: 'turn' }
  /** Top-stitched from the right side, before anything is in it: a roll, a divider. */
  | { readonly kind: 'top-stitch'; readonly seam: Seam | null }
  /** So many pockets are filled one by one. */
  | { readonly kind: 'fill'; readonly pocket: string; readonly with: string }
  | { readonly kind: 'shut'; readonly pocket: string; readonly seam: Seam | null }
  | { readonly kind: 'button' }
  /** The cloth goes round a board or a body that is not put into it. */
  | { readonly kind: 'cover-over'; readonly body: string }
  | { readonly kind: 'look' }

/** One thing that is done, once. Its step has the words; what it needs and leaves puts it in its place. */
export interface Act {
  readonly step: Step
  /** The thing it is done to: a cover by its key, its liner, `body A`, `board A`, or a matter of the whole ticket. */
  readonly thing: string
  readonly does: Deed
  /** The stage its thing must be in; null where that does not matter. */
  readonly at: Stage | null
  /** The stage its thing is in afterwards; null where it stays as it is. */
  readonly leaves: Stage | null
  /** Other things that must have come so far. */
  readonly needs: readonly { readonly thing: string; readonly stage: Stage }[]
  /** Acts, by the ids of their steps, that lie before it where they are there at all. */
  readonly after: readonly string[]
}

/** A cover or liner as the check of the order knows it. */
export interface Garment {
  readonly thing: string
  readonly cover: Cover
  /** The seams that are its own: a cube has a slip cover, a lining and an inner cover in one. */
  readonly seams: readonly Seam[]
  /** Empty where nothing is put into it. */
  readonly pockets: readonly string[]
}

export const act = (
  step: Step,
  thing: string,
  does: Deed,
  more: Partial<Pick<Act, 'at' | 'leaves' | 'needs' | 'after'>> = {},
): Act => ({ step, thing, does, at: null, leaves: null, needs: [], after: [], ...more })
