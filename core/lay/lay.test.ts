import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LayProblem, readWith, type Lay } from '../../contract/index.ts'
import { cushionMix, cutJigsaw, sawnRectangles, stripedRows } from '../../bench/problems.ts'
import { acceptLay, instanceOf, lowerBound, problemFaults, solveLay } from './index.ts'
import { seeded } from '../random/index.ts'

type PieceInput = Record<string, unknown>
const box = (w: number, h: number) => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h],
]
const problemOf = (
  pieces: PieceInput[],
  cloth: Record<string, unknown> = {},
  more: Record<string, unknown> = {},
): LayProblem =>
  LayProblem.parse({ format: 'loft-seam/lay-problem', version: 1, cloth: { width: 1000, ...cloth }, pieces, ...more })
const solve = (problem: LayProblem, steps = 60, seed = 1) =>
  solveLay(problem, { seed, budget: { steps, isStopped: () => false } })
const layOf = (problem: LayProblem, steps = 60, seed = 1): Lay => {
  const solved = solve(problem, steps, seed)
  if (!solved.ok) throw new Error(JSON.stringify(solved.error))
  return { ...solved.value.lay, seconds: 0 }
}
const failure = (problem: LayProblem) => {
  const solved = solve(problem)
  return solved.ok ? null : solved.error
}

describe('small lays worked by hand', () => {
  it('two boxes that fit side by side take the height of one', () =>
    expect(layOf(problemOf([{ id: 'a', qty: 2, outline: box(500, 300) }])).length).toBeCloseTo(300, 4))

  it('a turn saves cloth only where it is allowed', () => {
    const pieces = (turns: number[]) => [
      { id: 'a', outline: box(1000, 100) },
      { id: 'b', outline: box(100, 900), turns },
    ]
    expect(layOf(problemOf(pieces([0]))).length).toBeCloseTo(1000, 4)
    expect(layOf(problemOf(pieces([0, 90]))).length).toBeCloseTo(200, 4)
  })

  it('two right triangles, one turned by 180°, make a rectangle', () => {
    const lay = layOf(
      problemOf([
        {
          id: 't',
          qty: 2,
          outline: [
            [0, 0],
            [1000, 0],
            [0, 400],
          ],
          turns: [0, 180],
        },
      ]),
    )
    expect(lay.length).toBeCloseTo(400, 1)
  })

  it('an L and the box that fills it', () => {
    const lay = layOf(
      problemOf([
        {
          id: 'l',
          outline: [
            [0, 0],
            [1000, 0],
            [1000, 200],
            [400, 200],
            [400, 600],
            [0, 600],
          ],
        },
        { id: 'b', outline: box(600, 400) },
      ]),
    )
    expect(lay.length).toBeCloseTo(600, 3)
  })

  it('mirrored where it may be flipped', () => {
    const lay = layOf(
      problemOf([
        {
          id: 't',
          qty: 2,
          outline: [
            [0, 0],
            [1000, 0],
            [0, 400],
          ],
          turns: [0, 180],
          flip: true,
        },
      ]),
    )
    expect(lay.length).toBeCloseTo(400, 1)
  })

  it('keeps the gap between pieces, not to the edges', () =>
    expect(layOf(problemOf([{ id: 'a', qty: 2, outline: box(495, 300) }], {}, { gap: 10 })).length).toBeCloseTo(300, 3))

  it('stays off selvedges and flaws, but may touch them', () => {
    const lay = layOf(
      problemOf([{ id: 'a', outline: box(600, 300) }], { selvedge: [100, 0], flaws: [[700, 0, 40, 250]] }),
    )
    expect([lay.placements[0]!.x, lay.placements[0]!.y, lay.length]).toEqual([100, 0, 300])
  })

  it('keeps phases: with repeat 300 a box of 250 stands every 300', () => {
    const match = { group: 'run', anchor: [125, 0], across: 0, along: null }
    const problem = problemOf([{ id: 'a', qty: 6, outline: box(250, 100), match }], {
      repeat: { across: 300, along: null },
    })
    expect(layOf(problem).length).toBeCloseTo(200, 3)
  })

  it('a fixed group offset and a phase along the roll', () => {
    const match = { group: 'run', anchor: [0, 0], across: 20, along: 30 }
    const problem = problemOf(
      [{ id: 'a', qty: 2, outline: box(700, 100), match }],
      { repeat: { across: 100, along: 250 } },
      { groups: { run: { across: 5, along: 10 } } },
    )
    const lay = layOf(problem)
    expect(lay.placements.map((p) => [p.x % 100, p.y])).toEqual([
      [25, 40],
      [25, 290],
    ])
    expect(acceptLay(problem, lay)).toEqual([])
  })

  it('a remnant with a missing corner', () => {
    const outline = [
      [0, 0],
      [1180, 0],
      [1180, 560],
      [980, 560],
      [980, 870],
      [0, 870],
    ]
    const problem = problemOf([{ id: 'a', qty: 4, outline: box(490, 430) }], { width: 1180, length: 870, outline })
    const lay = layOf(problem)
    expect(acceptLay(problem, lay)).toEqual([])
    expect(lay.length).toBeCloseTo(860, 3)
  })

  it('sheets: fewest first, then the shortest last one', () => {
    const problem = problemOf([{ id: 'block', qty: 5, outline: box(480, 480) }], { length: 1000, count: 4 })
    const lay = layOf(problem)
    expect(lay.placements.map((p) => p.sheet).toSorted()).toEqual([1, 1, 1, 1, 2])
    expect(lay.length).toBeCloseTo(480, 4)
    expect(acceptLay(problem, lay)).toEqual([])
  })
})

describe('what cannot be laid is named', () => {
  it.each<[string, LayProblem, object]>([
    [
      'wider than the cloth',
      problemOf([{ id: 'wide', outline: box(1100, 300) }]),
      { code: 'wider-than-cloth', piece: 'wide', over: 100, wouldTurn: true },
    ],
    [
      'longer than the cloth',
      problemOf([{ id: 'long', outline: box(300, 900) }], { length: 800 }),
      { code: 'longer-than-cloth', piece: 'long', over: 100 },
    ],
    [
      'no room left',
      problemOf([{ id: 'a', qty: 3, outline: box(900, 300) }], { length: 800 }),
      { code: 'no-room', pieces: ['a'] },
    ],
    [
      'a flaw over everything',
      problemOf([{ id: 'a', outline: box(300, 300) }], { length: 800, flaws: [[0, 0, 1000, 800]] }),
      { code: 'no-place', piece: 'a' },
    ],
    [
      'a phase beyond the length',
      problemOf(
        [{ id: 'a', outline: box(300, 300), match: { group: 'g', anchor: [0, 0], across: null, along: 0 } }],
        { length: 500, repeat: { across: null, along: 900 } },
        { groups: { g: { across: null, along: 400 } } },
      ),
      { code: 'no-place', piece: 'a' },
    ],
  ])('%s', (_name, problem, expected) => expect(failure(problem)).toMatchObject(expected))
})

describe('a bad problem is refused with its path', () => {
  const good = {
    format: 'loft-seam/lay-problem',
    version: 1,
    cloth: { width: 1000 },
    pieces: [{ id: 'a', outline: box(10, 10) }],
  }
  const faultsOf = (document: unknown) => {
    const read = readWith(LayProblem, document)
    return (read.ok ? problemFaults(read.value, 5000) : read.faults).map((f) => `${f.path} ${f.message}`)
  }
  it('the plain one is sound', () => expect(faultsOf(good)).toEqual([]))
  it.each<[string, unknown, RegExp]>([
    ['a newer version', { ...good, version: 3 }, /^\$\.version/],
    ['an unknown key', { ...good, colour: 1 }, /^\$\.colour unknown key/],
    [
      'an unknown key of a piece',
      { ...good, pieces: [{ ...good.pieces[0], weight: 3 }] },
      /^\$\.pieces\[0\]\.weight unknown key/,
    ],
    ['not a number', { ...good, cloth: { width: '1000' } }, /^\$\.cloth\.width/],
    ['no width', { ...good, cloth: { width: 0 } }, /^\$\.cloth\.width/],
    [
      'selvedges that meet',
      { ...good, cloth: { width: 100, selvedge: [60, 40] } },
      /^\$\.cloth\.selvedge the selvedges leave no usable width/,
    ],
    [
      'a crossed outline',
      {
        ...good,
        pieces: [
          {
            id: 'a',
            outline: [
              [0, 0],
              [10, 10],
              [10, 0],
              [0, 10],
            ],
          },
        ],
      },
      /^\$\.pieces\[0\]\.outline crosses/,
    ],
    [
      'an id twice',
      { ...good, pieces: [good.pieces[0], good.pieces[0]] },
      /^\$\.pieces\[1\]\.id "a" is the id of pieces\[0\] already/,
    ],
    ['sheets without a length', { ...good, cloth: { width: 100, count: 2 } }, /^\$\.cloth\.length/],
    [
      '10 000 pieces',
      { ...good, pieces: Array.from({ length: 3 }, (_, i) => ({ id: `${i}`, qty: 3400, outline: box(10, 10) })) },
      /^\$\.pieces 10200 pieces/,
    ],
  ])('%s', (_name, document, says) => expect(faultsOf(document)[0]).toMatch(says))
})

describe('the exact check', () => {
  const problem = problemOf(
    [
      { id: 'a', qty: 2, outline: box(500, 300) },
      {
        id: 'tri',
        outline: [
          [0, 0],
          [400, 0],
          [0, 300],
        ],
      },
    ],
    { flaws: [[900, 500, 50, 50]] },
    { gap: 0 },
  )
  const good: Lay = {
    format: 'loft-seam/lay',
    version: 1,
    length: 600,
    bound: 0,
    seed: 1,
    offsets: {},
    seconds: 0,
    placements: [
      { id: 'a', copy: 1, x: 0, y: 0, turn: 0, flip: false },
      { id: 'a', copy: 2, x: 500, y: 0, turn: 0, flip: false },
      { id: 'tri', copy: 1, x: 0, y: 300, turn: 0, flip: false },
    ],
  }
  const moved = (i: number, change: Partial<Lay['placements'][number]>): Lay => ({
    ...good,
    placements: good.placements.map((p, j) => (j === i ? { ...p, ...change } : p)),
  })
  it('passes a sound lay', () => expect(acceptLay(problem, good)).toEqual([]))
  it('lets 0.04 mm of overlap pass, as scissors do', () =>
    expect(acceptLay(problem, moved(1, { x: 499.96 }))).toEqual([]))
  it.each<[string, Lay, string]>([
    ['an overlap of 0.1', moved(1, { x: 499.9 }), 'overlap'],
    ['one piece exactly on another', moved(1, { x: 0 }), 'overlap'],
    ['a piece inside another', moved(2, { y: 10, x: 10 }), 'overlap'],
    ['off the cloth', moved(1, { x: 500.2 }), 'off-cloth'],
    ['over the left selvedge', moved(0, { x: -0.2 }), 'off-cloth'],
    ['below the start', moved(0, { y: -0.2 }), 'off-cloth'],
    ['on a flaw', moved(2, { x: 600, y: 450 }), 'on-flaw'],
    ['a turn that is not allowed', moved(2, { turn: 90, x: 400 }), 'turn-not-allowed'],
    ['a flip that is not allowed', moved(2, { flip: true, x: 400 }), 'turn-not-allowed'],
    ['a copy twice', moved(1, { copy: 1 }), 'wrong-count'],
    ['an unknown piece', moved(2, { id: 'sofa' }), 'unknown-piece'],
    ['a length that is not true', { ...good, length: 580 }, 'wrong-length'],
  ])('finds %s', (_name, lay, code) => expect(acceptLay(problem, lay).map((f) => f.code)).toContain(code))

  it('finds a phase that is 0.6 mm off', () => {
    const matched = problemOf(
      [{ id: 'a', qty: 2, outline: box(100, 100), match: { group: 'g', anchor: [0, 0], across: 0, along: null } }],
      { repeat: { across: 150, along: null } },
    )
    const lay = (x: number): Lay => ({
      ...good,
      length: 100,
      placements: [
        { id: 'a', copy: 1, x: 0, y: 0, turn: 0, flip: false },
        { id: 'a', copy: 2, x, y: 0, turn: 0, flip: false },
      ],
    })
    expect(acceptLay(matched, lay(150.4))).toEqual([])
    expect(acceptLay(matched, lay(150.6)).map((f) => f.code)).toEqual(['out-of-phase'])
  })
})

describe('on any problem', () => {
  /** Random cushions with every kind of demand at once. */
  const anyProblem = (seed: number): LayProblem => {
    const random = seeded(seed)
    const whole = (low: number, high: number) => Math.round(low + random() * (high - low))
    const shapes = [
      box(whole(80, 400), whole(60, 300)),
      [
        [0, 0],
        [whole(150, 400), 0],
        [whole(50, 140), whole(80, 200)],
      ],
      [
        [0, 0],
        [300, 0],
        [300, 100],
        [120, 100],
        [120, 250],
        [0, 250],
      ],
      [
        [0, 0],
        [260, 0],
        [300, 90],
        [130, 60],
        [0, 120],
      ],
    ]
    const repeat = { across: random() < 0.5 ? whole(40, 160) : null, along: random() < 0.25 ? whole(60, 250) : null }
    const pieces = Array.from({ length: whole(2, 9) }, (_, i) => ({
      id: `p${i}`,
      qty: whole(1, 3),
      outline: shapes[whole(0, 3)],
      turns: random() < 0.5 ? [0] : random() < 0.5 ? [0, 180] : [0, 90, 180, 270],
      flip: random() < 0.2,
      match:
        random() < 0.6
          ? {
              group: random() < 0.7 ? 'g' : 'h',
              anchor: [whole(0, 100), whole(0, 100)],
              across: whole(0, 30),
              along: random() < 0.5 ? 0 : null,
            }
          : null,
    }))
    return problemOf(
      pieces,
      {
        width: whole(500, 1400),
        selvedge: [whole(0, 15), whole(0, 15)],
        repeat,
        flaws: random() < 0.4 ? [[whole(0, 400), whole(0, 600), 60, 40]] : [],
      },
      { gap: random() < 0.3 ? whole(1, 12) : 0, groups: random() < 0.4 ? { g: { across: 7, along: null } } : {} },
    )
  }

  it('every piece is laid, nothing overlaps, phases hold, the bound is below (300 seeds)', () => {
    for (let seed = 1; seed <= 300; seed++) {
      const problem = anyProblem(seed)
      const lay = layOf(problem, 8, seed)
      expect(acceptLay(problem, lay), `seed ${seed}`).toEqual([])
      expect(lay.bound, `seed ${seed}`).toBeLessThanOrEqual(lay.length + 1e-6)
    }
  })

  it('the same seed and steps give the same lay; more steps never a longer one', () => {
    for (const problem of [anyProblem(5), cushionMix(20, 3).problem, stripedRows(4, 2).problem]) {
      const [a, b, longer] = [layOf(problem, 40, 9), layOf(problem, 40, 9), layOf(problem, 120, 9)]
      expect(a).toEqual(b)
      expect(longer.length).toBeLessThanOrEqual(a.length)
    }
  })

  it('the bound never exceeds a known optimum', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10_000 }), fc.integer({ min: 4, max: 30 }), (seed, count) => {
        for (const { problem, optimum } of [
          sawnRectangles(count, [0], seed),
          sawnRectangles(count, [0, 90], seed),
          cutJigsaw(count, seed),
          stripedRows(3, seed),
        ]) {
          expect(lowerBound(instanceOf(problem)).length).toBeLessThanOrEqual(optimum! + 1e-6)
        }
      }),
      { numRuns: 40 },
    )
  })

  it('finds the optimum of equal plates on a stripe lattice', () => {
    for (const seed of [1, 2, 3]) {
      const { problem, optimum } = stripedRows(4, seed)
      expect(layOf(problem, 200, 1).length).toBeCloseTo(optimum!, 2)
    }
  })

  it('answers a stop at once with the lay it has', () => {
    let asked = 0
    const solved = solveLay(cushionMix(30, 1).problem, {
      seed: 1,
      budget: { steps: 1e9, isStopped: () => ++asked > 3 },
    })
    expect(solved.ok && solved.value.steps).toBeLessThan(6)
  })
})
