import type { Lay, LayProblem } from '../../contract/index.ts'
import { err, ok, type Result } from '../result/index.ts'
import type { Ring } from './convex-parts.ts'
import { crossSections, leastSheets, lowerBound, type Bound } from './bounds/index.ts'
import { instanceOf, type Instance } from './instance.ts'
import {
  boxBeams,
  hasSkyline,
  isBeamInstance,
  isProofInstance,
  isSkylineInstance,
  layOnSkyline,
  proveBoxes,
  skylineWalks,
} from './boxes/index.ts'
import { isProven } from './better.ts'
import { acceptLay, type LayFault } from './check/index.ts'
import type { Found } from './found.ts'
import { largestFree } from './free-rectangle.ts'
import { incumbentFrom, type Incumbent, type Leaving } from './incumbent.ts'
import { beginningsOf, firstRecipes, orderWalks, walksFromBest, type Decoder } from './orders.ts'
import { Placer, type Arrangement } from './placer.ts'
import { seeded, type Random } from '../random/index.ts'
import { arrangementOf, layOf } from './lay-of.ts'
import { separation } from './separation/index.ts'
import { ROUNDING_MM } from './tolerances.ts'
import { takeTurns, type Budget, type Shared } from './strategy.ts'
import { boxedSearch, mayBeBoxed } from './boxed/index.ts'
import { mayTile, tilePolygons } from './tiling/index.ts'

/** Why there is no lay: what does not fit, and by how much. */
export type LayFailure =
  | { readonly code: 'wider-than-cloth'; readonly piece: string; readonly over: number; readonly wouldTurn: boolean }
  | { readonly code: 'longer-than-cloth'; readonly piece: string; readonly over: number }
  | { readonly code: 'never-at-side'; readonly piece: string }
  | { readonly code: 'no-place'; readonly piece: string }
  | { readonly code: 'no-room'; readonly pieces: readonly string[] }
  | { readonly code: 'too-many-pieces'; readonly pieces: number; readonly most: number }
  | { readonly code: 'unsound'; readonly faults: readonly LayFault[] }

export interface SolveOptions {
  readonly seed: number
  readonly budget: Budget
  /**
   * One of several searches that run beside each other on the same problem, each on its own core; 0 when it is alone.
   */
  readonly lane?: number
  /** Convex rings on the cloth that are covered already. */
  readonly taken?: readonly Ring[]
  /** A lay of these pieces to go on from. */
  readonly from?: Pick<Lay, 'placements' | 'length' | 'offsets'>
  /** Called with each better lay, the first one at once. */
  readonly onBetter?: (found: Found) => void
}

/**
 * Pieces with their copies: more are refused in words rather than left to hang. The contract's door has the same
 * number; a test holds both together.
 */
export const MOST_LAID = 5000

export const pieceCount = (problem: LayProblem): number => problem.pieces.reduce((sum, p) => sum + p.qty, 0)

/** More lanes than any machine has cores for; seeds of different lanes never meet. */
const LANES = 64

/** Plans a lay: anytime, and the same for the same problem, seed, lane and number of steps. */
export function solveLay(
  problem: LayProblem,
  { seed, budget, lane = 0, taken = [], from, onBetter }: SolveOptions,
): Result<Found, LayFailure> {
  const pieces = pieceCount(problem)
  if (pieces > MOST_LAID) return err({ code: 'too-many-pieces', pieces, most: MOST_LAID })
  const instance = instanceOf(problem, taken)
  const impossible = neverFits(problem, instance)
  if (impossible) return err(impossible)
  let bound = lowerBound(instance)
  const prove = (name: Bound['name'], length: number) => {
    if (length > bound.length) bound = { name, length }
  }
  const placer = new Placer(instance)
  const random = seeded(seed * LANES + lane)
  let steps = 0
  const foundOf = (a: Arrangement): Found => ({
    lay: layOf(instance, a, bound, seed),
    bound,
    steps,
    free: largestFree(instance, a),
  })
  let sound: Found | null = null
  let faults: readonly LayFault[] = []
  /** What the search believes is told only after the check, which knows nothing of the search, has found it sound. */
  function tell(a: Arrangement): void {
    if (a.left.length > 0) return
    const found = foundOf(a)
    faults = acceptLay(problem, { ...found.lay, seconds: 0 })
    if (faults.length > 0) return
    sound = found
    onBetter?.(found)
  }
  // The first lay is always finished, however short the budget.
  const first = firstLay(instance, placer)
  const incumbent = incumbentFrom(instance, first, tell)
  tell(first)
  if (isBegunByBoxes(instance) && !mayBeBoxed(instance)) {
    // Shapes that do not fill their boxes lie far closer than these: the search begins from there.
    const second = placer.arrange(beginningsOf(instance)[0]!, budget.isStopped)
    if (second) incumbent.offer(second)
  }
  const known = from && isSound(problem, from) ? arrangementOf(instance, from) : null
  if (known) incumbent.offer(known)
  const isReached = () => isBest(instance, incumbent.best(), bound)
  steps = takeTurns(
    strategiesFor({ instance, placer, incumbent, bound: bound.length, lane, prove }, random, budget),
    budget,
    isReached,
    0,
    (step) => (steps = step),
  )
  const best = incumbent.best()
  if (best.left.length > 0) return err(roomFailure(instance, placer, best))
  return sound ? ok(withProof(sound, foundOf(best))) : err({ code: 'unsound', faults })
}

/** Others than the search may have made it. */
const isSound = (problem: LayProblem, lay: NonNullable<SolveOptions['from']>): boolean =>
  acceptLay(problem, { ...NOT_SAID, ...lay }).length === 0
const NOT_SAID = { format: 'loft-seam/lay', version: 1, bound: 0, seed: 0, seconds: 0 } as const

/** The last sound lay, with what was proven and done since it was found. */
const withProof = (sound: Found, { bound, steps, lay }: Found): Found => ({
  ...sound,
  bound,
  steps,
  lay: { ...sound.lay, bound: Math.min(sound.lay.length, lay.bound) },
})

/**
 * As much of a problem as goes on its cloth, for a remnant or a piece of stock: pieces without a place are left out.
 */
export function layWhatFits(
  problem: LayProblem,
  { seed, budget }: SolveOptions,
  leaving: Leaving = 'fewest pieces',
): Omit<Lay, 'seconds'> {
  const pieces = problem.pieces.filter((piece) => {
    const alone = { ...problem, pieces: [{ ...piece, qty: 1 }] }
    return neverFits(alone, instanceOf(alone)) === null
  })
  const instance = instanceOf({ ...problem, pieces })
  if (instance.items.length === 0)
    return { format: 'loft-seam/lay', version: 1, length: 0, bound: 0, seed, placements: [], offsets: {} }
  const bound = lowerBound(instance)
  const placer = new Placer(instance)
  const first = placer.arrange(firstRecipes(instance)[0]!)!
  const incumbent = incumbentFrom(instance, first, () => {}, leaving)
  const decode: Decoder = (recipe) => placer.arrange(recipe, budget.isStopped)
  takeTurns(
    [{ strategy: orderWalks(instance, decode, incumbent, seeded(seed)), share: 1 }],
    budget,
    () => isBest(instance, incumbent.best(), bound),
    0,
    () => {},
  )
  return layOf(instance, incumbent.best(), { name: bound.name, length: 0 }, seed)
}

/**
 * Laid at once by the usual order: boxes, and many shapes by the boxes round them, on their skyline; many on other
 * cloth in one turn each.
 */
function firstLay(instance: Instance, placer: Placer): Arrangement {
  const recipe = firstRecipes(instance)[0]!
  const count = instance.items.length
  if (isSkylineInstance(instance) || isBegunByBoxes(instance)) return layOnSkyline(instance, recipe.order)
  if (count <= MANY_PIECES) return placer.arrange(recipe)!
  const width = instance.maxX - instance.minX
  const postures = Int8Array.from(instance.items, (item) =>
    Math.max(
      0,
      item.postures.findIndex((p) => p.shape.width <= width && p.shape.height <= instance.maxY),
    ),
  )
  return placer.arrange({ ...recipe, postures })!
}

/** Many shapes are first laid by the boxes round them, which is had at once. */
const isBegunByBoxes = (instance: Instance): boolean =>
  !isSkylineInstance(instance) &&
  hasSkyline(instance) &&
  instance.items.length > (mayBeBoxed(instance) ? MANY_BOXED : MANY_PIECES)

/** With more pieces than this that nearly fill their boxes, these are laid first: places of shapes take longer. */
const MANY_BOXED = 30
/** With more than this the maker would wait for them also where there is no skyline. */
const MANY_PIECES = 60
/** With more than this a walk takes few steps in its time, and others use it better. */
const MANY_WALKED = 40

interface Search {
  readonly instance: Instance
  readonly placer: Placer
  readonly incumbent: Incumbent
  readonly bound: number
  readonly lane: number
  /** Called with a length that no lay can undercut, and why. */
  readonly prove: (why: Bound['name'], length: number) => void
}

/**
 * Boxes are laid in beams and on their skyline; all others walk through orders, tile where nothing need be wasted, and
 * are pushed apart on ever shorter cloth.
 */
function strategiesFor(
  { instance, placer, incumbent, bound, lane, prove }: Search,
  random: Random,
  budget: Budget,
): readonly Shared[] {
  const decode: Decoder = (recipe) => placer.arrange(recipe, budget.isStopped)
  const fork = () => seeded(Math.floor(random() * 2 ** 32))
  const walks = {
    strategy: orderWalks(instance, decode, incumbent, fork()),
    share: instance.items.length > MANY_WALKED ? 0.5 : 1,
  }
  const beams = isBeamInstance(instance)
    ? [{ strategy: boxBeams(instance, incumbent, bound, lane, fork()), share: 5 }]
    : []
  const proof = isProofInstance(instance)
    ? [{ strategy: proveBoxes(instance, incumbent, lane, (length) => prove('every way tried', length)), share: 20 }]
    : []
  // One lane is enough for it: the others are told at the end.
  const abreast =
    lane === 0 && instance.sheets === 1
      ? [
          {
            strategy: crossSections(instance, (length) => prove('what lies abreast', length)),
            share: abreastShare(instance),
          },
        ]
      : []
  if (isSkylineInstance(instance))
    return [
      ...abreast,
      ...beams,
      ...proof,
      { strategy: skylineWalks(instance, incumbent, fork()), share: 1 },
      ...(instance.items.length <= FEW_BOXES ? [walks] : []),
    ]
  const flush =
    beams.length === 0 && !instance.hasSides && mayTile(instance)
      ? [{ strategy: tilePolygons(instance, incumbent), share: 1 }]
      : []
  const apart =
    instance.sheets === 1 && !instance.hasSides
      ? [{ strategy: separation(instance, incumbent, bound, fork()), share: instance.groups.length > 0 ? 3 : 8 }]
      : []
  const boxed =
    beams.length === 0 && mayBeBoxed(instance)
      ? [{ strategy: boxedSearch(instance, incumbent, decode, lane, fork()), share: 10 }]
      : []
  // Free pieces gain more by being pushed apart than by being laid anew.
  const onwards =
    instance.groups.length > 0 ? [{ strategy: walksFromBest(instance, decode, incumbent, fork()), share: 0.5 }] : []
  return [...flush, ...boxed, walks, ...beams, ...apart, ...onwards, ...abreast]
}

/** Outlines say much of what shapes can do, in a second or two; of boxes beams make better use of the time. */
const abreastShare = (instance: Instance): number => (instance.shapes.every((s) => s.isBox) ? 1 : 4)

/** With more boxes than this the general placer has had its say with the first lay. */
const FEW_BOXES = 25

/** All pieces lie, on no more sheets than their area needs, as short as can be. */
const isBest = (instance: Instance, { left, sheets, length }: Arrangement, bound: Bound): boolean =>
  left.length === 0 && sheets <= leastSheets(instance) && isProven({ length, bound: bound.length })

/** Pieces that cannot stand on the cloth in any allowed turn. */
function neverFits(problem: LayProblem, instance: Instance): LayFailure | null {
  const width = instance.maxX - instance.minX
  for (const item of instance.items) {
    if (item.postures.length === 0) return { code: 'never-at-side', piece: item.piece }
    const narrow = item.postures.filter(
      (p) => p.shape.width <= (p.standsAt === null ? width : instance.reachMm) + ROUNDING_MM,
    )
    if (narrow.length === 0) {
      const least = Math.min(...item.postures.map((p) => p.shape.width))
      const wouldTurn = item.postures.some((p) => p.shape.height <= width)
      return { code: 'wider-than-cloth', piece: item.piece, over: least - width, wouldTurn }
    }
    const shortest = Math.min(...narrow.map((p) => p.shape.height))
    if (shortest > instance.maxY + ROUNDING_MM)
      return { code: 'longer-than-cloth', piece: item.piece, over: shortest - instance.maxY }
  }
  return problem.pieces.length === 0 ? { code: 'no-room', pieces: [] } : null
}

/** A piece that has no place even alone is named by itself; else the ones that were left over. */
function roomFailure(instance: Instance, placer: Placer, best: Arrangement): LayFailure {
  const none = new Int8Array(instance.items.length).fill(-1)
  for (const i of best.left) {
    const alone = placer.arrange({ order: [i], postures: none, offsets: instance.groups.map(() => null), batch: null })!
    if (alone.left.length > 0) return { code: 'no-place', piece: instance.items[i]!.piece }
  }
  return { code: 'no-room', pieces: [...new Set(best.left.map((i) => instance.items[i]!.piece))] }
}
