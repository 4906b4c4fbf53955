import type { Lay, LayProblem } from '../../contract/index.ts'
import { largestFree, type FreeRectangle } from './free-rectangle.ts'
import { instanceOf } from './instance.ts'

/**
 * The largest rectangle of cloth within a lay's length on which nothing lies; for a lay changed by hand as for any
 * other.
 */
export function freeIn(problem: LayProblem, lay: Pick<Lay, 'placements' | 'length'>): FreeRectangle {
  const instance = instanceOf(problem)
  const spots = lay.placements.flatMap((place) => {
    const item = instance.items.findIndex((i) => i.piece === place.id)
    const posture =
      instance.items[item]?.postures.find((p) => p.turn === place.turn && p.flip === place.flip) ??
      instance.items[item]?.postures[0]
    return posture ? [{ item, posture, x: place.x - posture.originX, y: place.y - posture.originY, sheet: 0 }] : []
  })
  return largestFree(instance, { spots, length: lay.length })
}
