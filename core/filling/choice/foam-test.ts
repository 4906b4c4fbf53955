import type { FoamTest, Grade } from '../../../contract/index.ts'
import {
  curveThrough,
  edgeFactor,
  FAMILIES,
  hardnessOf,
  unknownsOf,
  supportFactorOf,
  testForces,
  type TestForces,
} from '../model/index.ts'

/** What weighing and pressing say of an unknown foam, each with its likely error. */
export interface FoamEstimate {
  readonly densityKgM3: number
  readonly hardnessN: number
  /** One standard deviation, as a share: what the readings leave open. */
  readonly hardnessError: number
  readonly supportFactor: number
  /** True when the presses went deep enough to tell; else the family's usual factor stands in. */
  readonly supportIsMeasured: boolean
  readonly usedPresses: number
  /** Presses set aside: taken while the disc came back up, where foam pushes back less, or far off all others. */
  readonly setAside: readonly number[]
  readonly nearest: readonly NearGrade[]
}

export interface NearGrade {
  readonly grade: Grade
  /** In likely errors: about 1 is as near as the test can tell. */
  readonly distance: number
}

export type FoamTestFault = 'no-presses' | 'sink-over-thickness'

/** What a hand with a rule and kitchen scales can do: a sink read to about a millimetre, a density to about 4 %. */
const READ_MM = 1
const DENSITY_ERROR = 0.04
/** A weight on a kitchen scale. */
const FORCE_ERROR = 0.01
/** Beyond this strain a press says something of how a foam firms up. */
const DEEP = 0.5
/** Past this strain the disc as good as stands on what lies under the foam. */
const ON_THE_TABLE = 0.88
const MOST_WEIGHTS = 3
/** Nobody knows a family's habits better than this. */
const SHAPE_ERROR = 0.05

/** Estimates density and firmness of an unknown foam and names the grades it could be. */
export function estimateFoam(test: FoamTest, grades: readonly Grade[]): FoamEstimate | FoamTestFault {
  if (test.presses.length === 0) return 'no-presses'
  if (test.presses.some((p) => p.sinkMm >= test.thicknessMm * ON_THE_TABLE)) return 'sink-over-thickness'
  const densityKgM3 = test.massKg / ((test.lengthMm * test.widthMm * test.thicknessMm) / 1e9)
  const going = goingDown(test.presses)
  // Medians first: one gross misreading must not hide behind the error it makes.
  const first = fitPresses(test, going, MEDIANS)
  const off = going.filter(
    (i) =>
      Math.abs(Math.log(test.presses[i]!.forceN / first.forceAt(test.presses[i]!.sinkMm))) >
      4 * Math.max(first.spread, LEAST_SPREAD),
  )
  const kept = going.length - off.length >= 2 ? going.filter((i) => !off.includes(i)) : going
  const fit = fitPresses(test, kept, MEANS)
  const hardnessError = Math.hypot(
    fit.readingError,
    fit.supportIsMeasured ? fit.spread / Math.sqrt(kept.length) : SHAPE_ERROR,
  )
  const estimate = {
    densityKgM3,
    hardnessN: fit.forces.at40N,
    hardnessError,
    supportFactor: fit.forces.at65N / fit.forces.at25N,
    supportIsMeasured: fit.supportIsMeasured,
    usedPresses: kept.length,
    setAside: test.presses.map((_, i) => i).filter((i) => !kept.includes(i)),
  }
  return { ...estimate, nearest: nearestGrades(estimate, grades) }
}

const LEAST_SPREAD = 0.03

/**
 * Presses on the way down: coming back up a foam pushes back less. Up to three are weights put on in any
 * order; more are a press's stroke, in the order it sent them.
 */
function goingDown(presses: FoamTest['presses']): readonly number[] {
  const all = presses.map((_, i) => i)
  if (presses.length <= MOST_WEIGHTS) return all
  const deepest = all.reduce((best, i) => (presses[i]!.sinkMm > presses[best]!.sinkMm ? i : best), 0)
  return all.filter((i) => i <= deepest)
}

interface Fit {
  readonly forces: TestForces
  readonly forceAt: (sinkMm: number) => number
  /** Spread of the logarithms of force over fitted force. */
  readonly spread: number
  /** What a millimetre of misreading does to the firmness. */
  readonly readingError: number
  readonly supportIsMeasured: boolean
}

/** How logarithms are averaged, and their spread told. */
interface Averages {
  readonly middle: (values: readonly number[], weights: readonly number[]) => number
  readonly spread: (deviations: readonly number[], weights: readonly number[]) => number
}

const mean = (values: readonly number[], weights: readonly number[]): number =>
  values.reduce((sum, v, i) => sum + v * weights[i]!, 0) / weights.reduce((a, b) => a + b, 0)
const median = (values: readonly number[]): number =>
  values.toSorted((a, b) => a - b)[Math.floor((values.length - 1) / 2)]!
const MEANS: Averages = {
  middle: mean,
  spread: (d, weights) =>
    Math.sqrt(
      mean(
        d.map((v) => v * v),
        weights,
      ),
    ),
}
const MEDIANS: Averages = { middle: median, spread: (d) => median(d.map(Math.abs)) }

/**
 * For each support factor the scale that fits best is an average of logarithms; the factor with the least spread wins.
 */
function fitPresses(test: FoamTest, indices: readonly number[], by: Averages): Fit {
  const presses = indices.map((i) => test.presses[i]!)
  const deepest = Math.max(...presses.map((p) => p.sinkMm)) / test.thicknessMm
  const supportIsMeasured = presses.length >= 3 && deepest > DEEP
  const habit = FAMILIES[test.family].supportFactor
  const factors = supportIsMeasured ? Array.from({ length: 61 }, (_, i) => 1.5 + i * 0.05) : [habit]
  const fits = factors.map((supportFactor) => scaledFit(test, presses, supportFactor, by))
  const best = fits.reduce((a, b) => (b.spread < a.spread - 1e-12 ? b : a))
  return { ...best, supportIsMeasured }
}

function scaledFit(
  test: FoamTest,
  presses: FoamTest['presses'],
  supportFactor: number,
  { middle, spread }: Averages,
): Omit<Fit, 'supportIsMeasured'> {
  const unit = testForces({ family: test.family, at25N: null, at40N: 100, at65N: null, supportFactor })
  const curve = curveThrough(unit)
  const forceOf = (sinkMm: number) => {
    const strain = sinkMm / test.thicknessMm
    return (
      (curve.stressPa(strain) * edgeFactor(strain, test.thicknessMm, test.discMm) * Math.PI * (test.discMm / 2) ** 2) /
      1e6
    )
  }
  const logs = presses.map((p) => Math.log(p.forceN / forceOf(p.sinkMm)))
  const slopes = presses.map((p) =>
    Math.abs(Math.log(forceOf(p.sinkMm + READ_MM / 2) / forceOf(Math.max(0.1, p.sinkMm - READ_MM / 2)))),
  )
  // Near packed a hair of sink is a world of force: such a press says little of the firmness.
  const weights = slopes.map((slope) => 1 / (FORCE_ERROR ** 2 + slope ** 2))
  const centre = middle(logs, weights)
  const scale = Math.exp(centre)
  return {
    forces: { at25N: unit.at25N * scale, at40N: 100 * scale, at65N: unit.at65N * scale },
    forceAt: (sinkMm) => forceOf(sinkMm) * scale,
    spread: spread(
      logs.map((l) => l - centre),
      weights,
    ),
    readingError:
      Math.sqrt(slopes.reduce((sum, s, i) => sum + (s * weights[i]!) ** 2, 0)) / weights.reduce((a, b) => a + b, 0),
  }
}

/** The five nearest in firmness and density, and in support where that was measured. */
function nearestGrades(estimate: Omit<FoamEstimate, 'nearest'>, grades: readonly Grade[]): readonly NearGrade[] {
  const of = (grade: Grade): number => {
    const firmness = Math.log(hardnessOf(grade)! / estimate.hardnessN) / Math.max(LEAST_SPREAD, estimate.hardnessError)
    const density = Math.log(grade.densityKgM3! / estimate.densityKgM3) / DENSITY_ERROR
    const support = estimate.supportIsMeasured ? Math.log(supportFactorOf(grade) / estimate.supportFactor) / 0.1 : 0
    return Math.hypot(firmness, density, support)
  }
  return grades
    .filter((grade) => unknownsOf([{ grade, thicknessMm: 1 }]).length === 0)
    .map((grade) => ({ grade, distance: of(grade) }))
    .toSorted((a, b) => a.distance - b.distance)
    .slice(0, 5)
}

/** The tested foam as a grade that can be kept in the catalogue; nowhere for sale. */
export const gradeFromTest = (test: FoamTest, estimate: FoamEstimate, name: string, id: string): Grade => ({
  id,
  name,
  said: '',
  family: test.family,
  densityKgM3: Number(estimate.densityKgM3.toFixed(1)),
  at25N: null,
  at40N: Math.round(estimate.hardnessN),
  at65N: null,
  supportFactor: Number(estimate.supportFactor.toFixed(2)),
  exposures: [...FAMILIES[test.family].exposures],
  combustionModified: false,
  ageing: null,
  sheets: [],
  thicknessesMm: [Math.round(test.thicknessMm)],
  pricePerM3: 0,
})
