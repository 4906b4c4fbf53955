import { phrase } from '../../language/index.ts'
import {
  alongEdge,
  at,
  boxOf,
  edgeLength,
  isSimple,
  keepLeftOf,
  wholeOf,
  withoutSlivers,
  type CutOff,
  type Outline,
  type Point,
} from '../../outline/index.ts'
import { given, over, type Figure, type Operand } from '../../working/index.ts'
import type { Mark } from '../panel.ts'
import type { EdgeDraft, PanelDraft, SizeSums } from '../parts/panel-draft.ts'
import type { SeamDraft } from '../seam.ts'
import type { EdgeSpan, PieceEdges } from './on-pieces.ts'

/** Joins that run up a panel part its width, joins across it its height. */
export type Axis = 'x' | 'y'

/** A panel cut into pieces: each drawn where it lies in the plane of the whole, and how they are joined again. */
export interface CutPanel {
  readonly pieces: readonly (PieceEdges & { readonly draft: PanelDraft })[]
  readonly seams: readonly SeamDraft[]
}

/**
 * Cuts a drafted panel along straight lines square to one of its axes. Every new edge takes a seam allowance. Null
 * where a line does not part what it meets in two: through a hollow, or across one bow twice.
 */
export function cutPanel(panel: PanelDraft, axis: Axis, placesMm: readonly number[], seam: Figure): CutPanel | null {
  const box = boxOf(panel.finished)
  const [low, high] = axis === 'x' ? [box.minX, box.maxX] : [box.minY, box.maxY]
  const lines = [low, ...placesMm, high]
  const parts = lines
    .slice(1)
    .map((to, i) => stripOf(panel.finished, axis, i === 0 ? null : lines[i]!, i === lines.length - 2 ? null : to))
  if (!parts.every(isOnePart)) return null
  const count = parts.length
  const isEven = lines.slice(1).every((to, i) => Math.abs(to - lines[i]! - (high - low) / count) < EVEN_MM)
  const pieces = parts.map((part, i) => {
    const id = `${panel.id}.${i + 1}`
    const edges = part.sources.map((source): EdgeDraft =>
      source >= 0
        ? panel.edges[source]!
        : { name: joinName(source === BEFORE ? i : i + 1, count), treatment: 'seam', allowances: [seam] },
    )
    const draft: PanelDraft = {
      ...panel,
      id,
      name: phrase`${panel.name}, piece ${i + 1} of ${count}`,
      rule: phrase`${panel.rule}; joined of ${count} pieces`,
      finished: part.outline,
      edges,
      sums: panel.sums && pieceSums(panel.sums, edges, axis, { i, count, isEven, mm: lines[i + 1]! - lines[i]! }),
      marks: (panel.marks ?? []).flatMap((m) =>
        markBetween(m, axis, i === 0 ? -Infinity : lines[i]!, i === count - 1 ? Infinity : lines[i + 1]!),
      ),
      piece: { of: panel.id, number: i + 1, count },
    }
    return { id, draft, spans: spansOf(panel, part) }
  })
  return {
    pieces,
    seams: placesMm.map((_, i) => joinSeam(panel, pieces[i]!.draft, pieces[i + 1]!.draft, i + 1, count)),
  }
}

/** The source of an edge that the join before a piece made; the one after it made −1. */
const BEFORE = -2
const EVEN_MM = 0.01
/** An edge shorter than this, left where a join passes a corner, is closed up. */
const SLIVER_MM = 0.2

/** Lines square to an axis: a place on each, and the ways along it that keep what lies before it and after it. */
export const linesOf = (axis: Axis) =>
  axis === 'x'
    ? { on: (v: number): Point => at(v, 0), up: at(0, 1), down: at(0, -1) }
    : { on: (v: number): Point => at(0, v), up: at(-1, 0), down: at(1, 0) }

/** What of an outline lies between two lines; null is its own end. */
function stripOf(outline: Outline, axis: Axis, fromMm: number | null, toMm: number | null): CutOff {
  const { on, up, down } = linesOf(axis)
  const after = fromMm === null ? wholeOf(outline) : keepLeftOf(wholeOf(outline), on(fromMm), down)
  const named = { outline: after.outline, sources: after.sources.map((s) => (s < 0 ? BEFORE : s)) }
  return withoutSlivers(toMm === null ? named : keepLeftOf(named, on(toMm), up), SLIVER_MM)
}

const isOnePart = ({ outline, sources }: CutOff): boolean =>
  outline.length > 2 && new Set(sources).size === sources.length && isSimple(outline)

const joinName = (number: number, count: number): string => (count === 2 ? 'join' : `join ${number}`)

/** Which parts of the whole panel's edges a part of it holds. */
export const spansOf = (panel: PanelDraft, { outline, sources }: CutOff): readonly EdgeSpan[] =>
  sources.flatMap((source, i) => {
    if (source < 0) return []
    const fromMm = alongEdge(panel.finished, source, outline[i]!)
    return [{ edge: panel.edges[source]!.name, fromMm, toMm: fromMm + edgeLength(outline, i) }]
  })

/** Sizes over all as sums, for a piece of a rectangle: its share of the one way, all of the other. */
function pieceSums(
  sums: SizeSums,
  edges: readonly EdgeDraft[],
  axis: Axis,
  {
    i,
    count,
    isEven,
    mm,
  }: { readonly i: number; readonly count: number; readonly isEven: boolean; readonly mm: number },
): SizeSums | null {
  const share = (whole: Operand): Operand =>
    isEven ? over(whole, given(count, 'count', 'pieces')) : given(mm, 'length', 'from join to join')
  const [first, last] = [joinName(i, count), joinName(i + 1, count)]
  const own =
    axis === 'x'
      ? {
          ...sums,
          width: share(sums.width),
          left: i === 0 ? sums.left : first,
          right: i === count - 1 ? sums.right : last,
        }
      : {
          ...sums,
          height: share(sums.height),
          bottom: i === 0 ? sums.bottom : first,
          top: i === count - 1 ? sums.top : last,
        }
  const has = (name: string) => edges.some((e) => e.name === name)
  return [own.left, own.right, own.bottom, own.top].every(has) ? own : null
}

/** What of a mark lies on a piece; a place on a join is marked on the piece before it. */
function markBetween(mark: Mark, axis: Axis, low: number, high: number): readonly Mark[] {
  const { path } = mark
  if (path.length === 1) return path[0]![axis] > low && path[0]![axis] <= high ? [mark] : []
  const runs: Point[][] = []
  path.slice(1).forEach((q, i) => {
    const held = segmentBetween(path[i]!, q, axis, low, high)
    if (!held) return
    const last = runs.at(-1)?.at(-1)
    if (last && Math.hypot(last.x - held[0].x, last.y - held[0].y) < 1e-6) runs.at(-1)!.push(held[1])
    else runs.push([...held])
  })
  return runs.map((run) => ({ ...mark, path: run }))
}

function segmentBetween(p: Point, q: Point, axis: Axis, low: number, high: number): readonly [Point, Point] | null {
  const rise = q[axis] - p[axis]
  if (Math.abs(rise) < 1e-9) return p[axis] > low && p[axis] <= high ? [p, q] : null
  const [s, t] = [(low - p[axis]) / rise, (high - p[axis]) / rise]
  const [from, to] = [Math.max(0, Math.min(s, t)), Math.min(1, Math.max(s, t))]
  const on = (share: number): Point => at(p.x + (q.x - p.x) * share, p.y + (q.y - p.y) * share)
  return to - from > 1e-9 ? [on(from), on(to)] : null
}

/** Counter-clockwise, the earlier piece runs up the join and the later one down it. */
function joinSeam(panel: PanelDraft, before: PanelDraft, after: PanelDraft, number: number, count: number): SeamDraft {
  const edge = joinName(number, count)
  const mm = edgeLength(
    before.finished,
    before.edges.findIndex((e) => e.name === edge),
  )
  const name = panel.name.toLowerCase()
  return {
    name: count === 2 ? phrase`join of the ${name}` : phrase`join ${number} of the ${name}`,
    kind: 'join',
    pairs: [{ a: { panel: before.id, edge, from: 0, to: mm }, b: { panel: after.id, edge, from: mm, to: 0 } }],
  }
}
