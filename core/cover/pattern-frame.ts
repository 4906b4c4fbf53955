import type { ClothChoice, ClothRole } from '../../contract/index.ts'
import { areaOf, at, boxOf, edgeLength, edgeOf, isStraight, onEdge } from '../outline/index.ts'
import { repeatOf, type Way } from '../pattern/index.ts'
import { clothFor } from './on-the-roll.ts'
import { isBottomPlate } from './panel.ts'
import {
  asDrawn,
  frontOf,
  hasPlate,
  LEVEL,
  mainEdge,
  pairOf,
  plateOf,
  stripStretch,
  type MatchedPanel,
  type SewnUp,
} from './sewn-up.ts'

/** How a panel stands to one way of the pattern: where the cushion's pattern coordinate lies on it. */
export interface PatternFrame {
  /** The pattern coordinate of the panel's own x = 0 (or y = 0 for `y`). */
  readonly start: number
  readonly axis: 'x' | 'y'
  /** Whether it rises (1) or falls (−1) along the panel's axis. */
  readonly rises: 1 | -1
}

/**
 * Frames in the cushion's own coordinates: along the row from the left end of its front, and from front to back. Null
 * on a way that the pattern does not repeat, or on which it does not cross the panel in a line that could match.
 */
export interface CushionFrames {
  readonly row: PatternFrame | null
  readonly depth: PatternFrame | null
}

/** The way of the roll that runs along the row of cushions, and the one from front to back. */
export const rowWay = ({ direction }: Pick<ClothChoice, 'direction'>): Way =>
  direction === 'up-the-roll' ? 'across' : 'along'
export const depthWay = ({ direction }: Pick<ClothChoice, 'direction'>): Way =>
  direction === 'up-the-roll' ? 'along' : 'across'

/**
 * How the pattern lies on a panel of the cloth that is matched. Boxing takes the pattern over the edge: the front goes
 * on downwards, and so do sides where the repeat from front to back crosses their edge; a side that no repeat crosses
 * is not matched.
 */
export function cushionFrames(choice: ClothChoice, sewn: SewnUp, piece: MatchedPanel): CushionFrames {
  const [cover, panel] = asDrawn(sewn, piece)
  const cloth = clothFor(choice, panel.cloth)
  if (choice.match.kind === 'none' || cloth.id !== choice.cloth.id || HIDDEN.has(panel.cloth)) return NO_FRAMES
  const repeats = { row: repeatOf(cloth, rowWay(choice)) !== null, depth: repeatOf(cloth, depthWay(choice)) !== null }
  const isBoxing = panel.role === 'boxing' && cover.wall !== null && hasPlate(cover)
  const frames = isBoxing ? boxingFrames(cover, panel, repeats) : lyingFrames(cover, asTurnedOver(choice, cover, panel))
  return { row: repeats.row ? frames.row : null, depth: repeats.depth ? frames.depth : null }
}

/** Cloth that is never seen is not matched. */
const HIDDEN: ReadonlySet<ClothRole> = new Set(['liner', 'lining', 'wadding', 'protector'])

const NO_FRAMES: CushionFrames = { row: null, depth: null }

/** A bottom plate that is cut as its top plate takes the pattern of that plate, place by place of its own plane. */
const asTurnedOver = ({ pairs }: ClothChoice, cover: SewnUp, panel: MatchedPanel): MatchedPanel =>
  pairs === 'same' && isBottomPlate(panel) && hasPlate(cover) ? plateOf(cover) : panel

function lyingFrames(cover: SewnUp, panel: MatchedPanel): CushionFrames {
  const [row, depth] = [lyingFrame(cover, panel, true), lyingFrame(cover, panel, false)]
  const isUnder =
    row !== null && depth !== null && row.rises !== depth.rises && (panel.role === 'plate' || panel.role === 'base')
  return { row, depth: isUnder ? roundTheFront(cover, depth) : depth }
}

/** Down the front and on under the cushion, where its place at the front edge comes after the height of the front. */
function roundTheFront(cover: SewnUp, depth: PatternFrame): PatternFrame {
  const edge = frontEdgeOf(cover)
  const height = cover.wall ? cover.solid.thickness.value : 0
  return { start: 2 * edge - height - depth.start, axis: depth.axis, rises: depth.rises === 1 ? -1 : 1 }
}

function boxingFrames(
  cover: SewnUp,
  panel: MatchedPanel,
  repeats: { readonly row: boolean; readonly depth: boolean },
): CushionFrames {
  const front = repeats.row ? frontFrame(cover, panel) : null
  if (front) return { row: front, depth: overTheEdge(panel, frontMiddle(cover).y, 1) }
  const side = repeats.depth ? sideFrame(cover, panel) : null
  if (!side) return NO_FRAMES
  const edge = sideEdge(cover, panel)!.x - frontOf(cover).from
  return { row: overTheEdge(panel, edge, side.rises === 1 ? -1 : 1), depth: side }
}

/** Where the front edge of the top lies in the pattern: plates without boxing reach on over the edge, to mid height. */
function frontEdgeOf(cover: SewnUp): number {
  if (cover.wall && hasPlate(cover)) return frontMiddle(cover).y
  const top = hasPlate(cover) ? lyingFrame(cover, plateOf(cover), false) : null
  return top ? top.start + top.rises * boxOf(plateOf(cover).finished).minY : 0
}

/**
 * Down the boxing from its upper edge, where the plate's edge lies at `edge`; outwards the plate's coordinate rises or
 * falls.
 */
function overTheEdge(panel: MatchedPanel, edge: number, rises: 1 | -1): PatternFrame {
  const top = boxOf(panel.finished).maxY
  return { start: edge - rises * top, axis: 'y', rises }
}

/**
 * A plate, blank or body by how its largest flat part lies on the cushion: where its own x runs along
 * the row (or its y to the back), the pattern runs with it.
 */
function lyingFrame(cover: SewnUp, panel: MatchedPanel, alongRow: boolean): PatternFrame | null {
  const lying = cover.patches
    .filter((p) => p.panel === panel.id && p.bend !== 'bent')
    .toSorted((a, b) => areaOf(b.outline) - areaOf(a.outline))[0]
  if (!lying || panel.role === 'band' || panel.role === 'trim' || panel.role === 'gusset') return null
  const box = boxOf(lying.outline)
  const middle = at((box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2)
  const [here, along] = [
    lying.place(middle),
    lying.place(at(middle.x + (alongRow ? 1 : 0), middle.y + (alongRow ? 0 : 1))),
  ]
  const [u, rate] = alongRow ? [here.x - frontOf(cover).from, along.x - here.x] : [here.y, along.y - here.y]
  // A pillow is drawn in as it fills; its middle counts.
  if (Math.abs(rate) < 0.5) return null
  const rises = rate > 0 ? 1 : -1
  return { start: u - rises * (alongRow ? middle.x : middle.y), axis: alongRow ? 'x' : 'y', rises }
}

/** A bowed front matches its boxing in its middle. */
const frontMiddle = (cover: SewnUp) => onEdge(cover.solid.outline, mainEdge(cover, 'front'), 0.5)

/** The side edge that a strip is sewn to. */
function sideEdge(cover: SewnUp, panel: MatchedPanel) {
  const side = (['right', 'left'] as const).find(
    (s) => mainEdge(cover, s) >= 0 && stripStretch(cover, panel, mainEdge(cover, s)),
  )
  return side ? edgeOf(cover.solid.outline, mainEdge(cover, side))[0] : null
}

/** A straight front that lies level matches all along; a bowed one in its middle. */
function frontFrame(cover: SewnUp, panel: MatchedPanel): PatternFrame | null {
  const i = mainEdge(cover, 'front')
  const on = stripStretch(cover, panel, i)
  const [a, b] = edgeOf(cover.solid.outline, i)
  const left = frontOf(cover).from
  if (!on || Math.abs(b.y - a.y) > LEVEL * Math.abs(b.x - a.x) || isCone(panel)) return null
  if (isStraight(a.bulge)) {
    // A piece of a joined front goes on where its neighbour ended.
    const from = pairOf(cover, i, panel)!.a.from
    return {
      start: a.x - left + ((b.x - a.x) * from) / edgeLength(cover.solid.outline, i) - on.from,
      axis: 'x',
      rises: 1,
    }
  }
  const middle = (a.x + b.x) / 2
  return { start: middle - left - (on.from + on.to) / 2, axis: 'x', rises: 1 }
}

function sideFrame(cover: SewnUp, panel: MatchedPanel): PatternFrame | null {
  for (const side of ['right', 'left'] as const) {
    const i = mainEdge(cover, side)
    const on = i < 0 ? null : stripStretch(cover, panel, i)
    if (!on) continue
    const [a, b] = edgeOf(cover.solid.outline, i)
    if (!isStraight(a.bulge) || Math.abs(b.x - a.x) > LEVEL * Math.abs(b.y - a.y) || isCone(panel)) return null
    const placed = pairOf(cover, i, panel)!.a
    // The strip begins where its part of the edge begins: at the front on the right, at the zip end on the left.
    return side === 'right'
      ? { start: a.y + placed.from - on.from, axis: 'x', rises: 1 }
      : { start: a.y - placed.from + on.from, axis: 'x', rises: -1 }
  }
  return null
}

const isCone = (panel: MatchedPanel): boolean => panel.finished.some((v) => !isStraight(v.bulge))
