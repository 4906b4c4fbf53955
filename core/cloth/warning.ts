import type { FoldFault } from './folded/fold-fault.ts'
import type { NotFollowing } from './follow.ts'
import type { Shortfall } from './shortfall-words.ts'

/** What the cloth can object to, as data; its words stand beside it. Lengths in mm. */
export type ClothWarning =
  | { readonly code: 'curved-front-match'; readonly off: number }
  | { readonly code: 'nothing-to-match'; readonly cloth: string }
  | {
      readonly code: 'sides-cannot-match'
      readonly edges: 'side' | 'front'
      readonly because: 'runs-along' | 'one-way' | 'slanted'
    }
  | { readonly code: 'too-many-pieces'; readonly cloth: string; readonly pieces: number; readonly most: number }
  | { readonly code: 'matches-one-leg'; readonly edges: 'side' | 'front'; readonly off: number }
  | { readonly code: 'rule-from-front'; readonly isTaken: boolean }
  | { readonly code: 'piping-join-near'; readonly clear: number; readonly wanted: number }
  | { readonly code: 'cloth-too-short'; readonly cloth: string; readonly shortfall: Shortfall }
  | { readonly code: 'depth-rule-idle' | 'under-cannot-match' }
  | { readonly code: 'band-missing'; readonly band: number; readonly bands: number }
  | { readonly code: 'repeat-over-width'; readonly repeat: number; readonly usable: number }
  | { readonly code: 'pile-sideways' }
  | { readonly code: 'not-folded'; readonly cloth: string; readonly because: FoldFault }
  | { readonly code: 'never-on-selvedge'; readonly piece: string; readonly because: 'lies-otherwise' | 'remnant' }
  | { readonly code: 'spare-pieces'; readonly cloth: string; readonly count: number }
  | { readonly code: 'cannot-follow'; readonly leader: string; readonly because: NotFollowing }
  | {
      readonly code: 'piece-wider-than-cloth'
      readonly piece: string
      readonly over: number
      readonly cure: 'other-direction' | 'one-per-side' | 'divide'
    }
