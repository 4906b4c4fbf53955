import type { EdgeRole, EdgeSetting, Seat } from '../../contract/index.ts'
import { err, ok, type Result } from '../result/index.ts'
import {
  areaOf,
  at,
  boxOf,
  bulgeOfRise,
  distance,
  dressCorners,
  edgeOf,
  isSimple,
  keepsShape,
  minusPoint,
  mirrored,
  mirroredEdge,
  moved,
  offsetEdges,
  turnedBy,
  vertex,
  type CornerCut,
  type Outline,
  type Point,
} from '../outline/index.ts'
import { valueOf } from './dimension.ts'
import { footingOf, settingName, type Footing, type FootprintFault, type Mark } from './footprints/index.ts'
import { sidesOf, type SideName } from './sides.ts'
import { held } from '../keyed/index.ts'

/** An edge of a cushion or seat. Cushions of one bench meet each other as neighbours. */
export interface SeatEdge {
  readonly name: string
  readonly side: SideName
  readonly meets: EdgeRole | 'neighbour'
  /** Positive: leans outwards going up. */
  readonly leanRad: number
}

export interface EdgedOutline {
  readonly outline: Outline
  readonly edges: readonly SeatEdge[]
}

export interface ShapedSeat {
  /** By the tape, its front at the foot and its box at the origin. */
  readonly bare: EdgedOutline
  /** What the cushions may fill: the clearances taken off. */
  readonly free: EdgedOutline
  readonly marks: readonly Mark[]
  readonly corners: readonly { readonly name: string; readonly at: Point }[]
  /** Centre of a ring. */
  readonly centre: Point | null
  /** From the footprint as it was taped into this frame. */
  readonly toSeat: (p: Point) => Point
  readonly toFooting: (p: Point) => Point
  /** How far the footprint's own origin lies from the box's corner. */
  readonly origin: Point
}

export type SeatFault =
  | FootprintFault
  | { readonly code: 'corner-between-leans'; readonly corner: string }
  | { readonly code: 'clearance-swallows' }
  | { readonly code: 'top-vanishes' }

/**
 * From the tape to the outline: bows, corners, mirroring, the chosen front, clearances. A seat is never
 * changed in place, so plan, drawing and fields share what was worked out for one.
 */
export function shapeSeat(seat: Seat): Result<ShapedSeat, SeatFault> {
  const known = shapedBefore.get(seat)
  if (known) return known
  const shaped = shapeAnew(seat)
  shapedBefore.set(seat, shaped)
  return shaped
}

const shapedBefore = new WeakMap<Seat, Result<ShapedSeat, SeatFault>>()

function shapeAnew(seat: Seat): Result<ShapedSeat, SeatFault> {
  const read = footingOf(seat.footprint)
  if (!read.ok) return read
  const bowed = withRises(read.value, seat)
  const dressed = dressCorners(
    bowed.outline,
    bowed.corners.map((name): CornerCut => seat.corners[name] ?? { kind: 'square' }),
  )
  if ('roomMm' in dressed)
    return err({ code: 'corner-too-large', corner: bowed.corners[dressed.corner]!, roomMm: dressed.roomMm })
  const thicknessMm = valueOf(seat.thickness)
  const setting = (name: string): EdgeSetting =>
    held(seat.edges, name) ?? held(seat.edges, settingName(name)) ?? PLAIN_EDGE
  const n = bowed.edges.length
  const drafts: DraftEdge[] = []
  for (const source of dressed.sources) {
    if (source.kind === 'edge') {
      const name = bowed.edges[source.edge]!
      drafts.push({ name, meets: setting(name).meets, leanRad: leanOf(setting(name), thicknessMm) })
      continue
    }
    const name = `${bowed.corners[source.corner]!} corner`
    const sides = [setting(bowed.edges[(source.corner + n - 1) % n]!), setting(bowed.edges[source.corner]!)] as const
    const cut = seat.corners[bowed.corners[source.corner]!]
    const shared = sharedSetting(sides[0], sides[1], thicknessMm)
    if (cut?.kind === 'round' && shared.leanRad === null)
      return err({ code: 'corner-between-leans', corner: bowed.corners[source.corner]! })
    const own = seat.edges[name]
    drafts.push({
      name,
      meets: own?.meets ?? shared.meets,
      leanRad: own && cut?.kind === 'cut' ? leanOf(own, thicknessMm) : (shared.leanRad ?? 0),
    })
  }
  if (!isSimple(dressed.outline)) return err({ code: 'outline-crosses' })
  if (!(areaOf(dressed.outline) > 1)) return err({ code: 'no-area' })
  return stood(seat, bowed, dressed.outline, drafts)
}

type DraftEdge = Omit<SeatEdge, 'side'>
export const PLAIN_EDGE: EdgeSetting = { meets: 'open', lean: null, riseMm: 0 }

/** The angle of a side; an overhang is turned into one over the thickness. */
function leanOf({ lean }: EdgeSetting, thicknessMm: number): number {
  if (lean === null) return 0
  return lean.by === 'angle' ? (lean.degrees * Math.PI) / 180 : Math.atan(lean.mm / thicknessMm)
}

function sharedSetting(
  a: EdgeSetting,
  b: EdgeSetting,
  thicknessMm: number,
): { meets: EdgeRole; leanRad: number | null } {
  const [la, lb] = [leanOf(a, thicknessMm), leanOf(b, thicknessMm)]
  return { meets: a.meets === b.meets ? a.meets : 'open', leanRad: Math.abs(la - lb) < 1e-9 ? la : null }
}

function withRises(footing: Footing, seat: Seat): Footing {
  const outline = footing.outline.map((v, i) => {
    const name = footing.edges[i]!
    const rise = footing.curved.includes(name) ? 0 : (seat.edges[name]?.riseMm ?? 0)
    const [a, b] = edgeOf(footing.outline, i)
    return rise === 0 ? v : vertex(v, bulgeOfRise(distance(a, b), rise))
  })
  return { ...footing, outline }
}

/** Mirrored if wanted, turned so that the front is at the foot, its box at the origin; then the clearances come off. */
function stood(
  seat: Seat,
  footing: Footing,
  outline: Outline,
  drafts: readonly DraftEdge[],
): Result<ShapedSeat, SeatFault> {
  const n = outline.length
  const faced = seat.mirrored ? mirrored(outline) : outline
  const edges = seat.mirrored ? drafts.map((_, i) => drafts[mirroredEdge(i, n)]!) : drafts
  const front = Math.max(
    0,
    edges.findIndex((e) => e.name === seat.front),
  )
  const [a, b] = edgeOf(faced, front)
  const direction = minusPoint(b, a)
  const level = -Math.atan2(direction.y, direction.x)
  const angle = level + (seat.turnDeg * Math.PI) / 180
  const turned = exactTurn(faced, angle)
  const box = boxOf(turned)
  const shift = at(-box.minX, -box.minY)
  const bare = moved(turned, shift)
  const sides = sidesOf(level === angle ? bare : exactTurn(bare, -(angle - level)), front)
  const edged = edges.map((e, i): SeatEdge => ({ ...e, side: sides[i]! }))
  const toSeat = (p: Point): Point => {
    const mirroredPoint = seat.mirrored ? at(-p.x, p.y) : p
    const [q] = exactTurn([mirroredPoint], angle)
    return at(q!.x + shift.x, q!.y + shift.y)
  }
  const free = offsetEdges(
    bare,
    edged.map((e) => (e.meets === 'open' ? 0 : -seat.clearanceMm)),
  )
  if (!keepsShape(bare, free)) return err({ code: 'clearance-swallows' })
  return ok({
    bare: { outline: bare, edges: edged },
    free: { outline: free, edges: edged },
    marks: footing.marks.map((m) => ({
      ...m,
      from: toSeat(m.from),
      to: toSeat(m.to),
      ...(m.bulge === undefined ? {} : { bulge: seat.mirrored ? -m.bulge : m.bulge }),
    })),
    corners: footing.outline.map((p, i) => ({ name: footing.corners[i]!, at: toSeat(p) })),
    centre: footing.centre && toSeat(footing.centre),
    toSeat,
    toFooting: (p) => {
      const [q] = exactTurn([at(p.x - shift.x, p.y - shift.y)], -angle)
      return seat.mirrored ? at(-q!.x, q!.y) : at(q!.x, q!.y)
    },
    origin: shift,
  })
}

/** Quarter turns leave no dust behind the decimal point. */
function exactTurn(outline: Outline, angleRad: number): Outline {
  const quarters = angleRad / (Math.PI / 2)
  const whole = Math.round(quarters)
  if (Math.abs(quarters - whole) > 1e-12) return turnedBy(outline, angleRad)
  const q = ((whole % 4) + 4) % 4
  const turn = (p: Point): Point => (q === 0 ? p : q === 1 ? at(-p.y, p.x) : q === 2 ? at(-p.x, -p.y) : at(p.y, -p.x))
  return outline.map((v) => vertex(turn(v), v.bulge))
}
