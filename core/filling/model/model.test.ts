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
  hardnessOf,
  layerStrains,
  loadCaseOf,
  strainUnder,
  supportOf,
  testForces,
  TEST_PLATE_MM2,
  USUAL_LOAD,
  whereReaches,
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

describe('layers under a pressure', () => {
  const across = 400

  it('two equal layers are one of double thickness', () => {
    fc.assert(
      fc.property(
        anyGrade,
        fc.integer({ min: 20, max: 100 }),
        fc.double({ min: 200, max: 30_000, noNaN: true }),
        (grade, t, pressure) => {
          const layer = { curve: curveOf(grade), thicknessMm: t }
          const twin = { curve: curveOf({ ...grade }), thicknessMm: t }
          expect(strainUnder(pressure, [layer, twin], across)).toBeCloseTo(
            strainUnder(pressure, [{ ...layer, thicknessMm: 2 * t }], across),
            4,
          )
        },
      ),
    )
  })

  it('each layer bears the same stress, and their strains add up by thickness', () => {
    const layers = [
      { curve: curveOf(named('Gannet 36/180')), thicknessMm: 75 },
      { curve: curveOf(named('Eider 50/60')), thicknessMm: 50 },
    ]
    const [firm, soft] = layerStrains(2000, layers, across)
    expect(layers[0]!.curve.stressPa(firm!)).toBeCloseTo(layers[1]!.curve.stressPa(soft!), 0)
    expect((75 * firm! + 50 * soft!) / 125).toBeCloseTo(strainUnder(2000, layers, across), 6)
    expect(soft).toBeGreaterThan(firm!)
  })

  it('answers the pressure it was asked for', () => {
    fc.assert(
      fc.property(
        anyGrade,
        fc.integer({ min: 10, max: 300 }),
        fc.double({ min: 1, max: 200_000, noNaN: true }),
        (grade, t, pressure) => {
          const curve = curveOf(grade)
          const strain = strainUnder(pressure, [{ curve, thicknessMm: t }], across)
          expect(strain).toBeLessThan(0.9)
          expect((curve.stressPa(strain) * edgeFactor(strain, t, across)) / pressure).toBeCloseTo(1, 2)
        },
      ),
    )
  })

  it('no thickness and no area are bugs of the caller', () => {
    expect(() => strainUnder(1000, [], across)).toThrow(RangeError)
    expect(() => strainUnder(1000, [{ curve: curveOf(named('Gannet 30/140')), thicknessMm: 50 }], 0)).toThrow(
      RangeError,
    )
  })
})

describe('sitters', () => {
  it('by hand: 75 kg on a window seat press 75 x 9.81 x 0.75 / 0.14 = 3942 Pa, 2.2 times that at the peak', () => {
    const [light, middle, heavy] = loadCaseOf(USUAL_LOAD).sitters
    expect([light.massKg, middle.massKg, heavy.massKg]).toEqual([50, 75, 100])
    expect(middle.meanPa).toBeCloseTo(3941.5, 1)
    expect(middle.peakPa / middle.meanPa).toBeCloseTo(2.2, 9)
  })

  it('a slam of 1.8 meets the peak in a cockpit, not the mean', () => {
    const { sitters } = loadCaseOf({ ...USUAL_LOAD, use: 'cockpit' })
    expect(sitters[2].peakPa / sitters[2].meanPa).toBeCloseTo(2.2 * 1.8, 9)
  })

  it("the job's own figures stand in place of the table's", () => {
    expect(demandsOf({ ...USUAL_LOAD, use: 'sleeping', own: { contactM2: 0.4 } })).toMatchObject({
      contactM2: 0.4,
      massShare: 1,
      peak: 2.5,
    })
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
          expect(sink(kg + more)).toBeGreaterThanOrEqual(sink(kg) - 1e-7)
        },
      ),
    )
  })

  it('a thicker block of the same grade never bottoms sooner', () => {
    fc.assert(
      fc.property(
        anyGrade,
        anyUse,
        fc.integer({ min: 10, max: 200 }),
        fc.integer({ min: 1, max: 100 }),
        (grade, use, t, more) => {
          const worst = (mm: number) => supportOf(block(grade, mm), loadCaseOf({ ...USUAL_LOAD, use })).aged.worstStrain
          expect(worst(t + more)).toBeLessThanOrEqual(worst(t) + 1e-7)
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
        expect(dense!.aged.worstStrain).toBeLessThan(thin!.aged.worstStrain)
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

  it('names the year in which a foam that was fine new bottoms', () => {
    const load = loadCaseOf({ ...USUAL_LOAD, heaviestKg: 75 })
    const grade = { ...named('Gannet 24/110'), at40N: 190 }
    const support = supportOf(block(grade, 75), load)
    expect(support.fresh.bottoming).not.toBe('bottoms')
    expect(support.aged.bottoming).toBe('bottoms')
    expect(support.bottomsInYear).toBeGreaterThanOrEqual(1)
    expect(support.bottomsInYear).toBeLessThanOrEqual(4)
    // Half a year before it has not: the loss goes evenly over four years.
    const lossShare = (0.25 * (support.bottomsInYear! - 1)) / 4
    expect(supportOf(block({ ...grade, ageing: { lossShare, years: 4 } }, 75), load).aged.bottoming).not.toBe('bottoms')
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
