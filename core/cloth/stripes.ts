import type { Band, Cloth, ClothChoice } from '../../contract/index.ts'

/** A way on the roll. */
export type Way = 'across' | 'along'

/** One repeat each way, in mm; null where nothing repeats. A half-drop repeats squarely only every second column. */
export function repeatOf({ pattern }: Cloth, way: Way): number | null {
  switch (pattern.kind) {
    case 'plain':
      return null
    case 'stripes':
      return (pattern.runs === 'along') === (way === 'across') ? bandsWidth(pattern.bands) : null
    case 'check':
      return bandsWidth(pattern[way])
    case 'motif':
      return way === 'along' ? pattern.alongMm : pattern.acrossMm * (pattern.halfDrop ? 2 : 1)
    default:
      return pattern satisfies never
  }
}

/** The bands that follow each other that way; a motif is one band as wide as its repeat. */
export function bandsOf(cloth: Cloth, way: Way): readonly Band[] {
  const { pattern } = cloth
  if (repeatOf(cloth, way) === null) return []
  if (pattern.kind === 'stripes') return pattern.bands
  if (pattern.kind === 'check') return pattern[way]
  return pattern.kind === 'motif' ? [{ name: 'motif', colour: pattern.colour, widthMm: repeatOf(cloth, way)! }] : []
}

/** From the left edge (or the starting end) to where a repeat starts: for a motif, half a repeat before its middle. */
export function patternStart({ pattern }: Cloth, way: Way): number {
  switch (pattern.kind) {
    case 'plain':
      return 0
    case 'stripes':
      return (pattern.runs === 'along') === (way === 'across') ? pattern.startMm : 0
    case 'check':
      return way === 'across' ? pattern.startMm : pattern.startAlongMm
    case 'motif': {
      const repeat = repeatOf({ pattern } as Cloth, way)!
      return modulo((way === 'across' ? pattern.startMm : pattern.startAlongMm) - repeat / 2, repeat)
    }
    default:
      return pattern satisfies never
  }
}

/** Mirror axes each way from the start of a repeat; a motif has a right way up and none. */
export const axesOf = (cloth: Cloth, way: Way): readonly number[] => (cloth.pattern.kind === 'motif' ? [] : mirrorAxes(bandsOf(cloth, way)))

/** How stripes start in a new job: matched on their first band wherever there is a pattern. */
export const usualMatch = (cloth: Cloth): ClothChoice['match'] => (cloth.pattern.kind === 'plain' ? { kind: 'none' } : { kind: 'matched', rule: { kind: 'band-on-centre', band: 0 } })

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
