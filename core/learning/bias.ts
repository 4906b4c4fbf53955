/** Where values lie, robustly: their median, and how far they spread round it. */
export interface Spread {
  readonly count: number
  readonly median: number
  /**
   * About one standard deviation: 1.4826 times the median deviation, but no less than 0.7 of what the mean deviation
   * says; from six logs on the farthest one is left out of that mean.
   */
  readonly spread: number
  /** True where the median is so far from nought that noise alone would seldom bring it there. */
  readonly isBias: boolean
}

export const LEAST_LOGS = 5

export function spreadOf(values: readonly number[]): Spread {
  const count = values.length
  if (count === 0) return { count, median: 0, spread: 0, isBias: false }
  const median = middle(values)
  const off = values.map((v) => Math.abs(v - median)).toSorted((a, b) => a - b)
  const near = count > LEAST_LOGS ? off.slice(0, -1) : off
  const mean = near.reduce((a, b) => a + b, 0) / near.length
  const spread = Math.max(MAD_TO_SD * middle(off), LEAST_OF_MEAN * MEAN_TO_SD * mean)
  // The median of n normal values spreads by 1.2533 sd / sqrt(n).
  const far = (Math.abs(median) * Math.sqrt(count)) / (MEAN_TO_SD * Math.max(spread, 1e-12))
  return { count, median, spread, isBias: count >= LEAST_LOGS && far > mostByChance(count) }
}

const MAD_TO_SD = 1.4826
const MEAN_TO_SD = 1.2533
const LEAST_OF_MEAN = 0.7

/**
 * Passed by noise alone in about 1 % of cases, for normal, double-exponential and heavy-tailed (t, 3) noise; fitted to
 * 20 000 simulations of each.
 */
const mostByChance = (count: number): number => 2.4 + 22 / count

function middle(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b)
  const half = sorted.length >> 1
  return sorted.length % 2 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2
}
