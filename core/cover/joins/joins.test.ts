import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Cloth, MakeUp, PanelJoins, PartJob } from '../../../contract/index.ts'
import { keepersBenchPart, DEMO_CLOTHS } from '../../demo/index.ts'
import { newSeat, setMakeUp } from '../../job/index.ts'
import { areaOf, boxOf, edgeLength, onEdge } from '../../outline/index.ts'
import { warningWords } from '../../warnings/index.ts'
import { workOrder } from '../../making/index.ts'
import { jobOf } from '../../job/index.ts'
import { boxSolid, coverOf, onlyDesign, planOne, worked } from '../../testing/jobs.ts'
import { patternUnder, stepBetween } from '../../testing/pattern-under.ts'
import { checkCover, cutOutline, panelOf, usualMakeUp, type Cover, type Panel } from '../index.ts'

const join = (panel: string, lines: PanelJoins['lines'], places: PanelJoins['places']): PanelJoins => ({
  panel,
  of: 'cover',
  lines,
  places,
})
const faults = (cover: Cover) => checkCover(cover).flatMap((c) => c.faults)
const cutWidths = (cover: Cover, of: string) =>
  cover.panels
    .filter((p) => p.piece?.of === of)
    .map((p) => {
      const { minX, maxX } = boxOf(cutOutline(p))
      return maxX - minX
    })
const cutHeights = (cover: Cover, of: string) =>
  cover.panels
    .filter((p) => p.piece?.of === of)
    .map((p) => {
      const { minY, maxY } = boxOf(cutOutline(p))
      return maxY - minY
    })

describe('by hand: a wrap 1210 x 890 from a piece 1000 wide', () => {
  const cover = coverOf(
    boxSolid(1210, 365, 80),
    { kind: 'wrapped-tube', joins: [join('body', 'up', { kind: 'even', pieces: 2 })] },
    { seamMm: 12 },
  )

  it('two halves of 605 and 2s each: 629, four ends in all, and each 890 round', () => {
    expect(cutWidths(cover, 'body')).toEqual([expect.closeTo(629, 6), expect.closeTo(629, 6)])
    for (const p of cover.panels.filter((q) => q.piece))
      expect(boxOf(p.finished).maxY - boxOf(p.finished).minY).toBeCloseTo(890, 6)
    expect(cover.panels.filter((p) => p.piece).map((p) => p.figures.cutWidth.value)).toEqual([
      expect.closeTo(629, 6),
      expect.closeTo(629, 6),
    ])
  })

  it('are joined first, over the whole girth, and the cover is as sound as in one piece', () => {
    expect(cover.seams[0]).toMatchObject({ name: 'join of the wrap', kind: 'join', letter: 'A' })
    expect(Math.abs(cover.seams[0]!.pairs[0]!.a.to - cover.seams[0]!.pairs[0]!.a.from)).toBeCloseTo(890, 6)
    expect(faults(cover)).toEqual([])
    expect(cover.joinFaults).toEqual([])
  })
})

describe('where a panel is joined', () => {
  const top = (places: PanelJoins['places'], lines: PanelJoins['lines'] = 'up') =>
    coverOf(boxSolid(1500, 600, 80), { joins: [join('top-plate', lines, places)] }, { seamMm: 10 })

  it('evenly in three: 1500 / 3 + 20', () =>
    expect(cutWidths(top({ kind: 'even', pieces: 3 }), 'top-plate')).toEqual(
      [520, 520, 520].map((v) => expect.closeTo(v, 6)),
    ))

  it('alike about the middle: 200 at either side and 550 twice between', () =>
    expect(cutWidths(top({ kind: 'outer', pieces: 4, outerMm: 200 }), 'top-plate')).toEqual(
      [220, 570, 570, 220].map((v) => expect.closeTo(v, 6)),
    ))

  it('at named places, in whatever order they are told, across as well', () => {
    expect(cutWidths(top({ kind: 'at', placesMm: [900, 300] }), 'top-plate')).toEqual(
      [320, 620, 620].map((v) => expect.closeTo(v, 6)),
    )
    expect(cutHeights(top({ kind: 'at', placesMm: [450] }, 'across'), 'top-plate')).toEqual(
      [470, 170].map((v) => expect.closeTo(v, 6)),
    )
  })

  it('least seen on a wrap is underneath, on a plate beside its middle, never under 150', () => {
    const wrap = coverOf(boxSolid(900, 400, 100), {
      kind: 'wrapped-tube',
      joins: [join('body', 'across', { kind: 'least-seen', pieces: 2 })],
    })
    // Up the wrap from the lower back: the bottom is its first 400.
    const [first] = wrap.panels.filter((p) => p.piece)
    const at = boxOf(first!.finished).maxY
    expect(at).toBeGreaterThanOrEqual(150 - 1e-6)
    expect(at).toBeLessThan(375)
    const [left, middle, right] = cutWidths(top({ kind: 'least-seen', pieces: 3 }), 'top-plate')
    expect(left).toBeCloseTo(right!, -1)
    expect(middle).toBeGreaterThan(left!)
    expect(left).toBeGreaterThanOrEqual(150 + 20 - 1e-6)
  })
})

describe('what cannot be joined stays whole, and is told with its cure', () => {
  const made = (
    joins: PanelJoins[],
    kind: MakeUp['construction']['kind'] = 'boxed',
    seat = newSeat('singles', 600, 500, 80, 1),
  ) => {
    const part: PartJob = { ...keepersBenchPart(), seat, makeUp: { ...usualMakeUp(kind), joins } }
    const plan = planOne(part)
    return plan.warnings.filter((w) => w.code === 'not-joined').map((w) => warningWords(w, 'mm').says)
  }
  it.each([
    ['a panel that is not there', [join('lap', 'up', { kind: 'even', pieces: 2 })], /has not \(lap\)/],
    [
      'twice',
      [join('top-plate', 'up', { kind: 'even', pieces: 2 }), join('top-plate', 'across', { kind: 'even', pieces: 2 })],
      /joined twice over/,
    ],
    [
      'a piece that its seams would eat',
      [join('top-plate', 'up', { kind: 'at', placesMm: [20] })],
      /a piece of \d+ mm would be left, and 34 mm is the least/,
    ],
    ['a place beyond the panel', [join('top-plate', 'up', { kind: 'at', placesMm: [5000] })], /a piece of 0 mm/],
  ] as [string, PanelJoins[], RegExp][])('%s', (_what, joins, says) => expect(made(joins).join()).toMatch(says))

  it('a join through the slot of a zip in the base', () => {
    const cover = coverOf(boxSolid(700, 500, 80), {
      kind: 'capped',
      closure: { kind: 'horseshoe', shape: 'straight', insetMm: 60, radiusMm: 60 },
      joins: [join('base', 'up', { kind: 'even', pieces: 2 })],
    })
    expect(cover.joinFaults).toMatchObject([{ because: 'through-opening' }])
    expect(cover.panels.filter((p) => p.piece)).toEqual([])
  })
})

describe('a panel in pieces is the panel', () => {
  it('any box, any join: areas and edges add up to the whole, every join costs 2s', () => {
    let joined = 0
    fc.assert(
      fc.property(
        fc.integer({ min: 500, max: 2200 }),
        fc.integer({ min: 300, max: 900 }),
        fc.constantFrom('top-plate', 'bottom-plate', 'boxing-front'),
        fc.integer({ min: 2, max: 6 }),
        fc.integer({ min: 6, max: 15 }),
        (w, d, panel, pieces, s) => {
          const plain = coverOf(boxSolid(w, d, 90), {}, { seamMm: s })
          if (!plain.panels.some((p) => p.id === panel)) return
          const cover = coverOf(
            boxSolid(w, d, 90),
            { joins: [join(panel, 'up', { kind: 'even', pieces })] },
            { seamMm: s },
          )
          const [whole, parts] = [panelOf(plain, panel), cover.panels.filter((p) => p.piece?.of === panel)]
          if (cover.joinFaults.length > 0) return
          joined++
          expect(parts.length).toBe(pieces)
          const sum = (of: (p: (typeof parts)[number]) => number) => parts.reduce((n, p) => n + of(p), 0)
          expect(sum((p) => areaOf(p.finished))).toBeCloseTo(areaOf(whole.finished), 3)
          for (const [i, edge] of whole.edges.entries())
            expect(
              sum((p) => p.edges.reduce((n, e, k) => n + (e.name === edge.name ? edgeLength(p.finished, k) : 0), 0)),
            ).toBeCloseTo(edgeLength(whole.finished, i), 6)
          expect(sum((p) => p.figures.cutWidth.value)).toBeCloseTo(
            whole.figures.cutWidth.value + (pieces - 1) * 2 * s,
            6,
          )
          // Every notch of the whole that is not on a join is on one piece, at its place.
          const placed = parts.flatMap((p) => p.notches.map((n) => n.letter))
          expect(new Set(placed).size).toBe(placed.length)
        },
      ),
      { numRuns: 80 },
    )
    expect(joined).toBeGreaterThan(40)
  })
})

describe('notches of a joined plate', () => {
  const notchPoints = (panel: Panel) =>
    panel.notches.map((n) => {
      const i = panel.edges.findIndex((e) => e.name === n.edge)
      return onEdge(panel.finished, i, n.atMm / edgeLength(panel.finished, i))
    })
  const cover = (joins: PanelJoins[]) => coverOf(boxSolid(1500, 600, 80), { joins })
  const plain = panelOf(cover([]), 'top-plate')
  const pieces = cover([join('top-plate', 'up', { kind: 'at', placesMm: [400, 1000] })]).panels.filter((p) => p.piece)

  it('stand where they stand on the whole one, each on the piece that holds its place', () => {
    const held = pieces.flatMap(notchPoints)
    for (const p of notchPoints(plain))
      expect(
        held.some((q) => Math.hypot(p.x - q.x, p.y - q.y) < 1e-6),
        `${p.x}, ${p.y}`,
      ).toBe(true)
    for (const piece of pieces)
      for (const p of notchPoints(piece)) {
        const { minX, maxX } = boxOf(piece.finished)
        expect(p.x).toBeGreaterThanOrEqual(minX - 1e-6)
        expect(p.x).toBeLessThanOrEqual(maxX + 1e-6)
      }
  })

  it('and the boxing has one where each join meets it', () => {
    const joined = cover([join('top-plate', 'up', { kind: 'at', placesMm: [400, 1000] })])
    const front = (c: Cover) => panelOf(c, 'boxing-front').notches.filter((n) => n.edge === 'top').length
    expect(front(joined)).toBe(front(cover([])) + 2)
  })
})

describe('stripes go on over a join, read from the laid pieces', () => {
  const ticking = DEMO_CLOTHS[0]!
  it.each<[string, Cloth]>([
    ['as the cloth is', ticking],
    ['shrinking 3 % both ways', { ...ticking, shrink: { across: 0.03, along: 0.03 } }],
    ['stretching 4 % across', { ...ticking, stretch: { across: 0.04, along: 0 } }],
  ])('%s', (_name, cloth) => {
    const part = setMakeUp('', (m) => ({
      ...m,
      joins: [join('top-plate', 'up', { kind: 'at', placesMm: [200, 500] })],
    })).apply({ ...keepersBenchPart(), cloth: { ...keepersBenchPart().cloth, cloth } })
    const plan = worked(part)
    const lay = plan.cloth.lays[0]!
    const { cover } = onlyDesign(plan)
    const grown = (1 - Math.min(0.04, cloth.stretch.across / 2)) / (1 - cloth.shrink.across)
    const under = (panel: string, x: number) =>
      patternUnder(
        lay.problem.pieces.find((p) => p.id === `1/${panel}`)!,
        [x * grown, 100 * grown],
      ).across!
    for (const [before, after] of [
      [1, 2],
      [2, 3],
    ] as const) {
      const at = boxOf(panelOf(cover, `top-plate.${before}`).finished).maxX
      expect(boxOf(panelOf(cover, `top-plate.${after}`).finished).minX).toBeCloseTo(at, 6)
      expect(
        stepBetween(lay.laidOn, 'across', under(`top-plate.${before}`, at), under(`top-plate.${after}`, at)),
      ).toBeLessThan(0.01)
    }
  })
})

describe('making a joined cover', () => {
  it('its joins are steps with their minutes, before the boxing goes on', () => {
    const part = setMakeUp('', (m) => ({ ...m, joins: [join('top-plate', 'up', { kind: 'even', pieces: 2 })] })).apply(
      keepersBenchPart(),
    )
    const [plain, joined] = [keepersBenchPart(), part].map((p) => workOrder(jobOf(p), worked(p)))
    const step = joined!.find((s) => s.title.toLowerCase().includes('join of the top plate'))!
    expect(step.work.map((w) => w.kind)).toContain('join')
    // Three cushions, 470 deep less what the seat takes: one join over each.
    const { cover } = onlyDesign(worked(part))
    const deep = boxOf(panelOf(cover, 'top-plate.1').finished)
    expect(step.work.find((w) => w.kind === 'join')!.amount.value).toBeCloseTo((3 * (deep.maxY - deep.minY)) / 1, 3)
    expect(joined!.length).toBe(plain!.length + 1)
    expect(joined!.findIndex((s) => s === step)).toBeLessThan(
      joined!.findIndex((s) => /top plate/i.test(s.title) && s !== step && s.part === 'sewing'),
    )
  })
})
