import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Cloth, ClothChoice, PartJob, LayPiece } from '../../contract/index.ts'
import { notchOnPiece, type Cover, type Panel } from '../cover/index.ts'
import { boxOf, edgeLength, onEdge } from '../outline/index.ts'
import type { WorkedPlan } from '../planned/index.ts'
import { DEMO_CLOTHS, demoParts, keepersBenchPart } from '../demo/index.ts'
import { anyClothChoice } from '../testing/cloths.ts'
import { anyMakeUp } from '../testing/make-ups.ts'
import { benchJob, onlyDesign, worked, planOne } from '../testing/jobs.ts'
import { patternUnder, stepBetween } from '../testing/pattern-under.ts'

/*
 * Growth worked out another way: from the cloth's own numbers and the way a piece is turned on it, never from what the
 * plan says a panel grows by.
 */

const ticking = DEMO_CLOTHS[0]!
const check = DEMO_CLOTHS.find((c) => c.id === 'tern-check')!
const jobOn = (cloth: Cloth, change: Partial<ClothChoice> = {}, job = keepersBenchPart()): PartJob => ({
  ...job,
  cloth: { ...job.cloth, cloth, ...change },
})
const shrinking = (across: number, along: number, of: Cloth = ticking): Cloth => ({ ...of, shrink: { across, along } })
const piece = (plan: WorkedPlan, id: string): LayPiece => plan.cloth.lays[0]!.problem.pieces.find((p) => p.id === id)!

/** By hand: what is sewn at 1 is cut at, on a way of the roll. */
const sewnAt = (cloth: Cloth, way: 'across' | 'along'): number =>
  (1 - Math.min(0.04, cloth.stretch[way] / 2)) / (cloth.washFirst ? 1 : 1 - cloth.shrink[way])

/** A point of the finished panel on its piece, by the way the piece is turned. */
function onItsPiece(cloth: Cloth, turn: number, p: { readonly x: number; readonly y: number }): [number, number] {
  const [x, y] = turn % 180 === 0 ? (['across', 'along'] as const) : (['along', 'across'] as const)
  return [p.x * sewnAt(cloth, x), p.y * sewnAt(cloth, y)]
}

/** The step of the pattern between two pieces at a place where both meet, on each way that both are matched on. */
function stepsAt(
  plan: WorkedPlan,
  a: { id: string; x: number; y: number },
  b: { id: string; x: number; y: number },
  way: 'across' | 'along',
): number | null {
  const { laidOn } = plan.cloth.lays[0]!
  const [p, q] = [a, b].map(
    (at) => patternUnder(piece(plan, at.id), onItsPiece(laidOn, piece(plan, at.id).turns[0]!, at))[way],
  )
  return typeof p === 'number' && typeof q === 'number' ? stepBetween(laidOn, way, p, q) : null
}

const lastX = (panel: Panel) => boxOf(panel.finished).maxX
const plates = (cover: Cover) => cover.panels.find((p) => p.id === 'top-plate')!

describe('stripes of the bench go on from cushion to cushion', () => {
  it.each<[string, Cloth, Partial<ClothChoice>]>([
    ['one-way, shrinking 3 % both ways', { ...shrinking(0.03, 0.03), nap: 'one-way' }, {}],
    ['stretching 4 % across', { ...ticking, stretch: { across: 0.04, along: 0 } }, {}],
    ['shrinking unequally, a check, railroaded', shrinking(0.04, 0.01, check), { direction: 'railroaded' }],
    ['a check, railroaded', check, { direction: 'railroaded', alongRule: 'centred' }],
  ])('%s', (_name, cloth, change) => {
    const plan = worked(jobOn(cloth, change))
    const wide = lastX(plates(onlyDesign(plan).cover))
    const way = change.direction === 'railroaded' ? 'along' : 'across'
    for (const y of [0, 120, 460]) {
      expect(stepsAt(plan, { id: '1/top-plate', x: wide, y }, { id: '2/top-plate', x: 0, y }, way)).toBeLessThan(0.01)
      expect(stepsAt(plan, { id: '2/top-plate', x: wide, y }, { id: '3/top-plate', x: 0, y }, way)).toBeLessThan(0.01)
    }
  })

  it('lies centred on the row: the band asked for is on the middle of the middle cushion, washed out or not', () => {
    for (const cloth of [shrinking(0.03, 0.03), ticking]) {
      const plan = worked(jobOn(cloth, { match: { kind: 'matched', rule: { kind: 'band-on-centre', band: 3 } } }))
      const wide = lastX(plates(onlyDesign(plan).cover))
      const at = patternUnder(piece(plan, '2/top-plate'), onItsPiece(cloth, 0, { x: wide / 2, y: 50 })).across!
      expect(stepBetween(cloth, 'across', at, 22 + 6 + 10 + 7)).toBeLessThan(0.01)
    }
  })
})

describe('what the piece is cut at', () => {
  /** Finished size and allowances of a rectangle, grown by hand for the way it lies. */
  function cutByHand(cloth: Cloth, panel: Panel, turn: number): [number, number] {
    const box = boxOf(panel.finished)
    const [x, y] = turn % 180 === 0 ? (['across', 'along'] as const) : (['along', 'across'] as const)
    const allowance = (...names: number[]) => names.reduce((sum, i) => sum + panel.edges[i]!.allowance.value, 0)
    const give = (way: 'across' | 'along') => 1 - Math.min(0.04, cloth.stretch[way] / 2)
    return [
      ((box.maxX - box.minX) * give(x) + allowance(1, 3)) / (1 - cloth.shrink[x]),
      ((box.maxY - box.minY) * give(y) + allowance(0, 2)) / (1 - cloth.shrink[y]),
    ]
  }

  const across = { ...ticking, pattern: { ...ticking.pattern, runs: 'across' } as Cloth['pattern'] }
  it.each<[string, Cloth, Partial<ClothChoice>]>([
    ['stripes along, side boxing along', shrinking(0.01, 0.05), { sideBoxing: 'along' }],
    ['stripes across', shrinking(0.04, 0.06, across), {}],
    ['a check', shrinking(0.04, 0.06, check), {}],
    ['a check, railroaded', shrinking(0.04, 0.06, check), { direction: 'railroaded' }],
    ['stretching', { ...check, stretch: { across: 0.06, along: 0.02 } }, {}],
  ])('%s: boxing grows by the way it lies', (_name, cloth, change) => {
    const plan = worked(jobOn(cloth, change))
    for (const { of, id } of plan.cloth.lays[0]!.pieces) {
      if (of?.panel.role !== 'boxing' && of?.panel.role !== 'plate') continue
      const { outline, turns } = piece(plan, id)
      const box = boxOf(outline.map(([x, y]) => ({ x, y })))
      const [w, h] = cutByHand(cloth, of.panel, turns[0]!)
      expect([box.maxX - box.minX, box.maxY - box.minY], id).toEqual([expect.closeTo(w, 3), expect.closeTo(h, 3)])
      expect(turns.every((t) => t % 180 === turns[0]! % 180)).toBe(true)
    }
  })

  it('notches stand on the cut edge of the piece', () => {
    const { cover } = onlyDesign(worked(jobOn(shrinking(0.04, 0.06))))
    for (const panel of cover.panels)
      for (const n of panel.notches) {
        const i = panel.edges.findIndex((e) => e.name === n.edge)
        const on = onEdge(panel.finished, i, n.atMm / edgeLength(panel.finished, i))
        const a = panel.edges[i]!.allowance.value
        const out = i === 0 ? [0, -1] : i === 1 ? [1, 0] : i === 2 ? [0, 1] : [-1, 0]
        const by = panel.lies === 'along' ? [1 / 0.94, 1 / 0.96] : [1 / 0.96, 1 / 0.94]
        const cut = notchOnPiece(panel, n).below(0)
        expect([cut.x, cut.y]).toEqual([
          expect.closeTo((on.x + out[0]! * a) * by[0]!, 6),
          expect.closeTo((on.y + out[1]! * a) * by[1]!, 6),
        ])
      }
  })
})

describe('washed first, all of the cloth shrinks', () => {
  const linen = DEMO_CLOTHS.find((c) => c.id === 'ebb-linen')!
  it('no piece reaches past the washed width of 1460 x 0.98, nor into its selvedges', () => {
    const plan = worked(jobOn(linen, { match: { kind: 'none' } }, demoParts()[3]!))
    for (const { cloth, laidOn, problem } of plan.cloth.lays.filter((l) => l.cloth.id === linen.id)) {
      expect(cloth.widthMm).toBe(1460)
      expect(problem.cloth.width).toBeCloseTo(1430.8, 6)
      expect(problem.cloth.selvedge[0]).toBeCloseTo(9.8, 6)
      expect(laidOn.widthMm).toBeCloseTo(1430.8, 6)
    }
  })
  it('cloth in hand is as long as washing leaves it, and the repeat too', () => {
    const plan = worked(
      jobOn({ ...shrinking(0.02, 0.05), washFirst: true, supply: { kind: 'length', lengthMm: 4000 } }),
    )
    expect(plan.cloth.lays[0]!.problem.cloth).toMatchObject({
      length: 3800,
      repeat: { across: expect.closeTo(68 * 0.98, 9) },
    })
  })
})

describe('rules hold along the row whichever way the cloth runs', () => {
  const bandMiddle = (cloth: Cloth, way: 'across' | 'along', band: number) => {
    const { pattern } = cloth
    const bands = pattern.kind === 'check' ? pattern[way] : pattern.kind === 'stripes' ? pattern.bands : []
    return bands.slice(0, band).reduce((sum, b) => sum + b.widthMm, 0) + bands[band]!.widthMm / 2
  }
  const row = (direction: ClothChoice['direction']) => (direction === 'railroaded' ? 'along' : 'across')
  const deep = (direction: ClothChoice['direction']) => (direction === 'railroaded' ? 'across' : 'along')

  it.each([['up-the-roll'], ['railroaded']] as const)(
    '%s: the second band of a check on the middle of the row, the third so far from the front edge',
    (direction) => {
      const plan = worked(
        jobOn(check, {
          direction,
          match: { kind: 'matched', rule: { kind: 'band-on-centre', band: 1 } },
          alongRule: { kind: 'band-from-front', band: 2, fromMm: 130 },
        }),
      )
      const top = piece(plan, '2/top-plate')
      const at = patternUnder(
        top,
        onItsPiece(check, top.turns[0]!, { x: lastX(plates(onlyDesign(plan).cover)) / 2, y: 130 }),
      )
      expect(
        stepBetween(check, row(direction), at[row(direction)]!, bandMiddle(check, row(direction), 1)),
      ).toBeLessThan(0.01)
      expect(
        stepBetween(check, deep(direction), at[deep(direction)]!, bandMiddle(check, deep(direction), 2)),
      ).toBeLessThan(0.01)
    },
  )

  it('rust on the centre of a railroaded cloth whose stripes run across it', () => {
    const cloth: Cloth = { ...ticking, pattern: { ...ticking.pattern, runs: 'across' } as Cloth['pattern'] }
    const plan = worked(
      jobOn(cloth, {
        direction: 'railroaded',
        match: { kind: 'matched', rule: { kind: 'band-on-centre', band: 3 } },
        alongRule: 'centred',
      }),
    )
    const wide = lastX(plates(onlyDesign(plan).cover))
    const at = patternUnder(piece(plan, '2/top-plate'), [wide / 2, 9]).along!
    expect(stepBetween(cloth, 'along', at, 45)).toBeLessThan(0.01)
    expect(
      stepsAt(plan, { id: '1/top-plate', x: wide, y: 9 }, { id: '2/top-plate', x: 0, y: 9 }, 'along'),
    ).toBeLessThan(0.01)
    expect(plan.warnings.map((w) => w.code)).toContain('depth-rule-idle')
  })

  it('stripes across, up the roll: a mark is taken from the front edge, and said; each mark gives another lay', () => {
    const cloth: Cloth = { ...ticking, pattern: { ...ticking.pattern, runs: 'across' } as Cloth['pattern'] }
    for (const markMm of [100, 130, 150]) {
      const plan = worked(jobOn(cloth, { match: { kind: 'matched', rule: { kind: 'band-at-mark', band: 3, markMm } } }))
      expect(
        stepBetween(cloth, 'along', patternUnder(piece(plan, '1/top-plate'), [5, markMm]).along!, 45),
      ).toBeLessThan(0.01)
      expect(plan.warnings).toContainEqual({ station: 'lay', level: 'note', code: 'rule-from-front', isTaken: true })
    }
  })
})

it('a seat with ears says that its side boxing matches one leg only, and how far it is off on the others', () => {
  const ears = demoParts()[2]!
  const plan = worked(jobOn(check, { match: { kind: 'matched', rule: { kind: 'band-on-centre', band: 0 } } }, ears))
  const said = plan.warnings.find((w) => w.code === 'matches-one-leg')
  // Ears stand out 62: the strip runs on over that step, 62 mm that the repeat of 92 does not come out with; 92 − 62 =
  // 30.
  expect(said).toMatchObject({ edges: 'side', off: expect.closeTo(30, 3) })
})

it('deep buttons stay where the cloth dips: spans of √(a² + 4q²) between their marks, the margins as they are', () => {
  const job = benchJob({ count: 1 })
  const buttons = { rows: 2, across: 4, layout: 'even' as const, marginMm: 100, diameterMm: 22, depthMm: 25 }
  const { cover } = onlyDesign(worked({ ...job, makeUp: { ...job.makeUp, trims: { ...job.makeUp.trims, buttons } } }))
  const plate = plates(cover)
  const a = (lastX(plate) - 200) / 3
  const span = Math.sqrt(a * a + 4 * 25 * 25)
  const drawn = worked({ ...job, makeUp: { ...job.makeUp, trims: { ...job.makeUp.trims, buttons } } })
  const laid = drawn.cloth.lays[0]!.pieces.find((p) => p.id === '1/top-plate')!
  const cut = boxOf(laid.cut)
  expect(cut.maxX - cut.minX).toBeCloseTo(lastX(plate) + 3 * (span - a) + 24, 6)
  expect(laid.of!.panel.marks.length).toBe(8)
})

it('over random make-ups, cloths and directions: what is matched meets at every seam and from cushion to cushion', () => {
  let [meetings, seams] = [0, 0]
  const gives = fc.record({ across: fc.constantFrom(0, 0.02, 0.06), along: fc.constantFrom(0, 0.03, 0.05) })
  const shrinks = fc.record({ across: fc.constantFrom(0, 0.01, 0.04), along: fc.constantFrom(0, 0.02, 0.06) })
  fc.assert(
    fc.property(
      anyMakeUp,
      anyClothChoice,
      gives,
      shrinks,
      fc.boolean(),
      fc.integer({ min: 900, max: 2200 }),
      (makeUp, choice, stretch, shrink, washFirst, width) => {
        const cloth = { ...choice.cloth, stretch, shrink, washFirst, supply: { kind: 'to-buy' as const } }
        const job: PartJob = { ...benchJob({ width, count: 2, gapMm: 4 }), makeUp, cloth: { ...choice, cloth } }
        const plan = planOne(job)
        if (plan.kind !== 'worked' || choice.match.kind === 'none') return
        const { cover } = onlyDesign(plan)
        const top = plan.cloth.lays[0]!.pieces.find((p) => p.of?.panel.id === 'top-plate')?.of?.panel
        const way = choice.direction === 'railroaded' ? 'along' : 'across'
        // A band on each cushion's own centre is asked not to go on.
        // A pillow is wider flat than it stands: there its middle counts.
        if (
          top &&
          choice.match.rule.kind !== 'band-on-each-centre' &&
          Math.abs(lastX(top) - cover.solid.width.value) < 1e-6
        ) {
          const step = stepsAt(
            plan,
            { id: '1/top-plate', x: lastX(top) + 4, y: 10 },
            { id: '2/top-plate', x: 0, y: 10 },
            way,
          )
          if (step !== null) {
            meetings++
            expect(step).toBeLessThan(0.5)
          }
        }
        for (const { kind, pairs } of cover.seams)
          for (const { a, b } of kind === 'plate' ? pairs : []) {
            const at = [a, b].map((s) => {
              const panel = cover.panels.find((p) => p.id === s.panel)!
              const i = panel.edges.findIndex((e) => e.name === s.edge)
              const p = onEdge(panel.finished, i, (s.from + (s.to - s.from) * 0.37) / edgeLength(panel.finished, i))
              return { id: `2/${panel.id}`, x: p.x, y: p.y, panel }
            }) as [
              { id: string; x: number; y: number; panel: Panel },
              { id: string; x: number; y: number; panel: Panel },
            ]
            if (
              !at.every(({ panel }) => panel.role === 'plate' || panel.role === 'boxing') ||
              at[0].panel.id !== 'top-plate'
            )
              continue
            // Under the cushion the pattern goes on round the front: the seams of its sides run the other way there.
            const isUnder = at[1].panel.role === 'plate'
            if (isUnder && (choice.pairs === 'same' || at[0].y > boxOf(at[0].panel.finished).minY + 1e-6)) continue
            for (const w of ['across', 'along'] as const) {
              const step = stepsAt(plan, at[0], at[1], w)
              if (step === null) continue
              seams++
              expect(step, `${at[1].id} ${w}`).toBeLessThan(0.5)
            }
          }
      },
    ),
    { numRuns: 500 },
  )
  expect(meetings).toBeGreaterThan(8)
  expect(seams).toBeGreaterThan(60)
}, 180_000)

it('piping strips grow by the way they are cut: 3 % across, 5 % along', () => {
  for (const [cut, way] of [
    ['across', ['across', 'along']],
    ['along', ['along', 'across']],
  ] as const) {
    const base = keepersBenchPart()
    const piping = base.makeUp.piping.kind === 'corded' ? { ...base.makeUp.piping, cut } : base.makeUp.piping
    const steady = worked({ ...base, makeUp: { ...base.makeUp, piping } })
    const plan = worked(jobOn(shrinking(0.03, 0.05), {}, { ...base, makeUp: { ...base.makeUp, piping } }))
    const taken = { across: 0.97, along: 0.95 }
    const [strip] = plan.cloth.strips[0]!
    const size = boxOf(piece(plan, 'piping').outline.map(([x, y]) => ({ x, y })))
    expect(size.maxX).toBeCloseTo(strip!.split.lengths[0]!.value / taken[way[0]], 6)
    expect(size.maxY).toBeCloseTo(onlyDesign(steady).cover.piping!.stripWidth!.value / taken[way[1]], 6)
    expect(plan.cutList.find((l) => l.what.startsWith('Piping'))!.height.value).toBeCloseTo(size.maxY, 6)
  }
})
