import {
  asLp,
  firstFit,
  readPlan,
  stripProblem,
  type StripFault,
  type StripPlan,
  type StripProblem,
  type StripStock,
  type WantedStrip,
} from './cutting-stock.ts'

/** What a mixed integer solver answers: the value of each x, and whether it proved them the best. */
export interface MipAnswer {
  readonly isOptimal: boolean
  readonly values: readonly number[]
}

/** A solver of problems in LP format; null when it found nothing. */
export type SolveMip = (lp: string, columns: number) => MipAnswer | null

/**
 * Strips cut with the least roll: by the solver, proven where it says so; without an answer from it by the first fit.
 */
export function solveStrips(
  wanted: readonly WantedStrip[],
  stock: readonly StripStock[],
  solve: SolveMip,
): StripPlan | StripFault {
  const problem = stripProblem(wanted, stock)
  if ('code' in problem) return problem
  const answer = solve(asLp(problem), problem.patterns.length)
  return answer && cutsAll(problem, answer.values)
    ? readPlan(problem, answer.values, answer.isOptimal)
    : readPlan(problem, firstFit(problem), false)
}

/** A solver stopped before it found anything answers noughts. */
const cutsAll = ({ wanted, patterns }: StripProblem, values: readonly number[]): boolean =>
  wanted.every((w, k) => patterns.reduce((sum, p, i) => sum + p.counts[k]! * Math.round(values[i] ?? 0), 0) >= w.count)
