import type { ClothChoice, ClothRole } from '../../contract/index.ts'
import { clothFor, givesOrShrinks, liesAlong } from './on-the-roll.ts'
import { NO_GROWTH, type Growth, type PanelRole } from './panel.ts'

/** Cloth that gives is cut smaller by half of what it gives, but never by more than this. A rule of thumb of the trade. */
export const MOST_TAKEN_FOR_STRETCH = 0.04

/** How a panel is cut for a cloth that stretches or shrinks: smaller by half the stretch, larger by what washing takes. */
export function growthOf(choice: ClothChoice, panel: { readonly role: PanelRole; readonly cloth: ClothRole }): Growth {
  const cloth = clothFor(choice, panel.cloth)
  if (!givesOrShrinks(cloth)) return NO_GROWTH
  const [x, y] = liesAlong(choice, panel) ? (['along', 'across'] as const) : (['across', 'along'] as const)
  const smaller = (way: 'across' | 'along') => 1 - Math.min(cloth.stretch[way] / 2, MOST_TAKEN_FOR_STRETCH)
  const larger = (way: 'across' | 'along') => (cloth.washFirst ? 1 : 1 / (1 - cloth.shrink[way]))
  return { ...NO_GROWTH, finished: { x: smaller(x), y: smaller(y) }, whole: { x: larger(x), y: larger(y) } }
}
