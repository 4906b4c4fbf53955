import { ROUNDING_MM } from '../tolerances.ts'
import type { BeamGround } from './beam-ground.ts'
import { boundWays, hasRoom, isInPhase } from './beam-phases.ts'
import type { Beginning, Choice } from './beginning.ts'

/** A ledge lower than its neighbours: the ways to fill it, and what it wastes if it is given up. */
export interface Hollow {
  readonly at: number
  readonly choices: readonly Choice[]
  readonly waste: number
}

/** What asking for one kind on one ledge takes, beside a choice that fits. */
const ASKED = 1 / 8

/**
 * The hollow of a beginning with the fewest ways to fill it, of equals the lowest, and the work of looking for it; null
 * where one can be neither filled nor spared, or a bound box has no place left.
 */
export function tightestHollow(
  from: Beginning,
  ground: BeamGround,
): { readonly hollow: Hollow | null; readonly looked: number } {
  const { ledges, spare } = from
  let looked = 0
  if (!hasRoomForAll(from, ground)) return { hollow: null, looked }
  let best: Hollow | null = null
  for (let at = 0; at < ledges.length; at++) {
    const { y, width } = ledges[at]!
    const rise = Math.min(ledges[at - 1]?.y ?? ground.top, ledges[at + 1]?.y ?? ground.top) - y
    if (rise <= ROUNDING_MM) continue
    const waste = rise * width
    const choices = choicesOn(from, at, rise, ground)
    looked += ground.kinds.length * ASKED + choices.length
    if (choices.length === 0 && waste > spare + ROUNDING_MM) return { hollow: null, looked }
    const ways = best ? choices.length - best.choices.length : -1
    if (ways < 0 || (ways === 0 && y < ledges[best!.at]!.y)) best = { at, choices, waste }
  }
  return { hollow: best, looked }
}

const hasRoomForAll = ({ left, phases, ledges }: Beginning, ground: BeamGround): boolean =>
  ground.bound.every(
    (k) =>
      left[k] === 0 ||
      ground.kinds[k]!.postures.some((posture) => hasRoom(phases, ledges, ground.kinds[k]!, posture, ground)),
  )

function choicesOn(
  { ledges, left, spare, phases }: Beginning,
  at: number,
  rise: number,
  ground: BeamGround,
): readonly Choice[] {
  const { kinds, canFill, top } = ground
  const { gap } = ground.instance
  const { x, y, width: room } = ledges[at]!
  const choices: Choice[] = []
  for (let k = 0; k < kinds.length; k++) {
    if (left[k] === 0) continue
    const kind = kinds[k]!
    const phase = phases[kind.group]
    for (const posture of kind.postures) {
      const height = posture.shape.height + gap
      const rest = room - posture.shape.width - gap
      if (rest < -ROUNDING_MM || y + height > top) continue
      if (phase && !isInPhase(kind, phase, posture, x, y, ground)) continue
      // What stays beside it may go to waste up to the height of the lower neighbour.
      if (rest > ROUNDING_MM && !canFill(rest) && rest * Math.min(height, rise) > spare + ROUNDING_MM) continue
      choices.push({ kind: k, posture, bound: phase ? boundWays(kind, phase) : 0 })
    }
  }
  return choices
}
