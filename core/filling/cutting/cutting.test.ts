import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LayProblem, type Cutting, type FoamStock, type Grade } from '../../../contract/index.ts'
import { acceptLay, problemFaults } from '../../lay/index.ts'
import { areaOf, boxOf } from '../../outline/index.ts'
import { DEMO_GRADES, demoParts } from '../../demo/index.ts'
import { boxSolid, worked, planOne } from '../../testing/jobs.ts'
import { anySeat } from '../../testing/seats.ts'
import {
  layPieces,
  nearestStack,
  leftBeside,
  nestGroup,
  NO_JOINS,
  placesAcross,
  planCutting,
  planJoins,
  sheetProblem,
  stackFor,
  stockProblem,
  toolWords,
  usualWadding,
  USUAL_CUTTING,
  type BlockToCut,
  type NestLay,
} from '../index.ts'

const gannet = DEMO_GRADES.find((g) => g.name === 'Gannet 30/140')!
const blockOf = (w: number, d: number, t: number, count = 1, grade: Grade = gannet): BlockToCut => ({
  design: 0,
  letter: 'A',
  count,
  block: boxSolid(w, d, t),
  layers: [{ grade, thicknessMm: t }],
  use: 'bench',
  wadding: null,
})
const cut = (block: BlockToCut | readonly BlockToCut[], change: Partial<Cutting> = {}) =>
  planCutting([block].flat() as readonly BlockToCut[], { ...USUAL_CUTTING, ...change })
const now = () => true
const soundLay = (nest: NestLay, problem: LayProblem) => acceptLay(LayProblem.parse(problem), nest.lay)

describe('stacks of sheets', () => {
  it.each<[number, readonly number[]]>([
    [75, [75]],
    [50, [50]],
    [125, [100, 25]],
    [150, [100, 50]],
    [225, [100, 100, 25]],
    [83, []],
    [400, []],
    [76.2, [75]],
    [101.6, [100]],
    [78, []],
  ])('%d mm is made of %j', (thickness, stack) => expect(stackFor(thickness, [25, 50, 75, 100])).toEqual(stack))

  it('names the nearest stack where none fits', () => {
    expect(nearestStack(83, [25, 50, 75, 100])).toBe(75)
    expect(nearestStack(400, [25, 50, 75, 100])).toBe(300)
  })
})

describe('parts in straight rows', () => {
  const rows = (block: BlockToCut) => cut(block).groups[0]!.group.rows!

  it('by hand: 612 x 510 on 2000 x 1200 gives 3 x 2, on 2030 x 1520 turned or not no cheaper', () => {
    const plan = rows(blockOf(612, 510, 75, 6))
    expect(plan.sheet).toEqual({ lengthMm: 2000, widthMm: 1200 })
    expect(plan.perSheet.value).toBe(6)
    expect(plan.sheets.value).toBe(1)
  })

  it('a seventh wants a larger or a second sheet, whichever is cheaper', () => {
    const plan = rows(blockOf(612, 510, 75, 7))
    // 2030 x 1520 takes floor(2012/512) x floor(1502/614) = 3 x 2 lying along, 3 x 2 turned: two sheets of the smaller
    // are cheaper.
    expect([plan.sheet.widthMm, plan.sheets.value]).toEqual([1200, 2])
  })

  it('layers are bought by thickness: 125 is a sheet of 100 and one of 25', () => {
    const plan = cut(blockOf(612, 510, 125, 3))
    expect(plan.groups.map((g) => [g.group.thicknessMm, g.buy!.sheets.value])).toEqual([
      [100, 1],
      [25, 1],
    ])
    expect(plan.sheets.value).toBe(2)
    // 2.0 x 1.2 x 0.125 m³ at 260
    expect(plan.cost.value).toBeCloseTo(78, 6)
  })

  it('draws its rows inside the trim, a kerf apart', () => {
    const plan = rows(blockOf(612, 510, 75, 5))
    expect(plan.places.filter((p) => p.sheet === 0).map((p) => [p.x, p.y])).toEqual([
      [10, 10],
      [624, 10],
      [1238, 10],
      [10, 522],
      [624, 522],
    ])
  })

  it('rows with trim and kerf always fit on the sheet', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 100, max: 1900 }),
        fc.integer({ min: 100, max: 1100 }),
        fc.integer({ min: 1, max: 20 }),
        (w, d, count) => {
          const plan = rows(blockOf(w, d, 50, count))
          expect(plan.perSheet.value * w * d).toBeLessThanOrEqual(plan.sheet.lengthMm * plan.sheet.widthMm)
          expect(plan.sheets.value * Math.max(1, plan.perSheet.value)).toBeGreaterThanOrEqual(count)
        },
      ),
    )
  })
})

describe('joins', () => {
  const rooms = [
    { lengthMm: 1980, widthMm: 1180 },
    { lengthMm: 2010, widthMm: 1500 },
  ]
  const joinsOf = (w: number, d: number, use: 'bench' | 'sleeping' = 'bench', below = NO_JOINS) =>
    planJoins(boxSolid(w, d, 100), { width: w, depth: d }, rooms, use, below)

  it('none where a sheet is long enough, either way round', () => {
    expect(joinsOf(1980, 1180)).toEqual(NO_JOINS)
    expect(joinsOf(1180, 1980)).toEqual(NO_JOINS)
  })

  it('by hand: 2400 in one has places every 600; a join as near to 2010 as the places at 1500 and 2100 let it', () => {
    expect(placesAcross(2400, 'bench')).toEqual([300, 900, 1500, 2100])
    const { across, underSitter } = joinsOf(2400, 500)
    expect(across).toHaveLength(1)
    expect(across[0]).toBe(1950)
    expect(underSitter).toBe(false)
  })

  it('a sleeper lies in the middle: 2400 of mattress is joined clear of 1050 to 1350', () => {
    const { across } = joinsOf(2400, 800, 'sleeping')
    expect(across[0]! <= 1050 || across[0]! >= 1350).toBe(true)
  })

  it('the offcut goes to the wall: left where the left end meets it', () => {
    const open = boxSolid(2400, 500, 100)
    const walled = { ...open, edges: open.edges.map((e) => (e.side === 'left' ? { ...e, meets: 'wall' as const } : e)) }
    expect(planJoins(walled, { width: 2400, depth: 500 }, rooms, 'bench', NO_JOINS).across).toEqual([450])
  })

  it('layers are staggered by 200', () => {
    const below = joinsOf(2400, 500)
    const above = joinsOf(2400, 500, 'bench', below)
    expect(Math.abs(above.across[0]! - below.across[0]!)).toBeGreaterThanOrEqual(200)
    expect(above.unstaggered).toBe(false)
  })

  it('keep their rules on any block, or say that they could not', () => {
    fc.assert(
      fc.property(fc.integer({ min: 300, max: 4000 }), fc.integer({ min: 300, max: 2600 }), (w, d) => {
        const { across, deep, underSitter } = joinsOf(w, d)
        const edges = [0, ...across, w]
        edges.slice(1).forEach((e, i) => expect(e - edges[i]!).toBeLessThanOrEqual(2010 + 0.1))
        if (underSitter) return
        for (const join of across)
          for (const place of placesAcross(w, 'bench'))
            expect(Math.abs(join - place)).toBeGreaterThanOrEqual(150 - 1e-6)
        for (const join of deep) {
          expect(join).toBeGreaterThanOrEqual(100)
          expect(Math.abs(join - d / 2)).toBeGreaterThanOrEqual(150 - 1e-6)
        }
      }),
      { numRuns: 300 },
    )
  })

  it('a block that would take more than four parts is not joined at all', () =>
    expect(joinsOf(9000, 2600)).toEqual(NO_JOINS))

  it('parts of a joined block have its area together, butted; a scarf needs half its thickness more on either side', () => {
    const area = (joint: Cutting['joint']) =>
      cut(blockOf(2400, 500, 100), { joint }).groups[0]!.group.parts.reduce((sum, p) => sum + areaOf(p.outline), 0)
    expect(area('butt')).toBeCloseTo(2400 * 500, 3)
    expect(area('scarf')).toBeCloseTo(2500 * 500, 3)
  })

  it('a job with a long block says how it is glued, and how much glue', () => {
    const plan = cut(blockOf(2400, 500, 100, 2))
    // One join of 500 x 100, both faces at 90 g/m², two blocks.
    expect(plan.supplies.glue!.value).toBeCloseTo((2 * 2 * 0.05 * 90) / 1000, 9)
  })
})

describe('glue, wadding and film', () => {
  it('by hand: two sheets of 600 x 500 glued face to face, 90 g/m² on each: 54 g', () => {
    expect(cut(blockOf(600, 500, 125)).supplies.glue!.value).toBeCloseTo(0.054, 9)
    expect(cut(blockOf(600, 500, 75)).supplies.glue).toBeNull()
  })

  it('wadding front to back: 2 x 0.3 + 2 x 0.06 m², twice for two blocks; covered ends 2 x 0.05 more, folded ones 4', () => {
    const wrapped = (ends: 'bare' | 'covered' | 'folded') =>
      planCutting([{ ...blockOf(600, 500, 100, 2), wadding: { ...usualWadding(20), ends } }], USUAL_CUTTING).supplies
        .waddingM2!.value / 1e6
    expect(wrapped('bare')).toBeCloseTo(2 * (0.6 + 0.12), 6)
    expect(wrapped('covered')).toBeCloseTo(2 * (0.6 + 0.12 + 0.1), 6)
    expect(wrapped('folded')).toBeCloseTo(2 * (0.6 + 0.12 + 0.2), 6)
  })

  it('film by hand: girth 2 x (500 + 100) and a lap of 50, by 600 and at both ends 50 and a lap of 50: 1250 x 800', () => {
    const { supplies } = cut(blockOf(600, 500, 100), { film: 'taken-out' })
    expect(supplies.pieces).toEqual([{ what: 'film', where: 'round block A', count: 1, lengthMm: 800, widthMm: 1250 }])
    expect(supplies.filmM2!.value / 1e6).toBeCloseTo(1, 9)
  })

  it('wadding as it is cut from the roll: a strip, and for folded ends two pieces each, once for each layer', () => {
    const wrapped = {
      ...blockOf(600, 500, 100, 3),
      wadding: { ...usualWadding(20), ends: 'folded', layers: 2 },
    } as const
    expect(planCutting([wrapped], USUAL_CUTTING).supplies.pieces).toEqual([
      { what: 'wadding', where: 'round of block A', count: 6, widthMm: 600, lengthMm: 1200 },
      { what: 'wadding', where: 'ends of block A', count: 24, widthMm: 100, lengthMm: 500 },
    ])
  })

  it('glue by joint: one face is half as much, two coats twice; 0.3 m² between two sheets of 600 x 500', () => {
    const glued = (glueFaces: 1 | 2, glueCoats: 1 | 2) => cut(blockOf(600, 500, 125), { glueFaces, glueCoats }).supplies
    expect(glued(2, 1).joints).toMatchObject([{ letter: 'A', areaMm2: 300_000 }])
    expect(glued(1, 1).glue!.value).toBeCloseTo(0.027, 9)
    expect(glued(1, 2).glue!.value).toBeCloseTo(0.054, 9)
    expect(glued(2, 2).glue!.value).toBeCloseTo(0.108, 9)
  })

  it('an order cut to size says how much larger, for trimming', () =>
    expect(cut(blockOf(600, 500, 100), { supply: 'cut-to-size', oversizeMm: 10 }).order).toMatchObject([
      { widthMm: 610, depthMm: 510, thicknessMm: 100 },
    ]))
})

describe('tools', () => {
  it.each([
    [25, 'electric-knife', /scissors/],
    [100, 'electric-knife', /^electric knife held upright/],
    [100, 'bread-knife', /^fine-toothed bread knife/],
    [200, 'electric-knife', /from both faces/],
    [25, 'hot-wire', /window open/],
  ] as const)('%d mm, %s', (thickness, tool, says) =>
    expect(toolWords(thickness, tool, (mm) => `${mm} mm`)).toMatch(says),
  )
})

describe('nests on sheets', () => {
  it('every part of every demo ticket lies soundly on its sheets, a kerf apart, inside the trim', () => {
    for (const job of demoParts().filter((j) => j.filling.kind === 'foam')) {
      const { groups, cutting } = worked(job).cutting!
      for (const { group } of groups) {
        const nest = nestGroup(group, cutting, 1, now)
        expect(nest.left).toEqual([])
        for (const lay of nest.lays) {
          const all = layPieces(group.parts)
          const stock = cutting.stock.find((s) => s.id === lay.stock)
          const problem = stock ? stockProblem(stock, all, cutting) : sheetProblem(group, lay.sheet, all, cutting)
          expect(soundLay(lay, problem), job.ticket).toEqual([])
        }
      }
    }
  })

  it('never takes more foam than straight rows, given a little time', () => {
    for (const job of demoParts().filter((j) => j.filling.kind === 'foam')) {
      const { groups, cutting } = worked(job).cutting!
      for (const { group } of groups) {
        const start = performance.now()
        const [lay] = nestGroup(group, cutting, 1, () => performance.now() - start > 300).lays
        const sheets = Math.max(1, ...lay!.lay.placements.map((p) => p.sheet ?? 1))
        const rows = group.rows!
        expect(sheets * lay!.sheet.lengthMm * lay!.sheet.widthMm).toBeLessThanOrEqual(
          rows.sheets.value * rows.sheet.lengthMm * rows.sheet.widthMm + 1,
        )
      }
    }
  })

  it('40 blocks of several shapes: the first answer, stopped at once, has all of them', () => {
    const blocks = Array.from({ length: 8 }, (_, i): BlockToCut => ({
      ...blockOf(420 + 37 * i, 380 + 23 * i, 75, 5),
      design: i,
      letter: String.fromCharCode(65 + i),
    }))
    const { groups, cutting } = cut(blocks)
    const nest = nestGroup(groups[0]!.group, cutting, 1, now)
    expect(nest.lays.flatMap((l) => l.lay.placements)).toHaveLength(40)
  })

  it('a kept nest counts while parts, sheets, tool and trim are the same', () => {
    const job = demoParts()[1]!
    const plan = worked(job).cutting!
    const nest = {
      key: plan.nestKey,
      lays: plan.groups.flatMap(({ group }) => nestGroup(group, plan.cutting, 1, now).lays),
    }
    const kept = { ...job, cutting: { ...job.cutting, nest } }
    expect(worked(kept).cutting!.sheets.rule).toBe('as nested')
    expect(worked({ ...kept, cutting: { ...kept.cutting, trimMm: 15 } }).cutting!.sheets.rule).not.toBe('as nested')
  })
})

describe('pieces of stock', () => {
  const stock = (change: Partial<FoamStock>): FoamStock => ({
    id: 's1',
    name: 'Remnant',
    kind: 'remnant',
    gradeId: gannet.id,
    lengthMm: 1300,
    widthMm: 700,
    thicknessMm: 75,
    count: 1,
    cutOuts: [],
    ...change,
  })
  const nestOn = (own: FoamStock, block: BlockToCut) => {
    const { groups, cutting } = cut(block, { stock: [own] })
    return { nest: nestGroup(groups[0]!.group, cutting, 1, now), group: groups[0]!.group, cutting }
  }

  it('are used before a sheet is bought: 1300 x 700 takes two of 600 x 500, the third comes from a sheet', () => {
    const { nest } = nestOn(stock({}), blockOf(600, 500, 75, 3))
    expect(nest.lays.map((l) => [l.stock, l.lay.placements.length])).toEqual([
      ['s1', 2],
      [null, 1],
    ])
  })

  it('with a cut-out in the way take one, which does not touch it', () => {
    const own = stock({ cutOuts: [{ xMm: 700, yMm: 0, lengthMm: 300, widthMm: 300 }] })
    const { nest, group, cutting } = nestOn(own, blockOf(600, 500, 75, 2))
    expect(nest.lays[0]!.lay.placements).toHaveLength(1)
    const laid = [{ ...layPieces(group.parts)[0]!, qty: 1 }]
    expect(soundLay(nest.lays[0]!, stockProblem(own, laid, cutting))).toEqual([])
  })

  it('a mattress does for a thickness that no sheet has', () => {
    const { groups } = cut(blockOf(600, 500, 120, 1), {
      stock: [stock({ kind: 'mattress', thicknessMm: 120, lengthMm: 1900, widthMm: 800 })],
    })
    expect(groups.map((g) => g.group.thicknessMm)).toEqual([120])
    expect(cut(blockOf(600, 500, 120, 1)).blocks[0]!.unmade).toEqual([{ layer: 0, wantedMm: 120, nearestMm: 125 }])
  })

  it('of another thickness or grade are left alone', () => {
    expect(nestOn(stock({ thicknessMm: 50 }), blockOf(600, 500, 75)).nest.lays[0]!.stock).toBeNull()
    expect(nestOn(stock({ gradeId: 'other' }), blockOf(600, 500, 75)).nest.lays[0]!.stock).toBeNull()
  })

  it('too small for every part are passed over; without any sheet the parts are named', () => {
    const own = stock({ lengthMm: 300, widthMm: 200 })
    expect(nestOn(own, blockOf(600, 500, 75)).nest.lays.map((l) => l.stock)).toEqual([null])
    expect(nestOn(own, blockOf(600, 500, 75, 1, { ...gannet, sheets: [] })).nest).toEqual({ lays: [], left: ['A1'] })
  })
})

describe('cut to size', () => {
  it("joins nothing and stacks nothing: that is the supplier's", () => {
    const plan = cut(blockOf(2400, 500, 83), { supply: 'cut-to-size' })
    expect(plan.blocks[0]!.parts.map((p) => [p.id, p.thicknessMm])).toEqual([['A1', 83]])
    expect(plan.blocks[0]!.unmade).toEqual([])
    expect(plan.supplies.glue).toBeNull()
  })

  it('orders whole layers, and pays for their boxes', () => {
    const plan = cut(blockOf(2400, 500, 100, 2), { supply: 'cut-to-size' })
    expect(plan.order.map((l) => [l.what, l.count, l.widthMm, l.depthMm, l.thicknessMm])).toEqual([
      ['Block A', 2, 2400, 500, 100],
    ])
    expect(plan.cost.value).toBeCloseTo(2 * 2.4 * 0.5 * 0.1 * 260, 6)
  })
})

describe('any seat', () => {
  it('its parts have simple outlines at the origin, and need at least the block they make', () => {
    fc.assert(
      fc.property(anySeat, fc.constantFrom(50, 75, 125), (seat, t) => {
        const plan = planOne({ ...demoParts()[1]!, seat: { ...seat, thickness: { readings: [{ mm: t }] } } })
        if (plan.kind !== 'worked' || plan.warnings.some((w) => w.code === 'block-outline-lost')) return
        const { blocks, groups, cutting } = plan.cutting!
        for (const { group } of groups) {
          const problem = LayProblem.parse(
            sheetProblem(group, { lengthMm: 5000, widthMm: 4000 }, layPieces(group.parts), cutting),
          )
          expect(problemFaults(problem, 5000)).toEqual([])
          for (const part of group.parts) {
            const box = boxOf(part.outline)
            expect(Math.abs(box.minX) + Math.abs(box.minY)).toBeLessThan(1e-6)
          }
        }
        for (const b of blocks) {
          const bySlice = b.parts.reduce((sum, p) => sum + areaOf(p.outline), 0)
          expect(bySlice).toBeGreaterThanOrEqual(
            areaOf(b.block.outline) * b.slices.length * 0.999 -
              1 -
              (b.block.edges.some((e) => e.leanRad < 0) ? Infinity : 0),
          )
        }
      }),
      { numRuns: 120 },
    )
  })
})

describe('a nest is never dearer than straight rows', () => {
  const costOf = (nest: NestLay, t: number) =>
    (Math.max(1, ...nest.lay.placements.map((p) => p.sheet ?? 1)) *
      nest.sheet.lengthMm *
      nest.sheet.widthMm *
      t *
      260) /
    1e9
  /** The fewest sheets of each size by hand: so many along times so many across, either way. */
  const rowsByHand = (w: number, d: number, count: number, t: number) =>
    Math.min(
      ...gannet.sheets.flatMap(({ lengthMm, widthMm }) =>
        [
          [w, d],
          [d, w],
        ].map(([a, b]) => {
          const each = Math.floor((lengthMm - 20 + 2) / (a! + 2)) * Math.floor((widthMm - 20 + 2) / (b! + 2))
          return each === 0 ? Infinity : (Math.ceil(count / each) * lengthMm * widthMm * t * 260) / 1e9
        }),
      ),
    )

  it.each([
    [603, 472, 9],
    [656, 387, 11],
    [364, 484, 12],
    [656, 432, 17],
    [559, 620, 18],
  ])('%d x %d, %d of them, at once', (w, d, count) => {
    const { groups, cutting } = cut(blockOf(w, d, 75, count))
    const { lays } = nestGroup(groups[0]!.group, cutting, 1, now)
    expect(lays).toHaveLength(1)
    expect(costOf(lays[0]!, 75)).toBeLessThanOrEqual(rowsByHand(w, d, count, 75) + 1e-6)
  })

  it('over random batches of equal and unlike blocks', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            w: fc.integer({ min: 250, max: 1100 }),
            d: fc.integer({ min: 250, max: 700 }),
            n: fc.integer({ min: 1, max: 14 }),
          }),
          { minLength: 1, maxLength: 3 },
        ),
        (batches) => {
          const plan = cut(batches.map(({ w, d, n }, i) => ({ ...blockOf(w, d, 75, n), design: i, letter: 'ABC'[i]! })))
          const { group } = plan.groups[0]!
          const { lays, left } = nestGroup(group, plan.cutting, 1, now)
          expect(left).toEqual([])
          const nest = lays.at(-1)!
          expect(costOf(nest, 75)).toBeLessThanOrEqual(group.rows!.cost.value + 1e-6)
          if (batches.length === 1)
            expect(costOf(nest, 75)).toBeLessThanOrEqual(
              rowsByHand(batches[0]!.w, batches[0]!.d, batches[0]!.n, 75) + 1e-6,
            )
        },
      ),
      { numRuns: 30 },
    )
  })

  it('a few blocks are laid where no rows lie: four of 700 x 460 and a turned fifth on 2000 x 1200, 46.80 for 60.17', () => {
    const { groups, cutting } = cut(blockOf(700, 460, 75, 5))
    let steps = 0
    const { lays } = nestGroup(groups[0]!.group, cutting, 1, () => ++steps > 4000)
    expect(groups[0]!.group.rows!.cost.value).toBeCloseTo(60.17, 2)
    expect([lays[0]!.sheet.widthMm, costOf(lays[0]!, 75)]).toEqual([1200, expect.closeTo(46.8, 6)])
    expect(
      soundLay(lays[0]!, sheetProblem(groups[0]!.group, lays[0]!.sheet, layPieces(groups[0]!.group.parts), cutting)),
    ).toEqual([])
  })
})

describe('sections of a bed from one mattress', () => {
  const sections = [610, 505, 345].map((width, i) => ({
    ...blockOf(width, 1940, 140, 1),
    design: i,
    letter: String.fromCharCode(65 + i),
  }))
  const mattress: FoamStock = {
    id: 'm',
    name: 'Mattress',
    kind: 'mattress',
    gradeId: gannet.id,
    lengthMm: 1950,
    widthMm: 1480,
    thicknessMm: 140,
    count: 1,
    cutOuts: [],
  }

  it('610, 505 and 345 with a bread knife: all out of 1950 x 1480, a slice of 11 left, and 7 of the length', () => {
    const { groups, cutting } = cut(sections, { tool: 'bread-knife', stock: [mattress] })
    const { lays, left } = nestGroup(groups[0]!.group, cutting, 1, now)
    expect([left, lays.map((l) => l.stock)]).toEqual([[], ['m']])
    // As they lie on the mattress, from the placements: x along its length.
    const lying = lays[0]!.lay.placements.map((p) => {
      const { outline } = groups[0]!.group.parts.find((q) => q.id === p.id)!
      const xs = outline.map((q) => (p.turn % 180 === 0 ? q.x : -q.y) + p.x)
      const ys = outline.map((q) => (p.turn % 180 === 0 ? q.y : q.x) + p.y)
      const [x0, x1] = [Math.min(...xs), Math.max(...xs)]
      const [y0, y1] = [Math.min(...ys), Math.max(...ys)]
      return [
        [y0, x0],
        [y1, x0],
        [y1, x1],
        [y0, x1],
      ].map(([x, y]) => ({ x: x!, y: y! }))
    })
    // 610 + 505 + 345 = 1460 and three kerfs of 3: 1480 - 1469 = 11; 1950 - 1940 - 3 = 7.
    const rest = leftBeside(lying, mattress, 3)
    expect([Math.round(rest.widthMm), Math.round(rest.lengthMm)]).toEqual([11, 7])
  })

  it('one section more of 20 has no place', () => {
    const { groups, cutting } = cut([...sections, { ...blockOf(20, 1940, 140), letter: 'D', design: 3 }], {
      tool: 'bread-knife',
      stock: [mattress],
    })
    const stocked = nestGroup({ ...groups[0]!.group, rows: null }, cutting, 1, now).lays.find((l) => l.stock === 'm')!
    expect(stocked.lay.placements.map((p) => p.id)).not.toHaveLength(4)
  })
})

describe('glue between layers', () => {
  // 600 x 500 mm is 0.3 m2; 90 g for each of two faces.
  const layered = (...stays: boolean[]) => {
    const layers = stays.map((isThere) => ({ grade: gannet, thicknessMm: 50, stays: isThere }))
    const { supplies } = cut({ ...blockOf(600, 500, 50 * stays.length), layers })
    return [supplies.joints.map((joint) => joint.where), supplies.glue?.value ?? 0] as const
  }
  const between = (...pairs: number[]) => pairs.map((i) => `between sheet ${i} and ${i + 1} from the board`)
  it('joins what is new to what lies under it and over it; an old body holds together by itself', () => {
    const [all, one, none] = [layered(false, false, false), layered(true, true, false), layered(true, true)]
    expect(layered(false, true)).toEqual([between(1), one[1]])
    expect(all[0]).toEqual(between(1, 2))
    expect(all[1]).toBeCloseTo((2 * 2 * 0.3 * USUAL_CUTTING.glueGM2) / 1000, 9)
    expect(one[0]).toEqual(between(2))
    expect(one[1]).toBeCloseTo((2 * 0.3 * USUAL_CUTTING.glueGM2) / 1000, 9)
    expect(none).toEqual([[], 0])
  })
})
