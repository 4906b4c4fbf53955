import { largestFree, MOST_FOR_FREE } from './free-rectangle.ts'
import type { Instance } from './instance.ts'
import { knifeWork } from './knife.ts'
import type { Arrangement } from './placer.ts'
import { EQUAL_LENGTH_MM, SAME_COST } from './tolerances.ts'

/** What is to be kept small where not all pieces have a place. */
export type Leaving = 'fewest pieces' | 'least area'

/** The best arrangement found so far, shared by all strategies at work on it. */
export interface Incumbent {
  readonly best: () => Arrangement
  /** Takes an arrangement if it costs less; answers its cost. */
  readonly offer: (a: Arrangement) => number
}

export function incumbentFrom(
  instance: Instance,
  first: Arrangement,
  onBetter: (a: Arrangement) => void,
  leaving: Leaving = 'fewest pieces',
): Incumbent {
  const perPiece = leaving === 'fewest pieces' ? 1e4 : 0
  let best = first
  let bestCost = costOf(instance, first, perPiece)
  let bestFree: number | null = null
  /**
   * Of lays of one length the one that leaves the larger piece in one is taken; of equals in that, the one with fewer
   * cuts.
   */
  function isBetter(a: Arrangement, cost: number): boolean {
    const isAsLong =
      a.left.length === 0 &&
      best.left.length === 0 &&
      a.sheets === best.sheets &&
      Math.abs(a.length - best.length) < EQUAL_LENGTH_MM
    if (!isAsLong || instance.items.length > MOST_FOR_FREE) return cost < bestCost - SAME_COST
    bestFree ??= freeArea(instance, best)
    const free = freeArea(instance, a)
    if (free > bestFree * WORTH_CHANGING + 1) return true
    return free >= bestFree - 1 && knifeWork(a).strokes < knifeWork(best).strokes
  }
  return {
    best: () => best,
    offer: (a) => {
      const cost = costOf(instance, a, perPiece)
      if (isBetter(a, cost)) {
        best = a
        bestCost = cost
        bestFree = null
        onBetter(a)
      }
      return cost
    },
  }
}

/** A free piece that is larger by less changes nothing for the maker. */
const WORTH_CHANGING = 1.02

function freeArea(instance: Instance, a: Arrangement): number {
  const { width, height } = largestFree(instance, a)
  return width * height
}

/**
 * Pieces without a place weigh most, then sheets, then the length; a little of how high pieces
 * stand on average leads the search across plains of equal length.
 */
function costOf(instance: Instance, a: Arrangement, perPiece: number): number {
  const missing = a.left.reduce((sum, i) => sum + instance.items[i]!.area, 0) / (instance.maxX - instance.minX)
  const standing =
    a.spots.reduce((sum, s) => sum + (s.y + s.posture.shape.height) * s.posture.shape.area, 0) /
    (instance.totalArea || 1)
  const sheetHeight = Number.isFinite(instance.maxY) ? instance.maxY : 0
  return perPiece * a.left.length + 100 * missing + (a.sheets - 1) * 2 * sheetHeight + a.length + 0.02 * standing
}
