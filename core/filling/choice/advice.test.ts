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
  goodYears,
  hardnessOf,
  judgeBody,
  judgeStack,
  layerWords,
  limitsOf,
  loadCaseOf,
  relaxationWords,
  startGrade,
  thinnestWorkable,
  USUAL_LOAD,
  verdictWords,
  type Aim,
  type Candidate,
} from '../index.ts'
import { oldBody, thick } from '../../testing/bodies.ts'

const named = (name: string): Grade => DEMO_GRADES.find((g) => g.name === name)!
const advise = (load: Partial<Load>, leastMm: number, mostMm: number, grades = DEMO_GRADES) =>
  adviseFoam(grades, { load: loadCaseOf({ ...USUAL_LOAD, ...load }), limits: { leastMm, mostMm }, areaMm2: 1e6 })
const job = (ticket: string) => demoParts().find((j) => j.ticket === ticket)!

describe('the cockpit seats (SL-05), by hand', () => {
  // Heaviest in a slam: 100 x 9.81 x 0.75 x 1.8 = 1324.4 N. Auk 33/400 has 400 / 1.45 = 275.9 N at 25 %, 662.1 N at 65 %.
  const { load } = job('SL-05').filling
  const found = advise(load, 50, 75)

  it('presses as worked out', () => {
    const { sitters } = loadCaseOf(load)
    expect(sitters[1].restN).toBeCloseTo(551.8, 1)
    expect(sitters[2].slamN).toBeCloseTo(1324.4, 1)
  })

  it('Auk 33/400 at 60 mm comes near the board in a slam, and is right at rest', () => {
    const verdict = judgeStack([{ grade: named('Auk 33/400'), thicknessMm: 60 }], loadCaseOf(load))
    expect([verdict.support.fresh.standing, verdict.feel, verdict.failures]).toEqual(['near', 'right', []])
    expect(verdictWords(verdict, loadCaseOf(load), 'mm')).toMatch(
      /^holds 50 to 100 kg, 1[567](\.\d)? mm left under the heaviest in a slam, good for about \d years of daily use$/,
    )
  })

  it('closed cells alone hold at 75 mm; open pores are on the board in a slam, and say so', () => {
    expect(found.works.filter((c) => c.layers.length === 1).map((c) => c.layers[0]!.grade.name)).toEqual(['Auk 33/400'])
    const skua = found.fails.find((c) => c.layers[0]!.grade.name === 'Skua 30/150')!
    expect(skua.failures.map((f) => failureWords(f, 'mm'))).toEqual([
      expect.stringMatching(/^on the board under 100 kg: pressed together by (8|9)\d %$/),
    ])
  })

  it('where nothing holds it says which demand to give up', () => {
    const thin = advise(load, 20, 30)
    expect(thin.works).toEqual([])
    expect(thin.relax.map((r) => r.demand)).toContain('on-board')
    expect(thin.relax.map((r) => relaxationWords(r, 'mm')).join()).toContain('Accept that the heaviest sitter feels')
  })

  it('indoor foams are kept out by the wet, each with its why', () => {
    const memory = found.fails.find((c) => c.layers[0]!.grade.name === 'Eider 50/60')!
    expect(failureWords(memory.failures[0]!, 'mm')).toBe(
      'Eider 50/60 is not for outdoors or aboard, uncovered: memory foam holds water and goes stiff below about 10 °C',
    )
  })
})

describe('the bunks (SL-04), by hand', () => {
  // The hip of a side sleeper: 100 x 9.81 x 0.39 = 382.6 N.
  const bunks = job('SL-04')
  const plan = foamOf(onlyDesign(worked(bunks)))

  it('100 of Gannet 36/180 below, 25 of Eider 50/60 on top', () => {
    expect(layerWords(plan.layers, 'mm')).toBe('Eider 50/60 25 mm on Gannet 36/180 100 mm')
    expect(plan.layers.map((l) => l.thicknessMm)).toEqual([100, 25])
  })

  it('lie right for the middle sleeper, and near the slats under the heaviest: an ordinary good one, no doubt of it', () => {
    const { support, feel, failures, doubts } = plan.verdict!
    expect(support.fresh.sinks[2].sitter.restN).toBeCloseTo(382.6, 1)
    expect([feel, failures, doubts, support.onBoardInYear]).toEqual(['right', [], [], null])
    expect([support.fresh.standing, support.years]).toEqual(['near', 7])
  })

  it('weighs its layers each by its own density', () => {
    const block = plan.sizing.block
    const expected = (areaOf(block.outline) * (100 * 36 + 25 * 50)) / 1e9
    expect(plan.mass!.value).toBeCloseTo(expected, 6)
  })

  it('soft foam alone is on the slats; a soft top on firm foam is among what works', () => {
    const { works, fails } = advise(bunks.filling.load, 100, 140)
    expect(fails.map((c) => c.layers[0]!.grade.name)).toContain('Eider 50/60')
    expect(works.some((c) => c.layers.map((l) => l.grade.name).join() === 'Gannet 36/180,Eider 50/60')).toBe(true)
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
        c.layers.reduce((sum, l) => sum + (l.thicknessMm / 1e3) * l.grade.densityKgM3!, 0),
        6,
      )
      expect(c.costPerYear).toBeCloseTo(c.cost / c.support.years, 9)
    }
    const serious = found.works.map(
      (c) => c.doubts.filter((d) => !['feels-firm', 'feels-soft'].includes(d.code)).length,
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
      if (layers.length === 2) expect(hardnessOf(layers[1]!.grade)).toBeLessThan(hardnessOf(layers[0]!.grade)!)
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

describe('what the maker is after', () => {
  const question = { load: loadCaseOf(USUAL_LOAD), limits: { leastMm: 50, mostMm: 100 }, areaMm2: 1e6 }
  const by = (aim: Aim) => adviseFoam(DEMO_GRADES, { ...question, aim }).works
  const rises = (values: readonly number[]) => expect(values).toEqual(values.toSorted((a, b) => a - b))

  it('cheapest of what lasts so many years, softest, lightest, as the old one: each in its order', () => {
    const lasting = by({ kind: 'cheapest', years: 8 })
    expect(lasting.length).toBeGreaterThan(0)
    expect(Math.min(...lasting.map((c) => goodYears(c.support)))).toBeGreaterThanOrEqual(8)
    rises(lasting.map((c) => c.cost))
    const middle = (c: Candidate) => c.support.fresh.sinks[1].strain
    rises(by({ kind: 'softest' }).map((c) => -middle(c)))
    rises(by({ kind: 'lightest' }).map((c) => c.massKg))
    rises(by({ kind: 'as-before', strain: 0.5 }).map((c) => Math.abs(middle(c) - 0.5)))
  })

  it('all of them are foams that hold', () => {
    for (const aim of [{ kind: 'softest' }, { kind: 'lightest' }, { kind: 'as-before', strain: 0.9 }] as const)
      for (const c of by(aim)) expect(c.failures).toEqual([])
  })
})

describe('the thinnest block that works', () => {
  it('differs from grade to grade; memory foam carries nobody alone', () => {
    const thin = (name: string) => thinnestWorkable(named(name), loadCaseOf(USUAL_LOAD)).freshMm!
    expect(thin('Fulmar 50/220')).toBeLessThan(thin('Fulmar 40/160'))
    expect(thin('Fulmar 40/160')).toBeLessThan(thin('Gannet 30/140'))
    expect(thinnestWorkable(named('Eider 50/60'), loadCaseOf(USUAL_LOAD)).freshMm).toBeNull()
  })

  it('there the heaviest is just off the board, and further up just clear of it', () => {
    const load = loadCaseOf(USUAL_LOAD)
    const { freshMm, agedMm, clearMm } = thinnestWorkable(named('Fulmar 50/220'), load)
    const strain = (thicknessMm: number, age: 'fresh' | 'aged') =>
      judgeStack([{ grade: named('Fulmar 50/220'), thicknessMm }], load).support[age].worst.strain
    expect([strain(freshMm!, 'fresh'), strain(agedMm!, 'aged'), strain(clearMm!, 'fresh')]).toEqual([
      expect.closeTo(0.78, 2),
      expect.closeTo(0.78, 2),
      expect.closeTo(0.65, 2),
    ])
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
    expect(startGrade(soft, 30).name).toBe('Gannet 24/110')
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
  const old = oldBody({ newMm: 100, found: thick(82), recovered: thick(93) })
  it('7 % lost, 11 % regained, sound: yes', () => {
    const verdict = judgeBody(old, USUAL_LOAD, null)
    expect(verdict.keep).toBe(true)
    expect(verdict.lostShare).toBeCloseTo(0.07, 9)
    expect(verdict.regainedShare).toBeCloseTo(0.11, 9)
  })
  it.each([
    [{ ...old, recovered: thick(84) }, ['lost']],
    [{ ...old, recovered: thick(85) }, []],
    [{ ...old, newMm: null, recovered: thick(20) }, []],
    [{ ...old, crumbles: true, smells: true }, ['crumbles', 'smells']],
  ])('%j: %j', (found, reasons) => expect(judgeBody(found, USUAL_LOAD, null).reasons).toEqual(reasons))
  it('no when it is so soft by now that it no longer holds', () =>
    expect(judgeBody(old, USUAL_LOAD, named('Gannet 24/110')).reasons).toEqual(['on-board']))
})

describe('words', () => {
  it.each([
    [
      { code: 'on-board-aged', year: 3, isSoon: true } as const,
      'fine new, on the board under the heaviest in its third year',
    ],
    [
      { code: 'on-board-aged', year: 12, isSoon: false } as const,
      'fine new, on the board under the heaviest in its 12th year',
    ],
    [
      { code: 'middle-near-board', leftMm: 25.4 } as const,
      'close to the board already under the middle sitter: 1 in left',
    ],
    [{ code: 'feels-firm', strain: 0.2 } as const, 'a firm seat: the middle sitter sinks 20 %'],
  ])('%j', (doubt, words) => expect(doubtWords(doubt, 'inch-16')).toBe(words))

  it('a verdict says who is held, what is left and for how long; or up to whom it holds', () => {
    const says = (name: string, thicknessMm: number) => {
      const load = loadCaseOf(USUAL_LOAD)
      return verdictWords(judgeStack([{ grade: named(name), thicknessMm }], load), load, 'mm')
    }
    expect(says('Fulmar 50/220', 75)).toMatch(
      /^holds 50 to 100 kg, 27(\.\d)? mm left under the heaviest, good for about 15 years of daily use$/,
    )
    expect(says('Gannet 30/140', 75)).toMatch(/^holds up to 8\d kg, on the board under 100 kg$/)
    expect(says('Skua 30/150', 35)).toBe('on the board even under 50 kg')
    const load = loadCaseOf(USUAL_LOAD)
    const verdict = judgeStack([{ grade: named('Fulmar 50/220'), thicknessMm: 75 }], load)
    expect(verdictWords(verdict, load, 'inch-16')).toMatch(/^holds 110 to 220 lb, 1 1\/16 in left under the heaviest/)
  })
})
