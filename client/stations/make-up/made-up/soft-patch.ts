import { facetsOf, type Facets, type Patch, type Space } from '../../../../core/cover/index.ts'
import { boxOf, distanceFromEdge, flatten, isInside, type Point } from '../../../../core/outline/index.ts'
import { risesBy, type Crown } from './crown.ts'

/** A patch as it stands out when it is filled: corner i of `flat` lies at `space` i, square to `normals` i. */
export interface SoftPatch extends Facets {
  readonly normals: readonly Space[]
}

/** Curves are drawn within this of the true surface. */
const FINE_MM = 1.2
/** What is filled out is round everywhere: coarser facets do, lit smoothly. */
const FULL_FINE_MM = 2.4
/** A face is cut so small that its roundness shows. */
const CELL_MM = 70
/** From here inwards a face is as high as it gets. */
const REACH_MM = 170
/** What is lower than this lies between two seams that hold it. */
const SIDE_MM = 200

/** The patch standing out by its crown. What is filled out already stays as it is; edges stay where the seams are. */
export function softPatch(patch: Patch, { faceMm, sideMm }: Crown): SoftPatch {
  const edge = flatten(patch.outline, FINE_MM)
  const box = boxOf(edge)
  const narrowMm = Math.min(box.maxX - box.minX, box.maxY - box.minY)
  const crownMm = patch.bend === 'full' ? 0 : narrowMm < SIDE_MM ? sideMm : faceMm
  const reachMm = Math.min(REACH_MM, narrowMm / 2)
  const raised = (p: Point): Space => {
    // A hair beyond the edge it goes on falling, so that it is rounded right up to its seam.
    const inward = distanceFromEdge(edge, p) * (isInside(edge, p) ? 1 : -1)
    const up = crownMm * risesBy(inward, reachMm)
    return up === 0 ? patch.place(p) : along(patch.place(p), normalOf(patch.place, p), up)
  }
  const { flat, triangles } = shared(
    facetsOf(patch, patch.bend === 'full' ? FULL_FINE_MM : FINE_MM, Math.min(CELL_MM, Math.max(20, narrowMm / 4))),
  )
  return { flat, triangles, space: flat.map(raised), normals: flat.map((p) => normalOf(raised, p)) }
}

/** Facets that meet share their corners: a quarter of the corners, and one normal for each. */
function shared({ flat, triangles }: Facets): Pick<Facets, 'flat' | 'triangles'> {
  const places = new Map<string, number>()
  const corners: Point[] = []
  const now = flat.map((p) => {
    const key = `${p.x.toFixed(4)} ${p.y.toFixed(4)}`
    if (!places.has(key)) places.set(key, corners.push(p) - 1)
    return places.get(key)!
  })
  return { flat: corners, triangles: triangles.map(([a, b, c]) => [now[a]!, now[b]!, now[c]!]) }
}

const STEP_MM = 0.5

/** Square to a surface, outwards: both ways along the cloth, crossed. */
function normalOf(place: (p: Point) => Space, { x, y }: Point): Space {
  const u = minus(place({ x: x + STEP_MM, y }), place({ x: x - STEP_MM, y }))
  const v = minus(place({ x, y: y + STEP_MM }), place({ x, y: y - STEP_MM }))
  const n = { x: u.y * v.z - u.z * v.y, y: u.z * v.x - u.x * v.z, z: u.x * v.y - u.y * v.x }
  const length = Math.hypot(n.x, n.y, n.z)
  return length === 0 ? { x: 0, y: 0, z: 1 } : { x: n.x / length, y: n.y / length, z: n.z / length }
}

const minus = (a: Space, b: Space): Space => ({ x: a.x - b.x, y: a.y - b.y, z: a.z - b.z })
const along = (a: Space, n: Space, by: number): Space => ({ x: a.x + n.x * by, y: a.y + n.y * by, z: a.z + n.z * by })
