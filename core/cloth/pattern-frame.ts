import type { ClothChoice } from '../../contract/index.ts'
import { panelOf, type Cover, type Panel } from '../cover/index.ts'
import { areaOf, at, boxOf, edgeLength, edgeOf, isStraight, onEdge } from '../outline/index.ts'
import { frontSpan } from '../seat/index.ts'
import { repeatOf } from './stripes.ts'

/** How a panel stands to one way of the pattern: where the run's pattern coordinate lies on it. */
export interface PatternFrame {
  /** The pattern coordinate of the panel's own x = 0 (or y = 0 for `y`). */
  readonly start: number
  readonly axis: 'x' | 'y'
  /** Whether it rises (1) or falls (−1) along the panel's axis. */
  readonly rises: 1 | -1
}

/** Null on a way that the pattern does not repeat, or on which it does not cross the panel in a line that could match. */
export interface PatternFrames {
  readonly across: PatternFrame | null
  readonly along: PatternFrame | null
}

/**
 * How the run's pattern lies on a panel. Up the roll its coordinate across runs along the row from
 * the left end and the one along from front to back; railroaded the other way about, and the one
 * along falls along the row, as the plates lie on their side. Boxing takes the pattern over the
 * edge: the front boxing goes on downwards, and so do sides where the repeat along the roll crosses
 * their edge.
 */
export function patternFrames(choice: ClothChoice, cover: Cover, panel: Panel, row: number): PatternFrames {
  const repeats = { across: repeatOf(choice.cloth, 'across') !== null, along: repeatOf(choice.cloth, 'along') !== null }
  if (choice.match.kind === 'none') return { across: null, along: null }
  const isUp = choice.direction === 'up-the-roll'
  const { from } = frontOf(cover)
  const isBoxing = panel.role === 'boxing' && cover.wall !== null && hasPlate(cover)
  const frames = isBoxing
    ? boxingFrames(cover, panel, row - from, isUp, repeats.along)
    : lyingFrames(cover, asTurnedOver(choice, cover, panel), row - from, isUp)
  return { across: repeats.across ? frames.across : null, along: repeats.along ? frames.along : null }
}

/** A bottom plate that is cut as its top plate takes the pattern of that plate, place by place of its own plane. */
const asTurnedOver = ({ pairs }: ClothChoice, cover: Cover, panel: Panel): Panel => (pairs === 'same' && panel.id === 'bottom-plate' && hasPlate(cover) ? panelOf(cover, 'top-plate') : panel)

function lyingFrames(cover: Cover, panel: Panel, start: number, isUp: boolean): PatternFrames {
  const [row, depth] = [lyingFrame(cover, panel, start, true), lyingFrame(cover, panel, 0, false)]
  return isUp ? { across: row, along: depth } : { across: depth, along: reversed(row) }
}

function boxingFrames(cover: Cover, panel: Panel, start: number, isUp: boolean, crossesSides: boolean): PatternFrames {
  const front = frontFrame(cover, panel, start)
  if (!isUp) return { across: sideFrame(cover, panel), along: null }
  if (front) return { across: front, along: overTheEdge(panel, frontMiddle(cover).y, 1) }
  const side = sideFrame(cover, panel)
  if (!side || !crossesSides) return { across: null, along: null }
  const edge = start + sideEdge(cover, panel)!.x
  return { across: overTheEdge(panel, edge, side.rises === 1 ? -1 : 1), along: side }
}

/** Down the boxing from its upper edge, where the plate's edge lies at `edge`; outwards the plate's coordinate rises or falls. */
function overTheEdge(panel: Panel, edge: number, rises: 1 | -1): PatternFrame {
  const top = boxOf(panel.finished).maxY
  return { start: edge - rises * top, axis: 'y', rises }
}

const reversed = (frame: PatternFrame | null): PatternFrame | null => frame && { ...frame, start: -frame.start, rises: frame.rises === 1 ? -1 : 1 }

/**
 * A plate, blank or body by how its largest flat part lies on the cushion: where its own x runs along
 * the row (or its y to the back), the pattern runs with it.
 */
function lyingFrame(cover: Cover, panel: Panel, start: number, across: boolean): PatternFrame | null {
  const lying = cover.patches.filter((p) => p.panel === panel.id && p.bend !== 'bent').toSorted((a, b) => areaOf(b.outline) - areaOf(a.outline))[0]
  if (!lying || panel.role === 'band' || panel.role === 'trim' || panel.role === 'gusset') return null
  const box = boxOf(lying.outline)
  const middle = at((box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2)
  const [here, along] = [lying.place(middle), lying.place(at(middle.x + (across ? 1 : 0), middle.y + (across ? 0 : 1)))]
  const [u, rate] = across ? [here.x, along.x - here.x] : [here.y, along.y - here.y]
  // A pillow is drawn in as it fills; its middle counts.
  if (Math.abs(rate) < 0.5) return null
  const rises = rate > 0 ? 1 : -1
  return { start: start + u - rises * (across ? middle.x : middle.y), axis: across ? 'x' : 'y', rises }
}

const hasPlate = (cover: Cover): boolean => cover.panels.some((p) => p.id === 'top-plate')

/** How far the ends of a bowed front run off the stripe when its middle matches; 0 for a straight front. */
export function frontMismatch(cover: Cover): number {
  const i = mainEdge(cover, 'front')
  const [a, b] = edgeOf(cover.solid.outline, i)
  return isStraight(a.bulge) ? 0 : (edgeLength(cover.solid.outline, i) - Math.hypot(b.x - a.x, b.y - a.y)) / 2
}

/** A bowed front matches its boxing in its middle. */
const frontMiddle = (cover: Cover) => onEdge(cover.solid.outline, mainEdge(cover, 'front'), 0.5)

/** The side edge that a strip is sewn to. */
function sideEdge(cover: Cover, panel: Panel) {
  const side = (['right', 'left'] as const).find((s) => mainEdge(cover, s) >= 0 && stripStretch(cover, panel, mainEdge(cover, s)))
  return side ? edgeOf(cover.solid.outline, mainEdge(cover, side))[0] : null
}

/** A straight front that lies level matches all along; a bowed one in its middle. */
function frontFrame(cover: Cover, panel: Panel, start: number): PatternFrame | null {
  const i = mainEdge(cover, 'front')
  const on = stripStretch(cover, panel, i)
  const [a, b] = edgeOf(cover.solid.outline, i)
  if (!on || Math.abs(b.y - a.y) > LEVEL * Math.abs(b.x - a.x) || isCone(panel)) return null
  if (isStraight(a.bulge)) {
    // A piece of a joined front goes on where its neighbour ended.
    const from = pairOf(cover, i, panel)!.a.from
    return { start: start + a.x + ((b.x - a.x) * from) / edgeLength(cover.solid.outline, i) - on.from, axis: 'x', rises: 1 }
  }
  const middle = (a.x + b.x) / 2
  return { start: start + middle - (on.from + on.to) / 2, axis: 'x', rises: 1 }
}

function sideFrame(cover: Cover, panel: Panel): PatternFrame | null {
  for (const side of ['right', 'left'] as const) {
    const i = mainEdge(cover, side)
    const on = i < 0 ? null : stripStretch(cover, panel, i)
    if (!on) continue
    const [a, b] = edgeOf(cover.solid.outline, i)
    if (!isStraight(a.bulge) || Math.abs(b.x - a.x) > LEVEL * Math.abs(b.y - a.y) || isCone(panel)) return null
    const placed = pairOf(cover, i, panel)!.a
    // The strip begins where its part of the edge begins: at the front on the right, at the zip end on the left.
    return side === 'right' ? { start: a.y + placed.from - on.from, axis: 'x', rises: 1 } : { start: a.y - placed.from + on.from, axis: 'x', rises: -1 }
  }
  return null
}

/** Off square by less than this, stripes are as good as matched. */
const LEVEL = 0.005

const isCone = (panel: Panel): boolean => panel.finished.some((v) => !isStraight(v.bulge))

const frontOf = (cover: Cover) => frontSpan(cover.solid)

/** The longest edge of a side. */
function mainEdge(cover: Cover, side: 'front' | 'right' | 'left'): number {
  return cover.solid.edges.reduce((best, e, i) => (e.side === side && (best < 0 || edgeLength(cover.solid.outline, i) > edgeLength(cover.solid.outline, best)) ? i : best), -1)
}

/** The pair that sews the top plate's edge to this panel. */
function pairOf(cover: Cover, i: number, panel?: Panel) {
  const name = panelOf(cover, 'top-plate').edges[i]!.name
  const pairs = cover.seams.flatMap((s) => (s.kind === 'plate' ? s.pairs : []))
  return pairs.find((p) => p.a.panel === 'top-plate' && p.a.edge === name && (!panel || p.b.panel === panel.id))
}

/** Where an edge of the cushion lies on a strip, in mm from the strip's left end. */
function stripStretch(cover: Cover, panel: Panel, i: number): { readonly from: number; readonly to: number } | null {
  const pair = pairOf(cover, i, panel)
  if (!pair) return null
  // Top edges of strips are drawn from right to left.
  const index = panel.edges.findIndex((e) => e.name === pair.b.edge)
  const length = edgeLength(panel.finished, index)
  return { from: length - pair.b.from, to: length - pair.b.to }
}
