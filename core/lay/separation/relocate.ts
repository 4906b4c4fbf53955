import { pickBelow, type Random } from '../../random/index.ts'
import type { Item } from '../instance.ts'
import type { Posture } from '../shape.ts'
import { anywhere, nearest, type Packing, type Reach } from './packing.ts'

/**
 * How many places are looked at: anywhere on the cloth, and near where the piece stands; the best few are then refined.
 */
const ANYWHERE = 18
const NEARBY = 12
const REFINED = 3

interface Place {
  posture: Posture
  x: number
  y: number
  cost: number
}

/** Moves a piece to the place of least weighted overlap among many sampled and refined; false when it stays. */
export function relocate(packing: Packing, i: number, random: Random): boolean {
  const item = packing.instance.items[i]!
  const { surroundings } = packing
  surroundings.gather(i, packing.weights.values)
  const here: Place = { posture: packing.postures[i]!, x: packing.x[i]!, y: packing.y[i]!, cost: 0 }
  here.cost = surroundings.cost(here.posture.shape, here.x, here.y, Infinity)
  const best: Place[] = [{ ...here }]
  const consider = (posture: Posture, x: number, y: number) => {
    const limit = best.length < REFINED ? Infinity : best.at(-1)!.cost
    const cost = surroundings.cost(posture.shape, x, y, limit)
    if (cost >= limit) return
    best.push({ posture, x, y, cost })
    best.sort((a, b) => a.cost - b.cost)
    if (best.length > REFINED) best.pop()
  }
  for (let k = 0; k < ANYWHERE && best[0]!.cost > 0; k++) {
    const posture = item.postures[pickBelow(random, item.postures.length)]!
    const [rx, ry] = [packing.reachX(item, posture), packing.reachY(item, posture)]
    if (rx && ry) consider(posture, anywhere(rx, random), anywhere(ry, random))
  }
  for (let k = 0; k < NEARBY && best[0]!.cost > 0; k++) {
    const posture = random() < 0.7 ? here.posture : item.postures[pickBelow(random, item.postures.length)]!
    const [rx, ry] = [packing.reachX(item, posture), packing.reachY(item, posture)]
    const { width, height } = posture.shape
    if (rx && ry)
      consider(
        posture,
        nearest(rx, here.x + (random() - 0.5) * width * 0.4),
        nearest(ry, here.y + (random() - 0.5) * height * 0.4),
      )
  }
  for (const place of best) {
    refine(packing, item, place, random, 0.04)
    if (place.cost === 0) break
  }
  const chosen = best.reduce((a, b) => (b.cost < a.cost ? b : a))
  if (chosen.cost > 0) refine(packing, item, chosen, random, 0.002)
  if (chosen.cost >= here.cost) return false
  packing.put(i, chosen.posture, chosen.x, chosen.y)
  return true
}

/**
 * Steps along an axis or a diagonal, longer after a success, shorter after a failure, down to the share `finest` of a
 * first step.
 */
function refine(packing: Packing, item: Item, place: Place, random: Random, finest: number): void {
  const { posture } = place
  const [rx, ry] = [packing.reachX(item, posture), packing.reachY(item, posture)]
  if (!rx || !ry) return
  const first = 0.1 * Math.min(posture.shape.width, posture.shape.height) * (finest < 0.01 ? 0.1 : 1)
  for (let step = first; step > first * finest && place.cost > 0;) {
    const way = pickBelow(random, 4)
    const [dx, dy] = [way === 1 ? 0 : step, way === 0 ? 0 : way === 3 ? -step : step]
    const tried = best(at(dx, dy), at(-dx, -dy))
    if (tried && tried.cost < place.cost) {
      Object.assign(place, tried)
      step *= 1.1
    } else step *= 0.55
  }

  function at(dx: number, dy: number): { x: number; y: number; cost: number } | null {
    const [x, y] = [moved(rx!, place.x, dx), moved(ry!, place.y, dy)]
    return x === place.x && y === place.y
      ? null
      : { x, y, cost: packing.surroundings.cost(posture.shape, x, y, place.cost) }
  }
}

const best = <T extends { cost: number }>(a: T | null, b: T | null): T | null =>
  a && b ? (b.cost < a.cost ? b : a) : (a ?? b)

/** On a lattice any step is to the next place. */
const moved = (reach: Reach, from: number, by: number): number =>
  by === 0 ? from : nearest(reach, reach.step === null ? from + by : from + Math.sign(by) * reach.step)
