export interface Observation {
  readonly residual: number
  /** Derivative of the residual by each unknown it depends on. */
  readonly gradient: readonly (readonly [number, number])[]
}

/**
 * Least squares by damped Gauss–Newton steps (Levenberg–Marquardt). `isHeld` is false when the
 * observations leave an unknown free to move.
 */
export function leastSquares(
  start: readonly number[],
  unknowns: number,
  observe: (values: readonly number[]) => readonly Observation[],
): { readonly values: readonly number[]; readonly isHeld: boolean } {
  let values = [...start]
  let observations = observe(values)
  let damping = 1e-3
  for (let step = 0; step < 60; step++) {
    const { normal, right } = normalEquations(observations, unknowns)
    const change = solveSymmetric(
      normal.map((row, i) => row.map((v, j) => (i === j ? v * (1 + damping) + 1e-12 : v))),
      right,
    )
    if (!change) break
    const tried = values.map((v, i) => v + change.solution[i]!)
    const next = observe(tried)
    if (cost(next) <= cost(observations)) {
      const gain = cost(observations) - cost(next)
      values = tried
      observations = next
      damping = Math.max(1e-12, damping / 5)
      if (gain < 1e-14 && Math.hypot(...change.solution) < 1e-7) break
    } else damping *= 4
    if (damping > 1e8) break
  }
  const last = solveSymmetric(normalEquations(observations, unknowns).normal, new Array<number>(unknowns).fill(0))
  return { values, isHeld: last !== null && last.leastPivot > 1e-5 }
}

const cost = (observations: readonly Observation[]): number =>
  observations.reduce((sum, o) => sum + o.residual * o.residual, 0)

function normalEquations(observations: readonly Observation[], n: number): { normal: number[][]; right: number[] } {
  const normal = Array.from({ length: n }, () => new Array<number>(n).fill(0))
  const right = new Array<number>(n).fill(0)
  for (const { residual, gradient } of observations) {
    for (const [i, gi] of gradient) {
      right[i]! -= gi * residual
      for (const [j, gj] of gradient) normal[i]![j]! += gi * gj
    }
  }
  return { normal, right }
}

/** Gaussian elimination with the largest pivot on the diagonal; null when the matrix is singular. */
function solveSymmetric(
  matrix: readonly (readonly number[])[],
  right: readonly number[],
): { solution: readonly number[]; leastPivot: number } | null {
  const n = right.length
  const rows = matrix.map((row, i) => [...row, right[i]!])
  let leastPivot = Infinity
  for (let k = 0; k < n; k++) {
    const best = rows.slice(k).reduce((b, row, i) => (Math.abs(row[k]!) > Math.abs(rows[b]![k]!) ? k + i : b), k)
    ;[rows[k], rows[best]] = [rows[best]!, rows[k]!]
    const pivot = rows[k]![k]!
    leastPivot = Math.min(leastPivot, Math.abs(pivot))
    if (Math.abs(pivot) < 1e-300) return null
    for (let i = k + 1; i < n; i++) {
      const factor = rows[i]![k]! / pivot
      for (let j = k; j <= n; j++) rows[i]![j]! -= factor * rows[k]![j]!
    }
  }
  const solution = new Array<number>(n).fill(0)
  for (let k = n - 1; k >= 0; k--) {
    const rest = rows[k]!.slice(k + 1, n).reduce((sum, v, j) => sum + v * solution[k + 1 + j]!, 0)
    solution[k] = (rows[k]![n]! - rest) / rows[k]![k]!
  }
  return { solution, leastPivot }
}
