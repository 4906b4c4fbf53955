import type { Load, Trial } from '../../contract/index.ts'
import type { Doubt, Failure, OldFoamReason } from './choice/index.ts'
import type { Unknown } from './model/index.ts'
import type { FitCause } from './sizing/fit-causes.ts'

/** What the filling can object to, as data; its words stand beside it. Lengths in mm. */
export type FillingWarning =
  | { readonly code: 'cover-outline-lost' | 'block-outline-lost' }
  | { readonly code: 'heavy'; readonly massKg: number; readonly lengthMm: number }
  | {
      readonly code: 'no-sheet-thickness'
      readonly wanted: number
      readonly nearest: number
      readonly offered: readonly number[]
    }
  | { readonly code: 'foam-fails'; readonly failure: Failure; readonly base: Load['base'] }
  | { readonly code: 'sheet-squeezes'; readonly made: number; readonly wanted: number; readonly share: number }
  | { readonly code: 'foam-unknown'; readonly unknown: readonly Unknown[]; readonly isTried: boolean }
  | { readonly code: 'trial-against' | 'trials-differ'; readonly trials: readonly Trial[] }
  | { readonly code: 'body-not-recovered'; readonly body: string }
  | { readonly code: 'body-is-done'; readonly body: string; readonly reasons: readonly OldFoamReason[] }
  | {
      readonly code: 'cover-much-smaller'
      readonly way: 'width' | 'depth' | 'thickness'
      readonly cover: number
      readonly block: number
    }
  | { readonly code: 'foam-doubt'; readonly doubt: Doubt; readonly base: Load['base'] }
  | { readonly code: 'layers-over-block'; readonly block: number; readonly layers: number }
  | { readonly code: 'too-many-layers'; readonly layers: number }
  | { readonly code: 'block-joined'; readonly joins: number }
  | {
      readonly code:
        | 'join-under-sitter'
        | 'joins-in-line'
        | 'berth-wants-air'
        | 'wet-wants-vents'
        | 'fibre-in-wet'
        | 'not-a-lifebuoy'
        | 'glue'
        | 'hot-wire'
        | 'film'
        | 'film-left-in'
        | 'old-foam-dust'
        | 'infant-bed'
    }
  | { readonly code: 'not-for-sale'; readonly grade: string }
  | { readonly code: 'part-over-sheet'; readonly piece: string }
  | { readonly code: 'seat-height-changes'; readonly by: number }
  | {
      readonly code: 'fit-loose' | 'fit-tight' | 'fit-too-tight'
      readonly way: 'across' | 'front to back'
      readonly share: number
    }
  | {
      readonly code: 'squeezed-much'
      readonly way: 'width' | 'depth' | 'thickness'
      readonly by: number
      readonly share: number
      readonly causes: readonly FitCause[]
    }
  | { readonly code: 'cover-shrinks-seat'; readonly width: number; readonly depth: number }
  | { readonly code: 'wrapped-size-not-measured' }
  | { readonly code: 'fire-label' }
