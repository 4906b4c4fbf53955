import type { Piping } from '../../../contract/index.ts'
import { isStraight, perimeterOf, edgeLength, isSmoothAt } from '../../outline/index.ts'
import { entered, figure, given, over, plus, roundUp, times, type Figure } from '../../working/index.ts'
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
export function planPiping(choice: PipingChoice, footPerimeter: Figure, plate: Panel, bottom: Panel, allowances: Allowances): PipingPlan {
  const [topMm, footMm] = [perimeterOf(plate.finished), perimeterOf(bottom.finished)]
  const loops = choice.rows === 'both' ? 2 : 1
  const longest = loops === 2 ? Math.max(topMm, footMm) : topMm
  const perimeter =
    Math.abs(longest - footPerimeter.value) < 0.01
      ? footPerimeter
      : entered({ id: 'piping.perimeter', label: loops === 2 ? 'Perimeter of the larger plate' : 'Perimeter of the top plate', quantity: 'length', line: 'net', value: longest, rule: 'along the sewing line; leaning sides make the plates unequal' })
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
  return { strips, each, joinsMm: joinPlaces(plan.plate, n) }
}

/** Places round the plate from the middle of its back, as far from corners as can be and off the front. */
function joinPlaces(plate: Panel, n: number): readonly number[] {
  const count = plate.edges.length
  const lengths = plate.edges.map((_, i) => edgeLength(plate.finished, i))
  const starts = lengths.map((_, i) => lengths.slice(0, i).reduce((sum, l) => sum + l, 0))
  const round = starts.at(-1)! + lengths.at(-1)!
  const backs = plate.edges.flatMap((e, i) => (e.side === 'back' ? [i] : []))
  const origin = backs.length > 0 ? (starts[backs[0]!]! + starts[backs.at(-1)!]! + lengths[backs.at(-1)!]!) / 2 : 0
  const fromBack = (place: number) => (((place - origin) % round) + round) % round
  const corners = starts.flatMap((s, i) => (isSmoothAt(plate.finished, i) && isStraight(plate.finished[i]!.bulge) === isStraight(plate.finished[(i + count - 1) % count]!.bulge) ? [] : [fromBack(s)]))
  const fronts = plate.edges.flatMap((e, i) => (e.side === 'front' ? [{ from: fromBack(starts[i]!), length: lengths[i]! }] : []))
  const isOnFront = (p: number) => fronts.some((f) => (p - f.from + round) % round < f.length)
  const apart = (p: number, c: number) => Math.min((p - c + round) % round, (c - p + round) % round)
  let best = { worth: -Infinity, places: [] as number[] }
  const tries = 72
  for (let i = 0; i < tries; i++) {
    const places = Array.from({ length: n }, (_, j) => ((i / tries + j) * round) / n)
    const clear = Math.min(...places.map((p) => Math.min(...corners.map((c) => apart(p, c)))))
    const worth = clear - places.filter(isOnFront).length * round
    if (worth > best.worth) best = { worth, places }
  }
  return best.places
}
