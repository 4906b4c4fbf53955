import { describe, expect, it } from 'vitest'
import { LayProblem, type Lay, type Placement } from '../../../contract/index.ts'
import { acceptLay } from './index.ts'

type Piece = Partial<LayProblem['pieces'][number]> & { readonly outline: [number, number][] }

const box = (w: number, h: number): [number, number][] => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h],
]

/** A problem of pieces on a cloth 1000 wide, its selvedges 20 and 30. */
function problem(pieces: Record<string, Piece>, cloth: object = {}, more: object = {}): LayProblem {
  return LayProblem.parse({
    format: 'loft-seam/lay-problem',
    version: 2,
    cloth: { width: 1000, length: null, selvedge: [20, 30], ...cloth },
    pieces: Object.entries(pieces).map(([id, piece]) => ({ id, qty: 1, turns: [0], ...piece })),
    ...more,
  })
}

const at = (id: string, x: number, y: number, more: Partial<Placement> = {}): Placement => ({
  id,
  copy: 1,
  x,
  y,
  turn: 0,
  flip: false,
  ...more,
})

const lay = (length: number, placements: Placement[], offsets: Lay['offsets'] = {}): Lay => ({
  format: 'loft-seam/lay',
  version: 1,
  length,
  bound: 0,
  seed: 1,
  seconds: 0,
  placements,
  offsets,
})

const faults = (p: LayProblem, length: number, placements: Placement[], offsets: Lay['offsets'] = {}) =>
  acceptLay(p, lay(length, placements, offsets))
const codes = (...args: Parameters<typeof faults>) => faults(...args).map((f) => f.code)

const two = problem({ a: { outline: box(300, 200) }, b: { outline: box(300, 200) } })

describe('pieces and the cloth', () => {
  it('touching each other and both selvedges is sound; a tenth of a millimetre beyond is not', () => {
    const one = problem({ a: { outline: box(950, 200) } })
    expect(faults(one, 200, [at('a', 20, 0)])).toEqual([])
    expect(faults(one, 200, [at('a', 19.9, 0)])).toMatchObject([{ code: 'off-cloth', piece: 'a' }])
    expect(codes(one, 200, [at('a', 20.1, 0)])).toEqual(['off-cloth'])
    expect(codes(one, 200.1, [at('a', 20, 0.1)])).toEqual([])
    expect(codes(one, 199.9, [at('a', 20, -0.1)])).toEqual(['off-cloth'])
    // Within what rounding may do.
    expect(faults(one, 199.96, [at('a', 19.96, -0.04)])).toEqual([])
    expect(faults(one, 200, [at('a', 20.04, 0)])).toEqual([])
  })

  it('says how far a piece is off', () => {
    const found = faults(problem({ a: { outline: box(300, 200) } }, { length: 150 }), 200, [at('a', 20, 0)])
    expect(found).toEqual([{ code: 'off-cloth', piece: 'a', over: 50 }])
  })

  it('a cloth in hand ends where it ends, and has so many sheets', () => {
    const sheets = problem({ a: { qty: 2, outline: box(300, 200) } }, { length: 200, count: 2 })
    const one = at('a', 20, 0)
    expect(codes(sheets, 200, [one, at('a', 20, 0, { copy: 2, sheet: 2 })])).toEqual([])
    expect(codes(sheets, 200, [one, at('a', 20, 0, { copy: 2, sheet: 3 })])).toEqual(['off-cloth'])
    expect(codes(sheets, 200, [one, at('a', 20, 0, { copy: 2 })])).toEqual(['overlap'])
    // The length is that of the last sheet.
    expect(codes(sheets, 180, [one, at('a', 20, 0, { copy: 2, sheet: 2 })])).toEqual(['wrong-length'])
  })

  it('pieces may touch and not overlap, in whatever order they are laid', () => {
    expect(faults(two, 200, [at('a', 20, 0), at('b', 320, 0)])).toEqual([])
    expect(faults(two, 200, [at('a', 20, 0), at('b', 319.96, 0)])).toEqual([])
    const over = { code: 'overlap' }
    expect(faults(two, 200, [at('a', 20, 0), at('b', 319.9, 0)])).toMatchObject([over])
    expect(faults(two, 399.9, [at('b', 20, 199.9), at('a', 20, 0)])).toMatchObject([
      { ...over, piece: 'a', other: 'b' },
    ])
    expect(faults(two, 200, [at('a', 20, 0), at('b', 20, 0)])).toMatchObject([over])
  })

  it('one within another, or across it without a corner inside, overlaps', () => {
    const within = problem({ a: { outline: box(600, 400) }, b: { outline: box(20, 30) } })
    expect(codes(within, 400, [at('a', 20, 0), at('b', 200, 100)])).toEqual(['overlap'])
    const cross = problem({ a: { outline: box(600, 20) }, b: { outline: box(20, 600) } })
    expect(codes(cross, 600, [at('a', 20, 300), at('b', 200, 0)])).toEqual(['overlap'])
    // Off the middle of both.
    expect(codes(cross, 600, [at('a', 20, 100), at('b', 100, 0)])).toEqual(['overlap'])
  })

  it('a gap is kept on every side, and between sheets there is none', () => {
    const gap = problem({ a: { outline: box(300, 200) }, b: { outline: box(300, 200) } }, {}, { gap: 10 })
    expect(codes(gap, 200, [at('a', 20, 0), at('b', 330, 0)])).toEqual([])
    expect(codes(gap, 200, [at('a', 20, 0), at('b', 329.9, 0)])).toEqual(['too-close'])
    expect(codes(gap, 200, [at('b', 20, 0), at('a', 329.9, 0)])).toEqual(['too-close'])
    expect(codes(gap, 409.9, [at('a', 20, 0), at('b', 20, 209.9)])).toEqual(['too-close'])
    expect(codes(gap, 410, [at('a', 20, 0), at('b', 20, 210)])).toEqual([])
    // Corner to corner it is the hypotenuse that counts: 6 and 8 make 10.
    expect(codes(gap, 408, [at('a', 20, 0), at('b', 326, 208)])).toEqual([])
    expect(codes(gap, 407.8, [at('a', 20, 0), at('b', 325.9, 207.8)])).toEqual(['too-close'])
  })
})

describe('what a lay says of itself', () => {
  it('holds every copy of every piece once, and no other', () => {
    const three = problem({ a: { qty: 3, outline: box(100, 100) } })
    const [one, second, third] = [at('a', 20, 0), at('a', 120, 0, { copy: 2 }), at('a', 220, 0, { copy: 3 })]
    expect(codes(three, 100, [one, second, third])).toEqual([])
    expect(faults(three, 100, [one, second])).toEqual([{ code: 'wrong-count', piece: 'a', wanted: 3, found: 2 }])
    expect(codes(three, 100, [one, second, { ...third, copy: 2 }])).toEqual(['wrong-count'])
    expect(codes(three, 100, [one, second, { ...third, copy: 4 }])).toEqual(['wrong-count'])
    expect(codes(three, 100, [one, second, third, at('a', 320, 0, { copy: 4 })])).toEqual(['wrong-count'])
    expect(faults(three, 100, [one, second, third, at('z', 320, 0)])).toEqual([{ code: 'unknown-piece', piece: 'z' }])
  })

  it('is as long as its last piece, to a tenth', () => {
    expect(codes(two, 200.09, [at('a', 20, 0), at('b', 320, 0)])).toEqual([])
    expect(faults(two, 200.2, [at('a', 20, 0), at('b', 320, 0)])).toEqual([
      { code: 'wrong-length', claimed: 200.2, real: 200 },
    ])
    expect(codes(two, 199.8, [at('a', 20, 0), at('b', 320, 0)])).toEqual(['wrong-length'])
  })

  it('turns and flips only as a piece may; a full turn more is the same', () => {
    const turned = problem({
      a: { qty: 2, outline: box(300, 200), turns: [90] },
      b: { outline: box(50, 50), flip: true },
    })
    const laid = (turn: number, flip = false) =>
      faults(turned, 300, [
        // Turned by a quarter, a box of 300 by 200 lies to the left of its corner.
        at('a', 220, 0, { turn, flip }),
        at('a', 420, 0, { copy: 2, turn: 90 }),
        at('b', 600, 0, { flip: true, x: 650 }),
      ])
    expect(laid(90)).toEqual([])
    expect(laid(450)).toEqual([])
    expect(laid(-270)).toEqual([])
    expect(laid(90, true)).toContainEqual({ code: 'turn-not-allowed', piece: 'a (1)', turn: 90, flip: true })
    expect(laid(91)).toContainEqual({ code: 'turn-not-allowed', piece: 'a (1)', turn: 91, flip: false })
  })
})

describe('a piece that is put down', () => {
  it('is mirrored in x, then turned counter-clockwise about its origin, then moved', () => {
    const flag = problem({ a: { outline: box(100, 40), flip: true, turns: [0, 90, 180, 270] } }, { width: 190 })
    // Mirrored it lies left of its origin; turned by 90 it goes down from there, by 180 right and down, by 270 up.
    const where = [
      [0, 120, 0, 40],
      [90, 60, 100, 100],
      [180, 20, 40, 40],
      [270, 20, 0, 100],
    ] as const
    for (const [turn, x, y, length] of where) {
      expect(codes(flag, length, [at('a', x, y, { turn, flip: true })]), `turned by ${turn}`).toEqual([])
      expect(codes(flag, length, [at('a', x, y, { turn })]), `not mirrored, by ${turn}`).not.toEqual([])
    }
  })
})

describe('flaws and remnants', () => {
  const flawed = (flaw: number[]) => problem({ a: { outline: box(300, 200) } }, { flaws: [[900, 900, 10, 10], flaw] })
  it.each<[string, number[], boolean]>([
    ['beside it', [320, 50, 40, 40], false],
    ['a hair into it', [319.9, 50, 40, 40], true],
    ['within it', [100, 50, 40, 40], true],
    ['all over it', [0, -10, 400, 300], true],
    ['a slit into it', [100, -50, 0, 100], true],
    ['a slit along its edge', [20, 50, 0, 100], false],
    ['a slit that ends at its edge', [320, 50, 100, 0], false],
    ['a pinhole in it', [100, 100, 0, 0], true],
    ['a pinhole on its edge', [20, 100, 0, 0], false],
    ['a pinhole beside it', [330, 100, 0, 0], false],
  ])('a flaw %s', (_, flaw, isOn) => {
    expect(faults(flawed(flaw), 200, [at('a', 20, 0)])).toEqual(isOn ? [{ code: 'on-flaw', piece: 'a', flaw: 1 }] : [])
  })

  /** A remnant with a bite out of its right side, 400 deep. */
  const bitten = problem(
    { a: { outline: box(300, 200) } },
    {
      selvedge: [0, 0],
      outline: [
        [0, 0],
        [1000, 0],
        [1000, 300],
        [600, 400],
        [1000, 500],
        [1000, 900],
        [0, 900],
      ],
    },
  )
  it.each<[string, number, number, boolean]>([
    ['in its corner', 0, 0, false],
    ['left of the bite, its edge on the point', 300, 300, false],
    ['over the point of the bite', 301, 300, true],
    ['its corner in the bite', 690, 150, true],
    ['above the bite', 700, 520, false],
    ['beyond its end', 100, 701, true],
    ['across the bite', 650, 250, true],
  ])('a piece %s of a remnant', (_, x, y, isOff) =>
    expect(codes(bitten, y + 200, [at('a', x, y)])).toEqual(isOff ? ['off-cloth'] : []),
  )

  it('a piece with an edge for a side lies there, over the selvedge', () => {
    const sided = (of: 'left' | 'right' | 'either') =>
      problem({ a: { outline: box(300, 200), sides: [{ edge: of === 'right' ? 1 : 3, of }] } })
    expect(codes(sided('left'), 200, [at('a', 0, 0)])).toEqual([])
    expect(faults(sided('left'), 200, [at('a', 20, 0)])).toEqual([{ code: 'not-at-side', piece: 'a', off: 20 }])
    expect(codes(sided('right'), 200, [at('a', 700, 0)])).toEqual([])
    expect(codes(sided('right'), 200, [at('a', 0, 0)])).toContain('not-at-side')
    expect(codes(sided('either'), 200, [at('a', 0, 0)])).toEqual([])
    // Its other edge reaches no selvedge.
    expect(codes(sided('either'), 200, [at('a', 700, 0)])).toEqual(expect.arrayContaining(['off-cloth', 'not-at-side']))
  })
})

describe('phases', () => {
  const matched = (match: object) =>
    ({ outline: box(100, 100), match: { group: 'g', anchor: [0, 0], ...match } }) as Piece
  const striped = (groups: object = {}) =>
    problem(
      {
        a: matched({ across: 0, along: null }),
        b: matched({ across: 10, along: null }),
        c: matched({ across: 0, along: null, anchor: [50, 0] }),
      },
      { repeat: { across: 70, along: null } },
      { groups },
    )
  const row = (b: number, c: number) => [at('a', 20, 0), at('b', b, 0), at('c', c, 0)]

  it('all of a group stand at one place of the repeat, each by its anchor and its own place in it', () => {
    // a stands at 20; b at 20 + 10 + 2 repeats; the middle of c at 20 + 5 repeats.
    expect(codes(striped(), 100, row(170, 320))).toEqual([])
    expect(codes(striped(), 100, row(170.4, 319.6))).toEqual([])
    expect(faults(striped(), 100, row(171, 320))).toMatchObject([{ code: 'out-of-phase', piece: 'b', axis: 'across' }])
    expect(faults(striped(), 100, row(169, 320))[0]).toMatchObject({ off: 1 })
    expect(codes(striped(), 100, row(170, 270))).toEqual(['out-of-phase'])
    // Along the roll no repeat binds them.
    expect(codes(striped(), 107, [at('a', 20, 0), at('b', 170, 7), at('c', 320, 3)])).toEqual([])
  })

  it('a place that the problem, or the lay, states for the group binds all of it', () => {
    expect(codes(striped({ g: { across: 20, along: null } }), 100, row(170, 320))).toEqual([])
    expect(codes(striped({ g: { across: 25, along: null } }), 100, row(170, 320))).toHaveLength(3)
    expect(codes(striped(), 100, row(170, 320), { g: { across: 90, along: null } })).toEqual([])
    expect(codes(striped(), 100, row(170, 320), { g: { across: 95, along: null } })).toHaveLength(3)
  })

  it('two groups go each their own way; along the roll counts as across does', () => {
    const p = problem(
      { a: matched({ across: null, along: 0 }), b: matched({ across: null, along: 0, group: 'h' }) },
      { repeat: { across: null, along: 64 } },
    )
    expect(codes(p, 107, [at('a', 20, 0), at('b', 120, 7)])).toEqual([])
    const one = problem(
      { a: matched({ across: null, along: 0 }), b: matched({ across: null, along: 0 }) },
      { repeat: { across: null, along: 64 } },
    )
    expect(faults(one, 107, [at('a', 20, 0), at('b', 120, 7)])).toMatchObject([{ axis: 'along', off: 7 }])
    expect(codes(one, 228, [at('a', 20, 0), at('b', 120, 128)])).toEqual([])
  })
})
