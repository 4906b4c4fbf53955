import type { Instance } from './instance.ts'
import type { Arrangement, Recipe } from './placer.ts'
import { pickBelow, type Random } from '../random/index.ts'

export interface Budget {
  readonly steps: number
  /** Asked once a step; a clock or a stop button stands behind it. */
  readonly isStopped: () => boolean
}

/** Turns a recipe into an arrangement; null when stopped on the way. */
export type Decoder = (recipe: Recipe, isStopped?: () => boolean) => Arrangement | null

export interface Progress {
  readonly step: number
  readonly best: Arrangement
}

/** How many steps back an answer is compared with: late acceptance forgets slowly. */
const MEMORY = 20

/** With more pieces than this only the first, fastest decoder walks; the others have had their say on the first orders. */
const FEW_PIECES = 25

/** Steps without a better lay, per piece, after which the walk starts again from elsewhere. */
const PATIENCE = 40

/**
 * First lays by the usual orders (tall, large, wide, long first), then walks over orders, postures
 * and free phases by late acceptance, each from a shaken copy of the best recipe once the last one
 * has run dry, with each decoder in turn. Same instance, random and steps: same lay.
 */
export function search(instance: Instance, decoders: readonly [Decoder, ...Decoder[]], random: Random, budget: Budget, goal: (a: Arrangement) => boolean, report: (p: Progress) => void): Progress {
  const [firstRecipe, ...otherRecipes] = firstRecipes(instance)
  let step = 0
  let bestRecipe = firstRecipe!
  // The first lay is always finished, however short the budget.
  let best = decoders[0](bestRecipe)!
  let bestCost = costOf(instance, best)
  report({ step, best })
  /** The cost of a recipe, kept if it is the best yet; null when the budget has run out. */
  const attempt = (recipe: Recipe, decode: Decoder): number | null => {
    if (step >= budget.steps || goal(best) || budget.isStopped()) return null
    const found = decode(recipe, budget.isStopped)
    if (!found) return null
    step++
    const cost = costOf(instance, found)
    if (cost < bestCost - 1e-9) {
      // Trying every turn of every piece is the slow part: walks go on with the turns that were found good.
      bestRecipe = decoders.length === 1 ? pinned(recipe, found, instance) : recipe
      best = found
      bestCost = cost
      report({ step, best })
    }
    return cost
  }
  for (const recipe of [firstRecipe!, ...otherRecipes]) for (const decode of decoders) if (attempt(recipe, decode) === null) return { step, best }
  const patience = PATIENCE * instance.items.length
  for (let turn = 0, from = bestRecipe; ; turn++, from = shake(bestRecipe, instance, random)) {
    const decode = decoders[instance.items.length > FEW_PIECES ? 0 : turn % decoders.length]!
    if (!walk(from, patience, instance, random, (recipe) => attempt(recipe, decode))) return { step, best }
  }
}

/** One walk by late acceptance until it runs dry; false when the budget ends it. */
function walk(from: Recipe, patience: number, instance: Instance, random: Random, attempt: (recipe: Recipe) => number | null): boolean {
  let here = from
  const start = attempt(here)
  if (start === null) return false
  let hereCost = start
  let lowest = start
  const memory = new Float64Array(MEMORY).fill(start)
  for (let turn = 0, dry = 0; dry < patience; turn++, dry++) {
    const tried = varied(here, instance, random)
    const cost = attempt(tried)
    if (cost === null) return false
    const slot = turn % MEMORY
    if (cost <= hereCost || cost <= memory[slot]!) {
      here = tried
      hereCost = cost
    }
    if (hereCost < memory[slot]!) memory[slot] = hereCost
    if (cost < lowest - 1e-9) {
      lowest = cost
      dry = 0
    }
  }
  return true
}

/** The recipe with the postures that its arrangement chose: it lays the same, without trying the others. */
function pinned(recipe: Recipe, found: Arrangement, instance: Instance): Recipe {
  const postures = recipe.postures.slice()
  for (const spot of found.spots) postures[spot.item] = instance.items[spot.item]!.postures.indexOf(spot.posture)
  return { ...recipe, postures }
}

/** A recipe several steps away, so that the next walk does not fall back at once. */
function shake(recipe: Recipe, instance: Instance, random: Random): Recipe {
  const moves = 3 + pickBelow(random, Math.max(3, instance.items.length))
  let shaken = recipe
  for (let i = 0; i < moves; i++) shaken = varied(shaken, instance, random)
  return shaken
}

/**
 * Pieces without a place weigh most, then sheets, then the length; a little of how high pieces
 * stand on average leads the search across plains of equal length.
 */
function costOf(instance: Instance, a: Arrangement): number {
  const missing = a.left.reduce((sum, i) => sum + instance.items[i]!.area, 0) / (instance.maxX - instance.minX)
  const standing = a.spots.reduce((sum, s) => sum + (s.y + s.posture.shape.height) * s.posture.shape.area, 0) / (instance.totalArea || 1)
  const sheetHeight = Number.isFinite(instance.maxY) ? instance.maxY : 0
  return 1e4 * a.left.length + 100 * missing + (a.sheets - 1) * 2 * sheetHeight + a.length + 0.02 * standing
}

function firstRecipes(instance: Instance): readonly Recipe[] {
  const { items, groups } = instance
  const all = items.map((_, i) => i)
  const height = (i: number) => Math.max(...items[i]!.postures.map((p) => p.shape.height))
  const width = (i: number) => Math.max(...items[i]!.postures.map((p) => p.shape.width))
  const keys: readonly ((i: number) => number)[] = [height, (i) => items[i]!.area, width, (i) => Math.max(width(i), height(i)), (i) => width(i) + height(i)]
  return keys.map((key) => ({ order: all.toSorted((a, b) => key(b) - key(a) || width(b) - width(a) || a - b), postures: new Int8Array(items.length).fill(-1), offsets: groups.map(() => null) }))
}

function varied(from: Recipe, instance: Instance, random: Random): Recipe {
  const order = [...from.order]
  const postures = from.postures.slice()
  let offsets = from.offsets
  const n = order.length
  const move = random()
  if (move < 0.4 || n < 3) {
    const [i, j] = [pickBelow(random, n), pickBelow(random, n)]
    ;[order[i], order[j]] = [order[j]!, order[i]!]
  } else if (move < 0.75) {
    const [piece] = order.splice(pickBelow(random, n), 1)
    order.splice(pickBelow(random, n), 0, piece!)
  } else if (move < 0.85) {
    const length = 1 + pickBelow(random, Math.min(8, n - 1))
    const block = order.splice(pickBelow(random, n - length), length)
    order.splice(pickBelow(random, order.length + 1), 0, ...block)
  } else if (move < 0.95 || instance.groups.length === 0) {
    const i = pickBelow(random, n)
    const choices = instance.items[i]!.postures.length
    if (choices > 1) postures[i] = pickBelow(random, choices + 1) - 1
  } else {
    offsets = offsets.map((o) => (random() < 1 / offsets.length ? freeOffset(instance, random) : o))
  }
  return { order, postures, offsets }
}

/** The first piece decides, or some piece of a group standing at the left or right edge. */
function freeOffset(instance: Instance, random: Random): number | null {
  if (instance.repeatAcross === null || random() < 0.3) return null
  const item = instance.items[pickBelow(random, instance.items.length)]!
  if (item.across === null) return null
  const posture = item.postures[pickBelow(random, item.postures.length)]!
  const x = random() < 0.5 ? instance.minX : instance.maxX - posture.shape.width
  const phase = (x + posture.anchorX - item.across) % instance.repeatAcross
  return phase < 0 ? phase + instance.repeatAcross : phase
}
