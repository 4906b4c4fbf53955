import { panelOf, type Cover } from '../../../core/cover/index.ts'
import { at, edgeLength, flatten, isSmoothAt, onEdge, type Point } from '../../../core/outline/index.ts'

/** Seen from the front right above: widths and heights to scale, depth shortened. */
export const BACK = { x: Math.cos((35 * Math.PI) / 180) * 0.55, y: Math.sin((35 * Math.PI) / 180) * 0.55 }
export const seen = (p: Point, z: number): Point => at(p.x + p.y * BACK.x, z + p.y * BACK.y)

/** A flat stretch of the cushion's side. */
export interface WallFace {
  readonly panel: string
  readonly side: string
  readonly corners: readonly [Point, Point, Point, Point]
  /** From the start of its edge, along the foot. */
  readonly fromMm: number
  readonly foot: readonly [Point, Point]
  readonly isSeen: boolean
  /** Whether a corner or the end of a panel shows as a line at its start, and at its end. */
  readonly lines: { readonly start: boolean; readonly end: boolean }
  /** Middle of the back corner first: drawn in this order nearer faces cover farther ones. */
  readonly far: number
}

/** The sides of a finished cushion, each with the panel that covers it. */
export function wallFaces(cover: Cover): readonly WallFace[] {
  const { foot, top, heightMm } = cover.wall
  const plate = panelOf(cover, 'top-plate')
  const pairs = cover.seams.filter((s) => s.kind === 'plate').at(-1)!.pairs
  const faces = pairs.flatMap(({ a, b }): readonly WallFace[] => {
    const i = plate.edges.findIndex((e) => e.name === a.edge)
    const topLength = edgeLength(top, i)
    const [from, to] = [a.from / topLength, a.to / topLength]
    const steps = Math.max(1, Math.round((to - from) * (flatten([foot[i]!, { x: foot[(i + 1) % foot.length]!.x, y: foot[(i + 1) % foot.length]!.y }], 1).length - 1)))
    return Array.from({ length: steps }, (_, k) => {
      const [s0, s1] = [from + ((to - from) * k) / steps, from + ((to - from) * (k + 1)) / steps]
      const [p, q] = [onEdge(foot, i, s0), onEdge(foot, i, s1)]
      const corners = [seen(p, 0), seen(q, 0), seen(onEdge(top, i, s1), heightMm), seen(onEdge(top, i, s0), heightMm)] as const
      // What is drawn counter-clockwise shows its outside.
      const turn = corners.reduce((sum, c, n) => sum + c.x * corners[(n + 1) % 4]!.y - corners[(n + 1) % 4]!.x * c.y, 0)
      const lines = { start: k === 0 && (a.from > 1e-6 || !isSmoothAt(foot, i)), end: k === steps - 1 && (a.to < topLength - 1e-6 || !isSmoothAt(foot, (i + 1) % foot.length)) }
      return { lines, panel: b.panel, side: plate.edges[i]!.side!, corners, fromMm: s0 * edgeLength(foot, i), foot: [p, q], isSeen: turn > 1e-6, far: p.y + q.y }
    })
  })
  return faces.filter((f) => f.isSeen).toSorted((a, b) => b.far - a.far)
}
