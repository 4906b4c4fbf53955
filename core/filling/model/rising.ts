/** Steps after which secants are given up. */
const CRAWL = 25

/**
 * Where a rising function reaches a value, by secant steps that keep it bracketed (regula falsi,
 * Illinois rule), and by halving where those crawl. Values beyond the ends give the ends.
 */
export function whereReaches(
  value: number,
  rises: (x: number) => number,
  from: number,
  to: number,
  within: number,
): number {
  let [low, high] = [from, to]
  let [atLow, atHigh] = [rises(low) - value, rises(high) - value]
  if (atLow >= 0) return low
  if (atHigh <= 0) return high
  let kept: 'low' | 'high' | null = null
  for (let i = 0; i < 100 && high - low > within; i++) {
    const secant = (low * atHigh - high * atLow) / (atHigh - atLow)
    const x = i > CRAWL || !(secant > low && secant < high) ? (low + high) / 2 : secant
    const at = rises(x) - value
    if (at === 0) return x
    if (at > 0) {
      ;[high, atHigh] = [x, at]
      if (kept === 'low') atLow /= 2
      kept = 'low'
    } else {
      ;[low, atLow] = [x, at]
      if (kept === 'high') atHigh /= 2
      kept = 'high'
    }
  }
  return (low + high) / 2
}
