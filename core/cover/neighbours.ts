import {
  areaOf,
  at,
  boxOf,
  edgeLength,
  onEdge,
  outwardOn,
  type Box,
  type Outline,
  type Point,
} from '../outline/index.ts'
import type { Cover } from './cover.ts'
import { edgeIndex, type Panel } from './panel.ts'
import { cutOutline } from './piece.ts'
import { stretchLength, type SeamPair, type Stretch } from './seam.ts'

/** A panel laid down flat: turned about its own origin, then moved. */
export interface LaidDown {
  readonly panel: Panel
  readonly turnRad: number
  readonly x: number
  readonly y: number
}

/** Where a point of the panel comes to lie. */
export function layDown({ turnRad, x, y }: LaidDown, p: Point): Point {
  const [c, s] = [Math.cos(turnRad), Math.sin(turnRad)]
  return at(x + p.x * c - p.y * s, y + p.x * s + p.y * c)
}

/**
 * The panels flat beside the neighbours they are sewn to, the largest seen one first: along a seam to
 * it, or the longest seam to another that lies already, where there is room; the others in a row to the right.
 */
export function neighbourly(cover: Pick<Cover, 'panels' | 'seams'>, gapMm: number): readonly LaidDown[] {
  const waiting = [...cover.panels].toSorted(
    (a, b) => Number(b.isSeen) - Number(a.isSeen) || areaOf(b.finished) - areaOf(a.finished),
  )
  const first = waiting[0]?.id
  const pairs = cover.seams
    .flatMap((s) => s.pairs)
    .filter((p) => p.a.panel !== p.b.panel)
    .flatMap((p) => [p, { a: p.b, b: p.a }])
    .toSorted(
      (p, q) => Number(q.a.panel === first) - Number(p.a.panel === first) || stretchLength(q.a) - stretchLength(p.a),
    )
  const laid: { readonly down: LaidDown; readonly box: Box }[] = []
  const put = (down: LaidDown): void => {
    laid.push({ down, box: boxDown(down) })
    waiting.splice(waiting.indexOf(down.panel), 1)
  }
  const beside = (pair: SeamPair): LaidDown | null => {
    const [host, guest] = [
      laid.find((l) => l.down.panel.id === pair.a.panel),
      waiting.find((p) => p.id === pair.b.panel),
    ]
    if (!host || !guest) return null
    const down = joined(host.down, guest, pair, gapMm)
    const box = boxDown(down)
    return laid.some((l) => overlap(l.box, box)) ? null : down
  }
  while (waiting.length > 0) {
    const found = pairs.reduce<LaidDown | null>((done, pair) => done ?? beside(pair), null)
    put(
      found ??
        atTheRight(
          waiting[0]!,
          laid.map((l) => l.box),
          gapMm,
        ),
    )
  }
  return laid.map((l) => l.down)
}

/** A guest turned so that its side of the seam runs along the host's, a gap away. */
function joined(host: LaidDown, guest: Panel, { a, b }: SeamPair, gapMm: number): LaidDown {
  const [p, q] = ends(host.panel, a).map((end) => layDown(host, end)) as [Point, Point]
  const [r, s] = ends(guest, b)
  const turnRad = Math.atan2(q.y - p.y, q.x - p.x) - Math.atan2(s.y - r.y, s.x - r.x)
  const turned = layDown({ panel: guest, turnRad, x: 0, y: 0 }, r)
  const i = edgeIndex(host.panel, a.edge)
  const out = outwardOn(host.panel.finished, i, 0.5)
  const [c, k] = [Math.cos(host.turnRad), Math.sin(host.turnRad)]
  const away = allowanceAt(host.panel, a) + allowanceAt(guest, b) + gapMm
  return {
    panel: guest,
    turnRad,
    x: p.x - turned.x + (out.x * c - out.y * k) * away,
    y: p.y - turned.y + (out.x * k + out.y * c) * away,
  }
}

const allowanceAt = (panel: Panel, on: Stretch): number => panel.edges[edgeIndex(panel, on.edge)]!.allowance.value

function ends(panel: Panel, on: Stretch): readonly [Point, Point] {
  const i = edgeIndex(panel, on.edge)
  const length = edgeLength(panel.finished, i)
  return [onEdge(panel.finished, i, on.from / length), onEdge(panel.finished, i, on.to / length)]
}

function atTheRight(panel: Panel, boxes: readonly Box[], gapMm: number): LaidDown {
  const own = boxOf(cutOutline(panel))
  if (boxes.length === 0) return { panel, turnRad: 0, x: 0, y: 0 }
  const [right, low] = [Math.max(...boxes.map((b) => b.maxX)), Math.min(...boxes.map((b) => b.minY))]
  return { panel, turnRad: 0, x: right + gapMm - own.minX, y: low - own.minY }
}

const boxDown = (down: LaidDown): Box => boxOf(turnedOutline(down, cutOutline(down.panel)))

/** An outline of the panel where it lies. */
export const turnedOutline = (down: LaidDown, outline: Outline): Outline =>
  outline.map((v) => ({ ...v, ...layDown(down, v) }))

const SLACK_MM = 1

const overlap = (a: Box, b: Box): boolean =>
  a.minX < b.maxX - SLACK_MM && b.minX < a.maxX - SLACK_MM && a.minY < b.maxY - SLACK_MM && b.minY < a.maxY - SLACK_MM
