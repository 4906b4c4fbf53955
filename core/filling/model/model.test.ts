import fc from 'fast-check'
import { KG_M3_PER_LB_FT3, N_PER_LBF } from '../../units/index.ts'
import { describe, expect, it } from 'vitest'
import type { FoamFamily, Grade, Load } from '../../../contract/index.ts'
import { DEMO_GRADES } from '../../demo/index.ts'
import {
  ageingOf,
  curveOf,
  curveThrough,
  demandsOf,
  diameterOf,
  edgeFactor,
  FAMILIES,
  goodYears,
  hardnessOf,
  loadCaseOf,
  stackOf,
  sunkUnder,
  supportOf,
  TEST_PLATE_MM2,
  testForces,
  USUAL_LOAD,
  whereReaches,
  type Body,
  type SettledLayer,
} from './index.ts'

const named = (name: string): Grade => DEMO_GRADES.find((g) => g.name === name)!
const anyGrade: fc.Arbitrary<Grade> = fc
  .record({
    family: fc.constantFrom(...(Object.keys(FAMILIES) as FoamFamily[])),
    at40N: fc.integer({ min: 20, max: 600 }),
    supportFactor: fc.double({ min: 1.2, max: 4, noNaN: true }),
    densityKgM3: fc.integer({ min: 15, max: 150 }),
  })
  .map((g) => ({ ...DEMO_GRADES[0]!, ...g }))
const anyUse = fc.constantFrom(
  'dining',
  'lounge',
  'back',
  'bench',
  'sleeping',
  'cockpit',
  'kneeler',
  'hassock',
) as fc.Arbitrary<Load['use']>
const block = (grade: Grade, thicknessMm: number): readonly SettledLayer[] => [{ grade, thicknessMm }]
/** Force on the plate of the standard test at a strain. */
const testForce = (grade: Grade, strain: number) =>
  (curveOf(grade).stressPa(strain) * edgeFactor(strain, 100, diameterOf(TEST_PLATE_MM2)) * TEST_PLATE_MM2) / 1e6

describe('units a supplier speaks', () => {
  it('1.8 lb/ft³ is 28.83 kg/m³, 36 lbf is 160.1 N', () => {
    expect(1.8 * KG_M3_PER_LB_FT3).toBeCloseTo(28.83, 2)
    expect(36 * N_PER_LBF).toBeCloseTo(160.1, 1)
  })
})

describe('the three forces of a grade', () => {
  it('by hand: conventional 140 N with support 2.0 has 100 N at 25 % and 200 N at 65 %', () => {
    expect(testForces(named('Gannet 30/140'))).toEqual({ at25N: 100, at40N: 140, at65N: 200 })
  })

  it('what is given is kept, what is missing comes from the family', () => {
    const given = { ...named('Fulmar 35/120'), at25N: 80, at40N: null, at65N: 210, supportFactor: null }
    expect(testForces(given)).toEqual({ at25N: 80, at40N: 80 * 1.42, at65N: 210 })
    const bare = testForces({ ...given, at65N: null })
    expect(bare.at65N).toBeCloseTo(80 * 2.6, 9)
  })

  it('rise from point to point whatever a grade says', () => {
    fc.assert(
      fc.property(anyGrade, (grade) => {
        const { at25N, at40N, at65N } = testForces(grade)
        expect(at25N).toBeGreaterThan(0)
        expect(at40N).toBeGreaterThan(at25N)
        expect(at65N).toBeGreaterThan(at40N)
      }),
    )
  })
})

describe('the curve', () => {
  it('passes through its points once the plate edge is counted in again', () => {
    fc.assert(
      fc.property(anyGrade, (grade) => {
        const forces = testForces(grade)
        for (const [strain, force] of [
          [0.25, forces.at25N],
          [0.4, forces.at40N],
          [0.65, forces.at65N],
        ] as const)
          expect(testForce(grade, strain) / force).toBeCloseTo(1, 9)
      }),
    )
  })

  it('by hand: the edge of the plate carries 0.7 x 0.4 x 100 / 202.8 = 13.8 % of 140 N, which leaves 3809 Pa', () => {
    expect(curveOf(named('Gannet 30/140')).stressPa(0.4)).toBeCloseTo(140e6 / 32_300 / 1.13807, 0)
  })

  it('is nought at nought, rises throughout, and turns back into its strain', () => {
    fc.assert(
      fc.property(anyGrade, (grade) => {
        const curve = curveOf(grade)
        expect(curve.stressPa(0)).toBe(0)
        let before = 0
        for (let strain = 0.005; strain < 0.9; strain += 0.005) {
          const stress = curve.stressPa(strain)
          expect(stress).toBeGreaterThan(before)
          before = stress
          expect(curve.strainAt(stress)).toBeCloseTo(strain, 6)
        }
      }),
      { numRuns: 60 },
    )
  })

  it('climbs steeply towards densification: from 75 to 85 % more than twice what it climbs from 55 to 65 %', () => {
    fc.assert(
      fc.property(anyGrade, (grade) => {
        const { stressPa } = curveOf(grade)
        expect(stressPa(0.85) - stressPa(0.75)).toBeGreaterThan(2 * (stressPa(0.65) - stressPa(0.55)))
      }),
    )
  })
})

describe('layers under a stress', () => {
  it('two equal layers are one of double thickness', () => {
    fc.assert(
      fc.property(
        anyGrade,
        fc.integer({ min: 20, max: 100 }),
        fc.double({ min: 0.001, max: 0.85, noNaN: true }),
        (grade, t, e) => {
          const one = stackOf([{ curve: curveOf(grade), thicknessMm: 2 * t }])
          const two = stackOf([1, 2].map(() => ({ curve: curveOf({ ...grade }), thicknessMm: t })))
          expect(two.totalMm).toBe(one.totalMm)
          expect(two.stressPa(e) / one.stressPa(e)).toBeCloseTo(1, 2)
        },
      ),
    )
  })

  it('each layer bears the same stress, and their shortenings add up', () => {
    fc.assert(
      fc.property(anyGrade, anyGrade, fc.double({ min: 0.02, max: 0.8, noNaN: true }), (a, b, strain) => {
        const layers = [
          { curve: curveOf(a), thicknessMm: 75 },
          { curve: curveOf({ ...b }), thicknessMm: 50 },
        ]
        const stack = stackOf(layers)
        const strains = stack.layerStrains(strain)
        // Next to packed a hair of strain is any stress.
        for (const [i, own] of strains.entries())
          if (own < 0.88)
            expect(Math.abs(layers[i]!.curve.stressPa(own) / stack.stressPa(strain) - 1)).toBeLessThan(0.02)
        expect((75 * strains[0]! + 50 * strains[1]!) / 125).toBeCloseTo(strain, 6)
      }),
    )
  })

  it('no thickness is a bug of the caller', () => expect(() => stackOf([])).toThrow(RangeError))
})

describe('a body on foam', () => {
  const bodies = fc.oneof(
    fc.record({ kind: fc.constant('ball' as const), radiusMm: fc.integer({ min: 30, max: 800 }) }),
    fc.record({
      kind: fc.constant('roll' as const),
      radiusMm: fc.integer({ min: 30, max: 800 }),
      lengthMm: fc.integer({ min: 100, max: 900 }),
    }),
  )
  const anyBody = fc
    .tuple(bodies, fc.double({ min: 0.2, max: 1, noNaN: true }))
    .map(([body, share]): Body => ({ ...body, reachMm: body.radiusMm * share }))

  it('comes to rest where the columns under it bear it: added up by squares, not rings', () => {
    fc.assert(
      fc.property(
        anyGrade,
        anyBody,
        fc.integer({ min: 20, max: 200 }),
        fc.double({ min: 20, max: 1500, noNaN: true }),
        (grade, body, t, forceN) => {
          const curve = curveOf(grade)
          const { depthMm, leftMm, strain, peakPa } = sunkUnder(forceN, body, stackOf([{ curve, thicknessMm: t }]))
          fc.pre(strain < 0.85)
          // A grid over the whole plan of the body: each square is a column of foam.
          const round = depthMm < body.radiusMm ? Math.sqrt(depthMm * (2 * body.radiusMm - depthMm)) : body.radiusMm
          const touch = Math.min(body.reachMm, round)
          const step = touch / 80
          let sum = 0
          for (let x = step / 2; x < touch; x += step) {
            const across = body.kind === 'ball' ? 80 : 1
            for (let j = 0; j < across; j++) {
              const r = body.kind === 'ball' ? Math.hypot(x, (j + 0.5) * step) : x
              if (r > touch) continue
              const shortened = depthMm - (body.radiusMm - Math.sqrt(body.radiusMm ** 2 - r ** 2))
              const squareMm2 = body.kind === 'ball' ? 4 * step * step : 2 * step * body.lengthMm
              if (shortened > 0) sum += (squareMm2 * curve.stressPa(shortened / t)) / 1e6
            }
          }
          expect(sum / forceN).toBeGreaterThan(0.96)
          expect(sum / forceN).toBeLessThan(1.04)
          expect(depthMm + leftMm).toBeCloseTo(t, 6)
          expect(peakPa).toBeCloseTo(curve.stressPa(depthMm / t), 3)
        },
      ),
      { numRuns: 60 },
    )
  })

  it('that is rounder sinks deeper, and on wider foam touches more', () => {
    const stack = stackOf([{ curve: curveOf(named('Gannet 36/180')), thicknessMm: 75 }])
    const at = (radiusMm: number) => sunkUnder(500, { kind: 'ball', radiusMm, reachMm: 60 }, stack)
    expect(at(80).depthMm).toBeGreaterThan(at(500).depthMm)
  })
})

describe('sitters', () => {
  it('by hand: 75 kg on a window seat press 75 x 9.81 x 0.75 = 551.8 N', () => {
    const [light, middle, heavy] = loadCaseOf(USUAL_LOAD).sitters
    expect([light.massKg, middle.massKg, heavy.massKg]).toEqual([50, 75, 100])
    expect(middle.restN).toBeCloseTo(551.8, 1)
    expect(heavy.slamN).toBe(heavy.restN)
  })

  it('a slam of 1.8 meets the heaviest in a cockpit, not at rest', () => {
    const { sitters } = loadCaseOf({ ...USUAL_LOAD, use: 'cockpit' })
    expect(sitters[2].slamN / sitters[2].restN).toBeCloseTo(1.8, 9)
  })

  it("the job's own figures stand in place of the table's, and nobody touches beyond the cushion", () => {
    const own = { ...USUAL_LOAD, own: { radiusMm: 300, reachMm: 400, massShare: 0.5 } }
    expect(demandsOf(own)).toMatchObject({ massShare: 0.5, body: { radiusMm: 300, reachMm: 300 } })
    expect(loadCaseOf(own, 350).body.reachMm).toBe(175)
    expect(loadCaseOf(USUAL_LOAD).body.reachMm).toBe(240)
  })

  it('a heavier sitter never sinks less', () => {
    fc.assert(
      fc.property(
        anyGrade,
        anyUse,
        fc.integer({ min: 20, max: 200 }),
        fc.integer({ min: 10, max: 240 }),
        fc.integer({ min: 1, max: 100 }),
        (grade, use, t, kg, more) => {
          const sink = (massKg: number) =>
            supportOf(block(grade, t), loadCaseOf({ ...USUAL_LOAD, use, lightestKg: massKg, heaviestKg: massKg })).fresh
              .sinks[1].strain
          expect(sink(kg + more)).toBeGreaterThanOrEqual(sink(kg) - 1e-4)
        },
      ),
    )
  })

  it('a thicker block of the same grade always stands higher above the board', () => {
    fc.assert(
      fc.property(
        anyGrade,
        anyUse,
        fc.integer({ min: 10, max: 200 }),
        fc.integer({ min: 1, max: 100 }),
        (grade, use, t, more) => {
          const worst = (mm: number) =>
            supportOf(block(grade, mm), loadCaseOf({ ...USUAL_LOAD, use })).aged.worst.leftMm
          expect(worst(t + more)).toBeGreaterThan(worst(t) - 1e-3)
        },
      ),
    )
  })

  it('more density at equal hardness never changes the sink, but the ageing', () => {
    fc.assert(
      fc.property(anyGrade, anyUse, (grade, use) => {
        const load = loadCaseOf({ ...USUAL_LOAD, use })
        const [thin, dense] = [20, 60].map((densityKgM3) => supportOf(block({ ...grade, densityKgM3 }, 80), load))
        expect(dense!.fresh).toEqual(thin!.fresh)
        expect(dense!.aged.worst.strain).toBeLessThanOrEqual(thin!.aged.worst.strain)
        if (thin!.aged.worst.strain < 0.89) expect(dense!.aged.worst.strain).toBeLessThan(thin!.aged.worst.strain)
        expect(dense!.years).toBeGreaterThan(thin!.years)
      }),
    )
  })
})

describe('ageing', () => {
  it.each([
    [20, 0.35, 2],
    [24, 0.25, 4],
    [29.9, 0.25, 4],
    [30, 0.18, 7],
    [37, 0.12, 10],
    [45, 0.08, 15],
    [80, 0.08, 15],
  ])('%d kg/m³ loses %d over %d years', (densityKgM3, lossShare, years) =>
    expect(ageingOf({ densityKgM3, ageing: null })).toMatchObject({ lossShare, years }),
  )

  it('a grade may say otherwise', () =>
    expect(ageingOf({ densityKgM3: 20, ageing: { lossShare: 0.1, years: 9 } })).toMatchObject({
      lossShare: 0.1,
      years: 9,
    }))

  it('names the year in which the heaviest first feels the board', () => {
    const load = loadCaseOf({ ...USUAL_LOAD, heaviestKg: 80 })
    const grade = { ...named('Gannet 24/110'), at40N: 170 }
    const support = supportOf(block(grade, 60), load)
    expect([support.fresh.standing, support.aged.standing]).toEqual(['near', 'on-board'])
    expect(support.onBoardInYear).toBeGreaterThanOrEqual(1)
    expect(support.onBoardInYear).toBeLessThanOrEqual(4)
    expect(goodYears(support)).toBe(support.onBoardInYear! - 1)
    // Half a year before it has not: the loss goes evenly over four years.
    const lossShare = (0.25 * (support.onBoardInYear! - 1)) / 4
    expect(supportOf(block({ ...grade, ageing: { lossShare, years: 4 } }, 60), load).aged.standing).not.toBe('on-board')
  })

  it('says the heaviest that does not feel the board: a little more does', () => {
    fc.assert(
      fc.property(anyGrade, anyUse, fc.integer({ min: 20, max: 150 }), (grade, use, t) => {
        const { holdsKg } = supportOf(block(grade, t), loadCaseOf({ ...USUAL_LOAD, use }))
        const under = (massKg: number) =>
          supportOf(block(grade, t), loadCaseOf({ ...USUAL_LOAD, use, lightestKg: 1, heaviestKg: massKg })).fresh
            .standing
        expect(under(holdsKg * 1.001)).toBe('on-board')
        expect(under(holdsKg * 0.999)).not.toBe('on-board')
      }),
      { numRuns: 40 },
    )
  })
})

describe('whereReaches', () => {
  it('finds the place on straight, bent and steep functions', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        fc.constantFrom(
          (x: number) => x,
          (x: number) => x ** 9,
          (x: number) => 1 / (1.001 - x),
        ),
        (x, f) => {
          expect(whereReaches(f(x), f, 0, 1, 1e-9)).toBeCloseTo(x, 6)
        },
      ),
    )
  })
  it('stays at the ends for values beyond them', () =>
    expect([whereReaches(-1, (x) => x, 0, 1, 1e-6), whereReaches(5, (x) => x, 0, 1, 1e-6)]).toEqual([0, 1]))
})

describe('a curve with a share of its firmness gone', () => {
  it('bears that share less at every strain', () => {
    const forces = testForces(named('Fulmar 40/160'))
    const [fresh, old] = [curveThrough(forces), curveThrough(forces, 0.7)]
    for (const strain of [0.1, 0.33, 0.65, 0.8])
      expect(old.stressPa(strain) / fresh.stressPa(strain)).toBeCloseTo(0.7, 9)
    expect(hardnessOf(named('Fulmar 40/160'))).toBe(160)
  })
})
