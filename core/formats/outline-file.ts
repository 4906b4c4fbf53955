import { phrase } from '../language/index.ts'
import {
  areaOf,
  at,
  boxOf,
  distance,
  isSimple,
  isStraight,
  riseOfBulge,
  vertex,
  type Outline,
  type Point,
  type Vertex,
} from '../outline/index.ts'
import { err, ok, type Result } from '../result/index.ts'

/** A line read from a drawing, in mm, y up: its corners, and whether it closes. */
export interface DrawnLine {
  readonly vertices: readonly Vertex[]
  readonly isClosed: boolean
}

export interface ReadDrawing {
  readonly lines: readonly DrawnLine[]
  readonly report: readonly string[]
}

export interface TracedPoint {
  readonly x: number
  readonly y: number
  readonly riseMm: number
}

/** An outline taken from a drawing, and what was done to it on the way. */
export interface TracedOutline {
  readonly points: readonly TracedPoint[]
  readonly report: readonly string[]
}

export type OutlineFault =
  | { readonly code: 'not-readable'; readonly why: string }
  | { readonly code: 'unknown-kind'; readonly name: string }
  | { readonly code: 'nothing-drawn'; readonly skipped: readonly string[] }
  | { readonly code: 'nothing-closed'; readonly lines: number; readonly gapMm: number }
  | { readonly code: 'crosses-itself' }
  | { readonly code: 'too-many-points'; readonly points: number }
  | { readonly code: 'size'; readonly mm: number }

/** Ends nearer than this are one corner; a drawing's pen is thicker. */
const JOIN_MM = 1
const MOST_POINTS = 1000
const [LEAST_MM, MOST_MM] = [20, 20_000]

/** The largest closed line of a drawing as an outline, its box at the origin; loose ends are joined where they meet. */
export function tracedOutline({ lines, report }: ReadDrawing): Result<TracedOutline, OutlineFault> {
  if (lines.length === 0) return err({ code: 'nothing-drawn', skipped: report })
  const { loops, open } = closedLoops(lines)
  if (loops.length === 0)
    return err({
      code: 'nothing-closed',
      lines: open.length,
      gapMm: Math.min(...open.map((l) => distance(l[0]!, l.at(-1)!))),
    })
  const [largest, ...others] = loops.toSorted((a, b) => Math.abs(areaOf(b)) - Math.abs(areaOf(a)))
  const outline = thinned(largest!)
  const box = boxOf(outline)
  const size = Math.max(box.maxX - box.minX, box.maxY - box.minY)
  if (!(size >= LEAST_MM && size <= MOST_MM)) return err({ code: 'size', mm: size })
  if (outline.length > MOST_POINTS) return err({ code: 'too-many-points', points: outline.length })
  if (!isSimple(outline) || !hasArea(outline)) return err({ code: 'crosses-itself' })
  const said = [
    ...report,
    ...(outline.length < largest!.length
      ? [phrase`${largest!.length - outline.length} points that lie within 0.05 mm of a straight line were left out`]
      : []),
    ...(others.length > 0
      ? [
          phrase`${others.length} smaller closed line${others.length === 1 ? ' was' : 's were'} left out: only the largest outline is taken`,
        ]
      : []),
    ...(open.length > 0
      ? [phrase`${open.length} line${open.length === 1 ? '' : 's'} that do not close were left out`]
      : []),
  ]
  return ok({ points: asPoints(areaOf(outline) < 0 ? reversed(outline) : outline, box.minX, box.minY), report: said })
}

function asPoints(outline: Outline, minX: number, minY: number): readonly TracedPoint[] {
  const round = (mm: number) => Math.round(mm * 1000) / 1000
  return outline.map((v, i) => {
    const next = outline[(i + 1) % outline.length]!
    return {
      x: round(v.x - minX),
      y: round(v.y - minY),
      riseMm: isStraight(v.bulge) ? 0 : round(riseOfBulge(distance(v, next), v.bulge!)),
    }
  })
}

/** Read the other way round: an edge starts at what was its end and turns the other way. */
export const reversed = (outline: Outline): Outline =>
  outline.map((_, i) => {
    const n = outline.length
    return vertex(outline[(n - i) % n]!, -(outline[n - 1 - i]!.bulge ?? 0))
  })

/** Chains lines by their ends. Vertices of an open chain end with a vertex of no edge. */
function closedLoops(lines: readonly DrawnLine[]): {
  readonly loops: readonly Outline[]
  readonly open: readonly (readonly Vertex[])[]
} {
  const loops: Outline[] = lines.filter((l) => l.isClosed && l.vertices.length > 1).map((l) => dropRepeated(l.vertices))
  const left = lines.filter((l) => !l.isClosed && l.vertices.length > 1).map((l) => [...l.vertices])
  const open: Vertex[][] = []
  while (left.length > 0) {
    let chain = left.shift()!
    for (let found = true; found;) {
      found = false
      if (chain.length > 2 && distance(chain[0]!, chain.at(-1)!) < JOIN_MM) break
      for (const [i, other] of left.entries()) {
        const joined = joinEnds(chain, other)
        if (!joined) continue
        chain = joined
        left.splice(i, 1)
        found = true
        break
      }
    }
    if (chain.length > 2 && distance(chain[0]!, chain.at(-1)!) < JOIN_MM) loops.push(chain.slice(0, -1))
    else open.push(chain)
  }
  // One that encloses nothing, as an 8 does whose halves are alike, only counts where there is no other.
  const enclosing = loops.filter(hasArea)
  return { loops: enclosing.length > 0 ? enclosing : loops, open }
}

const hasArea = (loop: Outline): boolean => Math.abs(areaOf(loop)) > 1

function joinEnds(a: readonly Vertex[], b: readonly Vertex[]): Vertex[] | null {
  const backwards = (line: readonly Vertex[]): Vertex[] =>
    line.map((_, i) =>
      vertex(line[line.length - 1 - i]!, i + 1 < line.length ? -(line[line.length - 2 - i]!.bulge ?? 0) : 0),
    )
  const meets = (p: Point, q: Point) => distance(p, q) < JOIN_MM
  if (meets(a.at(-1)!, b[0]!)) return [...a.slice(0, -1), ...b]
  if (meets(a.at(-1)!, b.at(-1)!)) return [...a.slice(0, -1), ...backwards(b)]
  if (meets(a[0]!, b.at(-1)!)) return [...b.slice(0, -1), ...a]
  return meets(a[0]!, b[0]!) ? [...backwards(b).slice(0, -1), ...a] : null
}

const dropRepeated = (loop: readonly Vertex[]): Outline =>
  loop.filter((v, i) => distance(v, loop[(i + 1) % loop.length]!) > 1e-6 || !isStraight(v.bulge))

/** Straight stretches of many points keep those that matter (Douglas and Peucker, 0.05 mm). */
function thinned(outline: Outline): Outline {
  const keep = new Set<number>()
  const n = outline.length
  const fixed = outline.flatMap((v, i) =>
    !isStraight(v.bulge) || !isStraight(outline[(i + n - 1) % n]!.bulge) || i === 0 ? [i] : [],
  )
  const far = fixed.length > 1 ? fixed : [0, farthest(outline)]
  far.forEach((start, k) => thin(outline, start, far[(k + 1) % far.length]! + (k === far.length - 1 ? n : 0), keep))
  return outline.filter((_, i) => keep.has(i))
}

const farthest = (outline: Outline): number =>
  outline.reduce((best, v, i) => (distance(v, outline[0]!) > distance(outline[best]!, outline[0]!) ? i : best), 0)
const THIN_MM = 0.05

function thin(outline: Outline, from: number, to: number, keep: Set<number>): void {
  const n = outline.length
  keep.add(from % n)
  keep.add(to % n)
  const [a, b] = [outline[from % n]!, outline[to % n]!]
  let [worst, at2] = [THIN_MM, -1]
  for (let i = from + 1; i < to; i++) {
    const off = offLine(outline[i % n]!, a, b)
    if (off > worst) [worst, at2] = [off, i]
  }
  if (at2 < 0) return
  thin(outline, from, at2, keep)
  thin(outline, at2, to, keep)
}

function offLine(p: Point, a: Point, b: Point): number {
  const length = distance(a, b)
  if (length < 1e-9) return distance(p, a)
  const along = ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / (length * length)
  const foot = at(
    a.x + (b.x - a.x) * Math.min(1, Math.max(0, along)),
    a.y + (b.y - a.y) * Math.min(1, Math.max(0, along)),
  )
  return distance(p, foot)
}
