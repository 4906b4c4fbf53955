import { describe, expect, it } from 'vitest'
import { MOST_PIECES, type Cloth, type PartJob } from '../../contract/index.ts'
import { panelOf } from '../cover/index.ts'
import { stretchPoints } from '../cover/seam-paths.ts'
import { setCloth } from '../job/index.ts'
import { solveLay, turned } from '../lay/index.ts'
import type { Point } from '../outline/index.ts'
import { DEMO_CLOTHS, demoParts, keepersBenchPart } from '../demo/index.ts'
import { onlyDesign, worked } from '../testing/jobs.ts'
import { bandsOf, colourAt, modulo, patternStart, repeatOf } from '../pattern/index.ts'

const check = DEMO_CLOTHS.find((c) => c.id === 'tern-check')!
const motif: Cloth = {
  ...check,
  id: 'print',
  pattern: {
    kind: 'motif',
    acrossMm: 240,
    alongMm: 320,
    colour: '#335566',
    startMm: 60,
    startAlongMm: 0,
    halfDrop: false,
  },
}
const jobIn = (cloth: Cloth, change: Partial<PartJob['cloth']> = {}): PartJob => {
  const job = setCloth(cloth).apply(keepersBenchPart())
  return { ...job, cloth: { ...job.cloth, ...change } }
}

/** The bench laid, and what of the pattern lies under a point of a laid panel. */
function laid(job: PartJob) {
  const plan = worked(job)
  const own = plan.cloth.lays[0]!
  const solved = solveLay(own.problem, { seed: 1, budget: { steps: 3, isStopped: () => false } })
  if (!solved.ok) throw new Error(JSON.stringify(solved.error))
  const { lay } = solved.value
  const under = (id: string, p: Point) => {
    const place = lay.placements.find((q) => q.id === id)!
    const [dx, dy] = turned(p.x, p.y, place.turn, place.flip)
    const start = { across: lay.offsets['run']!.across ?? 0, along: lay.offsets['run']!.along ?? 0 }
    return { across: place.x + dx - start.across, along: place.y + dy - start.along }
  }
  return { plan, own, under }
}

/** The colours of a check, or the place in the repeat of a motif. */
function look(cloth: Cloth, at: { across: number; along: number }): string {
  if (cloth.pattern.kind === 'check')
    return `${colourAt(cloth.pattern.across, at.across)} ${colourAt(cloth.pattern.along, at.along)}`
  const near = (v: number, repeat: number) => Math.round(modulo(v + 0.5, repeat)) % repeat
  return `${near(at.across, repeatOf(cloth, 'across')!)} ${near(at.along, repeatOf(cloth, 'along')!)}`
}

describe('what repeats each way', () => {
  it('the check: 50 + 14 + 8 + 14 = 86 across, 56 + 14 + 8 + 14 = 92 along', () =>
    expect([repeatOf(check, 'across'), repeatOf(check, 'along')]).toEqual([86, 92]))
  it('stripes across the roll repeat along it only', () => {
    const cloth: Cloth = {
      ...check,
      pattern: {
        kind: 'stripes',
        runs: 'across',
        bands: check.pattern.kind === 'check' ? check.pattern.along : [],
        startMm: 5,
      },
    }
    expect([
      repeatOf(cloth, 'across'),
      repeatOf(cloth, 'along'),
      patternStart(cloth, 'across'),
      patternStart(cloth, 'along'),
    ]).toEqual([null, 92, 0, 5])
  })
  it('a half-drop repeats squarely every second column', () =>
    expect(repeatOf({ ...motif, pattern: { ...motif.pattern, halfDrop: true } as Cloth['pattern'] }, 'across')).toBe(
      480,
    ))
  it('a motif starts half a repeat before its middle: 60 − 120 is 180 in a repeat of 240', () =>
    expect(patternStart(motif, 'across')).toBe(180))
  it('a motif is one band', () => expect(bandsOf(motif, 'along').map((b) => b.widthMm)).toEqual([320]))
})

describe.each<[string, Cloth, Partial<PartJob['cloth']>]>([
  ['a check, front edges alike', check, {}],
  ['a check, centred both ways', check, { alongRule: 'centred' }],
  ['a motif', motif, {}],
  [
    'a half-drop motif, centred',
    { ...motif, pattern: { ...motif.pattern, halfDrop: true } as Cloth['pattern'] },
    { alongRule: 'centred' },
  ],
])('the made-up bench in %s', (_name, cloth, change) => {
  const { plan, own, under } = laid(jobIn(cloth, change))
  const { cover } = onlyDesign(plan)

  it('goes on over every edge that is sewn to boxing of its own', () => {
    let compared = 0
    for (const seam of cover.seams) {
      for (const { a, b } of seam.kind === 'plate' ? seam.pairs : []) {
        if (a.panel !== 'top-plate' || !['boxing-front', 'boxing-left', 'boxing-right'].includes(b.panel)) continue
        const [onPlate, onStrip] = [
          stretchPoints(panelOf(cover, a.panel), a, 37),
          stretchPoints(panelOf(cover, b.panel), b, 37),
        ]
        // At the very ends a band's edge may round to either side.
        onPlate.slice(1, -1).forEach((p, k) => {
          const i = k + 1
          expect(look(cloth, under(`2/${b.panel}`, onStrip[i]!)), `${b.panel} at ${i}`).toBe(
            look(cloth, under('2/top-plate', p)),
          )
          compared++
        })
      }
    }
    expect(compared).toBe(3 * 36)
  })

  it('goes on from cushion to cushion', () => {
    const wide = Math.max(...panelOf(cover, 'top-plate').finished.map((v) => v.x))
    for (const y of [3.3, 101.7, 333.3])
      expect(look(cloth, under('1/top-plate', { x: wide, y }))).toBe(look(cloth, under('2/top-plate', { x: 0, y })))
  })

  it('is bought from a roll that is begun where it suits', () =>
    expect(own.problem.groups['run']).toEqual({ across: patternStart(cloth, 'across'), along: null }))
})

it('round a bowed front the check meets its boxing in the middle, both ways', () => {
  const ring = demoParts()[0]!
  const { plan, under } = laid({ ...setCloth(check).apply(ring) })
  const { cover } = onlyDesign(plan)
  const pair = cover.seams
    .flatMap((s) => (s.kind === 'plate' ? s.pairs : []))
    .find((p) => p.a.panel === 'top-plate' && p.b.panel === 'boxing-front')!
  const [onPlate, onStrip] = [pair.a, pair.b].map((s) => stretchPoints(panelOf(cover, s.panel), s, 2)[1]!) as [
    Point,
    Point,
  ]
  expect(look(check, under('2/boxing-front', onStrip))).toBe(look(check, under('2/top-plate', onPlate)))
})

describe('where the pattern is ruled to fall along the roll', () => {
  it('centred: the middle of the first band lies at the middle of the depth', () => {
    const { plan, under } = laid(jobIn(check, { alongRule: 'centred' }))
    const depth = onlyDesign(plan).design.solid.depth.value
    // 56 wide, its middle is 28 from the start of the repeat.
    const at = modulo(under('1/top-plate', { x: 100, y: depth / 2 }).along, 92)
    expect(Math.min(Math.abs(at - 28), Math.abs(at - 120))).toBeLessThan(0.01)
  })

  it('on one-way cloth plates keep their way and sides are not turned to match', () => {
    const { own } = laid(jobIn({ ...motif, nap: 'one-way' }))
    const turns = (id: string) => own.problem.pieces.find((p) => p.id === id)!
    expect([turns('1/top-plate').turns, turns('1/boxing-front').turns, turns('1/boxing-right').match]).toEqual([
      [0],
      [0],
      null,
    ])
  })
})

describe('top and bottom', () => {
  const wide = (plan: ReturnType<typeof laid>['plan']) =>
    Math.max(...panelOf(onlyDesign(plan).cover, 'top-plate').finished.map((v) => v.x))
  it('go on from each other: seen from the front the same stripe at the same place', () => {
    const { plan, under } = laid(jobIn(motif))
    for (const x of [3, 111, 402])
      expect(look(motif, under('2/bottom-plate', { x: wide(plan) - x, y: 0 })).split(' ')[0]).toBe(
        look(motif, under('2/top-plate', { x, y: 0 })).split(' ')[0],
      )
  })
  it('or are cut alike, so that the cushion looks the same turned over', () => {
    const { under } = laid(jobIn(motif, { pairs: 'same' }))
    for (const p of [
      { x: 3, y: 9 },
      { x: 111, y: 300 },
    ])
      expect(look(motif, under('2/bottom-plate', p))).toBe(look(motif, under('2/top-plate', p)))
  })
})

describe('cloth in hand', () => {
  it('a remnant with its missing corner, its flaws and the phase at which it was cut', () => {
    const kelp = DEMO_CLOTHS.find((c) => c.id === 'kelp-check')!
    const { problem } = worked(jobIn({ ...kelp, flaws: [{ xMm: 300, yMm: 40, widthMm: 25, lengthMm: 60 }] })).cloth
      .lays[0]!
    expect(problem.cloth).toMatchObject({
      width: 1180,
      length: 870,
      flaws: [[300, 40, 25, 60]],
      outline: kelp.supply.kind === 'remnant' ? kelp.supply.outline : [],
    })
    expect(problem.groups['run']).toEqual({ across: 12, along: 0 })
  })
  it('a length is a hard limit', () =>
    expect(
      worked(jobIn({ ...check, supply: { kind: 'length', lengthMm: 4200 } })).cloth.lays[0]!.problem.cloth.length,
    ).toBe(4200))
})

describe('what is more than can be laid', () => {
  const bench = keepersBenchPart()
  const buttons = { rows: 20, across: 40, layout: 'even', marginMm: 20, diameterMm: 20, depthMm: 0 } as const
  const job = {
    ...bench,
    seat: { ...bench.seat, division: { kind: 'run', count: 60, gapMm: 0, cuts: 'straight' } },
    makeUp: { ...bench.makeUp, trims: { ...bench.makeUp.trims, buttons } },
  } as const

  it('eight hundred covered buttons on each of sixty cushions are told at once, and no lay of them is begun', () => {
    const plan = worked(job)
    const { problem } = plan.cloth.lays[0]!
    const pieces = problem.pieces.reduce((sum, p) => sum + p.qty, 0)
    expect(pieces).toBeGreaterThan(60 * 800)
    expect(plan.warnings.find((w) => w.code === 'too-many-pieces')).toMatchObject({ level: 'stop', pieces })
    const solved = solveLay(problem, { seed: 1, budget: { steps: 1, isStopped: () => true } })
    expect(solved).toEqual({ ok: false, error: { code: 'too-many-pieces', pieces, most: MOST_PIECES } })
  })
})
