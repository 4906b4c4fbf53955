import { whereReaches } from './rising.ts'
import { TEST_PLATE_MM2, TEST_SAMPLE_MM, type TestForces } from './points.ts'

/** Stress in a foam by its strain (0 to 1), the edge effect of any plate taken out. */
export interface FoamCurve {
  /** Pascals at a strain; nought at nought, rising throughout, without end towards the packed strain. */
  readonly stressPa: (strain: number) => number
  /** The strain at which the foam bears so many pascals. */
  readonly strainAt: (stressPa: number) => number
}

/** Strains of the standard test; between them the curve is smooth. */
export const KNOTS = [0, 0.25, 0.4, 0.65] as const

/** Share of a plate's force that comes from the foam round its edge, for each plate diameter of sinking. */
const EDGE = 0.7

/** At this strain the cells are packed: no load presses further. Stress climbs steeply from 75 to 80 %. */
export const PACKED_STRAIN = 0.9

/** Force over force without edge: 1 + k · strain · thickness / diameter. */
export const edgeFactor = (strain: number, thicknessMm: number, diameterMm: number): number =>
  1 + (EDGE * strain * thicknessMm) / diameterMm

export const diameterOf = (areaMm2: number): number => 2 * Math.sqrt(areaMm2 / Math.PI)

/**
 * The curve through the three points of the standard test, all scaled by what ageing has left. Monotone
 * cubics between the points (weighted harmonic slopes), a hyperbola beyond 65 %.
 * Source: a model; see docs/foam-model.md.
 */
export function curveThrough({ at25N, at40N, at65N }: TestForces, left = 1): FoamCurve {
  const strains = KNOTS
  const stresses = [0, at25N, at40N, at65N].map(
    (force, i) =>
      (left * force * 1e6) / (TEST_PLATE_MM2 * edgeFactor(strains[i]!, TEST_SAMPLE_MM, diameterOf(TEST_PLATE_MM2))),
  )
  const slopes = slopesThrough(strains, stresses)
  const [last, bend] = [stresses[3]!, slopes[3]!]
  const reach = PACKED_STRAIN - strains[3]!
  const stressPa = (strain: number): number => {
    if (strain <= 0) return 0
    if (strain >= PACKED_STRAIN) return Infinity
    if (strain > strains[3]!) return last + (bend * (strain - strains[3]!) * reach) / (PACKED_STRAIN - strain)
    return cubic(strains, stresses, slopes, strain)
  }
  return {
    stressPa,
    strainAt: (stress) => {
      if (stress <= 0) return 0
      if (stress > last) {
        // The hyperbola solved for the strain.
        const over = (stress - last) / (bend * reach)
        return strains[3]! + (over * reach) / (1 + over)
      }
      const i = stress <= stresses[1]! ? 0 : stress <= stresses[2]! ? 1 : 2
      return whereReaches(stress, stressPa, strains[i]!, strains[i + 1]!, 1e-9)
    },
  }
}

/** How much faster the stress climbs at 65 % than it did on the way there from 40 %; up to 3 keeps it rising. */
const STEEPENING = 2

function slopesThrough(x: readonly number[], y: readonly number[]): readonly number[] {
  const h = [0, 1, 2].map((i) => x[i + 1]! - x[i]!)
  const rise = [0, 1, 2].map((i) => (y[i + 1]! - y[i]!) / h[i]!)
  const inner = [1, 2].map((i) => {
    const [w1, w2] = [2 * h[i]! + h[i - 1]!, h[i]! + 2 * h[i - 1]!]
    return (w1 + w2) / (w1 / rise[i - 1]! + w2 / rise[i]!)
  })
  const start = Math.min(
    3 * rise[0]!,
    Math.max(rise[0]!, ((2 * h[0]! + h[1]!) * rise[0]! - h[0]! * rise[1]!) / (h[0]! + h[1]!)),
  )
  return [start, ...inner, STEEPENING * rise[2]!]
}

/** Hermite's cubic on the stretch that holds the strain. */
function cubic(x: readonly number[], y: readonly number[], slopes: readonly number[], strain: number): number {
  const i = strain <= x[1]! ? 0 : strain <= x[2]! ? 1 : 2
  const h = x[i + 1]! - x[i]!
  const t = (strain - x[i]!) / h
  const s = 1 - t
  return (
    y[i]! * s * s * (1 + 2 * t) +
    slopes[i]! * h * t * s * s +
    y[i + 1]! * t * t * (3 - 2 * t) -
    slopes[i + 1]! * h * t * t * s
  )
}
