import earcut from 'earcut'
import { boxOf, flatten, type Point } from '../outline/index.ts'
import type { Patch } from './patch.ts'
import { spaceBetween, type Space } from './space.ts'

/**
 * A patch in flat triangles: corner i of `flat` lies at corner i of `space`; three indices a triangle, right side up.
 */
export interface Facets {
  readonly flat: readonly Point[]
  readonly space: readonly Space[]
  readonly triangles: readonly (readonly [number, number, number])[]
}

/** A patch for drawing, its curves within about `fineMm` of the true surface, no facet larger than `mostMm` square. */
export function facetsOf(patch: Patch, fineMm: number, mostMm = Infinity): Facets {
  const outline = flatten(patch.outline, fineMm)
  const { minX, minY, maxX, maxY } = boxOf(outline)
  const [bentAcross, bentUp] =
    patch.bend === 'flat'
      ? [1, 1]
      : [
          slicesOf(patch, minX, maxX, (v, m) => ({ x: v, y: m }), (minY + maxY) / 2, fineMm),
          slicesOf(patch, minY, maxY, (v, m) => ({ x: m, y: v }), (minX + maxX) / 2, fineMm),
        ]
  const across = Math.max(bentAcross, Math.ceil((maxX - minX) / mostMm))
  const up = Math.max(bentUp, Math.ceil((maxY - minY) / mostMm))
  const [flat, triangles]: [Point[], [number, number, number][]] = [[], []]
  for (let i = 0; i < across; i++) {
    for (let j = 0; j < up; j++) {
      const [x0, x1] = [minX + ((maxX - minX) * i) / across, minX + ((maxX - minX) * (i + 1)) / across]
      const [y0, y1] = [minY + ((maxY - minY) * j) / up, minY + ((maxY - minY) * (j + 1)) / up]
      const piece =
        across * up === 1
          ? outline
          : clip(
              clip(
                clip(
                  clip(outline, (p) => p.x - x0),
                  (p) => x1 - p.x,
                ),
                (p) => p.y - y0,
              ),
              (p) => y1 - p.y,
            )
      if (piece.length < 3) continue
      const start = flat.length
      flat.push(...piece)
      const found = earcut(piece.flatMap((p) => [p.x, p.y]))
      for (let k = 0; k < found.length; k += 3)
        triangles.push(rightSideUp(flat, start + found[k]!, start + found[k + 1]!, start + found[k + 2]!))
    }
  }
  return { flat, space: flat.map(patch.place), triangles }
}

const MOST_SLICES = 40

/** So many slices that chords stay near the surface along the middle line of a patch. */
function slicesOf(
  patch: Patch,
  from: number,
  to: number,
  at: (v: number, m: number) => Point,
  middle: number,
  fineMm: number,
): number {
  for (let n = 1; n < MOST_SLICES; n *= 2) {
    const step = (to - from) / n
    const off = Array.from({ length: n }, (_, k) => {
      const [a, b, m] = [
        at(from + k * step, middle),
        at(from + (k + 1) * step, middle),
        at(from + (k + 0.5) * step, middle),
      ].map(patch.place) as [Space, Space, Space]
      return spaceBetween(m, { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2, z: (a.z + b.z) / 2 })
    })
    if (Math.max(...off) <= fineMm * (patch.bend === 'full' ? PILLOW : 1)) return n
  }
  return MOST_SLICES
}

/** A pillow rises steeply at its seam: there a finer step would never end. */
const PILLOW = 3

/** The part of a polygon where `side` is not negative; after Sutherland and Hodgman. */
function clip(polygon: readonly Point[], side: (p: Point) => number): readonly Point[] {
  return polygon.flatMap((a, i) => {
    const b = polygon[(i + 1) % polygon.length]!
    const [da, db] = [side(a), side(b)]
    const kept = da >= 0 ? [a] : []
    if (da >= 0 === db >= 0) return kept
    const share = da / (da - db)
    return [...kept, { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share }]
  })
}

function rightSideUp(flat: readonly Point[], a: number, b: number, c: number): [number, number, number] {
  const [p, q, r] = [flat[a]!, flat[b]!, flat[c]!]
  return (q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x) > 0 ? [a, b, c] : [a, c, b]
}

/** Volume in mm³ within closed patches, their right sides out. */
export function volumeWithin(patches: readonly Patch[], fineMm: number): number {
  return patches.reduce((sum, patch) => {
    const { space, triangles } = facetsOf(patch, fineMm)
    return sum + triangles.reduce((part, [i, j, k]) => part + sixfold(space[i]!, space[j]!, space[k]!) / 6, 0)
  }, 0)
}

const sixfold = (a: Space, b: Space, c: Space): number =>
  a.x * (b.y * c.z - b.z * c.y) + a.y * (b.z * c.x - b.x * c.z) + a.z * (b.x * c.y - b.y * c.x)
