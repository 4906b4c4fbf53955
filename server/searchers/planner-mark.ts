import { createHash } from 'node:crypto'
import { LayProblem } from '../../contract/index.ts'
import { solveLay } from '../../core/lay/index.ts'

/**
 * What this build of the planner makes of three small problems, in eight letters. Two builds with one mark lay alike, so
 * that a seed and a number of steps give the same lay on either.
 */
export function plannerMark(): string {
  const lays = [BOXES, SHAPES, MATCHED].map((problem) => {
    const solved = solveLay(LayProblem.parse(problem), { seed: 3, budget: { steps: 80, isStopped: () => false } })
    return solved.ok ? [solved.value.lay.length, solved.value.lay.placements] : solved.error.code
  })
  return createHash('sha256').update(JSON.stringify(lays)).digest('hex').slice(0, 8)
}

const HEAD = { format: 'loft-seam/lay-problem', version: 2, gap: 4 }

const box = (id: string, qty: number, width: number, height: number, more: object = {}) => ({
  id,
  qty,
  outline: [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ],
  ...more,
})

const BOXES = {
  ...HEAD,
  cloth: { width: 1370 },
  pieces: [box('plate', 6, 530, 480, { turns: [0, 180] }), box('boxing', 5, 410, 96), box('tie', 9, 240, 52)],
}

const SHAPES = {
  ...HEAD,
  cloth: { width: 1200 },
  pieces: [
    {
      id: 'taper',
      qty: 4,
      turns: [0, 180],
      outline: [
        [0, 0],
        [610, 0],
        [540, 430],
        [90, 430],
      ],
    },
    {
      id: 'wing',
      qty: 4,
      turns: [0, 90, 180, 270],
      outline: [
        [0, 0],
        [320, 0],
        [320, 140],
        [130, 140],
        [130, 360],
        [0, 360],
      ],
    },
  ],
}

const MATCHED = {
  ...HEAD,
  cloth: { width: 1400, repeat: { across: 160, along: 230 } },
  pieces: [
    box('front', 4, 460, 410, { match: { group: 'row', anchor: [230, 20], across: 40, along: null } }),
    box('side', 6, 380, 110),
  ],
}
