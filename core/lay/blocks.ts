import { type Intervals, type Lattice } from './intervals.ts'
import { chainAt, type ConvexRegion } from './no-fit.ts'
import { HAIR_MM } from './tolerances.ts'

/** A convex region that one placed piece (or obstacle) keeps free of the piece to be laid, where it stands. */
export interface Block {
  readonly region: ConvexRegion
  readonly dx: number
  readonly dy: number
  readonly minX: number
  readonly maxX: number
  readonly minY: number
  readonly maxY: number
}

export const blockAt = (region: ConvexRegion, dx: number, dy: number): Block => ({
  region,
  dx,
  dy,
  minX: region.minX + dx,
  maxX: region.maxX + dx,
  minY: region.minY + dy,
  maxY: region.maxY + dy,
})

/** Upright lines worth trying: the cloth's edges and the lines of every blocked region, from left to right. */
export function freeLines(blocks: readonly Block[], low: number, high: number): Float64Array {
  const lines = [low, high]
  for (const { region, dx } of blocks) {
    for (const line of region.lines) {
      const x = line + dx
      if (x > low && x < high) lines.push(x)
    }
  }
  const sorted = Float64Array.from(lines).sort()
  let kept = 0
  for (const x of sorted) if (kept === 0 || x - sorted[kept - 1]! > HAIR_MM) sorted[kept++] = x
  return sorted.subarray(0, kept)
}

/**
 * The lowest free place on the upright line at x, not below `from`. The blocks come sorted by where they begin, so that
 * all above a free place need not be looked at. What begins at `ceiling` or above is not looked at either: an answer
 * from there up only says that there is nothing below.
 */
export function lowestOn(
  blocks: readonly Block[],
  x: number,
  from: number,
  lattice: Lattice | null,
  scratch: Intervals,
  ceiling = Infinity,
): number {
  scratch.clear()
  let y = from
  for (let k = 0; k < blocks.length; k++) {
    const { region, dx, dy, minX, maxX, minY, maxY } = blocks[k]!
    if (minY >= ceiling || (!lattice && minY + HAIR_MM >= y)) break
    if (x <= minX + HAIR_MM || x >= maxX - HAIR_MM || maxY <= y) continue
    const low = region.isBox ? minY : chainAt(region.lower, x - dx) + dy
    const high = region.isBox ? maxY : chainAt(region.upper, x - dx) + dy
    if (lattice) scratch.add(low, high)
    else if ((y = scratch.climbed(y, low, high)) >= ceiling) break
  }
  return lattice ? scratch.lowestFreeOnLattice(from, lattice) : y
}

/** Slides left and down in turn until neither gives: the exact corner between two slanted edges. */
export function settle(
  blocks: readonly Block[],
  x: number,
  y: number,
  xLow: number,
  floor: number,
  scratch: Intervals,
): { x: number; y: number } {
  let at = { x, y }
  for (let i = 0; i < 12; i++) {
    const left = leftmostFrom(blocks, at.x, at.y, xLow)
    const down = lowestOn(blocks, left, floor, null, scratch)
    if (down > at.y + HAIR_MM || (at.x - left < 0.01 && at.y - down < 0.01)) break
    at = { x: left, y: down }
  }
  return at
}

/** How far left the level line through y is free from x on. */
function leftmostFrom(blocks: readonly Block[], x: number, y: number, xLow: number): number {
  let limit = xLow
  for (const { region, dx, dy, minX, minY, maxY } of blocks) {
    if (minX >= x || y <= minY + HAIR_MM || y >= maxY - HAIR_MM) continue
    const right = rightEnd(region, y - dy) + dx
    if (right <= x + HAIR_MM && right > limit) limit = right
  }
  return Math.min(x, limit)
}

/** The right end of a convex region on a level line that crosses it. */
function rightEnd(region: ConvexRegion, level: number): number {
  let right = region.minX
  for (const chain of [region.lower, region.upper]) {
    for (let i = 0; i + 3 < chain.length; i += 2) {
      const [x0, y0, x1, y1] = [chain[i]!, chain[i + 1]!, chain[i + 2]!, chain[i + 3]!]
      if (Math.min(y0, y1) <= level && level <= Math.max(y0, y1))
        right = Math.max(right, y1 === y0 ? x1 : x0 + ((level - y0) / (y1 - y0)) * (x1 - x0))
    }
  }
  // An upright right side lies in neither chain.
  const [topEnd, bottomEnd] = [region.upper.at(-1)!, region.lower.at(-1)!]
  return level >= bottomEnd && level <= topEnd ? region.maxX : right
}
