import { pickBelow, type Random } from '../random/index.ts'
import type { Incumbent } from './incumbent.ts'
import type { Instance } from './instance.ts'
import type { Arrangement, Recipe } from './placer.ts'
import type { Strategy } from './strategy.ts'
import { SAME_COST } from './tolerances.ts'

/** Turns a recipe into an arrangement; null when stopped on the way. */
export type Decoder = (recipe: Recipe) => Arrangement | null

/** How many steps back an answer is compared with: late acceptance forgets slowly. */
const MEMORY = 20

/** Steps without a better lay, per piece, after which the walk starts again from elsewhere. */
const PATIENCE = 40

/**
 * The orders it begins with first (unless said the usual ones: tall, large, wide, long first), then walks over orders, postures and free
 * phases by late acceptance, each from a shaken copy of the best recipe once the last has run dry.
 */
export function* orderWalks(
  instance: Instance,
  decode: Decoder,
  incumbent: Pick<Incumbent, 'offer'>,
  random: Random,
  begins: readonly Recipe[] = beginningsOf(instance),
): Strategy {
  const work = 25 * instance.items.length ** 2
  let bestRecipe = begins[0]!
  let bestCost = Infinity
  for (const recipe of begins) {
    if (attempt(recipe) === null) return
    yield work
  }
  for (let from = bestRecipe; ; from = shake(bestRecipe, instance, random)) {
    let here = from
    let hereCost = attempt(here)
    if (hereCost === null) return
    yield work
    let lowest = hereCost
    const memory = new Float64Array(MEMORY).fill(hereCost)
    for (let turn = 0, dry = 0; dry < PATIENCE * instance.items.length; turn++, dry++) {
      const tried = varied(here, instance, random)
      const cost = attempt(tried)
      if (cost === null) return
      yield work
      const slot = turn % MEMORY
      if (cost <= hereCost || cost <= memory[slot]!) {
        here = tried
        hereCost = cost
      }
      if (hereCost < memory[slot]!) memory[slot] = hereCost
      if (cost < lowest - SAME_COST) {
        lowest = cost
        dry = 0
      }
    }
  }

  /** The cost of a recipe, kept if it is the best of these walks; null when stopped. */
  function attempt(recipe: Recipe): number | null {
    const found = decode(recipe)
    if (!found) return null
    const cost = incumbent.offer(found)
    if (cost < bestCost - SAME_COST) {
      // Trying every turn of every piece is the slow part: walks go on with the turns that were found good.
      bestRecipe = pinned(recipe, found, instance)
      bestCost = cost
    }
    return cost
  }
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

/** Orders by height, area, width, length and girth, the largest first. */
export function firstRecipes(instance: Instance): readonly Recipe[] {
  const { items, groups } = instance
  const all = items.map((_, i) => i)
  const height = (i: number) => Math.max(...items[i]!.postures.map((p) => p.shape.height))
  const width = (i: number) => Math.max(...items[i]!.postures.map((p) => p.shape.width))
  const keys: readonly ((i: number) => number)[] = [
    height,
    (i) => items[i]!.area,
    width,
    (i) => Math.max(width(i), height(i)),
    (i) => width(i) + height(i),
  ]
  return keys.map((key) => ({
    order: all.toSorted((a, b) => key(b) - key(a) || width(b) - width(a) || a - b),
    postures: new Int8Array(items.length).fill(-1),
    offsets: groups.map(() => null),
    batch: null,
  }))
}

/** What walks begin with: the usual orders; of very many pieces batches of large and small ones. */
export function beginningsOf(instance: Instance): readonly Recipe[] {
  const count = instance.items.length
  const recipes = firstRecipes(instance)
  return batchOf(instance) === null
    ? recipes
    : recipes.map((recipe) => ({ ...recipe, order: dealt(recipe.order, Math.ceil(count / BATCH)), batch: BATCH }))
}

/** With more pieces than this on a roll they are laid in batches, each of large and small ones. */
const MANY = 150
const BATCH = 40

/** Matched pieces find each other better in the usual orders, and sheets have room for the small ones everywhere. */
const batchOf = ({ items, groups, sheets }: Instance): number | null =>
  items.length > MANY && groups.length === 0 && sheets === 1 ? BATCH : null

/** Dealt out one by one, so that each hand has its share of what comes first and last. */
const dealt = (order: readonly number[], hands: number): readonly number[] =>
  Array.from({ length: hands }, (_, hand) => order.filter((_, i) => i % hands === hand)).flat()

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
  return { order, postures, offsets, batch: from.batch }
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

/**
 * Walks on from the best lay of all strategies: laid anew in the order in which its pieces lie, each as low as it goes, and
 * then with one exchange after another, as long as no other strategy finds a better one.
 */
export function* walksFromBest(instance: Instance, decode: Decoder, incumbent: Incumbent, random: Random): Strategy {
  const work = 25 * instance.items.length ** 2
  for (;;) {
    const known = incumbent.best()
    let here = asItLies(instance, known)
    let hereCost = offered(here)
    if (hereCost === null) return
    yield work
    for (let dry = 0; incumbent.best() === known && dry < PATIENCE * instance.items.length; dry++) {
      const tried = varied(here, instance, random)
      const cost = offered(tried)
      if (cost === null) return
      yield work
      if (cost <= hereCost) [here, hereCost] = [tried, cost]
    }
  }

  function offered(recipe: Recipe): number | null {
    const found = decode(recipe)
    return found && incumbent.offer(found)
  }
}

/** The pieces of an arrangement from the starting end on, each turned as it lies, then those without a place. */
export function asItLies(
  instance: Instance,
  { spots, left, offsets }: Pick<Arrangement, 'spots' | 'left' | 'offsets'>,
): Recipe {
  const postures = new Int8Array(instance.items.length).fill(-1)
  for (const { item, posture } of spots) postures[item] = instance.items[item]!.postures.indexOf(posture)
  return {
    order: [...spots.toSorted((a, b) => a.sheet - b.sheet || a.y - b.y || a.x - b.x).map((s) => s.item), ...left],
    postures,
    offsets: offsets.map((o) => o.across),
    batch: batchOf(instance),
  }
}
