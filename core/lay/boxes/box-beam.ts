import type { Random } from '../../random/index.ts'
import type { Instance } from '../instance.ts'
import type { Arrangement } from '../placer.ts'
import { ROUNDING_MM } from '../tolerances.ts'
import { groundOf, type BeamGround } from './beam-ground.ts'
import { tightestHollow } from './beam-hollows.ts'
import { arrangementOf, nothingLaid, outlookOf, taken, type Beginning, type Step } from './beginning.ts'
import { ledgesAfter } from './ledges.ts'

/** What a choice looked at and a beginning taken on take, in the unit of work. */
const LOOK = 0.5
const GROW = 5
/** Choices' worth of work for a beginning itself. */
const BESIDE_LOOKING = 20
/** Beginnings taken on between two yields. */
const GROWN_AT_ONCE = 16

/**
 * What counts for a beginning beside what the aim says: that its upper edge has few ledges, that bound boxes came into
 * phase, and a little chance.
 */
const WEIGHTS = { ledges: 1, phase: 1, chance: 0.1 } as const

export interface BeamAim {
  /** No lay is looked for that is longer. */
  readonly length: number
  /** Beginnings that are kept at each step. */
  readonly width: number
  /** How much it counts that large boxes go first, and that little of what may be wasted is wasted. */
  readonly largeFirst: number
  readonly sparing: number
}

export type BeamEnd = 'found' | 'not found' | 'none exists'

/**
 * Looks for a lay of boxes no longer than the aim. Beginnings grow side by side, a box at a time: of
 * the hollows in a beginning's upper edge the one with the fewest ways to fill it is filled flush
 * left in every way, or given up if the length can spare the waste; the best beginnings go on.
 * Yields the work done.
 */
export function* beamOfBoxes(
  instance: Instance,
  aim: BeamAim,
  random: Random,
  offer: (a: Arrangement) => void,
): Generator<number, BeamEnd> {
  const ground = groundOf(instance, aim.length)
  if (!ground) return 'none exists'
  const marks = ground.kinds.map(() => Math.floor(random() * 2 ** 40))
  let kept: readonly Beginning[] = [nothingLaid(ground)]
  while (kept.length > 0) {
    const next: Step[] = []
    for (const beginning of kept) {
      const { steps, looked } = stepsOf(beginning, aim, ground, random)
      next.push(...steps)
      yield (looked + BESIDE_LOOKING) * LOOK
    }
    next.sort((a, b) => b.score - a.score)
    const seen = new Set<string>()
    const grown: Beginning[] = []
    for (let i = 0; i < next.length && grown.length < aim.width; i++) {
      const beginning = taken(next[i]!, ground, marks)
      if (beginning.placed === instance.items.length) {
        offer(arrangementOf(beginning, ground))
        return 'found'
      }
      const outlook = outlookOf(beginning)
      if (seen.has(outlook)) continue
      seen.add(outlook)
      grown.push(beginning)
      if (grown.length % GROWN_AT_ONCE === 0) yield GROWN_AT_ONCE * GROW
    }
    kept = grown
  }
  return 'not found'
}

/** Every step that a beginning may take, with what it counts, and the work of looking for them. */
function stepsOf(
  from: Beginning,
  aim: BeamAim,
  ground: BeamGround,
  random: Random,
): { readonly steps: readonly Step[]; readonly looked: number } {
  const { hollow, looked } = tightestHollow(from, ground)
  if (!hollow) return { steps: [], looked }
  const { at, choices, waste } = hollow
  const { ledges, area, inPhase } = from
  const { kinds, spare } = ground
  const { gap } = ground.instance
  const wasted = spare > 0 ? (spare - from.spare) / spare : 0
  const steps = choices.map((choice): Step => {
    const { shape } = choice.posture
    const after = {
      area: area + kinds[choice.kind]!.area,
      ledges: ledgesAfter(ledges, at, shape.width + gap, shape.height + gap),
      inPhase: inPhase + choice.bound,
      wasted,
    }
    return { from, at, choice, waste: 0, score: worth(after, aim, ground, random) }
  })
  if (waste > from.spare + ROUNDING_MM || ledges.length === 1) return { steps, looked }
  const after = { area, ledges: ledges.length - 1, inPhase, wasted: wasted + waste / spare }
  return { steps: [...steps, { from, at, choice: null, waste, score: worth(after, aim, ground, random) }], looked }
}

interface After {
  readonly area: number
  readonly ledges: number
  readonly inPhase: number
  /** Share of what may be wasted. */
  readonly wasted: number
}

const worth = (
  { area, ledges, inPhase, wasted }: After,
  { largeFirst, sparing }: BeamAim,
  { instance: { items, totalArea } }: BeamGround,
  random: Random,
): number =>
  (largeFirst * items.length * area) / totalArea -
  WEIGHTS.ledges * ledges +
  WEIGHTS.phase * inPhase -
  sparing * wasted +
  WEIGHTS.chance * random()
