import { layerStrains, pressed, strainUnder, type LoadCase, type SettledLayer } from '../../../../core/filling/index.ts'

/** One sitter's dent, as lines of height over the distance from its middle; millimetres. */
export interface Dent {
  /** From the board up: the boundary above each layer. */
  readonly boundaries: readonly (readonly (readonly [number, number])[])[]
  /** The surface at the end of the foam's life. */
  readonly aged: readonly (readonly [number, number])[]
  /** The lowest the peak presses the surface. */
  readonly peakMm: number
}

/** How far a dent reaches to either side, in contact widths, and where its flat middle ends. */
const REACH = 0.75
const FLAT = 0.3

/** A section wide enough for one dent and the flat beside it. */
export const sectionWidthMm = (load: LoadCase): number => load.acrossMm * 2 * REACH * 1.25

/** The shape a sitter makes in a stack: the model gives its depth, the rounding of its rim is for the eye. */
export function dentOf(layers: readonly SettledLayer[], load: LoadCase, which: 0 | 1 | 2): Dent {
  const { meanPa, peakPa } = load.sitters[which]
  const [fresh, old] = [pressed(layers, 0), pressed(layers, 1)]
  const totalMm = layers.reduce((sum, l) => sum + l.thicknessMm, 0)
  const strains = layerStrains(meanPa, fresh, load.acrossMm)
  const agedStrain = strainUnder(meanPa, old, load.acrossMm)
  const half = sectionWidthMm(load) / 2
  const xs = Array.from({ length: 61 }, (_, i) => -half + (i * half) / 30)
  const depth = (x: number) => depthShare(Math.abs(x) / load.acrossMm)
  const boundaries = layers.map((_, i) =>
    xs.map(
      (x) =>
        [
          x,
          layers.slice(0, i + 1).reduce((sum, l, k) => sum + l.thicknessMm * (1 - strains[k]! * depth(x)), 0),
        ] as const,
    ),
  )
  return {
    boundaries,
    aged: xs.map((x) => [x, totalMm * (1 - agedStrain * depth(x))] as const),
    peakMm: totalMm * (1 - strainUnder(peakPa, fresh, load.acrossMm)),
  }
}

/** 1 in the middle, falling smoothly to 0 at the rim. */
function depthShare(widths: number): number {
  if (widths <= FLAT) return 1
  if (widths >= REACH) return 0
  const t = (REACH - widths) / (REACH - FLAT)
  return t * t * (3 - 2 * t)
}
