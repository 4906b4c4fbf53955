/** A column of a covering problem: what one unit of it costs, and what it brings to some rows. */
export interface Column {
  readonly cost: number
  readonly brings: readonly (readonly [row: number, amount: number])[]
}

/** Prices of the rows, one each. */
export type Prices = Float64Array

/**
 * Columns are bought so that every row is covered as cheaply as can be, by the simplex method with columns as they are
 * asked for: `dearest` gives one that is worth more than it costs at these prices, or none. Starts from one column for
 * each row, which together cover everything. Yields the prices after each exchange; the last ones are the best.
 */
export function* pricesOf(
  start: readonly Column[],
  wanted: readonly number[],
  dearest: (prices: Prices) => Column | null,
): Generator<Prices, void> {
  const m = wanted.length
  const basis = [...start]
  let inverse = inverseOf(basis, m)
  let amounts = times(inverse, wanted, m)
  for (let exchanges = 1; ; exchanges++) {
    // What rounding adds up to is thrown away now and then.
    if (exchanges % AFRESH_EVERY === 0) {
      inverse = inverseOf(basis, m)
      amounts = times(inverse, wanted, m)
    }
    const prices = new Float64Array(m)
    for (let i = 0; i < m; i++) for (let j = 0; j < m; j++) prices[j]! += basis[i]!.cost * inverse[i * m + j]!
    yield prices
    // A row that is covered for nothing may be covered too much.
    const idle = prices.findIndex((p) => p < -IDLE)
    const entering = idle >= 0 ? { cost: 0, brings: [[idle, -1]] as const } : dearest(prices)
    if (!entering) return
    const d = new Float64Array(m)
    for (const [row, amount] of entering.brings) for (let i = 0; i < m; i++) d[i]! += inverse[i * m + row]! * amount
    let leaving = -1
    for (let i = 0; i < m; i++)
      if (d[i]! > EPSILON && (leaving < 0 || amounts[i]! / d[i]! < amounts[leaving]! / d[leaving]!)) leaving = i
    if (leaving < 0 || isSame(basis[leaving]!, entering)) return
    const share = amounts[leaving]! / d[leaving]!
    for (let j = 0; j < m; j++) inverse[leaving * m + j]! /= d[leaving]!
    for (let i = 0; i < m; i++) {
      if (i === leaving || d[i] === 0) continue
      for (let j = 0; j < m; j++) inverse[i * m + j]! -= d[i]! * inverse[leaving * m + j]!
      amounts[i]! -= share * d[i]!
    }
    amounts[leaving] = share
    basis[leaving] = entering
  }
}

const AFRESH_EVERY = 50
const EPSILON = 1e-9
/** A price that is less than nothing by rounding alone. */
const IDLE = 1e-6

/** By elimination; the first columns are few to a row. */
function inverseOf(columns: readonly Column[], m: number): Float64Array {
  const a = new Float64Array(m * m)
  columns.forEach((c, j) => c.brings.forEach(([row, amount]) => (a[row * m + j] = amount)))
  const inverse = Float64Array.from({ length: m * m }, (_, k) => Number(k % (m + 1) === 0))
  for (let i = 0; i < m; i++) {
    let pivot = i
    for (let r = i + 1; r < m; r++) if (Math.abs(a[r * m + i]!) > Math.abs(a[pivot * m + i]!)) pivot = r
    for (const side of [a, inverse])
      for (let j = 0; j < m; j++) [side[i * m + j], side[pivot * m + j]] = [side[pivot * m + j]!, side[i * m + j]!]
    const by = a[i * m + i]!
    for (const side of [a, inverse]) for (let j = 0; j < m; j++) side[i * m + j]! /= by
    for (let r = 0; r < m; r++) {
      const f = a[r * m + i]!
      if (r === i || f === 0) continue
      for (const side of [a, inverse]) for (let j = 0; j < m; j++) side[r * m + j]! -= f * side[i * m + j]!
    }
  }
  return inverse
}

/** A column that would take its own place is worth what it costs, but for rounding. */
const isSame = (a: Column, b: Column): boolean =>
  a.brings.length === b.brings.length && a.brings.every(([row, n]) => b.brings.some(([r, k]) => r === row && k === n))

function times(matrix: Float64Array, by: readonly number[], m: number): Float64Array {
  const out = new Float64Array(m)
  for (let i = 0; i < m; i++) for (let j = 0; j < m; j++) out[i]! += matrix[i * m + j]! * by[j]!
  return out
}
