import type { Incumbent } from '../incumbent.ts'
import type { Instance, Item } from '../instance.ts'
import { modulo } from '../intervals.ts'
import type { Arrangement, Spot } from '../placer.ts'
import { PairTable } from '../separation/index.ts'
import type { Posture } from '../shape.ts'
import type { Strategy } from '../strategy.ts'
import { openCorner, type Placed } from './open-corner.ts'
import { FLUSH_MM, TILED_OVERLAP_MM, TILED_PHASE_MM } from '../tolerances.ts'

const MOST_PIECES = 250

/** Corners filled after which it is given up: true cuttings are found in few more than they have pieces. */
const MOST_STEPS = 20_000

/** Edges are flush where their directions differ by no more than this, and a hair at the far end. */
const FLUSH_RAD = 3e-4

/** Whether the pieces might fill a length of cloth without waste, as parts cut from a whole do. */
export const mayTile = ({ sheets, gap, obstacles, items }: Instance): boolean =>
  sheets === 1 && gap === 0 && obstacles.length === 0 && items.length <= MOST_PIECES

interface Choice {
  readonly item: number
  readonly posture: Posture
  readonly x: number
  readonly y: number
  readonly fit: number
}

/**
 * Looks for a lay without any waste, depth first: into the lowest open corner goes a piece whose
 * lowest corner fits it flush, for without waste no other can lie there. Yields the work done.
 */
export function* tilePolygons(instance: Instance, incumbent: Incumbent): Strategy {
  const { items, minX, maxX } = instance
  const length = instance.totalArea / (maxX - minX)
  if (length > instance.maxY + TILED_OVERLAP_MM) return
  const pairs = new PairTable(instance, 'exact')
  const placed: (Placed & { readonly spot: Spot })[] = []
  const isUsed = new Uint8Array(items.length)
  const phases = instance.groups.map((g): { across: number | null; along: number | null } => ({
    across: g.across,
    along: g.along,
  }))
  const levels: { choices: readonly Choice[]; next: number; before: readonly (typeof phases)[number][] }[] = []
  const strip = { minX, maxX, top: length }

  let level = openLevel()
  for (let step = 0; step < MOST_STEPS; step++) {
    yield 10 * items.length
    if (placed.length === items.length) return incumbent.offer(arrangement())
    const choice = level.choices[level.next++]
    if (choice) {
      put(choice)
      levels.push(level)
      level = openLevel()
      continue
    }
    const above = levels.pop()
    if (!above) return
    const back = placed.pop()!
    isUsed[back.spot.item] = 0
    above.before.forEach((p, g) => (phases[g] = p))
    level = above
  }

  function openLevel(): (typeof levels)[number] {
    const corner = openCorner(placed, strip)
    const choices = corner ? choicesAt(corner.x, corner.y, corner.angle, corner.opening) : []
    return { choices, next: 0, before: phases.map((p) => p) }
  }

  function choicesAt(x: number, y: number, angle: number, opening: number): Choice[] {
    const choices: Choice[] = []
    const tried = new Set<string>()
    for (let i = 0; i < items.length; i++) {
      if (isUsed[i]) continue
      for (const posture of items[i]!.postures) {
        const key = `${posture.shape.id}/${items[i]!.group}/${items[i]!.across}/${items[i]!.along}/${posture.anchorX}/${posture.anchorY}`
        if (tried.has(key)) continue
        tried.add(key)
        const fit = fitOf(posture, angle, opening)
        if (fit === null) continue
        const { ring } = posture.shape
        const spot = { item: i, posture, x: x - ring[0]!, y: y - ring[1]!, fit }
        if (isFree(spot) && isInPhase(items[i]!, spot)) choices.push(spot)
      }
    }
    return choices.sort((a, b) => b.fit - a.fit || a.item - b.item)
  }

  /** Null where the lowest corner of a shape does not lie flush in the opening; more where it fills it. */
  function fitOf({ shape: { ring } }: Posture, angle: number, opening: number): number | null {
    const n = ring.length
    const [ax, ay] = [ring[2]! - ring[0]!, ring[3]! - ring[1]!]
    const [bx, by] = [ring[n - 2]! - ring[0]!, ring[n - 1]! - ring[1]!]
    const length = Math.hypot(ax, ay)
    const out = Math.atan2(ay, ax)
    if (Math.abs(out - angle) > FLUSH_RAD + FLUSH_MM / length) return null
    const inner = Math.atan2(by, bx) - out
    if (inner > opening + 0.01) return null
    return (opening - inner < 0.01 ? 1e6 : 0) + length
  }

  function isFree({ posture, x, y }: Choice): boolean {
    const { shape } = posture
    if (
      x < minX - TILED_OVERLAP_MM ||
      x + shape.width > maxX + TILED_OVERLAP_MM ||
      y < -TILED_OVERLAP_MM ||
      y + shape.height > length + TILED_OVERLAP_MM
    )
      return false
    return placed.every((p) => pairs.depth(shape, p.spot.posture.shape, p.spot.x - x, p.spot.y - y) <= TILED_OVERLAP_MM)
  }

  function isInPhase(item: Item, { posture, x, y }: Choice): boolean {
    const phase = phases[item.group]
    if (!phase) return true
    return (
      isNear(item.across, phase.across, x + posture.anchorX, instance.repeatAcross) &&
      isNear(item.along, phase.along, y + posture.anchorY, instance.repeatAlong)
    )
  }

  function put({ item, posture, x, y }: Choice): void {
    const spot = { item, posture, x, y, sheet: 0 }
    placed.push({ ring: posture.shape.ring, x, y, right: x + posture.shape.width, top: y + posture.shape.height, spot })
    isUsed[item] = 1
    const { group, across, along } = items[item]!
    const phase = phases[group]
    if (!phase) return
    phases[group] = {
      across: phase.across ?? (across === null ? null : modulo(x + posture.anchorX - across, instance.repeatAcross!)),
      along: phase.along ?? (along === null ? null : modulo(y + posture.anchorY - along, instance.repeatAlong!)),
    }
  }

  function arrangement(): Arrangement {
    const spots = placed.map((p) => p.spot)
    return { spots, left: [], sheets: 1, length: Math.max(...placed.map((p) => p.top)), offsets: phases }
  }
}

function isNear(demand: number | null, phase: number | null, at: number, repeat: number | null): boolean {
  if (demand === null || phase === null) return true
  const apart = modulo(at - demand - phase, repeat!)
  return Math.min(apart, repeat! - apart) <= TILED_PHASE_MM
}
