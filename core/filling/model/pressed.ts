import { edgeFactor, KNOTS, type FoamCurve } from './curve.ts'
import { whereReaches } from './rising.ts'

/** A layer as the press meets it. */
export interface PressedLayer {
  readonly curve: FoamCurve
  readonly thicknessMm: number
}

/**
 * Strain of a whole stack under a pressure on a round area. Layers act in series: each bears the same
 * stress, and their strains add up by thickness; the edge effect goes by the whole stack's sinking.
 * @throws RangeError when there is no thickness or no area (bugs in the caller).
 */
export function strainUnder(pressurePa: number, layers: readonly PressedLayer[], diameterMm: number): number {
  const totalMm = layers.reduce((sum, l) => sum + l.thicknessMm, 0)
  if (!(totalMm > 0 && diameterMm > 0))
    throw new RangeError(`strainUnder: ${totalMm} mm of foam, ${diameterMm} mm across`)
  const [first, ...others] = layers
  if (others.every((l) => l.curve === first!.curve)) {
    const { curve } = first!
    const loaded = (strain: number) => curve.stressPa(strain) * edgeFactor(strain, totalMm, diameterMm)
    const above = KNOTS.findIndex((strain) => loaded(strain) >= pressurePa)
    // The edge only helps: without it the strain would be no less.
    return above < 0
      ? whereReaches(pressurePa, loaded, KNOTS[3], curve.strainAt(pressurePa), WITHIN)
      : whereReaches(pressurePa, loaded, KNOTS[Math.max(0, above - 1)]!, KNOTS[above]!, WITHIN)
  }
  const strainAt = (stressPa: number) =>
    layers.reduce((sum, l) => sum + l.thicknessMm * l.curve.strainAt(stressPa), 0) / totalMm
  // The edge only helps: the stress inside is never above the pressure outside.
  const stressPa = whereReaches(
    pressurePa,
    (stress) => stress * edgeFactor(strainAt(stress), totalMm, diameterMm),
    0,
    pressurePa,
    pressurePa * WITHIN,
  )
  return strainAt(stressPa)
}

/** Strain of each layer of a stack under a pressure, in the order given. */
export function layerStrains(
  pressurePa: number,
  layers: readonly PressedLayer[],
  diameterMm: number,
): readonly number[] {
  const totalMm = layers.reduce((sum, l) => sum + l.thicknessMm, 0)
  const stressPa = pressurePa / edgeFactor(strainUnder(pressurePa, layers, diameterMm), totalMm, diameterMm)
  return layers.map((l) => l.curve.strainAt(stressPa))
}

const WITHIN = 1e-7
