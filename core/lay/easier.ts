import type { Lay, LayProblem } from '../../contract/index.ts'
import { held } from '../keyed/index.ts'
import { seeded } from '../random/index.ts'
import { hasSkyline, isSkylineInstance, layOnSkyline } from './boxes/index.ts'
import { acceptLay } from './check/index.ts'
import { instanceOf, type Instance } from './instance.ts'
import { knifeWork, type KnifeWork } from './knife.ts'
import { layOf, spotsOf } from './lay-of.ts'
import { asItLies, beginningsOf, orderWalks, type Decoder } from './orders.ts'
import { Placer, type Arrangement } from './placer.ts'
import { takeTurns, type Budget } from './strategy.ts'
import { EQUAL_LENGTH_MM } from './tolerances.ts'

/** So much longer a lay may be that is easier to cut. */
export const EASE_SHARE = 0.005

/** A lay beside another of the same pieces: how it is cut, and how it was before. */
export interface Easier {
  readonly lay: Omit<Lay, 'seconds'>
  readonly now: KnifeWork
  readonly before: KnifeWork
}

/** How the pieces of a lay are cut apart. */
export function cutsOf(problem: LayProblem, lay: Pick<Lay, 'placements' | 'length'>): KnifeWork {
  return knifeWork({ spots: spotsOf(instanceOf(problem), lay), length: lay.length })
}

/**
 * Looks for a lay at most half a per cent longer that is cut in fewer strokes, of as many the one with more bands straight
 * across the roll, then the shorter; null where none is found, and where sheets are counted, which are cut one by one.
 */
export function easierLay(
  problem: LayProblem,
  lay: Pick<Lay, 'placements' | 'length' | 'bound' | 'offsets'>,
  { seed, budget }: { readonly seed: number; readonly budget: Budget },
): Easier | null {
  const instance = instanceOf(problem)
  if (instance.sheets > 1) return null
  const spots = spotsOf(instance, lay)
  const before = knifeWork({ spots, length: lay.length })
  const mostMm = lay.length * (1 + EASE_SHARE) + EQUAL_LENGTH_MM
  let best: Arrangement | null = null
  let bestCost = costOf(before, lay.length)
  const offer = (a: Arrangement): number => {
    if (a.left.length > 0 || a.length > mostMm) return TOO_LONG + 1000 * a.left.length + a.length
    const cost = costOf(knifeWork(a), a.length)
    if (cost < bestCost) [best, bestCost] = [a, cost]
    return cost
  }
  const walks = orderWalks(instance, decoderFor(instance, budget), { offer }, seeded(seed), [
    asItLies(instance, {
      spots,
      left: [],
      offsets: instance.groups.map(({ name }) => held(lay.offsets, name) ?? UNKNOWN),
    }),
    ...beginningsOf(instance),
  ])
  takeTurns(
    [{ strategy: walks, share: 1 }],
    budget,
    () => false,
    0,
    () => {},
  )
  if (!best) return null
  const found = layOf(instance, best, { name: 'area', length: lay.bound }, seed)
  const now = knifeWork(best)
  return now.strokes < before.strokes && acceptLay(problem, { ...found, seconds: 0 }).length === 0
    ? { lay: found, now, before }
    : null
}

const UNKNOWN = { across: null, along: null }

/** More than any lay takes strokes. */
const TOO_LONG = 1e7

/** A band is worth a third of a stroke, and a metre of cloth a tenth of one. */
const costOf = ({ strokes, bands }: KnifeWork, lengthMm: number): number => strokes - bands / 3 + lengthMm / 1e4

function decoderFor(instance: Instance, budget: Budget): Decoder {
  if (isSkylineInstance(instance) && hasSkyline(instance)) return ({ order }) => layOnSkyline(instance, order)
  const placer = new Placer(instance)
  return (recipe) => placer.arrange(recipe, budget.isStopped)
}
