import { ringMm, riseMm, touchedMm2, touchMm, type Body } from './body.ts'
import { KNOTS, PACKED_STRAIN } from './curve.ts'
import { whereReaches } from './rising.ts'
import type { Stack } from './stack.ts'

/** A body come to rest on foam. */
export interface Sunk {
  /** How deep its lowest point lies under the surface at rest. */
  readonly depthMm: number
  /** The stack's shortening under the middle, as a share of its thickness. */
  readonly strain: number
  /** Foam left between the middle and the board. */
  readonly leftMm: number
  readonly contactM2: number
  readonly meanPa: number
  /** Pressure under the middle. */
  readonly peakPa: number
}

/**
 * Where a body pressed on a stack comes to rest: under each ring the foam is a column, shortened by what the body lies
 * deeper there than the surface; the depth is where the columns together bear the force. A model; see
 * docs/foam-model.md.
 */
export function sunkUnder(forceN: number, body: Body, stack: Stack): Sunk {
  const depthMm = depthUnder(forceN, body, stack)
  const contactM2 = touchedMm2(body, touchMm(body, depthMm)) / 1e6
  const strain = depthMm / stack.totalMm
  return {
    depthMm,
    strain,
    leftMm: stack.totalMm - depthMm,
    contactM2,
    meanPa: forceN / contactM2,
    peakPa: stack.stressPa(strain),
  }
}

/** The force that holds a body so deep, N: the stress under each ring, added up out to where it touches. */
export function forceAt(depthMm: number, body: Body, { totalMm, stressPa }: Stack): number {
  const halfMm = touchMm(body, depthMm) / 2
  let sum = 0
  for (const [place, weight] of RINGS) {
    const fromMiddleMm = halfMm * (1 + place)
    sum += weight * ringMm(body, fromMiddleMm) * stressPa((depthMm - riseMm(body, fromMiddleMm)) / totalMm)
  }
  return (sum * halfMm) / 1e6
}

/** Gauss and Legendre's places and weights for ten rings: as near as hundreds of rings of one width. */
const RINGS = [
  [0.1488743389816312, 0.2955242247147529],
  [0.4333953941292472, 0.2692667193099963],
  [0.6794095682990244, 0.219086362515982],
  [0.8650633666889845, 0.1494513491505806],
  [0.9739065285171717, 0.0666713443086881],
].flatMap(([place, weight]) => [
  [-place!, weight!],
  [place!, weight!],
]) as unknown as readonly (readonly [place: number, weight: number])[]

/** The depth alone, mm, for looking through many stacks. */
export function depthUnder(forceN: number, body: Body, stack: Stack): number {
  const force = (depthMm: number) => forceAt(depthMm, body, stack)
  const steepMm = KNOTS[3] * stack.totalMm
  return force(steepMm) >= forceN
    ? whereReaches(forceN, force, 0, steepMm, WITHIN_MM)
    : whereReaches(forceN, force, steepMm, DEEPEST * stack.totalMm, WITHIN_MM)
}

const WITHIN_MM = 1e-3
/** Just short of packed: no force presses further. */
const DEEPEST = PACKED_STRAIN - 1e-6
