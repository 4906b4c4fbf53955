import type { Lay, LayProblem } from '../../contract/index.ts'
import { largestFree, type FreeRectangle } from './free-rectangle.ts'
import { instanceOf } from './instance.ts'
import { spotsOf } from './lay-of.ts'

/**
 * The largest rectangle of cloth within a lay's length on which nothing lies; for a lay changed by hand as for any
 * other.
 */
export function freeIn(problem: LayProblem, lay: Pick<Lay, 'placements' | 'length'>): FreeRectangle {
  const instance = instanceOf(problem)
  return largestFree(instance, { spots: spotsOf(instance, lay), length: lay.length })
}
