import type { Cloth, LayPiece } from '../../contract/index.ts'

/*
 * What of the cloth's pattern lies under a point of a piece, found from the lay problem alone: wherever the piece is put,
 * its anchor has the phases that its match demands.
 */

/** Places in the repeat, in mm of cloth; null on a way without demand. `point` is in the piece's own plane. */
export function patternUnder(
  piece: LayPiece,
  point: readonly [number, number],
  turn = piece.turns[0]!,
): { readonly across: number | null; readonly along: number | null } {
  const { match } = piece
  if (!match) return { across: null, along: null }
  const angle = (turn * Math.PI) / 180
  const [dx, dy] = [point[0] - match.anchor[0], point[1] - match.anchor[1]]
  const [x, y] = [dx * Math.cos(angle) - dy * Math.sin(angle), dx * Math.sin(angle) + dy * Math.cos(angle)]
  return {
    across: match.across === null ? null : match.across + x,
    along: match.along === null ? null : match.along + y,
  }
}

/** Bands of a cloth one way of the roll, by hand from its pattern. */
function bandsBy(
  { pattern }: Cloth,
  way: 'across' | 'along',
): readonly { readonly colour: string; readonly widthMm: number }[] {
  if (pattern.kind === 'stripes') return (pattern.runs === 'along') === (way === 'across') ? pattern.bands : []
  if (pattern.kind === 'check') return pattern[way]
  return pattern.kind === 'motif'
    ? [
        {
          colour: pattern.colour,
          widthMm: way === 'along' ? pattern.alongMm : pattern.acrossMm * (pattern.halfDrop ? 2 : 1),
        },
      ]
    : []
}

/**
 * How far apart two places of a pattern look, in mm: the least shift of one that brings the same colours round it as
 * round the other, either way round where the pattern mirrors itself there. Infinity where it never does.
 */
export function stepBetween(cloth: Cloth, way: 'across' | 'along', a: number, b: number): number {
  const bands = bandsBy(cloth, way)
  const repeat = bands.reduce((sum, band) => sum + band.widthMm, 0)
  const off = (v: number) => Math.min(((v % repeat) + repeat) % repeat, ((-v % repeat) + repeat) % repeat)
  if (cloth.pattern.kind !== 'motif' && bands.every((band) => band.colour === bands[0]!.colour)) return 0
  const edges = bands.map((_, i) => bands.slice(0, i).reduce((sum, band) => sum + band.widthMm, 0))
  const colour = (v: number) => bands[edges.findLastIndex((e) => e <= ((v % repeat) + repeat) % repeat)]!.colour
  const samples = edges.flatMap((e, i) => [
    e + bands[i]!.widthMm * 0.25,
    e + bands[i]!.widthMm * 0.5,
    e + bands[i]!.widthMm * 0.75,
  ])
  const mirrors =
    cloth.pattern.kind === 'motif'
      ? []
      : edges
          .flatMap((e) => edges.flatMap((f) => [(e + f) / 2, (e + f + repeat) / 2]))
          .filter((axis) => samples.every((s) => colour(2 * axis - s) === colour(s)))
  return Math.min(off(a - b), ...mirrors.map((axis) => off(a + b - 2 * axis)))
}
