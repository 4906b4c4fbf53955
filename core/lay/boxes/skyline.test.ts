import { describe, expect, it } from 'vitest'
import { LayProblem, type Lay } from '../../../contract/index.ts'
import { acceptLay } from '../check/index.ts'
import { instanceOf } from '../instance.ts'
import { seeded } from '../../random/index.ts'
import { isSkylineInstance, layOnSkyline as laidInOrder, Skyline } from './skyline.ts'

type Piece = Record<string, unknown>
const box = (w: number, h: number) => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h],
]
const problemOf = (pieces: Piece[], cloth: object = {}, gap = 0): LayProblem =>
  LayProblem.parse({ format: 'loft-seam/lay-problem', version: 1, cloth: { width: 1000, ...cloth }, gap, pieces })

/** What the decoder alone makes of pieces in their given order. */
function layOnSkyline(problem: LayProblem): Lay {
  const instance = instanceOf(problem)
  const found = laidInOrder(
    instance,
    instance.items.map((_, i) => i),
  )
  const placements = found.spots.map((s) => ({
    id: instance.items[s.item]!.piece,
    copy: instance.items[s.item]!.copy,
    x: s.x + s.posture.originX,
    y: s.y + s.posture.originY,
    turn: s.posture.turn,
    flip: s.posture.flip,
  }))
  return {
    format: 'loft-seam/lay',
    version: 1,
    length: found.length,
    bound: 0,
    seed: 1,
    seconds: 0,
    placements,
    offsets: {},
  }
}

describe('on the skyline, by hand', () => {
  it('a piece that fills the gap exactly goes before the one whose turn it is', () => {
    // After 600 x 300 a ledge of 400 is left: 400 x 300 fills it whole and level, 350 x 200 would not.
    const lay = layOnSkyline(
      problemOf([
        { id: 'a', outline: box(600, 300) },
        { id: 'b', outline: box(350, 200) },
        { id: 'c', outline: box(400, 300) },
      ]),
    )
    expect(lay.placements.map((p) => [p.id, p.x, p.y])).toEqual([
      ['a', 0, 0],
      ['c', 600, 0],
      ['b', 0, 300],
    ])
  })

  it('turns a piece where that fills the ledge', () => {
    const lay = layOnSkyline(
      problemOf([
        { id: 'a', outline: box(700, 400) },
        { id: 'c', outline: box(400, 300), turns: [0, 90] },
      ]),
    )
    expect(lay.length).toBe(400)
    expect(lay.placements.find((p) => p.id === 'c')).toMatchObject({ turn: 90 })
  })

  it('gives up a ledge that nothing fits', () => {
    const lay = layOnSkyline(
      problemOf([
        { id: 'a', outline: box(950, 100) },
        { id: 'b', outline: box(990, 50) },
      ]),
    )
    expect(lay.placements.map((p) => p.y)).toEqual([0, 100])
  })

  it('keeps gaps between pieces and none at the edges', () => {
    const problem = problemOf(
      [
        { id: 'a', qty: 2, outline: box(495, 300) },
        { id: 'b', outline: box(1000, 20) },
      ],
      {},
      10,
    )
    const lay = layOnSkyline(problem)
    expect(acceptLay(problem, lay)).toEqual([])
    expect(lay.length).toBe(330)
  })

  it('gives an order up once it reaches the limit', () => {
    const skyline = new Skyline(
      instanceOf(
        problemOf([
          { id: 'a', outline: box(600, 300) },
          { id: 'b', outline: box(600, 200) },
        ]),
      ),
    )
    const order = Int32Array.from([0, 1])
    expect([skyline.lengthOf(order, 501), skyline.lengthOf(order, 500)]).toEqual([500, Infinity])
  })
})

describe('what the skyline takes', () => {
  const piece = { id: 'a', outline: box(100, 100) }
  it.each<[string, LayProblem, boolean]>([
    ['boxes on a roll', problemOf([piece]), true],
    [
      'not a slanted piece',
      problemOf([
        piece,
        {
          id: 'b',
          outline: [
            [0, 0],
            [100, 0],
            [0, 100],
          ],
        },
      ]),
      false,
    ],
    ['not a box turned by 45°', problemOf([{ ...piece, turns: [0, 45] }]), false],
    ['not a flaw', problemOf([piece], { flaws: [[0, 0, 10, 10]] }), false],
    ['not a hard length', problemOf([piece], { length: 500 }), false],
    [
      'not a phase',
      problemOf([{ ...piece, match: { group: 'g', anchor: [0, 0], across: 0 } }], {
        repeat: { across: 60, along: null },
      }),
      false,
    ],
    ['a match that demands nothing', problemOf([{ ...piece, match: { group: 'g', anchor: [0, 0] } }]), true],
  ])('%s', (_name, problem, takes) => expect(isSkylineInstance(instanceOf(problem))).toBe(takes))
})

it('lays any boxes soundly, gaps and selvedges too (200 seeds)', () => {
  for (let seed = 1; seed <= 200; seed++) {
    const random = seeded(seed)
    const whole = (low: number, high: number) => Math.round(low + random() * (high - low))
    const pieces = Array.from({ length: whole(1, 15) }, (_, i) => ({
      id: `p${i}`,
      qty: whole(1, 3),
      outline: box(whole(20, 450), whole(20, 450)),
      turns: random() < 0.5 ? [0] : [0, 90],
    }))
    const problem = problemOf(pieces, { selvedge: [whole(0, 15), whole(0, 15)] }, random() < 0.5 ? whole(1, 12) : 0)
    expect(acceptLay(problem, layOnSkyline(problem)), `seed ${seed}`).toEqual([])
  }
})
