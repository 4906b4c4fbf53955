import { describe, expect, it } from 'vitest'
import type { FoamFilling, Grade, PartJob } from '../../contract/index.ts'
import { newSeat } from '../job/index.ts'
import { DEMO_GRADES } from '../demo/index.ts'
import { foamJob, planOne, mediumBenchPart } from '../testing/jobs.ts'
import { newLayer, USUAL_FIBRE, usualWadding } from './index.ts'

const named = (name: string): Grade => DEMO_GRADES.find((g) => g.name === name)!
const filledJob = (size: readonly [number, number, number], change: Partial<FoamFilling> = {}): PartJob =>
  foamJob((foam) => ({ ...foam, ...change }), {
    ...mediumBenchPart(),
    seat: newSeat('singles', ...(size as [number, number, number]), 1),
  })
const warned = (size: readonly [number, number, number], change: Partial<FoamFilling> = {}) =>
  planOne(filledJob(size, change))
    .warnings.filter((w) => w.station === 'filling')
    .map((w) => w.code)
const { load } = mediumBenchPart().filling
const layers = (...of: (readonly [string, number | null])[]) =>
  of.map(([name, thicknessMm]) => newLayer(named(name), thicknessMm))

describe('what the filling station objects to', () => {
  it.each([
    ['a hot wire', { tool: 'hot-wire' as const }, 'hot-wire'],
    ['film', { film: 'taken-out' as const }, 'film'],
  ])('%s', (_name, change, code) => {
    const job = mediumBenchPart()
    const said = planOne({ ...job, cutting: { ...job.cutting, ...change } }).warnings.map((w) => w.code)
    expect(said.filter((c) => c === code)).toHaveLength(1)
    expect(planOne(job).warnings.map((w) => w.code)).not.toContain(code)
  })

  it('always tells of the fire label, once', () =>
    expect(warned([600, 500, 75]).filter((c) => c === 'fire-label')).toHaveLength(1))

  it.each<[string, readonly [number, number, number], Partial<FoamFilling>, string]>([
    ['two people for 1.9 m', [1900, 700, 100], {}, 'heavy'],
    ['two people for 13 kg', [1500, 1100, 100], { layers: layers(['Rook 80/350', null]) }, 'heavy'],
    ['no sheet of 83', [600, 500, 83], {}, 'no-sheet-thickness'],
    ['a block longer than any sheet', [2300, 500, 75], {}, 'block-joined'],
    ['a block that no four parts make', [9000, 3000, 75], {}, 'part-over-sheet'],
    [
      'a snug cover that leaves the seat short',
      [300, 300, 50],
      { school: { kind: 'snug-cover' } },
      'cover-shrinks-seat',
    ],
    ['a snug cover too tight to close', [300, 300, 50], { school: { kind: 'snug-cover' } }, 'fit-too-tight'],
    [
      'wadding that does not fill',
      [600, 500, 80],
      { school: { kind: 'thinner-block', thinnerShare: 0.25 }, wadding: usualWadding(5) },
      'fit-loose',
    ],
    [
      'a wrapped size that nobody measured',
      [600, 500, 75],
      { school: { kind: 'wrap-then-measure' }, wadding: usualWadding(20) },
      'wrapped-size-not-measured',
    ],
    [
      'layers thicker than the block',
      [600, 500, 75],
      { layers: layers(['Gannet 30/140', null], ['Eider 50/60', 80]) },
      'layers-over-block',
    ],
    [
      'a block of four sheets',
      [600, 500, 325],
      { layers: layers(['Gannet 30/140', null], ['Eider 50/60', 50]) },
      'too-many-layers',
    ],
    ['glue between layers', [600, 500, 125], {}, 'glue'],
    ['foam that bottoms', [600, 500, 75], {}, 'foam-fails'],
    [
      'memory foam out of doors',
      [600, 500, 75],
      { load: { ...load, exposure: 'wet' }, layers: layers(['Eider 50/60', null]) },
      'foam-fails',
    ],
    ['rain', [600, 500, 75], { load: { ...load, exposure: 'wet' } }, 'wet-wants-vents'],
    ['no life-saving device', [600, 500, 75], { load: { ...load, use: 'cockpit' } }, 'not-a-lifebuoy'],
    [
      'damp under a berth',
      [1900, 700, 100],
      { load: { ...load, use: 'sleeping', exposure: 'damp' } },
      'berth-wants-air',
    ],
    [
      'a grade that is not for sale',
      [600, 500, 75],
      { layers: [newLayer({ ...named('Gannet 30/140'), sheets: [] })] },
      'not-for-sale',
    ],
  ])('%s', (_name, size, change, code) => expect(warned(size, change)).toContain(code))

  it('a seat that becomes higher than it was', () => {
    const job = filledJob([600, 500, 75], { boardMm: { now: 12, before: 6 } })
    const old = { measured: { widthMm: 600, depthMm: 500, thicknessMm: 70 }, label: null }
    const found = planOne({ ...job, seat: { ...job.seat, old } }).warnings.find((w) => w.code === 'seat-height-changes')
    expect(found).toMatchObject({ by: 11 })
  })

  it('says nothing of dust, film or hot wire where there is none', () => {
    const quiet = warned([600, 500, 75])
    for (const code of ['hot-wire', 'film', 'old-foam-dust', 'glue', 'not-a-lifebuoy', 'block-joined'])
      expect(quiet).not.toContain(code)
  })
})

describe('beds for infants', () => {
  it.each<[string, readonly [number, number, number], Partial<FoamFilling['load']>]>([
    ['by their size', [1200, 600, 100], { use: 'sleeping' }],
    ['by their sleeper', [1900, 700, 100], { use: 'sleeping', lightestKg: 12 }],
  ])('are refused %s', (_name, size, change) => {
    const plan = planOne(filledJob(size, { load: { ...load, ...change } }))
    expect(plan.kind).toBe('unworkable')
    expect(plan.warnings[0]!.code).toBe('infant-bed')
  })

  it('a bench of that size is a bench, a mattress for adults is made', () => {
    expect(planOne(filledJob([1200, 600, 100])).kind).toBe('worked')
    expect(planOne(filledJob([1900, 700, 100], { load: { ...load, use: 'sleeping' } })).kind).toBe('worked')
  })
})

describe('loose fibre', () => {
  const seat = newSeat('singles', 560, 480, 140, 4)
  const job: PartJob = {
    ...mediumBenchPart(),
    seat,
    filling: { kind: 'loose-fibre', load, boardMm: { now: 0, before: 0 }, trials: [], ...USUAL_FIBRE },
  }
  const plan = planOne(job)
  if (plan.kind !== 'worked') throw new Error(JSON.stringify(plan.warnings))
  const { filling } = plan.designs[0]!

  it('by hand: 0.56 x 0.48 x 0.14 m³ at 24 kg/m³ is 0.903 kg', () => expect(filling.mass!.value).toBeCloseTo(0.9032, 4))

  it('has a liner 4 % larger than its cover, 250 left open', () => {
    if (filling.kind !== 'loose-fibre') throw new Error(filling.kind)
    expect(filling.liner.width.value).toBeCloseTo(582.4, 6)
    expect(filling.liner.depth.value).toBeCloseTo(499.2, 6)
    expect(filling.liner.openMm).toBe(250)
  })

  it('has no foam to cut, and a cover all the same', () => {
    expect(plan.cutting).toBeNull()
    expect(plan.cutList.some((l) => l.material === 'foam')).toBe(false)
    expect(plan.designs[0]!.cover.panels.length).toBeGreaterThan(3)
    expect(plan.designs.flatMap((d) => d.checks).flatMap((c) => c.faults)).toEqual([])
  })

  it('mats in the wet', () => {
    const wet = planOne({ ...job, filling: { ...job.filling, load: { ...load, exposure: 'wet' } } })
    expect(wet.warnings.map((w) => w.code)).toContain('fibre-in-wet')
  })
})
