import { describe, expect, it, vi } from 'vitest'
import { LayProblem } from '../../../contract/index.ts'
import type * as FillHollows from '../fill-hollows.ts'
import { solveLay } from '../index.ts'
import type * as Shape from '../shape.ts'

/** Faults as they might slip into the search: each must be seen by the check, which shares nothing with it. */
const planted = vi.hoisted(() => ({
  fault: 'none' as 'none' | 'turned the wrong way' | 'hollows not filled but widened',
}))

vi.mock('../shape.ts', async (original) => {
  const real = await original<typeof Shape>()
  return {
    ...real,
    posedRing: (outline: readonly (readonly [number, number])[], turn: number, flip: boolean) =>
      real.posedRing(outline, planted.fault === 'turned the wrong way' ? -turn : turn, flip),
  }
})
vi.mock('../fill-hollows.ts', async (original) => {
  const real = await original<typeof FillHollows>()
  return {
    fillHollows: (ring: readonly number[], depth: number) =>
      planted.fault === 'hollows not filled but widened'
        ? real.fillHollows(ring, depth).map((v) => v * 0.9)
        : real.fillHollows(ring, depth),
  }
})

const lying = LayProblem.parse({
  format: 'loft-seam/lay-problem',
  version: 1,
  cloth: { width: 700, length: null },
  pieces: [
    {
      id: 'wedge',
      qty: 2,
      outline: [
        [0, 0],
        [600, 0],
        [0, 400],
      ],
      turns: [90],
    },
    {
      id: 'bracket',
      qty: 2,
      outline: [
        [0, 0],
        [500, 0],
        [500, 100],
        [120, 100],
        [120, 380],
        [0, 380],
      ],
      turns: [0],
    },
  ],
})
const solved = (fault: typeof planted.fault) => {
  planted.fault = fault
  return solveLay(lying, { seed: 1, budget: { steps: 3, isStopped: () => false } })
}

describe('a fault planted in the search', () => {
  it('is none of the check, which passes what is sound', () => expect(solved('none').ok).toBe(true))
  it.each(['turned the wrong way', 'hollows not filled but widened'] as const)('%s: no lay is shown', (fault) => {
    const answer = solved(fault)
    expect(answer.ok ? null : answer.error.code).toBe('unsound')
  })
})
