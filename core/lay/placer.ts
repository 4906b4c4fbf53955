import { blockAt, freeLines, lowestOn, settle, type Block } from './blocks.ts'
import type { Instance, Item } from './instance.ts'
import type { Ring } from './convex-parts.ts'
import { Intervals, latticePoints, modulo } from './intervals.ts'
import { clearanceRing, minkowskiSum, noFitRegion, type ConvexRegion } from './no-fit.ts'
import type { Posture, Shape } from './shape.ts'
import { HAIR_MM } from './tolerances.ts'

/** A piece put down: its posture, and the lower left corner of its box. */
export interface Spot {
  readonly item: number
  readonly posture: Posture
  readonly x: number
  readonly y: number
  readonly sheet: number
}

export interface Arrangement {
  readonly spots: readonly Spot[]
  /** Items that found no place. */
  readonly left: readonly number[]
  readonly sheets: number
  /** Used length of the last sheet. */
  readonly length: number
  /** Phase of each group, null where nothing fixed it. */
  readonly offsets: readonly { readonly across: number | null; readonly along: number | null }[]
}

/** What lies on one sheet while it is being laid. */
interface Sheet {
  /** What lies on it, or of a roll laid in batches what may still be in the way. */
  spots: Spot[]
  /** Nothing is laid below. */
  base: number
  isUntouched: boolean
  /**
   * Where each shape (or bound posture) last found its lowest place. The more lies on the sheet the
   * higher that is, so nothing below is looked at again.
   */
  readonly floors: Map<Shape | Posture, number>
}

export interface Recipe {
  readonly order: readonly number[]
  /** Posture of each item by index; −1 lets the placer choose. */
  readonly postures: Int8Array
  /** Phase of each group where it is free and the recipe says; null: the first piece laid decides. */
  readonly offsets: readonly (number | null)[]
  /**
   * So many pieces are laid at a time, and the next above most of them: with hundreds of pieces the placer would look at
   * all of them for each. Null: every piece may lie anywhere.
   */
  readonly batch: number | null
}

/**
 * Lays pieces one by one, each as low as it goes, then as far left. Along an upright line every
 * convex no-fit region blocks one interval, so the lowest free place on the line is found exactly;
 * lines are tried where regions begin, end or bend, or on the phase lattice of a matched piece.
 */
export class Placer {
  private readonly instance: Instance
  private readonly regions = new Map<number, readonly ConvexRegion[]>()
  private readonly obstacleRegions = new Map<number, readonly ConvexRegion[]>()
  private readonly clearance: Ring | null
  private readonly scratch = new Intervals()

  constructor(instance: Instance) {
    this.instance = instance
    this.clearance = instance.gap > 0 ? clearanceRing(instance.gap) : null
  }

  /** Lays every item of the recipe; null when stopped on the way. */
  arrange(recipe: Recipe, isStopped: () => boolean = () => false): Arrangement | null {
    const { items, groups, sheets } = this.instance
    const spots: Spot[] = []
    const bySheet: Sheet[] = Array.from({ length: sheets }, () => ({
      spots: [],
      floors: new Map(),
      base: 0,
      isUntouched: true,
    }))
    const left: number[] = []
    const offsets = groups.map((g, i) => ({ across: g.across ?? recipe.offsets[i] ?? null, along: g.along }))
    for (const [n, index] of recipe.order.entries()) {
      if (isStopped()) return null
      if (recipe.batch !== null && n > 0 && n % recipe.batch === 0) this.leaveBehind(bySheet)
      const item = items[index]!
      const spot = this.firstSheetFor(item, index, recipe.postures[index]!, bySheet, offsets)
      if (!spot) {
        left.push(index)
        continue
      }
      spots.push(spot)
      bySheet[spot.sheet]!.spots.push(spot)
      bySheet[spot.sheet]!.isUntouched = false
      this.fixOffset(item, spot, offsets)
    }
    const used = bySheet.findLastIndex((s) => !s.isUntouched) + 1
    return {
      spots,
      left,
      sheets: Math.max(1, used),
      length: spots.reduce((most, s) => (s.sheet === used - 1 ? Math.max(most, topOf(s)) : most), 0),
      offsets,
    }
  }

  private firstSheetFor(
    item: Item,
    index: number,
    wanted: number,
    bySheet: readonly Sheet[],
    offsets: readonly Offset[],
  ): Spot | null {
    const postures = wanted >= 0 ? [item.postures[wanted]!] : item.postures
    for (let sheet = 0; sheet < bySheet.length; sheet++) {
      let best: Spot | null = null
      for (const posture of postures) {
        const place = this.lowest(item, posture, bySheet[sheet]!, offsets[item.group] ?? FREE)
        if (place && (!best || isLower(place, posture, best)))
          best = { item: index, posture, x: place.x, y: place.y, sheet }
      }
      if (best) return best
      // An untouched sheet that refuses a piece refuses it on every later sheet as well.
      if (bySheet[sheet]!.isUntouched) return null
    }
    return null
  }

  private lowest(
    item: Item,
    posture: Posture,
    { spots, floors, base }: Sheet,
    offset: Offset,
  ): { x: number; y: number } | null {
    const { minX, maxX, maxY, repeatAcross, repeatAlong } = this.instance
    const { shape } = posture
    const { standsAt } = posture
    const xLow = standsAt ?? minX
    const [xHigh, yHigh] = [(standsAt ?? maxX - shape.width) + HAIR_MM, maxY - shape.height + HAIR_MM]
    if (xHigh < xLow || yHigh < 0) return null
    // A piece on a side of the cloth has its floor by itself: others of its shape lie anywhere.
    const isBound = item.across !== null || item.along !== null || standsAt !== null
    const floor = Math.max(base, floors.get(isBound ? posture : shape) ?? 0)
    const blocks = this.blocksFor(shape, spots, xLow, xHigh, floor)
    const boundX =
      item.across !== null && offset.across !== null
        ? { start: offset.across + item.across - posture.anchorX, step: repeatAcross! }
        : null
    const boundY =
      item.along !== null && offset.along !== null
        ? { start: offset.along + item.along - posture.anchorY, step: repeatAlong! }
        : null
    const xs = boundX
      ? standsAt !== null
        ? latticePoints(boundX, standsAt - HAIR_MM, standsAt + HAIR_MM).map(() => standsAt)
        : latticePoints(boundX, xLow - HAIR_MM, xHigh)
      : standsAt !== null
        ? [standsAt]
        : freeLines(blocks, xLow, xHigh - HAIR_MM)
    let best: { x: number; y: number } | null = null
    for (const x of xs) {
      const y = lowestOn(blocks, x, floor, boundY, this.scratch, best ? best.y + HAIR_MM : Infinity)
      if (y > yHigh || (best && (y > best.y + HAIR_MM || (y > best.y - HAIR_MM && x >= best.x)))) continue
      best = { x, y }
    }
    if (best && !boundX && !boundY && standsAt === null && !this.isBoxesOnly(shape, spots))
      best = settle(blocks, best.x, best.y, xLow, floor, this.scratch)
    if (best) floors.set(isBound ? posture : shape, best.y)
    return best
  }

  /** Of each sheet only the pieces that reach furthest up may be in the way of the next. */
  private leaveBehind(bySheet: readonly Sheet[]): void {
    for (const sheet of bySheet) {
      if (sheet.spots.length <= STILL_IN_THE_WAY) continue
      const tops = sheet.spots.map(topOf).sort((a, b) => b - a)
      sheet.base = Math.max(sheet.base, tops[STILL_IN_THE_WAY]! + this.instance.gap)
      sheet.spots = sheet.spots.filter((s) => topOf(s) + this.instance.gap > sheet.base - HAIR_MM)
    }
  }

  private fixOffset(item: Item, spot: Spot, offsets: Offset[]): void {
    const offset = offsets[item.group]
    if (!offset) return
    const { repeatAcross, repeatAlong } = this.instance
    offsets[item.group] = {
      across:
        offset.across ??
        (item.across === null ? null : modulo(spot.x + spot.posture.anchorX - item.across, repeatAcross!)),
      along:
        offset.along ?? (item.along === null ? null : modulo(spot.y + spot.posture.anchorY - item.along, repeatAlong!)),
    }
  }

  /** Where this shape may not stand, as convex regions of its lower left corner, sorted by where they begin. */
  private blocksFor(
    shape: Shape,
    placed: readonly Spot[],
    xLow: number,
    xHigh: number,
    floor: number,
  ): readonly Block[] {
    const blocks: Block[] = []
    const add = (regions: readonly ConvexRegion[], dx: number, dy: number) => {
      for (const region of regions) {
        const block = blockAt(region, dx, dy)
        if (block.maxX > xLow && block.minX < xHigh && block.maxY > floor) blocks.push(block)
      }
    }
    add(this.obstacleRegionsFor(shape), 0, 0)
    for (const spot of placed) add(this.regionsFor(spot.posture.shape, shape), spot.x, spot.y)
    return blocks.sort((a, b) => a.minY - b.minY)
  }

  private regionsFor(fixed: Shape, moving: Shape): readonly ConvexRegion[] {
    const key = fixed.id * this.instance.shapes.length + moving.id
    let regions = this.regions.get(key)
    if (!regions) {
      const parts = this.clearance ? fixed.parts.map((p) => minkowskiSum(p, this.clearance!)) : fixed.parts
      regions = parts.flatMap((f) => moving.parts.map((m) => noFitRegion(f, m)))
      this.regions.set(key, regions)
    }
    return regions
  }

  private obstacleRegionsFor(moving: Shape): readonly ConvexRegion[] {
    let regions = this.obstacleRegions.get(moving.id)
    if (!regions) {
      regions = this.instance.obstacles.flatMap((o) => moving.parts.map((m) => noFitRegion(o, m)))
      this.obstacleRegions.set(moving.id, regions)
    }
    return regions
  }

  private isBoxesOnly(shape: Shape, placed: readonly Spot[]): boolean {
    return shape.isBox && this.instance.obstacles.length === 0 && placed.every((s) => s.posture.shape.isBox)
  }
}

/** So many pieces of a batch have hollows beside them that the next may fill. */
const STILL_IN_THE_WAY = 16

const topOf = ({ y, posture }: Spot): number => y + posture.shape.height

interface Offset {
  readonly across: number | null
  readonly along: number | null
}
const FREE: Offset = { across: null, along: null }

/**
 * Between postures the place counts whole and the height in part: measured over cushion sets, better than the top edge
 * alone.
 */
const HEIGHT_WEIGHT = 0.75

/** Lower wins, place and height weighed together, then the lower place, then further left. */
function isLower(place: { x: number; y: number }, posture: Posture, best: Spot): boolean {
  const [level, bestLevel] = [
    place.y + HEIGHT_WEIGHT * posture.shape.height,
    best.y + HEIGHT_WEIGHT * best.posture.shape.height,
  ]
  if (Math.abs(level - bestLevel) > HAIR_MM) return level < bestLevel
  return Math.abs(place.y - best.y) > HAIR_MM ? place.y < best.y : place.x < best.x - HAIR_MM
}
