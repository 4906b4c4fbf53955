import type { ClothChoice } from '../../contract/index.ts'
import { clothFor } from './on-the-roll.ts'
import type { Way } from '../pattern/index.ts'
import { isLyingRole } from './panel.ts'
import { cushionFrames, depthWay, rowWay, type CushionFrames, type PatternFrame } from './pattern-frame.ts'
import type { MatchedPanel, SewnUp } from './sewn-up.ts'

/**
 * How each panel lies on its cloth, which decides what it grows by and how it may be turned. Plates, blanks and bodies
 * go with the cloth. Boxing lies as its match wants it, or upright or along as chosen; one-way cloth leaves all but
 * the front boxing as chosen.
 */
export function lieOf(choice: ClothChoice, cover: SewnUp, panel: MatchedPanel): Way {
  if (isLyingRole(panel.role)) return rowWay(choice)
  const { row, depth } = cushionFrames(choice, cover, panel)
  const cloth = clothFor(choice, panel.cloth)
  const isFront = row?.axis === 'x'
  const wanted = (row && lieFor(row, rowWay(choice))) ?? (depth && lieFor(depth, depthWay(choice)))
  if (wanted && (cloth.nap === 'two-way' || isFront)) return wanted
  return stripLie(choice, panel)
}

/** How boxing lies where no match decides it. */
export function stripLie(choice: ClothChoice, panel: Pick<MatchedPanel, 'role' | 'cloth'>): Way {
  if (clothFor(choice, panel.cloth).pattern.kind === 'plain') return 'across'
  if (panel.role === 'gusset') return choice.hiddenStrips
  return panel.role === 'boxing' && choice.sideBoxing === 'along' ? 'along' : 'across'
}

const otherWay = (way: Way): Way => (way === 'across' ? 'along' : 'across')

/** The frames that hold on a panel as it lies. */
export function framesAsLaid(choice: ClothChoice, frames: CushionFrames, lies: Way): CushionFrames {
  const kept = (frame: PatternFrame | null, way: Way) => (frame && lieFor(frame, way) === lies ? frame : null)
  return { row: kept(frames.row, rowWay(choice)), depth: kept(frames.depth, depthWay(choice)) }
}

/** How a panel lies whose own axis runs that way of the roll. */
const lieFor = (frame: PatternFrame, way: Way): Way => (frame.axis === 'x' ? way : otherWay(way))
