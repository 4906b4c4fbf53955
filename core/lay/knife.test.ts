import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LayProblem } from '../../contract/index.ts'
import { acceptLay, cutsOf, EASE_SHARE, easierLay, onTheCloth, solveLay } from './index.ts'

interface Box {
  readonly x: number
  readonly y: number
  readonly w: number
  readonly h: number
}

/** Boxes as pieces of a problem, each where it lies. */
function lying(boxes: readonly Box[], width = 1000) {
  const problem = LayProblem.parse({
    format: 'loft-seam/lay-problem',
    version: 1,
    cloth: { width },
    pieces: boxes.map(({ w, h }, i) => ({
      id: `p${i}`,
      outline: [
        [0, 0],
        [w, 0],
        [w, h],
        [0, h],
      ],
    })),
  })
  const placements = boxes.map(({ x, y }, i) => ({ id: `p${i}`, copy: 1, x, y, turn: 0, flip: false }))
  return { problem, lay: { placements, length: Math.max(...boxes.map((b) => b.y + b.h)) } }
}
const cuts = (...boxes: Box[]) => {
  const { problem, lay } = lying(boxes)
  return cutsOf(problem, lay)
}
const box = (x: number, y: number, w: number, h: number): Box => ({ x, y, w, h })

describe('strokes of the knife, by hand', () => {
  it('one box takes four; two side by side of one height five, of two heights six', () => {
    expect([
      cuts(box(0, 0, 300, 200)).strokes,
      cuts(box(0, 0, 300, 200), box(300, 0, 400, 200)).strokes,
      cuts(box(0, 0, 300, 200), box(300, 0, 400, 100)).strokes,
    ]).toEqual([4, 5, 6])
  })
  it('edges on one line are one stroke over waste between them, two where a piece stands there', () => {
    // Lines across at 0 and 100, upright at 0, 100, 300 and 400.
    expect(cuts(box(0, 0, 100, 100), box(300, 0, 100, 100)).strokes).toBe(6)
    // The tall one between parts the line at 100: across 0, 100, 100, 200, upright 0, 100, 300, 400.
    expect(cuts(box(0, 0, 100, 100), box(100, 0, 200, 200), box(300, 0, 100, 100)).strokes).toBe(8)
  })
  it('a line that no piece stands on, from side to side, takes a band off the roll', () => {
    expect(cuts(box(0, 0, 400, 100), box(0, 100, 900, 50), box(0, 150, 200, 60)).bands).toBe(2)
    expect(cuts(box(0, 0, 400, 100), box(500, 0, 300, 120), box(0, 120, 900, 50)).bands).toBe(1)
  })
})

/** Strokes by walking along each line in steps: it is lifted where a piece stands on the line before the next edge. */
function walked(boxes: readonly Box[]): number {
  const along = (swap: boolean): number => {
    const turned = boxes.map((b) => (swap ? { x: b.y, y: b.x, w: b.h, h: b.w } : b))
    const lines = new Set(turned.flatMap((b) => [b.y, b.y + b.h]))
    let strokes = 0
    for (const line of lines) {
      let isDown = false
      for (let x = 0.5; x < 1000; x++) {
        const isEdge = turned.some((b) => (b.y === line || b.y + b.h === line) && b.x < x && x < b.x + b.w)
        const isThrough = turned.some((b) => b.y < line && line < b.y + b.h && b.x < x && x < b.x + b.w)
        if (isThrough) isDown = false
        else if (isEdge && !isDown) {
          isDown = true
          strokes++
        }
      }
    }
    return strokes
  }
  return along(false) + along(true)
}

const boxesApart = fc
  .array(
    fc.record({
      w: fc.integer({ min: 2, max: 9 }),
      h: fc.integer({ min: 1, max: 5 }),
      x: fc.integer({ min: 0, max: 12 }),
    }),
    { minLength: 1, maxLength: 9 },
  )
  .map((list) => {
    // Each drops from above onto what lies there, all in tens.
    const laid: Box[] = []
    for (const { w, h, x } of list) {
      const below = laid.filter((b) => b.x < (x + w) * 10 && b.x + b.w > x * 10)
      laid.push(box(x * 10, Math.max(0, ...below.map((b) => b.y + b.h)), w * 10, h * 10))
    }
    return laid
  })

it('strokes are as many as a knife is set down when every line is walked along', () => {
  fc.assert(
    fc.property(boxesApart, (boxes) => {
      expect(cuts(...boxes).strokes).toBe(walked(boxes))
    }),
    { numRuns: 150 },
  )
})

describe('a lay that is easier to cut', () => {
  const problem = LayProblem.parse({
    format: 'loft-seam/lay-problem',
    version: 1,
    cloth: { width: 1370 },
    gap: 2,
    pieces: [
      [430, 380, 6],
      [420, 90, 9],
      [610, 74, 5],
      [330, 210, 4],
    ].map(([w, h, qty], i) => ({
      id: `p${i}`,
      qty,
      turns: [0, 180],
      outline: [
        [0, 0],
        [w, 0],
        [w, h],
        [0, h],
      ],
    })),
  })
  const solved = solveLay(problem, { seed: 4, budget: { steps: 1500, isStopped: () => false } })
  if (!solved.ok) throw new Error(solved.error.code)
  const { lay } = solved.value

  it('is sound, at most half a per cent longer, and takes fewer strokes', () => {
    const easier = easierLay(problem, lay, { seed: 1, budget: { steps: 600, isStopped: () => false } })!
    expect(acceptLay(problem, { ...easier.lay, seconds: 0 })).toEqual([])
    expect(easier.lay.length).toBeLessThanOrEqual(lay.length * (1 + EASE_SHARE) + 0.01)
    expect(easier.now.strokes).toBeLessThan(easier.before.strokes)
    // Counted anew from the boxes on the cloth.
    const boxesOf = (of: Pick<typeof lay, 'placements'>) =>
      of.placements.map((place) => {
        const corners = problem.pieces.find((p) => p.id === place.id)!.outline.map(([x, y]) => onTheCloth(place, x, y))
        const [xs, ys] = [corners.map((c) => c[0]), corners.map((c) => c[1])]
        return box(
          Math.min(...xs),
          Math.min(...ys),
          Math.max(...xs) - Math.min(...xs),
          Math.max(...ys) - Math.min(...ys),
        )
      })
    const again = lying(boxesOf(easier.lay), 1370)
    expect(cutsOf(again.problem, again.lay)).toEqual(easier.now)
  })

  it('is not offered where nothing is saved', () => {
    const { problem: one, lay: only } = lying([box(0, 0, 300, 200)])
    const budget = { steps: 30, isStopped: () => false }
    expect(easierLay(one, { ...only, bound: 0, offsets: {} }, { seed: 1, budget })).toBeNull()
  })
})
