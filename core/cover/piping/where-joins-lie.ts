import { edgeLength, isSmoothAt, isStraight } from '../../outline/index.ts'
import type { Panel } from '../panel.ts'

/**
 * Joins keep so far off corners and off the middle of the front wherever the loop can be turned so. A rule of the
 * trade.
 */
export const JOIN_CLEAR_MM = 60

export interface JoinPlaces {
  readonly places: readonly number[]
  readonly clearMm: number
}

/** Part of the loop, from a place on and so long. */
interface Stretch {
  readonly from: number
  readonly length: number
}

/**
 * Where the joins of a loop lie round the plate, counted from the middle of its back; `sharesBefore`: how much of the way
 * round lies before each of them. The loop is turned so that they lie clear of corners and of the middle of the front,
 * then off the front, then as far from both as can be.
 */
export function joinPlaces(plate: Panel, sharesBefore: readonly number[]): JoinPlaces {
  const loop = loopOf(plate)
  const { round } = loop
  /** How far off the nearest of some stretches a place is; a thousand tries ask it. */
  function clearOf(p: number, of: readonly Stretch[]): number {
    let least = Infinity
    for (const { from, length } of of) {
      const into = (p - from + 2 * round) % round
      const apart = into <= length ? 0 : Math.min(into - length, round - into)
      if (apart < least) least = apart
    }
    return least
  }
  const turn = isEven(sharesBefore) ? round / sharesBefore.length : round
  const tries = Math.min(MOST_TRIES, Math.ceil(turn / STEP_MM))
  const placesFrom = (start: number) => sharesBefore.map((share) => (start + share * round) % round)
  let best: JoinPlaces & { readonly worth: number } = { worth: -Infinity, places: [], clearMm: 0 }
  for (let i = 0; i < tries; i++) {
    const places = placesFrom((i / tries) * turn)
    let [clearMm, onFront] = [Infinity, 0]
    for (const place of places) {
      clearMm = Math.min(clearMm, clearOf(place, loop.kept))
      if (clearOf(place, loop.fronts) === 0) onFront++
    }
    const worth = (clearMm >= JOIN_CLEAR_MM ? 10 * round : 0) - onFront * round + Math.min(clearMm, round / 2)
    if (worth > best.worth) best = { worth, clearMm, places }
  }
  return { places: best.places, clearMm: best.clearMm }
}

/** Strips of one length repeat themselves after each. */
const isEven = (shares: readonly number[]): boolean => shares.every((s, i) => Math.abs(s - i / shares.length) < 1e-9)

/** Turned by so much at a time. */
const STEP_MM = 2
const MOST_TRIES = 1000

/** The edge of a plate as a loop that begins at the middle of the back: its fronts, and what joins keep away from. */
function loopOf(plate: Panel): {
  readonly round: number
  readonly fronts: readonly Stretch[]
  readonly kept: readonly Stretch[]
} {
  const n = plate.edges.length
  const lengths = plate.edges.map((_, i) => edgeLength(plate.finished, i))
  const starts = lengths.map((_, i) => lengths.slice(0, i).reduce((sum, l) => sum + l, 0))
  const round = starts.at(-1)! + lengths.at(-1)!
  const runOf = (side: 'front' | 'back'): Stretch | null => {
    const own = plate.edges.flatMap((e, i) => (e.side === side ? [i] : []))
    const first = own.find((i) => plate.edges[(i + n - 1) % n]!.side !== side) ?? own[0]
    return first === undefined ? null : { from: starts[first]!, length: own.reduce((sum, i) => sum + lengths[i]!, 0) }
  }
  const back = runOf('back')
  const origin = back ? back.from + back.length / 2 : 0
  const fromBack = ({ from, length }: Stretch): Stretch => ({
    from: (((from - origin) % round) + round) % round,
    length,
  })
  const front = runOf('front')
  const corners = starts.flatMap((from, i): Stretch[] => {
    if (isCornerArc(plate, i, lengths[i]!, round)) return [{ from, length: lengths[i]! }]
    return isSmoothAt(plate.finished, i) ? [] : [{ from, length: 0 }]
  })
  const middle = front ? [{ from: front.from + front.length / 2, length: 0 }] : []
  return {
    round,
    fronts: plate.edges.flatMap((e, i) =>
      e.side === 'front' ? [fromBack({ from: starts[i]!, length: lengths[i]! })] : [],
    ),
    kept: [...corners, ...middle].map(fromBack),
  }
}

/** A rounded corner: a short arc that turns a good deal; a quarter of a disc is none. */
function isCornerArc(plate: Panel, i: number, length: number, round: number): boolean {
  const { bulge } = plate.finished[i]!
  return !isStraight(bulge) && 4 * Math.atan(Math.abs(bulge!)) > CORNER_TURN && length < round / 6
}

const CORNER_TURN = Math.PI / 9
