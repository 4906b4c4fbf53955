import type { DivisionFault } from './division/index.ts'
import type { SeatFault } from './shaped-seat.ts'

/** What the seat can object to, as data; its words stand beside it. Lengths in mm. */
export type SeatWarning =
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
  | { readonly code: 'thickness-over-depth'; readonly thickness: number; readonly depth: number }
