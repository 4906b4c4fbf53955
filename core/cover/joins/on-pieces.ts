import { partnerPlace, type SeamDraft, type SeamPair, type Stretch } from '../seam.ts'

/** Part of an edge of a whole panel, in mm along that edge. */
export interface EdgeSpan {
  readonly edge: string
  readonly fromMm: number
  readonly toMm: number
}

/** A piece of a panel: what it is called, and which parts of the whole panel's edges it holds, under their names. */
export interface PieceEdges {
  readonly id: string
  readonly spans: readonly EdgeSpan[]
}

/** The pieces that panels are cut into, by the panel's id. */
export type PiecesOf = ReadonlyMap<string, readonly PieceEdges[]>

/** Pairs told on whole panels, told on whichever pieces hold them; each of them is parted wherever a piece ends. */
export const onPieces = (pairs: readonly SeamPair[], pieces: PiecesOf): readonly SeamPair[] =>
  pairs
    .flatMap((pair) => sideOnPieces(pair, pieces))
    .flatMap((pair) => sideOnPieces(otherWay(pair), pieces).map(otherWay))

/** The same seams, their pairs parted wherever a piece ends, and still told on the whole panels. */
export const partedByPieces = <S extends Pick<SeamDraft, 'pairs'>>(
  seams: readonly S[],
  pieces: PiecesOf,
): readonly S[] =>
  seams.map((s) => ({
    ...s,
    pairs: s.pairs
      .flatMap((pair) => heldBy(pair, pieces).map((h) => h.whole))
      .flatMap((pair) => heldBy(otherWay(pair), pieces).map((h) => otherWay(h.whole))),
  }))

const otherWay = ({ a, b }: SeamPair): SeamPair => ({ a: b, b: a })

const sideOnPieces = (pair: SeamPair, pieces: PiecesOf): readonly SeamPair[] =>
  heldBy(pair, pieces).map(({ whole, a }) => ({ a, b: whole.b }))

interface Held {
  /** The part of the pair, told on the whole panel, and its first side as it lies on the piece. */
  readonly whole: SeamPair
  readonly a: Stretch
}

/** The parts of a pair that single pieces hold of its first side, in the direction it is sewn. */
function heldBy(pair: SeamPair, pieces: PiecesOf): readonly Held[] {
  const { a, b } = pair
  const cut = pieces.get(a.panel)
  if (!cut) return [{ whole: pair, a }]
  const [low, high] = [Math.min(a.from, a.to), Math.max(a.from, a.to)]
  const forth = a.from <= a.to
  return cut
    .flatMap(({ id, spans }) =>
      spans
        .filter((s) => s.edge === a.edge)
        .map((s) => ({ id, start: s.fromMm, low: Math.max(low, s.fromMm), high: Math.min(high, s.toMm) })),
    )
    .filter((s) => s.high - s.low > HAIR_MM)
    .toSorted((p, q) => (forth ? p.low - q.low : q.low - p.low))
    .map((s) => {
      const [from, to] = forth ? [s.low, s.high] : [s.high, s.low]
      return {
        whole: { a: { ...a, from, to }, b: { ...b, from: partnerPlace(a, b, from), to: partnerPlace(a, b, to) } },
        a: { panel: s.id, edge: a.edge, from: from - s.start, to: to - s.start },
      }
    })
}

const HAIR_MM = 1e-6
