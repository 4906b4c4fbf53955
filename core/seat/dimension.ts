import { phrase } from '../language/index.ts'
import type { Dimension } from '../../contract/index.ts'
import { entered, figure, given, median, type Figure } from '../working/index.ts'

/**
 * The value of a dimension: the median of its readings. A middle value is not moved by one
 * misreading, as an average would be.
 */
export function dimensionFigure(dimension: Dimension, id: string, label: string, change: string): Figure {
  const [first, ...more] = dimension.readings
  const common = {
    id,
    label,
    quantity: 'length',
    line: 'net',
    rule: 'the middle of the readings',
    setBy: 'measured',
    change,
  } as const
  if (more.length === 0) return entered({ ...common, rule: 'one reading: measure twice', value: first!.mm })
  return figure({
    ...common,
    sum: median(dimension.readings.map((r, i) => given(r.mm, 'length', phrase`reading ${i + 1}`))),
  })
}

/** The middle of the readings, in mm. */
export function valueOf(dimension: Dimension): number {
  const sorted = dimension.readings.map((r) => r.mm).toSorted((a, b) => a - b)
  return (sorted[(sorted.length - 1) >> 1]! + sorted[sorted.length >> 1]!) / 2
}

/** How far readings may lie apart: 3 mm or 0.5 %, whichever is more. */
export const spreadLimit = (valueMm: number): number => Math.max(3, valueMm * 0.005)

/** The distance between the largest and the smallest reading. */
export function spreadOf(dimension: Dimension): number {
  const readings = dimension.readings.map((r) => r.mm)
  return Math.max(...readings) - Math.min(...readings)
}
