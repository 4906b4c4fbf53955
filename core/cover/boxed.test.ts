import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { areaOf, boxOf } from '../outline/index.ts'
import { USUAL_PIPING } from '../job/index.ts'
import { boxSolid, coverOf } from '../testing/jobs.ts'
import { entered, sayWorking } from '../working/index.ts'
import { edgesUsedOnce } from './checks/edges-used-once.ts'
import { closesRoundBlock, eulerNumber } from './checks/closes-round-block.ts'
import { seamLengthsAgree } from './checks/seam-lengths.ts'
import { canBeSewn } from './checks/sewing-order.ts'
import { cutOutlinesAreSound } from './checks/cut-outlines.ts'
import { checkCover, cutOutline, notchDepth, notchOnPiece, panelOf, splitRun, type Cover } from './index.ts'

const length = (id: string, value: number) => entered({ id, label: id, quantity: 'length', value, rule: '' })
const build = (w: number, d: number, t: number, boxing: 'wrap' | 'one-per-side', overrides = {}) => {
  return {
    cover: coverOf(boxSolid(w, d, t), { construction: { kind: 'boxed', boxing }, piping: USUAL_PIPING }, overrides),
  }
}

describe('boxed, worked by hand: 2240/3 x 468 x 75, s 12', () => {
  const { cover } = build(2240 / 3, 468, 75, 'wrap')
  const net = (id: string) => panelOf(cover, id).figures
  it.each([
    ['perimeter', () => cover.perimeter.value, 2429.333],
    ['gusset run: 746.67 + 2 x 117', () => net('gusset-upper').finishedWidth.value, 980.667],
    ['gusset cut length', () => net('gusset-upper').cutWidth.value, 1004.667],
    ['gusset half cut height: 37.5 + 12 + 22', () => net('gusset-lower').cutHeight.value, 71.5],
    ['front and sides finished', () => net('boxing').finishedWidth.value, 1448.667],
    ['boxing cut height', () => net('boxing').cutHeight.value, 99],
    ['plate cut width', () => net('top-plate').cutWidth.value, 770.667],
    ['plate cut depth', () => net('top-plate').cutHeight.value, 492],
    ['piping strip, rounded up', () => cover.piping!.stripWidth!.value, 40],
    ['piping loop', () => cover.piping!.groups[0]!.length.value, 2489.333],
  ])('%s', (_name, value, expected) => expect(value()).toBeCloseTo(expected, 2))

  it('one piece per side: 746.7 / 351 / 351', () => {
    const { cover: sides } = build(2240 / 3, 468, 75, 'one-per-side')
    expect(
      ['boxing-front', 'boxing-left', 'boxing-right'].map((id) =>
        Number(panelOf(sides, id).figures.finishedWidth.value.toFixed(1)),
      ),
    ).toEqual([746.7, 351, 351])
  })

  it('shows its working', () => {
    expect(sayWorking(net('gusset-lower').cutHeight, 'mm')).toBe('37.5 + 12 + 22 = 71.5 mm cut')
    expect(sayWorking(net('top-plate').cutWidth, 'mm')).toBe('746.7 + 12 + 12 = 770.7 mm cut')
  })

  it('puts the two joins of a straight-cut loop in the middle of the sides, off the front', () => {
    const split = splitRun(cover.piping!.groups[0]!, { longestMm: 1350, lossMm: 40 })
    expect(split.strips.value).toBe(2)
    expect(split.lengths[0]!.value).toBeCloseTo((2489.333 + 40) / 2, 2)
    const sideMiddle = 746.667 / 2 + 468 / 2
    expect(split.joinsMm[0]).toBeCloseTo(sideMiddle, -1.4)
    expect(split.joinsMm[1]! - split.joinsMm[0]!).toBeCloseTo(2429.333 / 2, 3)
  })
})

describe('the five checks on any boxed cover', () => {
  const sizes = fc.record({
    w: fc.integer({ min: 60, max: 3000 }),
    d: fc.integer({ min: 60, max: 1500 }),
    t: fc.integer({ min: 10, max: 300 }),
    s: fc.integer({ min: 3, max: 25 }),
    turn: fc.integer({ min: 5, max: 30 }),
    boxing: fc.constantFrom('wrap' as const, 'one-per-side' as const),
  })

  it('pass for random sizes, allowances and boxings', () => {
    fc.assert(
      fc.property(sizes, ({ w, d, t, s, turn, boxing }) => {
        const { cover } = build(w, d, t, boxing, { seamMm: s, gussetTurnMm: turn })
        expect(checkCover(cover).flatMap((c) => c.faults)).toEqual([])
        expect(eulerNumber(cover)).toEqual({ surfaces: 1, sum: 2 })
        for (const p of cover.panels) expect(areaOf(cutOutline(p))).toBeGreaterThan(areaOf(p.finished))
      }),
    )
  })

  it('give every notch a partner with the same letter, on the outline', () => {
    fc.assert(
      fc.property(sizes, ({ w, d, t, boxing }) => {
        const { cover } = build(w, d, t, boxing)
        for (const panel of cover.panels) {
          const box = boxOf(panel.finished)
          for (const n of panel.notches) {
            const p = notchOnPiece(panel, n).sewn
            const edgeGap = Math.min(
              Math.abs(p.x - box.minX),
              Math.abs(p.x - box.maxX),
              Math.abs(p.y - box.minY),
              Math.abs(p.y - box.maxY),
            )
            expect(edgeGap).toBeLessThan(1e-6)
          }
        }
        const letters = cover.panels.flatMap((p) => p.notches.map((n) => n.letter))
        const perLetter = letters.map((l) => letters.filter((m) => m === l).length)
        expect(Math.max(...perLetter)).toBeLessThanOrEqual(2)
      }),
      { numRuns: 30 },
    )
  })
})

it('a notch is as deep as the book says, but at most half of the allowance', () => {
  const depthWith = (seamMm: number) => {
    const plate = panelOf(build(600, 500, 80, 'wrap', { seamMm }).cover, 'top-plate')
    return notchDepth(plate, plate.notches[0]!, 5)
  }
  expect(depthWith(12)).toBe(5)
  expect(depthWith(6)).toBe(3)
  expect(depthWith(0)).toBe(0)
})

describe('the checks find what is wrong', () => {
  const { cover } = build(700, 500, 80, 'one-per-side')
  const without = (letter: string): Cover => ({ ...cover, seams: cover.seams.filter((s) => s.letter !== letter) })

  it('a forgotten seam leaves an edge free and the surface open', () => {
    expect(edgesUsedOnce(without('B'))).toEqual([
      'Front boxing, start: not sewn to anything',
      'Left boxing, end: not sewn to anything',
    ])
    expect(closesRoundBlock(without('B'))[0]).toMatch(/do not close/)
  })

  it('boxing cut 9 mm too long does not meet its plate', () => {
    const long = build(709, 500, 80, 'one-per-side').cover
    const mixed: Cover = {
      ...cover,
      seams: cover.seams.map((s) =>
        s.letter === 'G'
          ? { ...s, pairs: s.pairs.map((p, i) => (i === 1 ? { a: p.a, b: long.seams.at(-1)!.pairs[1]!.b } : p)) }
          : s,
      ),
    }
    expect(seamLengthsAgree(mixed)).toEqual([
      'seam G, boxing and gusset to the top plate: 700 mm of top-plate front meet 709 mm of boxing-front top',
    ])
  })

  it('a stretch sewn twice', () => {
    const twice: Cover = { ...cover, seams: [...cover.seams, { ...cover.seams[1]!, letter: 'X' }] }
    expect(edgesUsedOnce(twice)[0]).toMatch(/used twice for 80 mm/)
  })

  it('a plate sewn before the boxing ring is joined, or a zip sewn last', () => {
    expect(canBeSewn({ ...cover, seams: cover.seams.toReversed() }).join('; ')).toMatch(
      /seam G runs across the end of seam .*already shut/s,
    )
    expect(canBeSewn(without('A'))).toEqual(['nothing opens: it cannot be turned or filled'])
  })

  it('a panel with a negative allowance larger than itself', () => {
    const bad: Cover = {
      ...cover,
      panels: cover.panels.map((p) => ({ ...p, edges: p.edges.map((e) => ({ ...e, allowance: length('s', -20) })) })),
    }
    expect(cutOutlinesAreSound(bad, 'mm').length).toBe(cover.panels.length)
  })
})
