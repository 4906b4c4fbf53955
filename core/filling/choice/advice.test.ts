import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Grade, Load } from '../../../contract/index.ts'
import { DEMO_GRADES, demoParts } from '../../demo/index.ts'
import { foamOf, onlyDesign, worked } from '../../testing/jobs.ts'
import { areaOf } from '../../outline/index.ts'
import {
  adviseFoam,
  doubtWords,
  failureWords,
  hardnessOf,
  judgeOldFoam,
  judgeStack,
  layerWords,
  limitsOf,
  loadCaseOf,
  relaxationWords,
  startGrade,
  thinnestWorkable,
  USUAL_LOAD,
} from '../index.ts'

const named = (name: string): Grade => DEMO_GRADES.find((g) => g.name === name)!
const advise = (load: Partial<Load>, leastMm: number, mostMm: number, grades = DEMO_GRADES) =>
  adviseFoam(grades, { load: loadCaseOf({ ...USUAL_LOAD, ...load }), limits: { leastMm, mostMm }, areaMm2: 1e6 })
const job = (ticket: string) => demoParts().find((j) => j.ticket === ticket)!

describe('the cockpit seats (SL-05), by hand', () => {
  // Middle sitter 75 kg: 75 x 9.81 x 0.75 / 0.13 = 4245 Pa. Heaviest: 100 x 9.81 x 0.75 / 0.13 = 5660 Pa, x 2.2 x 1.8 =
  // 22 412 Pa at the peak.
  const { load } = job('SL-05').filling
  const found = advise(load, 50, 75)

  it('presses as worked out', () => {
    const { sitters } = loadCaseOf(load)
    expect(sitters[1].meanPa).toBeCloseTo(4244.7, 0)
    expect(sitters[2].peakPa).toBeCloseTo(22_412.1, 1)
  })

  it('Auk 33/400 at 60 mm: 662 N at 65 % are 16 750 Pa inside, 17 912 with the edge: the peak goes to about 71 %', () => {
    // 400 / 1.45 = 275.9 N at 25 %, x 2.4 = 662.1 N at 65 %; / 32 300 mm² / 1.2243 = 16 743 Pa; edge of 406.8 mm
    // across: 1 + 0.7 x 0.65 x 60 / 406.8 = 1.0671.
    const support = judgeStack([{ grade: named('Auk 33/400'), thicknessMm: 60 }], loadCaseOf(load)).support
    expect(support.fresh.worstStrain).toBeGreaterThan(0.69)
    expect(support.fresh.worstStrain).toBeLessThan(0.73)
    expect(support.fresh.bottoming).toBe('near')
  })

  it('no grade does all: foam for the wet either bottoms in the slam or is hard to sit on; it says which demand to give up', () => {
    expect(found.works).toEqual([])
    expect(found.fails.find((c) => c.layers[0]!.grade.name === 'Skua 30/150')!.failures.map((f) => f.code)).toEqual([
      'bottoms',
      'too-soft',
    ])
    expect(found.fails.find((c) => c.layers[0]!.grade.name === 'Auk 33/400')!.failures.map((f) => f.code)).toEqual([
      'too-firm',
    ])
    expect(found.relax.map((r) => r.demand).toSorted()).toEqual(expect.arrayContaining(['too-firm']))
    expect(found.relax.map((r) => relaxationWords(r, 'mm')).join()).toContain('Accept a firmer seat')
  })

  it('indoor foams are kept out by the wet, each with its why', () => {
    const memory = found.fails.find((c) => c.layers[0]!.grade.name === 'Eider 50/60')!
    expect(memory.failures.map(failureWords)[0]).toBe(
      'Eider 50/60 is not for outdoors or aboard, uncovered: memory foam holds water and goes stiff below about 10 °C',
    )
  })
})

describe('the bunks (SL-04), by hand', () => {
  // Side sleepers: 100 x 9.81 x 1 / 0.4 = 2452 Pa, 6131 Pa at the peak; the middle one 1839 Pa.
  const bunks = job('SL-04')
  const plan = foamOf(onlyDesign(worked(bunks)))

  it('100 of Gannet 36/180 below, 25 of Eider 50/60 on top', () => {
    expect(layerWords(plan.layers, 'mm')).toBe('Eider 50/60 25 mm on Gannet 36/180 100 mm')
    expect(plan.layers.map((l) => l.thicknessMm)).toEqual([100, 25])
  })

  it('the middle sleeper sinks 15 to 30 %, and new the heaviest stays clear of the slats; aged he comes close', () => {
    const { support, failures } = plan.verdict
    expect(failures).toEqual([])
    expect(support.fresh.sinks[1].sitter.meanPa).toBeCloseTo(1839.4, 1)
    expect(loadCaseOf(bunks.filling.load).sitters[2].peakPa).toBeCloseTo(6131, 0)
    expect(support.fresh.sinks[1].strain).toBeGreaterThan(0.15)
    expect(support.fresh.sinks[1].strain).toBeLessThan(0.3)
    expect(support.fresh.bottoming).toBe('clear')
    expect(support.aged.bottoming).toBe('near')
    expect(plan.verdict.doubts.map((d) => d.code)).toContain('near-bottom-aged')
  })

  it('weighs its layers each by its own density', () => {
    const block = plan.sizing.block
    const expected = (areaOf(block.outline) * (100 * 36 + 25 * 50)) / 1e9
    expect(plan.mass.value).toBeCloseTo(expected, 6)
  })

  it('latex alone is the least bother; firm grades alone are too firm, and a soft top mends that', () => {
    const { works, fails } = advise(bunks.filling.load, 100, 140)
    expect(layerWords(works[0]!.layers, 'mm')).toBe('Petrel 65/130 100 mm')
    expect(fails.find((c) => c.layers[0]!.grade.name === 'Gannet 36/180')!.failures.map((f) => f.code)).toEqual([
      'too-firm',
    ])
    expect(
      works.some(
        (c) =>
          c.layers.length === 2 &&
          c.layers[0]!.grade.name === 'Gannet 36/180' &&
          c.layers[1]!.grade.name === 'Eider 50/60',
      ),
    ).toBe(true)
  })
})

describe('the ranking', () => {
  const found = advise({ heaviestKg: 90 }, 50, 100)

  it('has only what works, soundest first, each with its numbers', () => {
    expect(found.works.length).toBeGreaterThan(0)
    for (const c of found.works) {
      expect(c.failures).toEqual([])
      expect(c.totalMm).toBeGreaterThanOrEqual(50)
      expect(c.totalMm).toBeLessThanOrEqual(100)
      expect(c.massKg).toBeCloseTo(
        c.layers.reduce((sum, l) => sum + (l.thicknessMm / 1e3) * l.grade.densityKgM3, 0),
        6,
      )
      expect(c.costPerYear).toBeCloseTo(c.cost / c.support.years, 9)
    }
    const serious = found.works.map(
      (c) => c.doubts.filter((d) => !['light-feels-hard', 'heavy-sinks-deep'].includes(d.code)).length,
    )
    expect(serious).toEqual(serious.toSorted((a, b) => a - b))
  })

  it('every grade either works, fails with reasons, or is not sold within the limits', () => {
    const seen = new Set(
      [...found.works.filter((c) => c.layers.length === 1), ...found.fails]
        .map((c) => c.layers[0]!.grade.id)
        .concat(found.notInThickness.map((g) => g.id)),
    )
    expect(seen.size).toBe(DEMO_GRADES.length)
    for (const c of found.fails) expect(c.failures.length).toBeGreaterThan(0)
  })

  it('layers lie firm below and soft above', () => {
    for (const { layers } of found.works)
      if (layers.length === 2) expect(hardnessOf(layers[1]!.grade)).toBeLessThan(hardnessOf(layers[0]!.grade))
  })

  it('names grades that come in no such thickness', () =>
    expect(advise({}, 60, 65).notInThickness).toHaveLength(DEMO_GRADES.length))

  it('what it says works is what the judge of stacks says works', () => {
    const uses = ['dining', 'lounge', 'back', 'bench', 'sleeping', 'cockpit', 'kneeler', 'hassock'] as const
    fc.assert(
      fc.property(
        fc.constantFrom(...uses),
        fc.constantFrom('indoors', 'sun', 'damp', 'wet'),
        fc.integer({ min: 60, max: 150 }),
        (use, exposure, heaviestKg) => {
          const load = { ...USUAL_LOAD, use, exposure, heaviestKg }
          const { works, fails, relax } = advise(load, 25, 150)
          for (const c of works) expect(judgeStack(c.layers, loadCaseOf(load)).failures).toEqual([])
          for (const c of fails)
            expect(judgeStack(c.layers, loadCaseOf(load)).failures.map((f) => f.code)).toEqual(
              c.failures.map((f) => f.code),
            )
          if (works.length === 0) expect(relax.length).toBeGreaterThan(0)
        },
      ),
      { numRuns: 25 },
    )
  })
})

describe('the thinnest block that works', () => {
  it('is 10 mm for a foam that carries any way, none for one that never does', () => {
    expect(thinnestWorkable(named('Gannet 36/180'), loadCaseOf({ ...USUAL_LOAD, use: 'sleeping' }))).toEqual({
      freshMm: 10,
      agedMm: 10,
    })
    expect(thinnestWorkable(named('Eider 50/60'), loadCaseOf(USUAL_LOAD))).toEqual({ freshMm: null, agedMm: null })
  })

  it('in between: the peak of the heaviest is at 65 % there, below it is over', () => {
    const load = loadCaseOf({ ...USUAL_LOAD, heaviestKg: 102 })
    const { freshMm, agedMm } = thinnestWorkable(named('Fulmar 50/220'), load)
    expect(freshMm).toBeGreaterThan(10)
    expect(agedMm === null || agedMm > freshMm!).toBe(true)
    expect(
      judgeStack([{ grade: named('Fulmar 50/220'), thicknessMm: freshMm! }], load).support.fresh.worstStrain,
    ).toBeCloseTo(0.65, 3)
  })
})

describe('the grade of a new job', () => {
  it('carries what a seat usually carries', () => {
    for (const t of [50, 75, 100, 120])
      expect(
        judgeStack([{ grade: startGrade(DEMO_GRADES, t), thicknessMm: t }], loadCaseOf(USUAL_LOAD)).failures,
      ).toEqual([])
  })
  it('is of medium firmness where nothing does, and never missing', () => {
    const soft = DEMO_GRADES.filter((g) => g.name.startsWith('Gannet'))
    expect(startGrade(soft, 75).name).toBe('Gannet 24/110')
    expect(startGrade([named('Eider 50/60')], 75).name).toBe('Eider 50/60')
  })
})

describe('limits of the advice', () => {
  it('the finished thickness give or take a sixth, until they are set', () => {
    const { filling } = job('SL-04')
    if (filling.kind !== 'foam') throw new Error(filling.kind)
    expect(limitsOf(filling, 120)).toEqual({ leastMm: 100, mostMm: 140 })
    expect(limitsOf({ ...filling, limits: { leastMm: 30, mostMm: 60 } }, 120)).toEqual({ leastMm: 30, mostMm: 60 })
  })
})

describe('may the old foam be kept?', () => {
  const old = { freshMm: 100, sunkMm: 82, restedMm: 93, crumbles: false, smells: false }
  it('7 % lost, 11 % regained, sound: yes', () => {
    const verdict = judgeOldFoam(old, USUAL_LOAD, null)
    expect(verdict.keep).toBe(true)
    expect(verdict.lostShare).toBeCloseTo(0.07, 9)
    expect(verdict.regainedShare).toBeCloseTo(0.11, 9)
  })
  it.each([
    [{ ...old, restedMm: 84 }, ['lost']],
    [{ ...old, restedMm: 85 }, []],
    [{ ...old, crumbles: true, smells: true }, ['crumbles', 'smells']],
  ])('%j: %j', (found, reasons) => expect(judgeOldFoam(found, USUAL_LOAD, null).reasons).toEqual(reasons))
  it('no when it is so soft by now that it bottoms', () =>
    expect(judgeOldFoam(old, USUAL_LOAD, named('Gannet 24/110')).reasons).toEqual(['bottoms']))
})

describe('words', () => {
  it.each([
    [{ code: 'bottoms-aged', year: 3 } as const, 'fine new, bottoms in its third year'],
    [{ code: 'bottoms-aged', year: 12 } as const, 'fine new, bottoms in its 12th year'],
    [{ code: 'near-bottom', strain: 0.7 } as const, "close to the board under the heaviest sitter's peak (70 %)"],
  ])('%j', (doubt, words) => expect(doubtWords(doubt)).toBe(words))
})
