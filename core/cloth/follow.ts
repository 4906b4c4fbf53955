import type { ClothChoice, Follows, Seat } from '../../contract/index.ts'
import { bandCentre, type PatternWay } from '../pattern/index.ts'
import { isRow, type Cushions } from '../seat/index.ts'
import type { ClothRow } from './cloth-row.ts'
import { rowPattern, ruledPlaces, type Placed, type Ruled } from './match.ts'

/** A part of a ticket as its stripes are placed. */
export interface RuledPart {
  readonly letter: string
  readonly follows: Follows | null
  readonly division: Seat['division']
  readonly cushions: Cushions
  /** Its cloths as they lie on the table. */
  readonly laid: ClothChoice
  readonly row: ClothRow
}

/** Why the stripes of a part cannot follow another's. */
export type NotFollowing =
  | 'not-there'
  | 'not-matched'
  | 'leader-not-matched'
  | 'other-cloth'
  | 'other-direction'
  | 'nothing-goes-on'
  | 'other-number'

/** What hinders a part from following the one it is meant to; null where it does, or follows none. */
export function notFollowing(part: RuledPart, parts: readonly RuledPart[]): NotFollowing | null {
  if (!part.follows) return null
  const leader = leaderOf(part, parts)
  if (!leader) return 'not-there'
  if (part.laid.match.kind === 'none') return 'not-matched'
  if (leader.laid.match.kind === 'none') return 'leader-not-matched'
  if (part.follows.how === 'alike') return null
  if (part.laid.cloth.id !== leader.laid.cloth.id) return 'other-cloth'
  if (part.laid.direction !== leader.laid.direction) return 'other-direction'
  if (part.follows.how === 'goes-on' && !rowPattern(part.laid).depth) return 'nothing-goes-on'
  return part.cushions.count === leader.cushions.count || isRow(leader.division) ? null : 'other-number'
}

const leaderOf = ({ follows }: RuledPart, parts: readonly RuledPart[]): RuledPart | undefined =>
  parts.find((p) => p.letter === follows?.part)

/**
 * Where the pattern falls on a cushion of a part: by its own rule, or as the part has it that it follows. On the same
 * centre: what lies on the middle of a seat lies on the middle of its back. Going on: the pattern that ends at the
 * seat's back edge goes on from the lower edge of the back. Where it cannot follow its own rule holds.
 */
export function ruledOf(part: RuledPart, parts: readonly RuledPart[], cushion: number): Ruled {
  const own = ruledPlaces(part.laid, rowPattern(part.laid), part.row, cushion)
  const leader = leaderOf(part, parts)
  if (!leader || notFollowing(part, parts)) return own
  switch (part.follows!.how) {
    case 'alike': {
      const { match, alongRule } = leader.laid
      return ruledPlaces({ ...part.laid, match, alongRule }, rowPattern(part.laid), part.row, cushion)
    }
    case 'same-centre':
      return { ...own, row: sameCentre(part, leader, parts, cushion).row }
    case 'goes-on':
      return sameCentre(part, leader, parts, cushion)
    default:
      return part.follows!.how satisfies never
  }
}

/** The row on the leader's centres, the depth as if it began where the leader's ended. */
function sameCentre(part: RuledPart, leader: RuledPart, parts: readonly RuledPart[], cushion: number): Ruled {
  const under = placeUnder(part, leader, cushion)
  const led = ruledOf(leader, parts, under.cushion)
  const { row, depth } = rowPattern(part.laid)
  const middle = part.row.startMm(cushion) + part.row.widthMm(cushion) / 2
  return {
    row: shifted(led.row, row, middle - under.atMm),
    depth: shifted(led.depth, depth, -leader.row.depthMm(under.cushion)),
  }
}

function shifted(placed: Placed, pattern: PatternWay | null, byMm: number): Placed {
  if (!pattern) return placed
  // Where only neighbours must agree the pattern begins at the edge.
  const at = placed.at ?? bandCentre(pattern.bands, Math.min(placed.band, pattern.bands.length - 1))
  return { band: placed.band, at: at + byMm }
}

/** The cushion of the leader that a cushion stands over, and where its middle falls in the leader's row. */
function placeUnder(
  part: RuledPart,
  leader: RuledPart,
  cushion: number,
): { readonly cushion: number; readonly atMm: number } {
  const middleOf = (k: number) => leader.row.startMm(k) + leader.row.widthMm(k) / 2
  if (part.cushions.count === leader.cushions.count) return { cushion, atMm: middleOf(cushion) }
  const widths = part.cushions.inOrder.map((_, k) => part.row.widthMm(k))
  const before = widths.slice(0, cushion).reduce((sum, w) => sum + w, 0)
  const whole = widths.reduce((sum, w) => sum + w, 0)
  const atMm = leader.row.lengthMm / 2 - whole / 2 + before + widths[cushion]! / 2
  const starts = leader.cushions.inOrder.map((_, k) => leader.row.startMm(k))
  return {
    cushion: Math.max(
      0,
      starts.findLastIndex((start) => start <= atMm),
    ),
    atMm,
  }
}
