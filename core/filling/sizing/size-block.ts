import type { BodySizes, Inside } from '../../../contract/index.ts'
import type { Solid } from '../../seat/index.ts'
import { bySchool, type Sizing, type SizingRules } from './by-school.ts'
import { bodySolid, coverFor, insideSolid, intoCover, roundBlock } from './what-stays.ts'

/** What of a cushion is there already, and so gives the size of the rest. */
export type Stays =
  | { readonly kind: 'nothing' }
  /** The block, as large as it is, in a cover made to the seat. */
  | { readonly kind: 'block'; readonly body: BodySizes }
  /** The filling is all there: the cover is made to it. Null: it is what was measured. */
  | { readonly kind: 'filling'; readonly body: BodySizes | null }
  /** The cover: the block is made to its inside. Null: that is what was measured. */
  | { readonly kind: 'cover'; readonly inside: Inside | null }

/**
 * From the finished cushion to block and cover, by the named school; where a block or a cover is there already, from
 * that. Sources: rules of thumb of the trade.
 */
export function sizeBlock(cushion: Solid, rules: SizingRules, stays: Stays = { kind: 'nothing' }): Sizing {
  switch (stays.kind) {
    case 'nothing':
      return bySchool(cushion, rules)
    case 'block':
      return roundBlock(cushion, bodySolid(cushion, stays.body), rules)
    case 'filling':
      return coverFor(stays.body ? bodySolid(cushion, stays.body) : cushion, rules)
    case 'cover':
      return intoCover(stays.inside ? insideSolid(cushion, stays.inside) : cushion, rules)
    default:
      return stays satisfies never
  }
}
