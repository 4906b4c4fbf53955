import { describe, expect, it } from 'vitest'
import { LayProblem, MOST_PIECES } from '../contract/index.ts'
import { acceptLay, problemFaults, solveLay } from '../core/lay/index.ts'
import { curvedMix } from './curved-mix.ts'

type Outline = readonly (readonly [number, number])[]
const span = (values: readonly number[]) => Math.max(...values) - Math.min(...values)
const boxArea = (outline: Outline) => span(outline.map(([x]) => x)) * span(outline.map(([, y]) => y))
const shoelace = (outline: Outline) =>
  Math.abs(
    outline.reduce((sum, [x, y], i) => {
      const [a, b] = outline[(i + 1) % outline.length]!
      return sum + (x * b - a * y) / 2
    }, 0),
  )

describe.each([12, 30, 60])('curved covers in %i pieces', (count) => {
  const { problem } = curvedMix(count, count)

  it('are a sound problem of so many pieces', () => {
    expect(problemFaults(LayProblem.parse(problem), MOST_PIECES)).toEqual([])
    expect(problem.pieces.reduce((n, p) => n + p.qty, 0)).toBe(count)
  })

  it('fill the boxes round them so badly that these are no way to lay them', () => {
    const [boxes, shapes] = [boxArea, shoelace].map((area) =>
      problem.pieces.reduce((sum, { outline, qty }) => sum + qty * area(outline), 0),
    )
    expect(boxes! / shapes!).toBeGreaterThan(1.15)
  })

  it('lie soundly at once, by the exact check', () => {
    const solved = solveLay(LayProblem.parse(problem), { seed: 1, budget: { steps: 5, isStopped: () => false } })
    if (!solved.ok) throw new Error(solved.error.code)
    expect(acceptLay(problem, { ...solved.value.lay, seconds: 0 })).toEqual([])
  })
})
