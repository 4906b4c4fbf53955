import type { Closure, Finishing, Load } from '../../contract/index.ts'
import type { WayIn } from '../cover/opening.ts'
import type { Shortfall } from '../what-if/shortfall-words.ts'
import type { Refusal } from '../cover/recipe.ts'
import type { Doubt, Failure } from '../filling/choice/index.ts'
import type { FitCause } from '../filling/sizing/index.ts'
import type { DivisionFault, SeatFault } from '../seat/index.ts'

/** Stations of a job, in the order of the work. */
export const STATIONS = ['measure', 'filling', 'make-up', 'pieces', 'lay', 'lists', 'make', 'fit', 'bill'] as const
export type Station = (typeof STATIONS)[number]

/** `stop`: cannot be made like this; `warning`: judge it; `note`: good to know; `safety`: can hurt someone. */
export type Level = 'stop' | 'warning' | 'note' | 'safety'

/** Everything the plan can object to, as data; words come from `words.ts`. Lengths in mm. */
export type Warning = { readonly station: Station; readonly level: Level } & WarningCase

export type WarningCase =
  | { readonly code: 'readings-spread'; readonly dimension: string; readonly spread: number; readonly limit: number }
  | { readonly code: 'cushion-vanishes'; readonly dimension: 'width' | 'depth' | 'thickness'; readonly left: number }
  | { readonly code: 'seat-fault'; readonly fault: SeatFault | DivisionFault }
  | { readonly code: 'diagonal-too-short' }
  | { readonly code: 'not-square'; readonly lean: number; readonly far: number; readonly offset: number }
  | { readonly code: 'tape-suspect'; readonly tape: string; readonly shouldBe: number; readonly off: number }
  | { readonly code: 'tapes-disagree'; readonly tapes: readonly { readonly tape: string; readonly offMm: number }[] }
  | {
      readonly code: 'old-differs'
      readonly source: 'old cushion' | 'label'
      readonly dimension: 'width' | 'depth' | 'thickness'
      readonly was: number
      readonly now: number
    }
  | { readonly code: 'hull-clearance'; readonly clearance: number; readonly usual: number }
  | { readonly code: 'cover-outline-lost' | 'block-outline-lost' }
  | { readonly code: 'curved-front-match'; readonly off: number }
  | { readonly code: 'thickness-over-depth'; readonly thickness: number; readonly depth: number }
  | { readonly code: 'heavy'; readonly massKg: number; readonly lengthMm: number }
  | {
      readonly code: 'no-sheet-thickness'
      readonly wanted: number
      readonly nearest: number
      readonly offered: readonly number[]
    }
  | { readonly code: 'foam-fails'; readonly failure: Failure; readonly base: Load['base'] }
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
        | 'old-foam-dust'
        | 'infant-bed'
    }
  | { readonly code: 'not-for-sale'; readonly grade: string }
  | { readonly code: 'part-over-sheet'; readonly part: string }
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
  | { readonly code: 'seam-over-half'; readonly panel: string; readonly seam: number; readonly size: number }
  | {
      readonly code: 'opening-too-small'
      readonly closure: Closure['kind']
      readonly way: WayIn
      readonly opening: number
      readonly needed: number
      readonly packed: number
      readonly girth: number
    }
  | { readonly code: 'straight-piping-corners'; readonly cord: number; readonly needed: number }
  | { readonly code: 'piping-as-high-as-boxing'; readonly cord: number; readonly thickness: number }
  | { readonly code: 'check-failed'; readonly check: string; readonly detail: string }
  | { readonly code: 'boxing-cut-per-side' }
  | { readonly code: 'make-up-refused'; readonly refusal: Refusal }
  | { readonly code: 'no-allowance'; readonly panel: string }
  | { readonly code: 'lap-over-limit'; readonly lap: number; readonly most: number }
  | { readonly code: 'piping-bend'; readonly radius: number; readonly needed: number }
  | { readonly code: 'strip-too-narrow'; readonly strip: number; readonly needed: number; readonly cord: number }
  | { readonly code: 'cloth-gives'; readonly share: number; readonly taken: number }
  | { readonly code: 'cloth-shrinks'; readonly across: number; readonly along: number; readonly washFirst: boolean }
  | {
      readonly code: 'finishing-wants-allowance'
      readonly finishing: Finishing
      readonly seam: number
      readonly least: number
    }
  | { readonly code: 'hot-knife-cloth'; readonly cloth: string }
  | { readonly code: 'ties-unreachable'; readonly perSide: number }
  | { readonly code: 'long-cords'; readonly length: number }
  | { readonly code: 'grip-vanishes'; readonly grip: 'non-slip' | 'hook-and-loop' }
  | { readonly code: 'buttons-outside'; readonly count: number }
  | { readonly code: 'buttons-not-washable' | 'small-parts' | 'hot-knife' | 'stapler' | 'liner-in-liner' }
  | { readonly code: 'wrap-not-washable'; readonly fastening: 'bonded' | 'pinned' }
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
  | {
      readonly code: 'piece-wider-than-cloth'
      readonly piece: string
      readonly over: number
      readonly cure: 'other-direction' | 'one-per-side' | 'divide'
    }
  | { readonly code: 'knives' | 'needles' }
