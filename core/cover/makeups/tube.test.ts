import { describe, expect, it } from 'vitest'
import type { MakeUp, PartJob, TubeSeam } from '../../../contract/index.ts'
import { DEMO_CLOTHS, keepersBenchPart } from '../../demo/index.ts'
import { newSeat } from '../../job/index.ts'
import { solveLay } from '../../lay/index.ts'
import { boxSolid, coverOf, worked } from '../../testing/jobs.ts'
import { checkCover, CLOSURES, panelOf, usualMakeUp, type Cover } from '../index.ts'

const cut = (c: Cover, panel: string) =>
  [panelOf(c, panel).figures.cutWidth, panelOf(c, panel).figures.cutHeight].map((f) => Number(f.value.toFixed(1)))

describe('a tube 1940 long round 620 x 140, s 10', () => {
  const tube = (seams: readonly TubeSeam[], change: Partial<MakeUp> = {}) =>
    coverOf(
      boxSolid(1940, 620, 140),
      {
        construction: { kind: 'wrapped-tube', seams: [...seams], closes: 'lower-back' },
        closure: { ...CLOSURES['sewn-shut'].usual, side: 'back', openingMm: 1940 },
        ...change,
      },
      { seamMm: 10 },
    )
  const rounds = (c: Cover) => c.panels.filter((p) => p.role === 'body').map((p) => [p.cloth, ...cut(c, p.id)] as const)

  it('in one panel it is 1960 by twice 760 and 20, with one long seam', () => {
    const c = tube([])
    expect(rounds(c)).toEqual([['face', 1960, 1540]])
    expect(cut(c, 'end-left')).toEqual([640, 160])
    expect(c.seams.filter((s) => s.pairs.every((p) => Math.abs(p.a.to - p.a.from) === 1940))).toHaveLength(1)
  })

  it('in three: one over front and top 780, single ones 640 and 160; three long seams, two cloths', () => {
    const c = tube(['lower-back', 'lower-front', 'upper-back'])
    expect(rounds(c)).toEqual([
      ['second-face', 1960, 640],
      ['face', 1960, 780],
      ['second-face', 1960, 160],
    ])
    expect(c.seams.filter((s) => s.pairs.every((p) => Math.abs(p.a.to - p.a.from) === 1940))).toHaveLength(3)
  })

  it('in two, one cloth over front and top, the other over back and bottom; in four, each by itself', () => {
    expect(rounds(tube(['lower-front', 'upper-back']))).toEqual([
      ['face', 1960, 780],
      ['second-face', 1960, 780],
    ])
    expect(rounds(tube(['lower-back', 'lower-front', 'upper-front', 'upper-back'])).map((r) => r[2])).toEqual([
      640, 160, 640, 160,
    ])
  })

  it('cloth by cloth on 1370: 780 with its ends, and 640 with 160 abreast; in one cloth two columns', () => {
    const part: PartJob = {
      ...keepersBenchPart(),
      seat: { ...newSeat('singles', 1940, 620, 140, 1), clearanceMm: 0 },
      makeUp: {
        ...usualMakeUp('wrapped-tube'),
        construction: {
          kind: 'wrapped-tube',
          seams: ['lower-back', 'lower-front', 'upper-back'],
          closes: 'lower-back',
        },
        closure: { ...CLOSURES['sewn-shut'].usual, side: 'back', openingMm: 1940 },
      },
      allowances: { ...keepersBenchPart().allowances, overrides: { seamMm: 10 } },
    }
    const cloth = {
      ...DEMO_CLOTHS.find((c) => c.id === 'house-calico')!,
      widthMm: 1370,
      selvedgeMm: [0, 0] as [number, number],
      nap: 'one-way' as const,
    }
    const laid = (others: PartJob['cloth']['others']) =>
      worked({
        ...part,
        cloth: { ...part.cloth, direction: 'railroaded', match: { kind: 'none' }, cloth, others },
      }).cloth.lays.map((l) => {
        const solved = solveLay(l.problem, { seed: 1, budget: { steps: 30, isStopped: () => false } })
        if (!solved.ok) throw new Error(solved.error.code)
        return solved.value.lay.length
      })
    const other = { ...cloth, id: 'other', name: 'Other' }
    // The wrap's 780 takes a column of 1960, and both ends abreast (2 x 640) 160 more.
    const [face, second] = laid({ 'second-face': other })
    expect(face).toBeCloseTo(1960 + 160, 1)
    // 640 + 160 lie abreast.
    expect(second).toBeCloseTo(1960, 1)
    // 780 + 640 is wider than 1370: two columns, the small ones beside them; by area 1.6 would have done.
    expect(laid({})[0]).toBeCloseTo(2 * 1960, 1)
  })

  it('opens over two edges of an end: 620 and 140 and nothing at the corner, less 20 from the far one', () => {
    const zip = { kind: 'zip-seam', side: 'left', tapeMm: 8, overTwoEdges: true } as const
    expect(tube([], { closure: zip }).closures[0]!.lengthMm.value).toBe(760)
    const c = tube([], { closure: { ...zip, startMm: 20 } })
    expect(c.closures[0]!.lengthMm.value).toBe(740)
    const closing = c.seams.find((s) => s.kind === 'closure')!
    expect(closing.pairs.map((p) => Math.abs(p.a.to - p.a.from))).toEqual([600, 140])
    expect(checkCover(c).flatMap((k) => k.faults)).toEqual([])
    // The zip's own allowance stands along both edges of the end and of the wrap.
    const end = panelOf(c, 'end-left')
    expect(end.edges.filter((e) => e.treatment === 'zip').map((e) => [e.name, e.allowance.value])).toEqual([
      ['bottom, zip', 8],
      ['back', 8],
    ])
  })
})

describe('a box opens over two edges of its left end', () => {
  const box = (side: 'left' | 'right', startMm: number) =>
    coverOf(
      boxSolid(900, 620, 140),
      { closure: { kind: 'zip-seam', side, tapeMm: 8, overTwoEdges: true, startMm } },
      { seamMm: 10 },
    )
  it.each(['left', 'right'] as const)('%s: 620 less 20 along the bottom, and 140 up the corner at the back', (side) => {
    const c = box(side, 20)
    expect(c.closures[0]!.lengthMm.value).toBe(740)
    expect(checkCover(c).flatMap((k) => k.faults)).toEqual([])
    const upright = c.seams.find((s) => s.kind === 'closure')!.pairs.at(-1)!
    expect([upright.a.panel, upright.b.panel].toSorted()).toEqual(['boxing-back', `boxing-${side}`])
    expect(Math.abs(upright.a.to - upright.a.from)).toBe(140)
  })
})

it('a lap closed by three spots of 25: 75 of tape in all, at a sixth, the half and five sixths of the opening', () => {
  const c = coverOf(boxSolid(600, 450, 80), {
    kind: 'wrapped-tube',
    closure: { kind: 'hook-and-loop', tapeMm: 25, side: 'back', spots: 3 },
  })
  const [closure] = c.closures
  expect(closure!.places.map((p) => Math.round(p))).toEqual([100, 300, 500])
  expect(closure!.fittings[0]!.amount.value).toBe(75)
  // The lap is as wide as for a tape all along.
  expect(closure!.lap!.value).toBe(31)
})
