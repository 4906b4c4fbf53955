import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { FoamTest, Grade } from '../../../contract/index.ts'
import { Grade as GradeSchema } from '../../../contract/index.ts'
import { forceOnDisc, simulatedStroke, USUAL_PRESS_NOISE } from '../../press/index.ts'
import { normal, seeded } from '../../random/index.ts'
import { DEMO_GRADES } from '../../demo/index.ts'
import { whereReaches } from '../model/index.ts'
import { estimateFoam, gradeFromTest, type FoamEstimate } from './index.ts'

const sampleOf = (grade: Grade, thicknessMm = 80): FoamTest => ({
  family: grade.family,
  lengthMm: 500,
  widthMm: 400,
  thicknessMm,
  massKg: grade.densityKgM3! * 0.5 * 0.4 * (thicknessMm / 1000),
  discMm: 200,
  presses: [],
  isSimulated: false,
})
const estimated = (test: FoamTest): FoamEstimate => {
  const found = estimateFoam(test, DEMO_GRADES)
  if (typeof found === 'string') throw new Error(found)
  return found
}
/** Weights put on a disc, with the sink each makes in a known foam, forces and sinks shaken by a share. */
function weighted(grade: Grade, kilos: readonly number[], shaken: number, seed: number, thicknessMm = 80): FoamTest {
  const random = seeded(seed)
  const noisy = (v: number) => v * (1 + shaken * normal(random))
  const presses = kilos.map((kg) => {
    const sinkMm = whereReaches(
      kg * 9.81,
      (travel) => forceOnDisc({ grade, thicknessMm, discMm: 200 }, travel),
      0,
      thicknessMm * 0.88,
      1e-6,
    )
    return { forceN: noisy(kg * 9.81), sinkMm: noisy(sinkMm) }
  })
  return { ...sampleOf(grade, thicknessMm), presses }
}

describe('an unknown foam', () => {
  it('density by hand: 1.091 kg of 761.6 x 477.4 x 75 is 40 kg/m³', () => {
    const test = {
      ...sampleOf(DEMO_GRADES[4]!),
      lengthMm: 761.6,
      widthMm: 477.4,
      thicknessMm: 75,
      massKg: 1.091,
      presses: [{ forceN: 100, sinkMm: 20 }],
    }
    expect(estimated(test).densityKgM3).toBeCloseTo(40, 1)
  })

  it('one to three weights that sink the disc a quarter to two thirds find H40 within 8 % with 1 % noise, whatever the grade', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...DEMO_GRADES),
        fc.integer(),
        fc.constantFrom([0.7, 1, 1.35], [0.8, 1.3], [1]),
        (grade, seed, shares) => {
          // Shares of what presses the standard plate by 40 %.
          const { hardnessN } = estimated(
            weighted(
              grade,
              shares.map((s) => (s * grade.at40N!) / 9.81),
              0.01,
              seed,
            ),
          )
          expect(Math.abs(hardnessN / grade.at40N! - 1)).toBeLessThan(0.08)
        },
      ),
      { numRuns: 300 },
    )
  })

  it('a thin piece is corrected for its thickness: 40 and 120 mm give the same firmness', () => {
    const of = (t: number) => estimated(weighted(DEMO_GRADES[1]!, [10], 0, 1, t)).hardnessN
    expect(of(40) / of(120)).toBeCloseTo(1, 3)
  })

  it('three presses past half tell the support factor; fewer or shallower leave it to the family', () => {
    const stroke = (grade: Grade) => ({
      ...sampleOf(grade),
      presses: simulatedStroke(
        { grade, thicknessMm: 80, discMm: 200 },
        { sdShare: 0, hysteresis: 0, wrongShare: 0 },
        [],
        seeded(1),
      ).map((p) => ({ forceN: p.forceN, sinkMm: p.travelMm })),
    })
    const springy = { ...DEMO_GRADES[1]!, supportFactor: 2.4 }
    const deep = estimated(stroke(springy))
    expect(deep.supportIsMeasured).toBe(true)
    expect(deep.supportFactor).toBeCloseTo(2.4, 1)
    const shallow = estimated(weighted(springy, [4, 6, 8], 0, 1))
    expect(shallow.supportIsMeasured).toBe(false)
    expect(shallow.supportFactor).toBeCloseTo(2.0, 6)
  })

  it('the press with its noise and hysteresis finds the grade: first of the nearest nine times of ten', () => {
    let first = 0
    for (let seed = 1; seed <= 100; seed++) {
      const grade = DEMO_GRADES[seed % DEMO_GRADES.length]!
      const presses = simulatedStroke(
        { grade, thicknessMm: 80, discMm: 200 },
        { ...USUAL_PRESS_NOISE, wrongShare: 0 },
        [],
        seeded(seed),
      ).map((p) => ({ forceN: p.forceN, sinkMm: p.travelMm }))
      const estimate = estimated({ ...sampleOf(grade), presses })
      expect(Math.abs(estimate.hardnessN / grade.at40N! - 1), `seed ${seed}`).toBeLessThan(0.08)
      // The two readings on the way up are not used.
      expect(estimate.setAside).toEqual(expect.arrayContaining([7, 8]))
      if (estimate.nearest[0]!.grade === grade) first++
    }
    expect(first).toBeGreaterThanOrEqual(90)
  })

  it('a reading far off all others is set aside and named', () => {
    const test = weighted(DEMO_GRADES[4]!, [4, 7, 10, 13, 16, 19], 0, 1)
    const presses = test.presses.map((p, i) => (i === 2 ? { ...p, forceN: p.forceN * 2 } : p))
    const estimate = estimated({ ...test, presses })
    expect(estimate.setAside).toContain(2)
    expect(Math.abs(estimate.hardnessN / 160 - 1)).toBeLessThan(0.08)
  })

  it('a wrong piece under the press is another grade, and says so by its firmness', () => {
    const grade = DEMO_GRADES[1]!
    const others = [DEMO_GRADES[10]!]
    const presses = simulatedStroke(
      { grade, thicknessMm: 80, discMm: 200 },
      { sdShare: 0.01, hysteresis: 0.2, wrongShare: 1 },
      others,
      seeded(3),
    ).map((p) => ({ forceN: p.forceN, sinkMm: p.travelMm }))
    expect(estimated({ ...sampleOf(grade), presses }).hardnessN).toBeGreaterThan(300)
  })

  it('its likely error shrinks with more weights, and is never nothing', () => {
    const [one, three] = [[10], [5, 10, 15]].map(
      (kilos) => estimated(weighted(DEMO_GRADES[1]!, kilos, 0, 1)).hardnessError,
    )
    expect(three).toBeLessThan(one!)
    expect(three).toBeGreaterThan(0.01)
  })

  it('says what is missing', () => {
    expect(estimateFoam(sampleOf(DEMO_GRADES[1]!), DEMO_GRADES)).toBe('no-presses')
    expect(estimateFoam({ ...sampleOf(DEMO_GRADES[1]!), presses: [{ forceN: 100, sinkMm: 79 }] }, DEMO_GRADES)).toBe(
      'sink-over-thickness',
    )
  })

  it('becomes a sound grade of the catalogue, nowhere for sale', () => {
    const test = weighted(DEMO_GRADES[1]!, [5, 10, 15], 0.01, 4)
    const grade = gradeFromTest(test, estimated(test), 'Old bench foam', 'old-bench-foam')
    expect(GradeSchema.safeParse(grade).success).toBe(true)
    expect(grade.sheets).toEqual([])
    expect(Math.abs(grade.densityKgM3! - 30)).toBeLessThan(0.2)
  })
})

describe('the simulated press', () => {
  it('without noise sends the foam it is told, down and back up', () => {
    const grade = DEMO_GRADES[4]!
    const points = simulatedStroke(
      { grade, thicknessMm: 100, discMm: 200 },
      { sdShare: 0, hysteresis: 0.25, wrongShare: 0 },
      DEMO_GRADES,
      seeded(1),
    )
    expect(points.map((p) => p.travelMm)).toEqual([10, 20, 30, 40, 50, 60, 70, 55, 40])
    expect(points[8]!.forceN / points[3]!.forceN).toBeCloseTo(0.75, 2)
  })

  it('scatters about as it is told', () => {
    const grade = DEMO_GRADES[4]!
    const random = seeded(5)
    const at = Array.from(
      { length: 2000 },
      () =>
        simulatedStroke(
          { grade, thicknessMm: 100, discMm: 200 },
          { sdShare: 0.01, hysteresis: 0, wrongShare: 0 },
          [],
          random,
        )[3]!.forceN,
    )
    const mean = at.reduce((a, b) => a + b) / at.length
    const sd = Math.sqrt(at.reduce((sum, f) => sum + (f - mean) ** 2, 0) / at.length)
    expect(sd / mean).toBeGreaterThan(0.009)
    expect(sd / mean).toBeLessThan(0.011)
  })
})
