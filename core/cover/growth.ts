import type { ClothChoice, ClothRole, Job } from '../../contract/index.ts'
import { clothFor, givesOrShrinks, liesAlong } from './on-the-roll.ts'
import { NO_GROWTH, type Growth, type PanelRole } from './panel.ts'

/** Cloth that gives is cut smaller by half of what it gives, but never by more than this. A rule of thumb of the trade. */
export const MOST_TAKEN_FOR_STRETCH = 0.04

/** Covers of this kind finished larger by these shares of their width and depth. */
export type LearnedShares = Job['allowances']['learned']

/** How a panel is cut for a cloth that stretches or shrinks: smaller by half the stretch, larger by what washing takes; and smaller by what the shop has learnt. */
export function growthOf(choice: ClothChoice, panel: { readonly role: PanelRole; readonly cloth: ClothRole }, learned: LearnedShares = null): Growth {
  const growth = clothGrowth(choice, panel)
  if (!learned) return growth
  const by = learnedFor(panel.role, learned)
  return { ...growth, finished: { x: growth.finished.x * (1 - by.x), y: growth.finished.y * (1 - by.y) } }
}

/** Plates take the shares as they are; what runs round them the mean of both, and nothing of its height. */
function learnedFor(role: PanelRole, { widthShare, depthShare }: NonNullable<LearnedShares>): { readonly x: number; readonly y: number } {
  switch (role) {
    case 'plate':
    case 'blank':
    case 'base':
    case 'body':
      return { x: widthShare, y: depthShare }
    case 'boxing':
    case 'gusset':
      return { x: (widthShare + depthShare) / 2, y: 0 }
    case 'band':
    case 'trim':
      return { x: 0, y: 0 }
    default:
      return role satisfies never
  }
}

function clothGrowth(choice: ClothChoice, panel: { readonly role: PanelRole; readonly cloth: ClothRole }): Growth {
  const cloth = clothFor(choice, panel.cloth)
  if (!givesOrShrinks(cloth)) return NO_GROWTH
  const [x, y] = liesAlong(choice, panel) ? (['along', 'across'] as const) : (['across', 'along'] as const)
  const smaller = (way: 'across' | 'along') => 1 - Math.min(cloth.stretch[way] / 2, MOST_TAKEN_FOR_STRETCH)
  const larger = (way: 'across' | 'along') => (cloth.washFirst ? 1 : 1 / (1 - cloth.shrink[way]))
  return { ...NO_GROWTH, finished: { x: smaller(x), y: smaller(y) }, whole: { x: larger(x), y: larger(y) } }
}
