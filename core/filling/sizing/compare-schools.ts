import type { SizingSchool } from '../../../contract/index.ts'
import type { Solid } from '../../seat/index.ts'
import { fitOf, type Fit } from './fit.ts'
import type { Sizing, SizingRules } from './by-school.ts'
import { sizeBlock, type Stays } from './size-block.ts'
import { SCHOOL_KINDS, usualSchool } from './usual.ts'

/** What one school would make of a cushion. */
export interface SchoolEffect {
  readonly kind: SizingSchool['kind']
  readonly isChosen: boolean
  readonly sizing: Sizing
  readonly fit: Fit
  /** What the filled cover is expected to measure, and what it then falls short of the seat (negative: stands over). */
  readonly finished: { readonly widthMm: number; readonly depthMm: number }
  readonly shortMm: { readonly width: number; readonly depth: number }
}

/** All schools side by side on one cushion: the chosen one as it is set, the others as usual. */
export function compareSchools(cushion: Solid, chosen: SizingRules, stays?: Stays): readonly SchoolEffect[] {
  return SCHOOL_KINDS.map((kind) => {
    const isChosen = kind === chosen.school.kind
    const rules = isChosen ? chosen : { ...chosen, ...usualSchool(kind, cushion.thickness.value) }
    const sizing = sizeBlock(cushion, rules, stays)
    const finished = expectedSize(sizing)
    return {
      kind,
      isChosen,
      sizing,
      fit: fitOf(sizing, chosen.firmness),
      finished,
      shortMm: { width: cushion.width.value - finished.widthMm, depth: cushion.depth.value - finished.depthMm },
    }
  })
}

/** A cover squeezes its block to the cover's size; a loose one lies on a block that keeps its own. */
export function expectedSize({ wrapped, cover }: Sizing): SchoolEffect['finished'] {
  return {
    widthMm: Math.min(cover.width.value, wrapped.width.value),
    depthMm: Math.min(cover.depth.value, wrapped.depth.value),
  }
}
