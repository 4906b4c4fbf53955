import type { Solid } from '../seat/index.ts'
import { inSpace, type Space } from './space.ts'
import {
  arcBetween,
  at,
  atHeight,
  between,
  bulgeOfRise,
  dot,
  edgeLength,
  edgeOf,
  isSmoothAt,
  isStraight,
  minusPoint,
  rightOf,
  unit,
  vertex,
  type Outline,
  type Point,
  type Vertex,
} from '../outline/index.ts'

/**
 * The side of a cushion between two heights: foot and top are its outlines there, edge by edge, and
 * middle the one half way up, through which a corner between a bowed and another leaning side bends.
 * A straight side is a plane trapezium, a bowed one a stretch of a cone (upright: of a cylinder).
 */
export interface Wall {
  readonly foot: Outline
  readonly middle: Outline
  readonly top: Outline
  readonly heightMm: number
}

/**
 * A stretch of one edge's wall, in mm along the foot edge; its ends stand square to the foot where the edge does not
 * end.
 */
export interface WallPart {
  readonly edge: number
  readonly from: number
  readonly to: number
}

/** Where a part came to lie on the edges of an unrolled strip, and on the top edge of its wall. */
export interface UnrolledPart {
  readonly part: WallPart
  readonly topFrom: number
  readonly topTo: number
  readonly bottom: OnStrip
  readonly top: OnStrip
  /** The part's own outline within the strip, and from a point of the strip to the wall in space. */
  readonly outline: Outline
  readonly place: (p: Point) => Space
}

/** A strip edge by its index among the strip's bottom or top edges, left to right, in mm from its left end. */
export interface OnStrip {
  readonly edge: number
  readonly from: number
  readonly to: number
}

export interface Unrolled {
  /** Counter-clockwise: bottom edges, end, top edges, start. */
  readonly outline: Outline
  readonly bottoms: number
  readonly tops: number
  readonly parts: readonly UnrolledPart[]
}

/** The walls of a solid, or of a slice of it between two shares of its thickness. */
export function wallOf({ outline, edges, thickness }: Solid, from = 0, to = 1): Wall {
  const leans = edges.map((e) => e.leanRad)
  const t = thickness.value
  const [foot, middle, top] = [from, (from + to) / 2, to].map((share) => atHeight(outline, leans, share * t))
  return { foot: foot!, middle: middle!, top: top!, heightMm: (to - from) * t }
}

/** The part of a wall over a whole edge. */
export const wholePart = (wall: Wall, edge: number): WallPart => ({ edge, from: 0, to: edgeLength(wall.foot, edge) })

/**
 * Whether the walls before and after a corner lie flat as one strip: an upright corner, or one that runs on smoothly.
 */
export function runsOnFlat(wall: Wall, corner: number): boolean {
  const n = wall.foot.length
  const before = (corner + n - 1) % n
  if (isSmoothAt(wall.foot, corner) && Math.abs(flatEdge(wall, before).slant - flatEdge(wall, corner).slant) < 1e-6)
    return true
  return Math.hypot(wall.foot[corner]!.x - wall.top[corner]!.x, wall.foot[corner]!.y - wall.top[corner]!.y) < 1e-6
}

/** Unrolls parts that follow each other into one flat strip, seen from outside, its foot at the bottom. */
export function unroll(wall: Wall, parts: readonly WallPart[]): Unrolled {
  const bottoms: Vertex[] = []
  const tops: Vertex[] = []
  const placed: UnrolledPart[] = []
  let pen: Pen = { at: at(0, 0), angle: 0 }
  let topEnd: Point = at(0, 0)
  let [startMiddle, endMiddle]: [Point | null, Point] = [null, at(0, 0)]
  for (const part of parts) {
    const flat = cutPart(flatEdge(wall, part.edge), part)
    const put = (p: Point): Point => {
      const [c, s] = [Math.cos(pen.angle), Math.sin(pen.angle)]
      return at(pen.at.x + p.x * c - p.y * s, pen.at.y + p.x * s + p.y * c)
    }
    const bottom = joinOn(bottoms, put(at(0, 0)), put(flat.footEnd), flat.footBulge, flat.footLength)
    const top = joinOn(tops, put(flat.topStart), put(flat.topEnd), flat.topBulge, flat.topLength)
    placed.push({
      part,
      topFrom: flat.topFrom,
      topTo: flat.topFrom + flat.topLength,
      bottom,
      top,
      outline: partOutline(flat, put),
      place: placeOnWall(wall, part, pen),
    })
    topEnd = put(flat.topEnd)
    startMiddle ??= put(flat.startMiddle)
    endMiddle = put(flat.endMiddle)
    pen = { at: put(flat.footEnd), angle: pen.angle + 4 * Math.atan(flat.footBulge) }
  }
  const reversed = [
    ...tops.map((v, i) => vertex(i + 1 < tops.length ? tops[i + 1]! : topEnd, -(v.bulge ?? 0))),
  ].reverse()
  const end = vertex(pen.at, bulgeThrough(pen.at, endMiddle, topEnd))
  const start = vertex(tops[0]!, bulgeThrough(tops[0]!, startMiddle!, bottoms[0]!))
  const outline = [...bottoms, end, ...reversed, start]
  const shift = cornerOf(outline)
  const level = (o: Outline): Outline => o.map((v) => vertex(at(v.x - shift.x, v.y - shift.y), v.bulge))
  const parted = placed.map((p) => ({
    ...p,
    outline: level(p.outline),
    place: (at2: Point) => p.place(at(at2.x + shift.x, at2.y + shift.y)),
  }))
  // A strip is drawn with its two lower ends on one level and its box at the origin.
  return { outline: level(outline), bottoms: bottoms.length, tops: tops.length, parts: parted }
}

function partOutline(flat: FlatPart, put: (p: Point) => Point): Outline {
  const [a, b, c, d] = [put(at(0, 0)), put(flat.footEnd), put(flat.topEnd), put(flat.topStart)]
  return [
    vertex(a, flat.footBulge),
    vertex(b, bulgeThrough(b, put(flat.endMiddle), c)),
    vertex(c, -flat.topBulge),
    vertex(d, bulgeThrough(d, put(flat.startMiddle), a)),
  ]
}

/** The way back from the strip: along the foot and up the slant, then out into space. */
function placeOnWall(wall: Wall, part: WallPart, pen: Pen): (p: Point) => Space {
  const flat = flatEdge(wall, part.edge)
  const [c, s] = [Math.cos(pen.angle), Math.sin(pen.angle)]
  return (p) => {
    const [dx, dy] = [p.x - pen.at.x, p.y - pen.at.y]
    const own = at(dx * c + dy * s, dy * c - dx * s)
    if (flat.radius === 0) return wallPoint(wall, part.edge, part.from + own.x, own.y / flat.slant)
    const [toX, toY] = [own.x, flat.radius - own.y]
    const angle = Math.atan2(toX * Math.sign(flat.radius), toY * Math.sign(flat.radius))
    const up = flat.radius > 0 ? flat.radius - Math.hypot(toX, toY) : Math.hypot(toX, toY) + flat.radius
    return wallPoint(wall, part.edge, part.from + angle * flat.radius, up / flat.slant)
  }
}

/**
 * A point of the wall over edge i, so far along the foot and up as a share of the slant; on a straight side the foot
 * goes on past its ends.
 */
export function wallPoint({ foot, top, heightMm }: Wall, i: number, along: number, up: number): Space {
  const [a, b] = edgeOf(foot, i)
  const c = top[i]!
  if (isStraight(a.bulge)) {
    const way = unit(minusPoint(b, a))
    const out = rightOf(way)
    const lean = dot(minusPoint(c, a), out) * up
    return inSpace(a.x + way.x * along + out.x * lean, a.y + way.y * along + out.y * lean, heightMm * up)
  }
  const [low, high] = [arcBetween(a, b, a.bulge!), arcBetween(c, edgeOf(top, i)[1], c.bulge!)]
  const radius = Math.abs(low.radius) + (Math.abs(high.radius) - Math.abs(low.radius)) * up
  const angle = low.startAngle + (Math.sign(low.radius) * along) / Math.abs(low.radius)
  return inSpace(low.centre.x + radius * Math.cos(angle), low.centre.y + radius * Math.sin(angle), heightMm * up)
}

/** An end bends through its middle, so that both pieces that meet there are as long as the corner between them. */
function bulgeThrough(a: Point, middle: Point, b: Point): number {
  const chord = minusPoint(b, a)
  const rise = dot(minusPoint(middle, between(a, b, 0.5)), rightOf(unit(chord)))
  return bulgeOfRise(Math.hypot(chord.x, chord.y), rise)
}

interface Pen {
  readonly at: Point
  readonly angle: number
}

/**
 * Goes on with the last edge where the new stretch is straight and in line with it, so that an upright strip is one
 * rectangle.
 */
function joinOn(edges: Vertex[], start: Point, end: Point, bulge: number, length: number): OnStrip {
  const last = edges.at(-1)
  if (last && isStraight(last.bulge) && isStraight(bulge)) {
    const [before, now] = [unit(minusPoint(start, last)), unit(minusPoint(end, start))]
    if (Math.abs(before.x * now.y - before.y * now.x) < 1e-7) {
      const from = Math.hypot(start.x - last.x, start.y - last.y)
      return { edge: edges.length - 1, from, to: from + length }
    }
  }
  edges.push(vertex(start, bulge))
  return { edge: edges.length - 1, from: 0, to: length }
}

const cornerOf = (outline: Outline): Point =>
  at(Math.min(...outline.map((v) => v.x)), Math.min(...outline.map((v) => v.y)))

/** One edge's wall laid flat: foot from the origin along x, the top edge above it. */
export interface FlatEdge {
  readonly slant: number
  readonly footLength: number
  /**
   * Along the foot's direction where the top edge starts and ends; on a cone the angles are scaled to lengths at the
   * foot.
   */
  readonly topStart: number
  readonly topEnd: number
  /** The same half way up. */
  readonly middleStart: number
  readonly middleEnd: number
  /** Radius of the unrolled foot, 0 when straight; positive when its centre is above. */
  readonly radius: number
  /** Length at the top for each mm at the foot. */
  readonly widens: number
}

/** One edge of a wall laid flat, mm: how long it is at its foot, and how far up its slant. */
export function flatEdge({ foot, middle, top, heightMm }: Wall, i: number): FlatEdge {
  const [a, b] = edgeOf(foot, i)
  const [c, d] = edgeOf(top, i)
  const [m, n] = edgeOf(middle, i)
  const footLength = edgeLength(foot, i)
  if (isStraight(a.bulge)) {
    const along = unit(minusPoint(b, a))
    const out = dot(minusPoint(c, a), at(along.y, -along.x))
    return {
      slant: Math.hypot(heightMm, out),
      footLength,
      topStart: dot(minusPoint(c, a), along),
      topEnd: dot(minusPoint(d, a), along),
      middleStart: dot(minusPoint(m, a), along),
      middleEnd: dot(minusPoint(n, a), along),
      radius: 0,
      widens: 1,
    }
  }
  const [low, high] = [arcBetween(a, b, a.bulge!), arcBetween(c, d, c.bulge!)]
  const way = Math.sign(low.radius)
  const [r0, r1] = [Math.abs(low.radius), Math.abs(high.radius)]
  const angleAt = (p: Point) => Math.atan2(p.y - low.centre.y, p.x - low.centre.x)
  const aheadOf = (angle: number, from: number) => way * Math.atan2(Math.sin(angle - from), Math.cos(angle - from))
  const ahead = (p: Point) => aheadOf(angleAt(p), low.startAngle)
  const topStart = ahead(c) * r0
  const slant = Math.hypot(heightMm, r1 - r0)
  // A cone's side laid flat has the apex radius r/sin a; angles shrink by sin a, so arc lengths are kept.
  const sine = (r0 - r1) / slant
  return {
    slant,
    footLength,
    topStart,
    topEnd: topStart + Math.abs(high.sweep) * r0,
    middleStart: ahead(m) * r0,
    middleEnd: footLength + aheadOf(angleAt(n), angleAt(b)) * r0,
    radius: Math.abs(sine) < 1e-9 ? 0 : r0 / sine,
    widens: r1 / r0,
  }
}

interface FlatPart {
  readonly footLength: number
  readonly footEnd: Point
  readonly footBulge: number
  readonly topFrom: number
  readonly topLength: number
  readonly topStart: Point
  readonly topEnd: Point
  readonly topBulge: number
  readonly startMiddle: Point
  readonly endMiddle: Point
}

/** Takes the part between two places of the foot; a cut inside the edge runs square up from the foot. */
function cutPart(flat: FlatEdge, part: WallPart): FlatPart {
  const atStart = part.from < 1e-6
  const atEnd = part.to > flat.footLength - 1e-6
  const topStart = atStart ? flat.topStart : part.from
  const topEnd = atEnd ? flat.topEnd : part.to
  const placeFoot = placer(flat, part.from, 0)
  const placeTop = placer(flat, part.from, flat.slant)
  const placeMiddle = placer(flat, part.from, flat.slant / 2)
  const bulgeOver = (length: number) => (flat.radius === 0 ? 0 : Math.tan(length / flat.radius / 4))
  return {
    footLength: part.to - part.from,
    footEnd: placeFoot(part.to),
    footBulge: bulgeOver(part.to - part.from),
    topFrom: (topStart - flat.topStart) * flat.widens,
    topLength: (topEnd - topStart) * flat.widens,
    topStart: placeTop(topStart),
    topEnd: placeTop(topEnd),
    topBulge: bulgeOver(topEnd - topStart),
    startMiddle: placeMiddle(atStart ? flat.middleStart : part.from),
    endMiddle: placeMiddle(atEnd ? flat.middleEnd : part.to),
  }
}

/**
 * Flat place of a point at a foot length, at a height up the slant, when the part's foot starts at the origin along x.
 */
function placer(flat: FlatEdge, from: number, up: number): (footPlace: number) => Point {
  if (flat.radius === 0) return (place) => at(place - from, up)
  const rho = flat.radius
  return (place) => {
    const angle = (place - from) / rho
    return at((rho - up) * Math.sin(angle), rho - (rho - up) * Math.cos(angle))
  }
}

/** Area of the walls by triangles between foot and top, as a check that knows nothing of unrolling. */
export function wallArea({ foot, top, heightMm }: Wall): number {
  return foot.reduce((sum, _, i) => {
    const steps = isStraight(foot[i]!.bulge) ? 1 : 64
    const [low, high] = [pointsOn(foot, i, steps), pointsOn(top, i, steps)]
    return (
      sum +
      Array.from(
        { length: steps },
        (_, k) =>
          triangle(low[k]!, low[k + 1]!, high[k]!, heightMm) + triangle(high[k]!, high[k + 1]!, low[k + 1]!, -heightMm),
      ).reduce((a, b) => a + b, 0)
    )
  }, 0)
}

function pointsOn(outline: Outline, i: number, steps: number): readonly Point[] {
  const [a, b] = edgeOf(outline, i)
  if (isStraight(a.bulge)) return [a, b]
  const { centre, radius, startAngle, sweep } = arcBetween(a, b, a.bulge!)
  return Array.from({ length: steps + 1 }, (_, k) =>
    at(
      centre.x + Math.abs(radius) * Math.cos(startAngle + (sweep * k) / steps),
      centre.y + Math.abs(radius) * Math.sin(startAngle + (sweep * k) / steps),
    ),
  )
}

/** Area of the triangle p q r; p and q lie level, r higher by `up`. */
function triangle(p: Point, q: Point, r: Point, up: number): number {
  const u = [q.x - p.x, q.y - p.y, 0] as const
  const v = [r.x - p.x, r.y - p.y, up] as const
  return Math.hypot(u[1] * v[2], -u[0] * v[2], u[0] * v[1] - u[1] * v[0]) / 2
}
