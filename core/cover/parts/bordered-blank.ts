import {
  at,
  boxOf,
  directionOn,
  edgeLength,
  isSmoothAt,
  isStraight,
  rightOf,
  turnAt,
  vertex,
  type Outline,
  type Point,
  type Vertex,
} from '../../outline/index.ts'
import type { Solid } from '../../seat/index.ts'
import type { Operand } from '../../working/index.ts'
import type { Figure } from '../../working/index.ts'
import type { Patch } from '../patch.ts'
import type { RefusalReason } from '../refusal.ts'
import type { SeamDraft, Stretch } from '../seam.ts'
import { inSpace } from '../space.ts'
import { flatEdge, wallPoint, type Wall } from '../wall.ts'
import { shapedPanel, type EdgeDraft, type PanelDraft, type PanelHead } from './panel-draft.ts'
import { edgeNames, isLevelBox } from './plates.ts'
import type { EdgeKind } from './strips.ts'

export interface BlankDraft {
  readonly solid: Solid
  /** What the borders stand on, from their lower edge to the top. */
  readonly wall: Wall
  readonly head: PanelHead
  /** The lower edge of every border. */
  readonly border: EdgeKind
  /** The two edges of each corner that is sewn. */
  readonly corner: EdgeKind
  /** What a corner is called at the start of an edge. */
  readonly cornerAt: (edge: string) => string
  readonly sums: { readonly width: Operand; readonly height: Operand }
  readonly seam: Figure
}

/** A top with its sides in one blank, the corners cut out. */
export interface BorderedBlank {
  readonly panel: PanelDraft
  readonly patches: readonly Patch[]
  /** One seam for each corner, from the top down. */
  readonly corners: readonly SeamDraft[]
  /** A stretch of the lower edge of a border, in mm from the start of its foot edge. */
  readonly stretch: (edge: number, from: number, to: number) => Stretch
}

/**
 * Borders are folded down along straight edges; they cannot follow a bow, and at an inward corner they would lie on
 * each other.
 */
export function borderedBlank(draft: BlankDraft): BorderedBlank | RefusalReason {
  const { solid, wall, head, border, corner } = draft
  const { top } = wall
  const bowed = top.findIndex((v) => !isStraight(v.bulge))
  if (bowed >= 0) return { code: 'bowed-edge', edge: solid.edges[bowed]!.name }
  const n = top.length
  const isCorner = top.map((_, i) => !isSmoothAt(top, i))
  if (top.some((_, i) => turnAt(top, i) < -1e-4)) return { code: 'inward-corner' }
  const flats = top.map((_, i) => flatEdge(wall, i))
  // Where the two allowances in a cut-out corner fill it, there is nothing to cut out.
  const tight = top.some((_, i) => isCorner[i] && draft.seam.value / Math.sin(turnAt(top, i) / 2) > flats[i]!.slant)
  if (tight) return { code: 'borders-collide' }
  const names = edgeNames(solid.edges)
  const outline: Vertex[] = []
  const edges: EdgeDraft[] = []
  const put = (p: Point, edge: EdgeDraft) => {
    outline.push(vertex(p))
    edges.push(edge)
  }
  const places = top.map((c, i) => {
    const way = directionOn(top, i, 0)
    const out = rightOf(way)
    const { topStart, footLength, slant } = flats[i]!
    const on = (place: number, up: number): Point =>
      at(
        c.x + way.x * (place - topStart) + out.x * (slant - up),
        c.y + way.y * (place - topStart) + out.y * (slant - up),
      )
    return { on, way, out, foot: [on(0, 0), on(footLength, 0)] as const }
  })
  top.forEach((c, i) => {
    const next = (i + 1) % n
    if (isCorner[i]) put(c, { name: `corner at ${names[i]!}, left`, ...corner })
    put(places[i]!.foot[0], { name: names[i]!, ...border, side: solid.edges[i]!.side })
    if (isCorner[next]) put(places[i]!.foot[1], { name: `corner at ${names[next]!}, right`, ...corner })
  })
  const of = (side: string) => names[solid.edges.findIndex((e) => e.side === side)]
  const [bottom, right, back, left] = ['front', 'right', 'back', 'left'].map(of)
  const sums =
    isLevelBox(solid) && bottom && right && back && left ? { ...draft.sums, bottom, right, top: back, left } : null
  const shift = boxOf(outline)
  const origin = at(shift.minX, shift.minY)
  const finished: Outline = outline.map((v) => at(v.x - origin.x, v.y - origin.y))
  const panel = shapedPanel(head, finished, edges, sums)
  return {
    panel,
    patches: [
      {
        panel: head.id,
        bend: 'flat',
        outline: top.map((v) => at(v.x - origin.x, v.y - origin.y)),
        place: (p) => inSpace(p.x + origin.x, p.y + origin.y, wall.heightMm),
      },
      ...top.map((_, i): Patch => flapPatch(wall, i, places[i]!, origin, head.id)),
    ],
    corners: top.flatMap((_, i) =>
      isCorner[i] ? [cornerSeam(head.id, names[i]!, draft.cornerAt, outline, edges)] : [],
    ),
    stretch: (edge, from, to) => ({ panel: head.id, edge: names[edge]!, from, to }),
  }
}

function flapPatch(
  wall: Wall,
  i: number,
  { on, way, out }: { on: (place: number, up: number) => Point; way: Point; out: Point },
  origin: Point,
  panel: string,
): Patch {
  const { footLength, slant, topStart, topEnd } = flatEdge(wall, i)
  const outline = [on(0, 0), on(footLength, 0), on(topEnd, slant), on(topStart, slant)].map((p) =>
    at(p.x - origin.x, p.y - origin.y),
  )
  const foot = on(0, 0)
  return {
    panel,
    bend: 'flat',
    outline,
    place: (p) => {
      const [dx, dy] = [p.x + origin.x - foot.x, p.y + origin.y - foot.y]
      return wallPoint(wall, i, dx * way.x + dy * way.y, -(dx * out.x + dy * out.y) / slant)
    },
  }
}

function cornerSeam(
  panel: string,
  name: string,
  cornerAt: BlankDraft['cornerAt'],
  outline: Outline,
  edges: readonly EdgeDraft[],
): SeamDraft {
  const index = (edge: string) => edges.findIndex((e) => e.name === edge)
  const [left, right] = [`corner at ${name}, left`, `corner at ${name}, right`]
  const length = edgeLength(outline, index(left))
  // Both run from or to the corner of the top: one leaves it, the other arrives.
  const arriving = edgeLength(outline, index(right))
  return {
    name: cornerAt(name),
    kind: 'corner',
    pairs: [{ a: { panel, edge: left, from: 0, to: length }, b: { panel, edge: right, from: arriving, to: 0 } }],
  }
}
