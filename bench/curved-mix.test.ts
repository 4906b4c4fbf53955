import { describe, expect, it } from 'vitest'
import { LayProblem } from '../contract/index.ts'
import { acceptLay, problemFaults, solveLay } from '../core/lay/index.ts'
import { curvedMix } from './curved-mix.ts'

describe.each([12, 30, 60])('curved covers in %i pieces', (count) => {
  const { problem } = curvedMix(count, count)

  it('are a sound problem of so many pieces', () => {
    expect(problemFaults(LayProblem.parse(problem), 5000)).toEqual([])
    expect(problem.pieces.reduce((n, p) => n + p.qty, 0)).toBe(count)
  })

  it('lie soundly at once, by the exact check', () => {
    const solved = solveLay(LayProblem.parse(problem), { seed: 1, budget: { steps: 5, isStopped: () => false } })
    if (!solved.ok) throw new Error(solved.error.code)
    expect(acceptLay(problem, { ...solved.value.lay, seconds: 0 })).toEqual([])
  })
})
