import type { Piping } from '../../../contract/index.ts'
import { figure, given, over, plus, roundUp, times, type Figure } from '../../working/index.ts'
import type { Allowances } from '../allowances.ts'
import type { Panel } from '../panel.ts'

export type PipingChoice = Exclude<Piping, { rows: 'none' }>

export interface PipingPlan {
  readonly choice: PipingChoice
  /** Loops on one cushion. */
  readonly loops: number
  readonly stripWidth: Figure
  readonly loopLength: Figure
  readonly cordPerCushion: Figure
  /** The plate whose edge the loop follows. */
  readonly plate: Panel
}

/** Cord is bought 2 % longer than the piping, for ends. */
const CORD_SPARE = 0.02

/** Strip width π·c + 2s for a cord of diameter c, and a loop round the plate with its joint. */
export function planPiping(choice: PipingChoice, perimeter: Figure, plate: Panel, allowances: Allowances): PipingPlan {
  const cord = given(choice.cordMm, 'length', 'cord diameter')
  const bare = figure({
    id: 'piping.bareStrip',
    label: 'Strip round the cord',
    quantity: 'length',
    line: 'cut',
    sum: plus(times(given(Math.PI, 'plain', 'pi'), cord), times(given(2, 'count', 'edges'), allowances.seamMm)),
    rule: 'once round the cord, and two seam allowances',
  })
  const stripWidth = figure({ id: 'piping.stripWidth', label: 'Piping strip width', quantity: 'length', line: 'cut', sum: roundUp(bare, 1, 'length'), rule: 'up to the next whole millimetre: too narrow cannot be sewn', change: 'make-up.cord' })
  const loopLength = figure({ id: 'piping.loop', label: 'Piping for one loop', quantity: 'length', line: 'cut', sum: plus(perimeter, allowances.pipingOverlapMm), rule: 'round the plate, and the overlap of its joint', change: 'make-up.pipingOverlapMm' })
  const loops = choice.rows === 'both' ? 2 : 1
  const cordPerCushion = figure({
    id: 'piping.cord',
    label: 'Cord for one cushion',
    quantity: 'length',
    sum: times(given(loops, 'count', 'loops'), loopLength, plus(1, given(CORD_SPARE, 'share', 'spare'))),
    rule: 'the piping and 2 %',
  })
  return { choice, loops, stripWidth, loopLength, cordPerCushion, plate }
}

/** The sharpest bend piping takes: three cords cut on the bias, ten cut straight. */
export const leastBend = (choice: PipingChoice): number => choice.cordMm * (choice.cut === 'bias' ? 3 : 10)

/** Strips for one loop when none may be longer than the cloth allows. */
export interface StripSplit {
  readonly strips: Figure
  readonly each: Figure
  /** Distance of each join from the back centre, counter-clockwise round the plate as seen from above. */
  readonly joinsMm: readonly number[]
}

/**
 * Splits a loop into equal strips and turns it so that the joins stay off the front and as far from
 * corners as can be. A join takes `lossMm` of one strip.
 */
export function splitLoop(plan: PipingPlan, longestMm: number, lossMm: number): StripSplit {
  const loss = given(lossMm, 'length', 'lost to a join')
  const strips = figure({
    id: 'piping.strips',
    label: 'Strips for one loop',
    quantity: 'count',
    sum: roundUp(over(plus(plan.loopLength, times(-1, loss)), plus(given(longestMm, 'length', 'longest strip on this cloth'), times(-1, loss))), 1, 'count'),
    rule: 'each strip after the first loses a join',
  })
  const n = Math.max(1, strips.value)
  const each = figure({
    id: 'piping.stripLength',
    label: 'Length of each strip',
    quantity: 'length',
    line: 'cut',
    sum: over(plus(plan.loopLength, times(given(n - 1, 'count', 'joins'), loss)), given(n, 'count', 'strips')),
    rule: 'the loop and its joins, shared out evenly',
  })
  return { strips, each, joinsMm: joinPlaces(plan.plate.figures.finishedWidth.value, plan.plate.figures.finishedHeight.value, n) }
}

function joinPlaces(w: number, d: number, n: number): readonly number[] {
  const round = 2 * (w + d)
  const corners = [w / 2, w / 2 + d, w / 2 + d + w, w / 2 + 2 * d + w]
  const isOnFront = (p: number) => p > w / 2 + d && p < w / 2 + d + w
  let best = { worth: -Infinity, places: [] as number[] }
  const tries = 72
  for (let i = 0; i < tries; i++) {
    const places = Array.from({ length: n }, (_, j) => ((i / tries + j) * round) / n)
    const clear = Math.min(...places.map((p) => Math.min(...corners.map((c) => Math.abs(p - c)))))
    const worth = clear - places.filter(isOnFront).length * round
    if (worth > best.worth) best = { worth, places }
  }
  return best.places
}
