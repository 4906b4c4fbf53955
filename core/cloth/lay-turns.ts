import type { Cloth, ClothChoice } from '../../contract/index.ts'
import { givesOrShrinks, isLyingRole, looksAlikeEveryWay, type Panel } from '../cover/index.ts'
import { turned } from '../lay/index.ts'
import type { Way } from '../pattern/index.ts'
import { isMirrored, looksAlikeTurned, type Matching, type Matchings } from './match.ts'

export interface MatchedWays {
  readonly matchings: Matchings
  readonly turns: readonly number[]
}

/**
 * The ways on which a panel can be matched as it lies, and the turns that keep them: both, else the one across, else
 * the one along. One-way cloth leaves a panel only its own turn; a pattern that rises against the panel wants it
 * upside down unless it is symmetrical.
 */
export function matchedWays({ cloth }: ClothChoice, panel: Panel, { across, along }: Matchings): MatchedWays | null {
  const turns = turnsAsItLies(cloth, panel)
  const tries: readonly Matchings[] = [
    { across, along },
    { across, along: null },
    { across: null, along },
  ]
  for (const matchings of tries) {
    if (!matchings.across && !matchings.along) continue
    const kept = turns.filter(
      (turn) => keeps(turn, matchings.across, 'across') && keeps(turn, matchings.along, 'along'),
    )
    if (kept.length > 0) return { matchings, turns: kept }
  }
  return null
}

/** Whether a turn brings the panel's axis onto that way of the roll, the right way round. */
function keeps(turn: number, matching: Matching | null, way: Way): boolean {
  if (!matching) return true
  const { frame, sense } = matching
  const [x, y] = turned(frame.axis === 'x' ? 1 : 0, frame.axis === 'y' ? 1 : 0, turn, false)
  const goes = way === 'across' ? x : y
  return goes !== 0 && (isMirrored(matching) || goes === frame.rises * sense)
}

/**
 * Turns of an unmatched panel. The pattern's top is at the back of plates and at the top of boxing; railroaded plates
 * lie on their side. 180° needs two-way cloth whose pattern looks the same turned, where the panel is seen.
 */
export function turnsOf({ cloth }: ClothChoice, panel: Panel): number[] {
  const asItLies = turnsAsItLies(cloth, panel)
  // An edge that is to lie on the selvedge may ask for the turn that a plate is not given of itself.
  const isAsked = panel.role === 'base' || panel.edges.some((e) => e.ready)
  const isFree = looksAlikeEveryWay(cloth) && (!isLyingRole(panel.role) || isAsked)
  if (isFree && !givesOrShrinks(cloth)) return asItLies.flatMap((t) => [t, (t + 90) % 360])
  return panel.isSeen && !looksAlikeTurned(cloth) ? asItLies.slice(0, 1) : asItLies
}

function turnsAsItLies({ nap }: Cloth, { lies }: Panel): number[] {
  const own = lies === 'along' ? 270 : 0
  return nap === 'two-way' ? [own, (own + 180) % 360] : [own]
}
