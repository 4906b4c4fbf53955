import type { Band, Cloth } from '../../contract/index.ts'

/** Width of one repeat across the roll, in mm; null for a cloth without a pattern. */
export function repeatOf(cloth: Cloth): number | null {
  return cloth.pattern.kind === 'stripes' ? bandsWidth(cloth.pattern.bands) : null
}

export const bandsWidth = (bands: readonly Band[]): number => bands.reduce((sum, b) => sum + b.widthMm, 0)

/** The middle of a band, from the start of the repeat. */
export const bandCentre = (bands: readonly Band[], index: number): number => bandsWidth(bands.slice(0, index)) + bands[index]!.widthMm / 2

/**
 * Where the stripes mirror themselves, from the start of the repeat, rising. Empty when the pattern
 * has a left and a right, so that a piece turned by 180° would not match.
 */
export function mirrorAxes(bands: readonly Band[]): readonly number[] {
  const repeat = bandsWidth(bands)
  const candidates = bands.flatMap((b, i) => [bandCentre(bands, i), bandCentre(bands, i) + b.widthMm / 2])
  return candidates.map((c) => c % repeat).filter((axis) => isMirroredAt(bands, axis)).toSorted((a, b) => a - b)
}

function isMirroredAt(bands: readonly Band[], axis: number): boolean {
  const edges = bands.map((_, i) => bandsWidth(bands.slice(0, i)))
  const repeat = bandsWidth(bands)
  const hair = 1e-6
  // Every band edge must have a band edge opposite, with the same colours beside it.
  return edges.every((edge) => {
    const opposite = modulo(2 * axis - edge, repeat)
    const onEdge = edges.some((e) => Math.min(modulo(e - opposite, repeat), modulo(opposite - e, repeat)) < hair)
    return onEdge && colourAt(bands, edge + hair) === colourAt(bands, 2 * axis - edge - hair)
  })
}

/** Colour of the cloth at a place counted from the start of a repeat. */
export function colourAt(bands: readonly Band[], place: number): string {
  let rest = modulo(place, bandsWidth(bands))
  for (const b of bands) {
    if (rest < b.widthMm) return b.colour
    rest -= b.widthMm
  }
  return bands.at(-1)!.colour
}

export const modulo = (value: number, step: number): number => ((value % step) + step) % step
