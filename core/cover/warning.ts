import type { Closure, Finishing, PanelLayer } from '../../contract/index.ts'
import type { JoinFault } from './joins/join-fault.ts'
import type { WayIn } from './opening.ts'
import type { Refusal } from './refusal.ts'

/** What the cover can object to, as data; its words stand beside it. Lengths in mm. */
export type CoverWarning =
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
  | { readonly code: 'layer-without-cloth'; readonly layer: PanelLayer['kind'] }
  | {
      readonly code: 'quilted-too-wide'
      readonly layer: PanelLayer['kind']
      readonly spacing: number
      readonly most: number
    }
  | { readonly code: 'thick-seam'; readonly thickness: number }
  | { readonly code: 'lap-under-hem'; readonly lap: number; readonly covered: number }
  | { readonly code: 'allowance-beside-book'; readonly name: string; readonly own: number; readonly usual: number }
  | { readonly code: 'bare-foam'; readonly cloth: string }
  | { readonly code: 'not-joined'; readonly fault: JoinFault }
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
  | { readonly code: 'ties-nowhere'; readonly count: number }
  | { readonly code: 'ready-nowhere'; readonly panel: string; readonly edge: string }
  | { readonly code: 'long-cords'; readonly length: number }
  | { readonly code: 'grip-vanishes'; readonly grip: 'non-slip' | 'hook-and-loop' }
  | { readonly code: 'buttons-outside'; readonly count: number }
  | { readonly code: 'buttons-not-washable' | 'small-parts' | 'hot-knife' | 'stapler' | 'liner-in-liner' }
  | { readonly code: 'wrap-not-washable'; readonly fastening: 'bonded' | 'pinned' }
