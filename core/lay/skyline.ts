import type { Instance, Item } from './instance.ts'
import type { Arrangement, Recipe, Spot } from './placer.ts'
import type { Posture } from './shape.ts'

/** Sizes closer than this count as equal: a piece that just fills a gap. */
const EQUAL = 1e-6

/** A level stretch of the upper edge of what is laid. */
interface Ledge {
  readonly x: number
  readonly y: number
  readonly width: number
}

/** Boxes on an endless roll without flaws or phases, which is all that this decoder takes. */
export const isSkylineInstance = (instance: Instance): boolean =>
  instance.sheets === 1 && instance.maxY === Infinity && instance.obstacles.length === 0 && instance.items.every((i) => i.across === null && i.along === null && i.postures.every((p) => p.shape.isBox))

/**
 * Lays boxes from the lowest ledge up: of the pieces that fit on it the one that fills it best (its
 * whole width, the height of a neighbouring ledge) is set against the higher neighbour; between
 * equals the recipe's order decides. A ledge that nothing fits is given up to its lower neighbour.
 * The fitness rule follows the known best-fit heuristics for strips of rectangles.
 */
export function arrangeOnSkyline(instance: Instance, recipe: Recipe, isStopped: () => boolean = () => false): Arrangement | null {
  const { items, gap } = instance
  // Each box takes its gap along to the right and upwards; so does the cloth.
  let ledges: readonly Ledge[] = [{ x: instance.minX, y: 0, width: instance.maxX - instance.minX + gap }]
  const waiting = [...recipe.order]
  const spots: Spot[] = []
  while (waiting.length > 0) {
    if (isStopped()) return null
    const low = lowestLedge(ledges)
    const choice = bestOn(ledges, low, waiting, items, recipe, gap)
    if (!choice) {
      ledges = given(ledges, low)
      continue
    }
    const ledge = ledges[low]!
    const { width, height } = choice.posture.shape
    const [left, right] = walls(ledges, low)
    const x = left >= right ? ledge.x : ledge.x + ledge.width - width - gap
    spots.push({ item: waiting[choice.place]!, posture: choice.posture, x, y: ledge.y, sheet: 0 })
    waiting.splice(choice.place, 1)
    ledges = raised(ledges, low, x, width + gap, ledge.y + height + gap)
  }
  return { spots, left: [], sheets: 1, length: Math.max(0, ...spots.map((s) => s.y + s.posture.shape.height)), offsets: instance.groups.map((g) => ({ across: g.across, along: g.along })) }
}

function lowestLedge(ledges: readonly Ledge[]): number {
  let low = 0
  for (let i = 1; i < ledges.length; i++) if (ledges[i]!.y < ledges[low]!.y - EQUAL) low = i
  return low
}

/** How high the neighbours stand above a ledge; the cloth's edges stand without end. */
const walls = (ledges: readonly Ledge[], i: number): readonly [number, number] => [(ledges[i - 1]?.y ?? Infinity) - ledges[i]!.y, (ledges[i + 1]?.y ?? Infinity) - ledges[i]!.y]

function bestOn(ledges: readonly Ledge[], low: number, waiting: readonly number[], items: readonly Item[], recipe: Recipe, gap: number): { place: number; posture: Posture } | null {
  const room = ledges[low]!.width
  const [left, right] = walls(ledges, low)
  const [higher, lower] = left >= right ? [left, right] : [right, left]
  let best: { place: number; posture: Posture } | null = null
  let bestFit = -1
  for (let place = 0; place < waiting.length && bestFit < 7; place++) {
    const index = waiting[place]!
    const wanted = recipe.postures[index]!
    const all = items[index]!.postures
    for (let k = wanted >= 0 ? wanted : 0; k < (wanted >= 0 ? wanted + 1 : all.length); k++) {
      const posture = all[k]!
      const [w, h] = [posture.shape.width + gap, posture.shape.height + gap]
      if (w > room + EQUAL) continue
      const fit = (Math.abs(w - room) < EQUAL ? 4 : 0) + (Math.abs(h - higher) < EQUAL ? 2 : 0) + (Math.abs(h - lower) < EQUAL ? 1 : 0)
      if (fit <= bestFit) continue
      best = { place, posture }
      bestFit = fit
    }
  }
  return best
}

/** The ledge given up: filled to its lower neighbour and joined with it. */
function given(ledges: readonly Ledge[], i: number): readonly Ledge[] {
  const [left, right] = walls(ledges, i)
  const y = ledges[i]!.y + Math.min(left, right)
  return joined(ledges.map((l, k) => (k === i ? { ...l, y } : l)))
}

/** The upper edge after a box of this width was set on ledge i. */
function raised(ledges: readonly Ledge[], i: number, x: number, width: number, top: number): readonly Ledge[] {
  const { x: from, y, width: whole } = ledges[i]!
  const parts: Ledge[] = []
  if (x - from > EQUAL) parts.push({ x: from, y, width: x - from })
  parts.push({ x, y: top, width })
  const rest = from + whole - (x + width)
  if (rest > EQUAL) parts.push({ x: x + width, y, width: rest })
  return joined([...ledges.slice(0, i), ...parts, ...ledges.slice(i + 1)])
}

/** Neighbours of one height become one ledge. */
function joined(ledges: readonly Ledge[]): readonly Ledge[] {
  const out: Ledge[] = []
  for (const ledge of ledges) {
    const last = out.at(-1)
    if (last && Math.abs(last.y - ledge.y) < EQUAL) out[out.length - 1] = { x: last.x, y: last.y, width: ledge.x + ledge.width - last.x }
    else out.push(ledge)
  }
  return out
}
