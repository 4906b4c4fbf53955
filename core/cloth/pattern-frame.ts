import type { ClothChoice } from '../../contract/index.ts'
import { panelOf, type Cover, type Panel, type Stretch } from '../cover/index.ts'
import { edgeLength, edgeOf, isStraight } from '../outline/index.ts'
import { frontSpan, type Cushions } from '../seat/index.ts'
import { runStart } from './match.ts'

/** How a panel stands to the stripe: where the run's pattern coordinate u lies on it. */
export interface PatternFrame {
  /** u of the panel's own x = 0 (or y = 0 for `y`). */
  readonly start: number
  readonly axis: 'x' | 'y'
  /** Whether u rises (1) or falls (−1) along the panel's axis. */
  readonly rises: 1 | -1
}

/**
 * How the run's pattern lies on a panel; null where the stripe does not cross it in a line that could
 * match. Up the roll u runs along the row from its left end, and the boxing at the front goes with it;
 * railroaded u runs from front to back, and upright sides that stand square to the front go with it.
 */
export function patternFrame(choice: ClothChoice, cover: Cover, panel: Panel, cushions: Cushions, cushion: number): PatternFrame | null {
  const across = choice.direction === 'up-the-roll'
  const { from } = frontOf(cover)
  const row = runStart(cushions, cushion)
  if (panel.role === 'plate') {
    if (!across) return { start: 0, axis: 'y', rises: 1 }
    // The bottom plate is cut as the mirror image of the foot.
    if (panel.id === 'top-plate') return { start: row - from, axis: 'x', rises: 1 }
    const wide = Math.max(...cover.wall.foot.map((v) => v.x))
    return { start: row + wide - from, axis: 'x', rises: -1 }
  }
  if (panel.role !== 'boxing') return null
  return across ? frontFrame(cover, panel, row - from) : sideFrame(cover, panel)
}

/** How far the ends of a bowed front run off the stripe when its middle matches; 0 for a straight front. */
export function frontMismatch(cover: Cover): number {
  const i = mainEdge(cover, 'front')
  const [a, b] = edgeOf(cover.wall.foot, i)
  return isStraight(a.bulge) ? 0 : (edgeLength(cover.wall.foot, i) - Math.hypot(b.x - a.x, b.y - a.y)) / 2
}

/** A straight front that lies level matches all along; a bowed one in its middle. */
function frontFrame(cover: Cover, panel: Panel, start: number): PatternFrame | null {
  const i = mainEdge(cover, 'front')
  const on = stripStretch(cover, panel, i)
  const [a, b] = edgeOf(cover.wall.foot, i)
  if (!on || Math.abs(b.y - a.y) > LEVEL * Math.abs(b.x - a.x) || isCone(panel)) return null
  const middle = (a.x + b.x) / 2
  return { start: start + middle - (on.from + on.to) / 2, axis: 'x', rises: 1 }
}

function sideFrame(cover: Cover, panel: Panel): PatternFrame | null {
  for (const side of ['right', 'left'] as const) {
    const i = mainEdge(cover, side)
    const on = i < 0 ? null : stripStretch(cover, panel, i)
    if (!on) continue
    const [a, b] = edgeOf(cover.wall.foot, i)
    if (!isStraight(a.bulge) || Math.abs(b.x - a.x) > LEVEL * Math.abs(b.y - a.y) || isCone(panel)) return null
    const placed = onPlate(cover, i)
    // The strip begins where its part of the edge begins: at the front on the right, at the zip end on the left.
    return side === 'right' ? { start: a.y + placed.from - on.from, axis: 'x', rises: 1 } : { start: a.y - placed.from + on.from, axis: 'x', rises: -1 }
  }
  return null
}

/** Off square by less than this, stripes are as good as matched. */
const LEVEL = 0.005

const isCone = (panel: Panel): boolean => panel.finished.some((v) => !isStraight(v.bulge))

const frontOf = (cover: Cover) => frontSpan({ outline: cover.wall.foot, edges: sideEdges(cover) })

const sideEdges = (cover: Cover) => panelOf(cover, 'top-plate').edges.map((e) => ({ name: e.name, side: e.side!, meets: 'open' as const, leanRad: 0 }))

/** The longest edge of a side. */
function mainEdge(cover: Cover, side: 'front' | 'right' | 'left'): number {
  const edges = panelOf(cover, 'top-plate').edges
  return edges.reduce((best, e, i) => (e.side === side && (best < 0 || edgeLength(cover.wall.foot, i) > edgeLength(cover.wall.foot, best)) ? i : best), -1)
}

/** The pair that sews the top plate's edge to this panel. */
function pairOf(cover: Cover, i: number, panel?: Panel) {
  const name = panelOf(cover, 'top-plate').edges[i]!.name
  const pairs = cover.seams.flatMap((s) => (s.kind === 'plate' ? s.pairs : []))
  return pairs.find((p) => p.a.panel === 'top-plate' && p.a.edge === name && (!panel || p.b.panel === panel.id))
}

const onPlate = (cover: Cover, i: number): Stretch => {
  const name = panelOf(cover, 'top-plate').edges[i]!.name
  const pairs = cover.seams.flatMap((s) => (s.kind === 'plate' ? s.pairs : []))
  return pairs.find((p) => p.a.panel === 'top-plate' && p.a.edge === name && p.b.panel.startsWith('boxing'))!.a
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
