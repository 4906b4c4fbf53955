import { edgeFactor, diameterOf } from './curve.ts'
import type { PressedLayer } from './stack.ts'

/** Force on a round area against its travel into a stack, from rest to just short of packed. */
export function forceTravel(
  layers: readonly PressedLayer[],
  areaMm2: number,
  mostN: number,
  points = 60,
): readonly { readonly travelMm: number; readonly forceN: number }[] {
  const totalMm = layers.reduce((sum, l) => sum + l.thicknessMm, 0)
  const across = diameterOf(areaMm2)
  return Array.from({ length: points + 1 }, (_, i) => {
    // Finer where the foam is soft: the stress goes up with the square of the step.
    const stressPa = ((mostN * 1e6) / areaMm2) * (i / points) ** 2
    const strain = layers.reduce((sum, l) => sum + l.thicknessMm * l.curve.strainAt(stressPa), 0) / totalMm
    return { travelMm: strain * totalMm, forceN: (stressPa * edgeFactor(strain, totalMm, across) * areaMm2) / 1e6 }
  })
}
