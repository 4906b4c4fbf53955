import type { Cloth, ClothChoice, ClothRole, PlannedPart } from '../../contract/index.ts'
import { cutLarger, type Way } from '../pattern/index.ts'
import { clothFor, givesOrShrinks } from './on-the-roll.ts'
import { NO_GROWTH, type Growth, type PanelRole } from './panel.ts'

/**
 * Cloth that gives is cut smaller by half of what it gives, but never by more than this. A rule of thumb of the trade.
 */
export const MOST_TAKEN_FOR_STRETCH = 0.04

/** Covers of this kind finished larger by these shares of their width and depth. */
export type LearnedShares = PlannedPart['allowances']['learned']

/**
 * A panel as it lies, and how much of its own length runs front to back rather than along the row, where it runs round
 * the cushion.
 */
export interface Growing {
  readonly role: PanelRole
  readonly cloth: ClothRole
  readonly lies: Way
  readonly depthShare: number
}

/**
 * How a panel is cut for a cloth that stretches or shrinks: smaller by half the stretch, larger by what washing takes;
 * and smaller by what the shop has learnt.
 */
export function growthOf(choice: ClothChoice, panel: Growing, learned: LearnedShares = null): Growth {
  const growth = clothGrowth(clothFor(choice, panel.cloth), panel.lies)
  if (!learned) return growth
  const by = learnedFor(panel, learned)
  return { ...growth, finished: { x: growth.finished.x * (1 - by.x), y: growth.finished.y * (1 - by.y) } }
}

/** Plates take the shares as they are; what runs round them by the way it runs, and nothing of its height. */
function learnedFor(
  { role, depthShare }: Growing,
  { widthShare, depthShare: frontToBack }: NonNullable<LearnedShares>,
): { readonly x: number; readonly y: number } {
  switch (role) {
    case 'plate':
    case 'blank':
    case 'base':
    case 'body':
      return { x: widthShare, y: frontToBack }
    case 'boxing':
    case 'gusset':
      return { x: widthShare * (1 - depthShare) + frontToBack * depthShare, y: 0 }
    case 'band':
    case 'trim':
      return { x: 0, y: 0 }
    default:
      return role satisfies never
  }
}

function clothGrowth(cloth: Cloth, lies: Way): Growth {
  if (!givesOrShrinks(cloth)) return NO_GROWTH
  const [x, y] = lies === 'along' ? (['along', 'across'] as const) : (['across', 'along'] as const)
  return {
    ...NO_GROWTH,
    finished: { x: takenSmaller(cloth, x), y: takenSmaller(cloth, y) },
    whole: { x: cutLarger(cloth, x), y: cutLarger(cloth, y) },
  }
}

const takenSmaller = (cloth: Cloth, way: Way): number => 1 - Math.min(cloth.stretch[way] / 2, MOST_TAKEN_FOR_STRETCH)

/** The longest finished run whose piece, with so much allowance in all, lies within a length of cloth. */
export const finishedWithin = (cloth: Cloth, way: Way, lengthMm: number, allowancesMm: number): number =>
  (lengthMm / cutLarger(cloth, way) - allowancesMm) / takenSmaller(cloth, way)
