import type { EarCut } from '../../../contract/index.ts'
import {
  at,
  directionOn,
  dressCorners,
  edgeLength,
  onEdge,
  stretchOf,
  turnAt,
  type EdgeSource,
  type Outline,
  type Vertex,
} from '../../outline/index.ts'

/** An outline with its corners eased; `sources[i]` is the edge that edge i comes from or runs into. */
export interface Eased {
  readonly outline: Outline
  readonly sources: readonly number[]
}

/** Blunter corners do not stand up. */
const EAR_RAD = (25 * Math.PI) / 180

/**
 * The same template on every corner that would stand up as an ear: rounded by a share of the
 * thickness, drawn in by so much over so much of each edge, or cut off and its ends rounded. Where an edge is too short for it,
 * the template is made smaller for all.
 */
export function easeCorners(outline: Outline, ears: EarCut, thicknessMm: number): Eased {
  const sharp = outline.map((_, i) => turnAt(outline, i) > EAR_RAD)
  const shortest = Math.min(...outline.map((_, i) => edgeLength(outline, i)))
  switch (ears.kind) {
    case 'ears':
      return { outline, sources: outline.map((_, i) => i) }
    case 'rounded':
      return rounded(outline, sharp, Math.min(ears.radiusShare * thicknessMm, shortest * ROOM))
    case 'tapered':
      return tapered(outline, sharp, Math.min(ears.overMm, shortest * ROOM), Math.min(ears.inMm, shortest * ROOM * 0.5))
    case 'cut-off':
      return cutOff(outline, sharp, Math.min(ears.cutMm, shortest * ROOM), ears.curveMm)
    default:
      return ears satisfies never
  }
}

/** Of an edge, what one corner may use. */
const ROOM = 0.45

function rounded(outline: Outline, sharp: readonly boolean[], radiusMm: number): Eased {
  const dressed = dressCorners(
    outline,
    sharp.map((is) => (is ? { kind: 'round', radiusMm } : { kind: 'square' })),
  )
  if (!('outline' in dressed))
    return radiusMm > 1 ? rounded(outline, sharp, radiusMm / 2) : { outline, sources: outline.map((_, i) => i) }
  return { outline: dressed.outline, sources: dressed.sources.map((s) => (s.kind === 'edge' ? s.edge : s.corner)) }
}

/** Cut off straight, by as much along both edges; then each end of the cut is rounded, as far as there is room. */
function cutOff(outline: Outline, sharp: readonly boolean[], cutMm: number, curveMm: number): Eased {
  const cut = dressCorners(
    outline,
    sharp.map((is) => (is ? { kind: 'cut', arrivingMm: cutMm, leavingMm: cutMm } : { kind: 'square' })),
  )
  if (!('outline' in cut)) return { outline, sources: outline.map((_, i) => i) }
  const edgeOf = (s: EdgeSource): number => (s.kind === 'edge' ? s.edge : s.corner)
  const isCut = (i: number) => cut.sources[i]!.kind === 'corner'
  const before = (i: number) => (i + cut.outline.length - 1) % cut.outline.length
  const curved = dressCorners(
    cut.outline,
    cut.outline.map((_, i) =>
      isCut(i) || isCut(before(i)) ? { kind: 'round', radiusMm: curveMm } : { kind: 'square' },
    ),
  )
  if (!('outline' in curved))
    return curveMm > 1
      ? cutOff(outline, sharp, cutMm, curveMm / 2)
      : { outline: cut.outline, sources: cut.sources.map(edgeOf) }
  return { outline: curved.outline, sources: curved.sources.map((s) => edgeOf(cut.sources[edgeOf(s)]!)) }
}

function tapered(outline: Outline, sharp: readonly boolean[], overMm: number, inMm: number): Eased {
  const n = outline.length
  const result: Vertex[] = []
  const sources: number[] = []
  const put = (v: Vertex, source: number) => {
    result.push(v)
    sources.push(source)
  }
  outline.forEach((corner, i) => {
    const length = edgeLength(outline, i)
    const next = (i + 1) % n
    const [from, to] = [sharp[i] ? overMm / length : 0, sharp[next] ? 1 - overMm / length : 1]
    if (sharp[i]) {
      const [before, after] = [directionOn(outline, (i + n - 1) % n, 1), directionOn(outline, i, 0)]
      // In from both edges: back along the one that arrives, on along the one that leaves.
      const sine = Math.abs(before.x * after.y - before.y * after.x) || 1
      put(at(corner.x + ((after.x - before.x) * inMm) / sine, corner.y + ((after.y - before.y) * inMm) / sine), i)
    }
    put(stretchOf(outline, i, from, to), i)
    if (sharp[next]) put(at(onEdge(outline, i, to).x, onEdge(outline, i, to).y), i)
  })
  return { outline: result, sources }
}
