import fc from 'fast-check'
import { USUAL_PIPING } from '../job/index.ts'
import { describe, expect, it } from 'vitest'
import type { Band, PartJob } from '../../contract/index.ts'
import { solveLay, turned } from '../lay/index.ts'
import { panelOf } from '../cover/index.ts'
import { newSeat, reading, shapedSeat } from '../job/index.ts'
import { patternUnder, stepBetween } from '../testing/pattern-under.ts'
import { frontSpan } from '../seat/index.ts'
import { DEMO_CLOTHS, demoParts, keepersBenchPart } from '../demo/index.ts'
import { benchJob, onlyDesign, worked, type OnePlan } from '../testing/jobs.ts'
import { bandCentre, bandsWidth, colourAt, mirrorAxes, modulo, repeatOf } from '../pattern/index.ts'
import { clothRow, rowPattern, ruledPlaces } from './index.ts'

const band = (colour: string, widthMm: number): Band => ({ name: colour, colour, widthMm })
const [A, B, C] = ['#aaaaaa', '#bbbbbb', '#cccccc'] as const
const ticking = DEMO_CLOTHS[0]!
const tickingBands = ticking.pattern.kind === 'stripes' ? ticking.pattern.bands : []

describe('stripes', () => {
  it('the ticking repeats every 68 mm', () => {
    expect(repeatOf(ticking, 'across')).toBe(68)
    expect(
      repeatOf(
        DEMO_CLOTHS.find((c) => c.id === 'storm-canvas')!,
        'across',
      ),
    ).toBeNull()
  })

  it('finds the middle of a band: 22 + 6 + 10 + 14/2 = 45', () => expect(bandCentre(tickingBands, 3)).toBe(45))

  it.each<[string, Band[], number[]]>([
    ['the ticking, in the ivory and in the rust', tickingBands, [11, 45]],
    ['two bands, in the middle of each', [band(A, 10), band(B, 20)], [5, 20]],
    ['three different bands, nowhere', [band(A, 10), band(B, 20), band(C, 30)], []],
    ['a b a c, in b and in c', [band(A, 10), band(B, 20), band(A, 10), band(C, 30)], [20, 55]],
    ['equal colours but unequal widths, nowhere', [band(A, 10), band(B, 20), band(A, 15), band(C, 30)], []],
  ])('mirrors %s', (_name, bands, axes) => expect(mirrorAxes(bands)).toEqual(axes))

  it('looks the same on both sides of every axis it claims', () => {
    const bands = fc
      .array(fc.record({ colour: fc.constantFrom(A, B, C), widthMm: fc.integer({ min: 2, max: 40 }) }), {
        minLength: 2,
        maxLength: 6,
      })
      .map((list) => list.map((b) => band(b.colour, b.widthMm)))
    fc.assert(
      fc.property(bands, fc.double({ min: 0, max: 200, noNaN: true }), (list, away) => {
        for (const axis of mirrorAxes(list)) {
          // Just beside a band's edge the two sides may round to different bands.
          const edges = list.map((_, i) => bandsWidth(list.slice(0, i)))
          const isNearEdge = (at: number) =>
            edges.some((e) => Math.min(modulo(at - e, bandsWidth(list)), modulo(e - at, bandsWidth(list))) < 1e-6)
          if (!isNearEdge(axis + away)) expect(colourAt(list, axis + away)).toBe(colourAt(list, axis - away))
        }
      }),
    )
  })

  it('colourAt goes on for ever both ways', () => {
    const bands = [band(A, 10), band(B, 20)]
    expect([0, 9.9, 10, 29.9, 30, -1, -20.1, 305].map((x) => colourAt(bands, x))).toEqual([A, A, B, B, A, B, A, A])
  })
})

const withCloth = (change: Partial<PartJob['cloth']>, job = keepersBenchPart()): PartJob => ({
  ...job,
  cloth: { ...job.cloth, ...change },
})

describe('where the ruling band falls', () => {
  const job = keepersBenchPart()
  const rowOf = (plan: OnePlan) =>
    clothRow(
      plan.cushions,
      plan.designs.map((d) => d.cover),
    )
  const row = rowOf(worked(job))
  const placed = (
    rule: Extract<PartJob['cloth']['match'], { kind: 'matched' }>['rule'],
    cushion = 0,
    direction: PartJob['cloth']['direction'] = 'up-the-roll',
  ) => {
    const choice: PartJob['cloth'] = { ...job.cloth, direction, match: { kind: 'matched', rule } }
    const ruled = ruledPlaces(choice, rowPattern(choice), row, cushion)
    return direction === 'up-the-roll' ? ruled.row.at : ruled.depth.at
  }

  it('on the middle of the row: 3 x 746.67 / 2', () =>
    expect(placed({ kind: 'band-on-centre', band: 3 })).toBeCloseTo(1120, 6))
  it('on the middle of each cushion', () => {
    expect(placed({ kind: 'band-on-each-centre', band: 3 }, 0)).toBeCloseTo(2240 / 6, 6)
    expect(placed({ kind: 'band-on-each-centre', band: 3 }, 2)).toBeCloseTo((2240 / 3) * 2.5, 6)
  })
  it('at the left end the whole band shows: its middle is half of 14 in', () =>
    expect(placed({ kind: 'band-at-left-end', band: 3 })).toBe(7))
  it('at a mark on the first cushion, 214 from the left', () =>
    expect(placed({ kind: 'band-at-mark', band: 3, markMm: 214 })).toBeCloseTo(214, 6))
  it('at a mark further on, counting in the 2 mm squeezed away at each meeting', () => {
    // 1600 lies 1600 - 1489.33 = 110.67 into the third cushion, whose pattern begins at 1493.33.
    expect(placed({ kind: 'band-at-mark', band: 3, markMm: 1600 })).toBeCloseTo(1604, 6)
  })
  it('on single cushions a mark is taped from the wall, and the cushion begins a clearance further on', () => {
    const seat = {
      ...newSeat('singles', 600, 468, 75, 2),
      clearanceMm: 3,
      edges: { left: { meets: 'wall' as const, lean: null, riseMm: 0 } },
    }
    const plan = worked({
      ...job,
      seat,
      cloth: { ...job.cloth, match: { kind: 'matched', rule: { kind: 'band-at-mark', band: 3, markMm: 214 } } },
    })
    // The rust band's middle is 45 from the start of a repeat; it lies 211 from the left end of each cushion.
    for (const id of ['1/top-plate', '2/top-plate']) {
      const top = plan.cloth.lays[0]!.problem.pieces.find((p) => p.id === id)!
      expect(stepBetween(job.cloth.cloth, 'across', patternUnder(top, [211, 9]).across!, 45)).toBeLessThan(0.01)
    }
  })
  it('railroaded, no stripe crosses the row: it is measured from the front edge', () => {
    expect(placed({ kind: 'band-on-centre', band: 3 }, 1, 'railroaded')).toBe(234)
    expect(placed({ kind: 'band-at-mark', band: 3, markMm: 50 }, 1, 'railroaded')).toBe(50)
  })

  it('an open gap is counted in the run, a squeeze is not', () => {
    expect(row.startMm(2)).toBeCloseTo(2 * (2240 / 3), 6)
    const open = worked(benchJob({ gapMm: 10 }))
    expect(rowOf(open).startMm(2)).toBeCloseTo(2 * (onlyDesign(open).design.solid.width.value + 10), 6)
  })
})

describe('turns on the cloth', () => {
  const turnsOf = (job: PartJob, id: string) =>
    worked(job).cloth.lays[0]!.problem.pieces.find((p) => p.id === `1/${id}`)!.turns
  const oneSided = {
    ...ticking,
    pattern: {
      kind: 'stripes' as const,
      runs: 'along' as const,
      startMm: 0,
      bands: [band(A, 20), band(B, 10), band(C, 5)],
    },
  }
  const plain = DEMO_CLOTHS.find((c) => c.id === 'storm-canvas')!
  const pile = DEMO_CLOTHS.find((c) => c.id === 'moss-loop')!

  it('symmetrical stripes on two-way cloth: either way up', () =>
    expect(turnsOf(keepersBenchPart(), 'top-plate')).toEqual([0, 180]))
  it('stripes with a left and a right: one way only where matched', () =>
    expect(turnsOf(withCloth({ cloth: oneSided }), 'top-plate')).toEqual([0]))
  it('pile: everything seen has its top up', () => {
    const job = withCloth({ cloth: pile, match: { kind: 'none' } })
    for (const id of ['top-plate', 'bottom-plate', 'boxing-front', 'boxing-left', 'gusset-upper'])
      expect(turnsOf(job, id)).toEqual([0])
  })
  it('pile, railroaded: plates lie on their side, all the same way', () =>
    expect(turnsOf(withCloth({ cloth: pile, match: { kind: 'none' }, direction: 'railroaded' }), 'top-plate')).toEqual([
      270,
    ]))
  it('plain two-way cloth: strips turn freely, plates keep to the grain', () => {
    const job = withCloth({ cloth: plain, match: { kind: 'none' } })
    expect(turnsOf(job, 'top-plate')).toEqual([0, 180])
    expect(turnsOf(job, 'boxing-front')).toEqual([0, 90, 180, 270])
  })
  it('the stripe on side boxing is upright or along it, as chosen', () => {
    expect(turnsOf(keepersBenchPart(), 'boxing-left')).toEqual([0, 180])
    expect(turnsOf(withCloth({ sideBoxing: 'along' }), 'boxing-left')).toEqual([270, 90])
  })
})

describe('matching for real', () => {
  /** The colour under a place of a panel, as the lay cuts it. */
  function colourOn(
    job: PartJob,
    plan: OnePlan,
    lay: { placements: readonly { id: string; x: number; y: number; turn: number; flip: boolean }[] },
    id: string,
    x: number,
    y: number,
  ): string {
    const { pattern } = job.cloth.cloth
    if (pattern.kind !== 'stripes') throw new Error('plain')
    const place = lay.placements.find((p) => p.id === id)!
    const [dx] = turned(x, y, place.turn, place.flip)
    return colourAt(pattern.bands, place.x + dx - pattern.startMm)
  }
  const layOf = (plan: OnePlan) => {
    const solved = solveLay(plan.cloth.lays[0]!.problem, { seed: 1, budget: { steps: 15, isStopped: () => false } })
    if (!solved.ok) throw new Error(solved.error.code)
    return solved.value.lay
  }
  const cloths: [string, Band[]][] = [
    ['symmetrical stripes', tickingBands.slice()],
    ['stripes with a left and a right', [band(A, 20), band(B, 13), band(C, 7)]],
  ]

  it.each(cloths)('%s: every plate continues its neighbour and runs over its front boxing', (_name, bands) => {
    const job = withCloth({
      cloth: { ...ticking, pattern: { kind: 'stripes', runs: 'along', startMm: 5, bands } },
      match: { kind: 'matched', rule: { kind: 'band-at-mark', band: 1, markMm: 214 } },
    })
    const plan = worked(job)
    const lay = layOf(plan)
    const w = onlyDesign(plan).design.solid.width.value
    for (let x = 1.3; x < w; x += 17.7) {
      const top = colourOn(job, plan, lay, '1/top-plate', x, 5)
      expect(colourOn(job, plan, lay, '1/boxing-front', x, 70), `front at ${x}`).toBe(top)
      // Its right side looks down: the bottom plate is cut as a mirror image.
      expect(colourOn(job, plan, lay, '1/bottom-plate', w - x, 300), `bottom at ${x}`).toBe(top)
      // The pattern coordinate of the second plate goes on where the first ended.
      const onward = x + w
      expect(colourOn(job, plan, lay, '2/top-plate', x, 5)).toBe(colourOn(job, plan, lay, '1/top-plate', onward, 5))
    }
    expect(colourOn(job, plan, lay, '1/top-plate', 214, 100)).toBe(bands[1]!.colour)
  })

  it.each(cloths)('%s, railroaded: the side boxing runs on from the plate, front to back', (_name, bands) => {
    const job = withCloth({
      direction: 'railroaded',
      cloth: { ...ticking, pattern: { kind: 'stripes', runs: 'along', startMm: 5, bands } },
      match: { kind: 'matched', rule: { kind: 'band-on-centre', band: 1 } },
    })
    const plan = worked(job)
    const lay = layOf(plan)
    const depth = onlyDesign(plan).design.solid.depth.value
    for (let y = 2.1; y < 351; y += 13.3) {
      const top = colourOn(job, plan, lay, '2/top-plate', 10, y)
      expect(colourOn(job, plan, lay, '2/boxing-right', y, 70), `right at ${y}`).toBe(top)
      // The left boxing, seen from outside, starts at its zip end and comes forward.
      expect(colourOn(job, plan, lay, '2/boxing-left', 351 - y, 70), `left at ${y}`).toBe(top)
      expect(colourOn(job, plan, lay, '3/top-plate', 10, y)).toBe(top)
    }
    expect(colourOn(job, plan, lay, '1/top-plate', 10, depth / 2)).toBe(bands[1]!.colour)
  })
})

describe('matching on other shapes', () => {
  /** Place in the repeat of the cloth under a point of a laid panel. */
  function phaseOn(
    plan: OnePlan,
    lay: { placements: readonly { id: string; x: number; turn: number; flip: boolean }[] },
    id: string,
    x: number,
    y: number,
  ): number {
    const place = lay.placements.find((p) => p.id === id)!
    const [dx] = turned(x, y, place.turn, place.flip)
    return modulo(place.x + dx, plan.cloth.lays[0]!.problem.cloth.repeat.across!)
  }
  const lay = (plan: OnePlan) => {
    const solved = solveLay(plan.cloth.lays[0]!.problem, { seed: 1, budget: { steps: 2, isStopped: () => false } })
    if (!solved.ok) throw new Error(solved.error.code)
    return solved.value.lay
  }
  /** The ticking mirrors itself at 11: a phase and its mirror image are the same stripe. */
  const isSame = (a: number, b: number) =>
    Math.min(...[a - b, a + b - 22].map((d) => Math.min(modulo(d, 68), modulo(-d, 68)))) < 0.5

  it('round the window seat the stripe at each front corner goes on in the next cushion, and under it', () => {
    const plan = worked(demoParts()[0]!)
    const found = lay(plan)
    const { cover } = onlyDesign(plan)
    const { from, to } = frontSpan({ outline: cover.solid.outline, edges: onlyDesign(plan).design.solid.edges })
    const wide = Math.max(...cover.solid.outline.map((v) => v.x))
    for (const k of [1, 2, 3, 4])
      expect(
        isSame(phaseOn(plan, found, `${k}/top-plate`, to, 0), phaseOn(plan, found, `${k + 1}/top-plate`, from, 0)),
        `corner ${k}`,
      ).toBe(true)
    for (const k of [1, 5])
      for (const x of [from, (from + to) / 2, to])
        expect(
          isSame(phaseOn(plan, found, `${k}/top-plate`, x, 0), phaseOn(plan, found, `${k}/bottom-plate`, wide - x, 0)),
        ).toBe(true)
    // The boxing of the bowed front matches in its middle.
    const arc = panelOf(cover, 'boxing-front').figures.finishedWidth.value
    for (const k of [1, 3, 5])
      expect(
        isSame(
          phaseOn(plan, found, `${k}/top-plate`, (from + to) / 2, 0),
          phaseOn(plan, found, `${k}/boxing-front`, arc / 2, 0),
        ),
      ).toBe(true)
  })

  it('the mark on the panelling, 1820 from the left along the front, lies on the rust stripe', () => {
    const plan = worked(demoParts()[0]!)
    const { solid } = onlyDesign(plan).design
    // 1820 is the middle of the 3640 and so the middle of the third cushion.
    const middle = solid.width.value / 2
    expect(isSame(phaseOn(plan, lay(plan), '3/top-plate', middle, 0), 45)).toBe(true)
  })

  it('a tapering seat, railroaded, matches no boxing on its slanted side', () => {
    const job = keepersBenchPart()
    const seat = shapedSeat(
      {
        kind: 'taper',
        near: reading(900),
        far: reading(700),
        depth: reading(500),
        offset: { kind: 'left', mm: 0 },
        rising: null,
        falling: null,
      },
      75,
      { kind: 'singles', count: 1, mirrored: 0 },
    )
    const plan = worked({ ...job, seat, cloth: { ...job.cloth, direction: 'railroaded' } })
    const matched = plan.cloth.lays[0]!.pieces.filter((p) => p.matched).map((p) => p.id)
    expect(matched).toEqual(['1/top-plate', '1/bottom-plate', '1/boxing-left'])
  })

  it('stripes with a left and a right cannot match the bottom plate of a pile cloth', () => {
    const oneSided = {
      ...ticking,
      nap: 'one-way' as const,
      pattern: {
        kind: 'stripes' as const,
        runs: 'along' as const,
        startMm: 0,
        bands: [band(A, 20), band(B, 10), band(C, 5)],
      },
    }
    const matched = worked(withCloth({ cloth: oneSided }))
      .cloth.lays[0]!.pieces.filter((p) => p.matched && p.of?.cushion === 0)
      .map((p) => p.id)
    expect(matched).toEqual(['1/top-plate', '1/boxing-front'])
  })
})

describe('piping on the cloth', () => {
  const piped = (cut: 'across' | 'along' | 'bias') =>
    worked({
      ...keepersBenchPart(),
      makeUp: {
        ...keepersBenchPart().makeUp,
        construction: { kind: 'boxed', boxing: 'wrap' },
        piping: { ...USUAL_PIPING, cut },
      },
    }).cloth
  const strip = (cut: 'across' | 'along' | 'bias') => piped(cut).lays[0]!.problem.pieces.find((p) => p.id === 'piping')!

  it('across: two strips a loop, none wider than the cloth', () => {
    expect(strip('across')).toMatchObject({ qty: 12, turns: [0] })
    expect(piped('across').strips[0]![0]!.split.lengths[0]!.value).toBeLessThanOrEqual(1350)
  })
  it('along: one strip a loop', () => expect(strip('along')).toMatchObject({ qty: 6, turns: [90] }))
  it('bias: a slanted strip whose ends lie on the grain, 40 mm across', () => {
    const { outline, turns } = strip('bias')
    expect(turns).toEqual([0, 90])
    const [a, b, , d] = outline
    expect(b![0] - a![0]).toBeCloseTo(b![1] - a![1], 6)
    expect((d![1] - a![1]) / Math.SQRT2).toBeCloseTo(40, 6)
  })
})

describe('strips that are never seen', () => {
  it.each(['across', 'along'] as const)(
    'lie %s the roll on a striped cloth, all of them, in the lay as it is cut',
    (hiddenStrips) => {
      const bench = keepersBenchPart()
      const plan = worked({ ...bench, cloth: { ...bench.cloth, hiddenStrips } })
      const { problem } = plan.cloth.lays[0]!
      const solved = solveLay(problem, { seed: 1, budget: { steps: 30, isStopped: () => false } })
      if (!solved.ok) throw new Error(solved.error.code)
      const gussets = solved.value.lay.placements.filter((p) => p.id.includes('gusset'))
      expect(gussets).toHaveLength(6)
      for (const p of gussets) {
        const { outline } = problem.pieces.find((piece) => piece.id === p.id)!
        const size = (k: 0 | 1) => Math.max(...outline.map((q) => q[k])) - Math.min(...outline.map((q) => q[k]))
        const liesAcross = size(0) > size(1) === (p.turn % 180 === 0)
        expect(liesAcross, p.id).toBe(hiddenStrips === 'across')
      }
    },
  )
})
