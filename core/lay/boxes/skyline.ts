import type { Instance } from '../instance.ts'
import type { Arrangement, Spot } from '../placer.ts'

/** Boxes are laid in whole micrometres, so that equal is equal. */
const UNITS = 1000
const NONE = -1

/**
 * An endless roll without flaws or phases, which is all that this decoder takes; of other shapes it lays the boxes
 * round them.
 */
export const hasSkyline = (instance: Instance): boolean =>
  !instance.hasSides &&
  instance.sheets === 1 &&
  instance.maxY === Infinity &&
  instance.obstacles.length === 0 &&
  instance.items.every((i) => i.across === null && i.along === null)

export const isSkylineInstance = (instance: Instance): boolean =>
  hasSkyline(instance) && instance.items.every((i) => i.postures.every((p) => p.shape.isBox))

export interface Skyline {
  /** Length of the lay of boxes in this order; Infinity once it reaches `limit`. */
  readonly lengthOf: (order: Int32Array, limit: number) => number
  /** Mean height of the upper edge of the last lay: less of it is less waste below. */
  readonly meanHeight: () => number
  /** The lay of the last order whose length was asked for, which must have been finished. */
  readonly arrangement: () => Arrangement
}

/**
 * Lays boxes from the lowest ledge up: of the boxes that fit on it the one that fills it best (its
 * whole width, the height of a neighbouring ledge) is set against the higher neighbour; between
 * equals the order decides. A ledge that nothing fits is given up to its lower neighbour. The
 * fitness rule follows the known best-fit heuristics for strips of rectangles.
 */
export function skylineOf(instance: Instance): Skyline {
  const { items, gap } = instance
  const n = items.length
  // Each box takes its gap along to the right and upwards; so does the cloth.
  const gapUnits = Math.round(gap * UNITS)
  const wholeWidth = Math.round((instance.maxX - instance.minX) * UNITS) + gapUnits
  const boxes = items.flatMap((item, i) =>
    item.postures.map((posture) => ({
      item: i,
      posture,
      width: Math.round(posture.shape.width * UNITS) + gapUnits,
      height: Math.round(posture.shape.height * UNITS) + gapUnits,
    })),
  )
  const itemOf = Int32Array.from(boxes, (b) => b.item)
  const widths = Int32Array.from(boxes, (b) => b.width)
  const heights = Int32Array.from(boxes, (b) => b.height)
  const firstBox = Int32Array.from([...items.keys(), n], (i) =>
    i === n ? boxes.length : boxes.findIndex((b) => b.item === i),
  )
  const byWidth = grouped(widths)
  const byHeight = grouped(heights)
  const narrowest = Math.min(...widths)

  // The ledges, a linked list from left to right.
  const [x, y, width, before, after] = Array.from({ length: 5 }, () => new Int32Array(2 * n + 4)) as [
    Int32Array,
    Int32Array,
    Int32Array,
    Int32Array,
    Int32Array,
  ]
  let leftmost = 0
  let ledges = 0
  const rank = new Int32Array(n)
  const isLaid = new Uint8Array(n)
  const laid = { box: new Int32Array(n), x: new Int32Array(n), y: new Int32Array(n), count: 0 }

  return { lengthOf, meanHeight, arrangement }

  function lengthOf(order: Int32Array, limit: number): number {
    const limitUnits = limit * UNITS + gapUnits
    start(order)
    let top = 0
    let head = 0
    while (laid.count < n) {
      const ledge = lowest()
      const level = y[ledge]!
      const [onLeft, onRight] = [wall(before[ledge]!, level), wall(after[ledge]!, level)]
      while (head < n && isLaid[order[head]!]) head++
      const box = bestFor(width[ledge]!, Math.max(onLeft, onRight), Math.min(onLeft, onRight), order, head)
      if (box === NONE) {
        giveUp(ledge, Math.min(onLeft, onRight))
        continue
      }
      const reached = level + heights[box]!
      if (reached > top) {
        if (reached >= limitUnits) return Infinity
        top = reached
      }
      lay(box, ledge, onLeft >= onRight)
    }
    return (top - gapUnits) / UNITS
  }

  function meanHeight(): number {
    let under = 0
    for (let k = leftmost; k !== NONE; k = after[k]!) under += width[k]! * y[k]!
    return under / wholeWidth / UNITS
  }

  function start(order: Int32Array): void {
    for (let i = 0; i < n; i++) {
      rank[order[i]!] = i
      isLaid[i] = 0
    }
    laid.count = 0
    ledges = 1
    leftmost = 0
    x[0] = y[0] = 0
    width[0] = wholeWidth
    before[0] = after[0] = NONE
  }

  function lowest(): number {
    let low = leftmost
    for (let k = after[leftmost]!; k !== NONE; k = after[k]!) if (y[k]! < y[low]!) low = k
    return low
  }

  /** How high a neighbour stands above a level; the cloth's edges stand without end. */
  function wall(ledge: number, level: number): number {
    return ledge === NONE ? Infinity : y[ledge]! - level
  }

  function bestFor(room: number, higher: number, lower: number, order: Int32Array, head: number): number {
    if (room < narrowest) return NONE
    const whole = firstOf(
      byWidth.get(room),
      room,
      (box) => (heights[box] === higher ? 2 : 0) + (heights[box] === lower ? 1 : 0),
    )
    if (whole !== NONE) return whole
    const level = firstOf(byHeight.get(higher), room, () => 0)
    if (level !== NONE) return level
    const flush = firstOf(byHeight.get(lower), room, () => 0)
    if (flush !== NONE) return flush
    for (let r = head; r < n; r++) {
      const item = order[r]!
      if (isLaid[item]) continue
      for (let box = firstBox[item]!; box < firstBox[item + 1]!; box++) if (widths[box]! <= room) return box
    }
    return NONE
  }

  /** Of the boxes not yet laid that fit the room, the best by `fit`, then the first in order. */
  function firstOf(among: Int32Array | undefined, room: number, fit: (box: number) => number): number {
    let best = NONE
    let bestFit = -1
    if (!among) return best
    for (let k = 0; k < among.length; k++) {
      const box = among[k]!
      if (isLaid[itemOf[box]!] || widths[box]! > room) continue
      const f = fit(box)
      if (f > bestFit || (f === bestFit && rank[itemOf[box]!]! < rank[itemOf[best]!]!)) {
        best = box
        bestFit = f
      }
    }
    return best
  }

  function giveUp(ledge: number, rise: number): void {
    y[ledge]! += rise
    joinNeighbours(ledge)
  }

  function lay(box: number, ledge: number, isLeft: boolean): void {
    const [w, rest] = [widths[box]!, width[ledge]! - widths[box]!]
    const top = y[ledge]! + heights[box]!
    laid.box[laid.count] = box
    laid.x[laid.count] = isLeft ? x[ledge]! : x[ledge]! + rest
    laid.y[laid.count++] = y[ledge]!
    isLaid[itemOf[box]!] = 1
    if (rest === 0) {
      y[ledge] = top
      joinNeighbours(ledge)
      return
    }
    const raised = ledges++
    width[raised] = w
    y[raised] = top
    x[raised] = isLeft ? x[ledge]! : x[ledge]! + rest
    width[ledge] = rest
    if (isLeft) {
      x[ledge]! += w
      link(before[ledge]!, raised)
      link(raised, ledge)
    } else {
      link(raised, after[ledge]!)
      link(ledge, raised)
    }
    joinNeighbours(raised)
  }

  function link(left: number, right: number): void {
    if (left === NONE) leftmost = right
    else after[left] = right
    if (right !== NONE) before[right] = left
    if (left === NONE) before[right] = NONE
    if (right === NONE) after[left] = NONE
  }

  /** Neighbours of one height become one ledge. */
  function joinNeighbours(ledge: number): void {
    const [left, right] = [before[ledge]!, after[ledge]!]
    if (right !== NONE && y[right] === y[ledge]) {
      width[ledge]! += width[right]!
      link(ledge, after[right]!)
    }
    if (left !== NONE && y[left] === y[ledge]) {
      width[left]! += width[ledge]!
      link(left, after[ledge]!)
    }
  }

  function arrangement(): Arrangement {
    const spots = Array.from({ length: n }, (_, k): Spot => {
      const { item, posture } = boxes[laid.box[k]!]!
      return { item, posture, x: instance.minX + laid.x[k]! / UNITS, y: laid.y[k]! / UNITS, sheet: 0 }
    })
    return {
      spots,
      left: [],
      sheets: 1,
      length: Math.max(0, ...spots.map((s) => s.y + s.posture.shape.height)),
      offsets: instance.groups.map((g) => ({ across: g.across, along: g.along })),
    }
  }
}

/** The lay of boxes in an order. */
export function layOnSkyline(instance: Instance, order: readonly number[]): Arrangement {
  const skyline = skylineOf(instance)
  skyline.lengthOf(Int32Array.from(order), Infinity)
  return skyline.arrangement()
}

function grouped(values: Int32Array): ReadonlyMap<number, Int32Array> {
  const groups = new Map<number, number[]>()
  values.forEach((v, box) => groups.set(v, [...(groups.get(v) ?? []), box]))
  return new Map([...groups].map(([v, list]) => [v, Int32Array.from(list)]))
}
