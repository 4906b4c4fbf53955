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
export const axesOf = (cloth: Cloth, way: Way): readonly number[] =>
  cloth.pattern.kind === 'motif' ? [] : mirrorAxes(bandsOf(cloth, way))

/** How stripes start in a new job: matched on their first band wherever there is a pattern. */
export const usualMatch = (cloth: Cloth): ClothChoice['match'] =>
  cloth.pattern.kind === 'plain' ? { kind: 'none' } : { kind: 'matched', rule: { kind: 'band-on-centre', band: 0 } }

export const bandsWidth = (bands: readonly Band[]): number => bands.reduce((sum, b) => sum + b.widthMm, 0)

/** The middle of a band, from the start of the repeat. */
export const bandCentre = (bands: readonly Band[], index: number): number =>
  bandsWidth(bands.slice(0, index)) + bands[index]!.widthMm / 2

/** All that is asked of a pattern one way of the roll, worked out once. */
export interface PatternWay {
  readonly repeat: number
  readonly bands: readonly Band[]
  readonly axes: readonly number[]
}

/** A pattern one way; null where nothing repeats. */
export function wayOf(cloth: Cloth, way: Way): PatternWay | null {
  const repeat = repeatOf(cloth, way)
  return repeat === null ? null : { repeat, bands: bandsOf(cloth, way), axes: axesOf(cloth, way) }
}

/**
 * Where the stripes mirror themselves, from the start of the repeat, rising. Empty when the pattern
 * has a left and a right, so that a piece turned by 180° would not match.
 */
export function mirrorAxes(bands: readonly Band[]): readonly number[] {
  const merged = mergedBands(bands)
  const repeat = bandsWidth(bands)
  if (merged.length === 1) return [repeat / 2]
  // A mirror axis of coloured bands is the middle of a band, whose neighbours then match two by two.
  const axes = merged.flatMap((b, i) => (isMirroredAt(merged, i) ? [modulo(b.from + b.widthMm / 2, repeat)] : []))
  return axes.toSorted((a, b) => a - b)
}

interface PlacedBand {
  readonly colour: string
  readonly widthMm: number
  readonly from: number
}

/** Bands as they are seen: neighbours of one colour are one band, over the end of the repeat as well. */
function mergedBands(bands: readonly Band[]): readonly PlacedBand[] {
  let from = 0
  const placed: PlacedBand[] = []
  for (const { colour, widthMm } of bands) {
    const last = placed.at(-1)
    if (last?.colour === colour) placed[placed.length - 1] = { ...last, widthMm: last.widthMm + widthMm }
    else placed.push({ colour, widthMm, from })
    from += widthMm
  }
  const [first, last] = [placed[0]!, placed.at(-1)!]
  if (placed.length === 1 || first.colour !== last.colour) return placed
  return [...placed.slice(1, -1), { ...last, widthMm: last.widthMm + first.widthMm }]
}

const HAIR_MM = 1e-6

function isMirroredAt(bands: readonly PlacedBand[], middle: number): boolean {
  const n = bands.length
  return Array.from({ length: Math.floor(n / 2) }, (_, k) => k + 1).every((k) => {
    const [left, right] = [bands[(middle - k + n) % n]!, bands[(middle + k) % n]!]
    return left.colour === right.colour && Math.abs(left.widthMm - right.widthMm) < HAIR_MM
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
