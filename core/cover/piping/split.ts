import { edgeLength, isSmoothAt, isStraight } from '../../outline/index.ts'
import { figure, given, over, plus, roundUp, times, type Figure } from '../../working/index.ts'
import type { Panel } from '../panel.ts'
import type { PipingGroup } from './piping.ts'

/** Strips for one run of piping when none may be longer than the cloth allows. */
export interface StripSplit {
  readonly strips: Figure
  readonly each: Figure
  /** Distance of each join from the back centre, counter-clockwise round the plate as seen from above; empty for an open run. */
  readonly joinsMm: readonly number[]
}

/**
 * Splits a run into equal strips and turns a loop so that its joins stay off the front and as far
 * from corners as can be. A join takes `lossMm` of one strip; `more` joins beyond those needed make
 * shorter strips, which go where long ones do not.
 */
export function splitRun(run: PipingGroup, longestMm: number, lossMm: number, more = 0): StripSplit {
  const loss = given(lossMm, 'length', 'lost to a join')
  const fewest = roundUp(over(plus(run.length, times(-1, loss)), plus(given(longestMm, 'length', 'longest strip on this cloth'), times(-1, loss))), 1, 'count')
  const strips = figure({
    id: 'piping.strips',
    label: run.isClosed ? 'Strips for one loop' : 'Strips for one run',
    quantity: 'count',
    sum: more === 0 ? fewest : plus(fewest, given(more, 'count', 'joins more than needed')),
    rule: 'each strip after the first loses a join',
  })
  const n = Math.max(1, strips.value)
  const each = figure({
    id: 'piping.stripLength',
    label: 'Length of each strip',
    quantity: 'length',
    line: 'cut',
    sum: over(plus(run.length, times(given(n - 1, 'count', 'joins'), loss)), given(n, 'count', 'strips')),
    rule: 'the run and its joins, shared out evenly',
  })
  return { strips, each, joinsMm: run.isClosed ? joinPlaces(run.panel, n) : [] }
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
