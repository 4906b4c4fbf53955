import { edgeLength, isSmoothAt, isStraight } from '../../outline/index.ts'
import {
  entered,
  figure,
  given,
  minus,
  over,
  plus,
  roundUp,
  times,
  type Expression,
  type Figure,
} from '../../working/index.ts'
import type { Panel } from '../panel.ts'
import type { PipingGroup } from './piping-plan.ts'

/** Strips for one run of piping when none may be longer than the cloth allows. */
export interface StripSplit {
  readonly strips: Figure
  /** Of each strip, in the order in which they are joined. */
  readonly lengths: readonly Figure[]
  /**
   * Distance of each join from the back centre, counter-clockwise round the plate as seen from above; empty for an open
   * run.
   */
  readonly joinsMm: readonly number[]
  /** How near a join comes to a corner or to the middle of the front; Infinity without joins. */
  readonly clearMm: number
}

/** What a run is cut from: no strip longer than `longestMm`, each after the first losing `lossMm` to its join. */
export interface StripRules {
  readonly longestMm: number
  readonly lossMm: number
  /** Where a strip may be turned on the cloth, one that is laid by itself may be longer. */
  readonly longestLaidMm: number
}

/**
 * Splits a run into equal strips and turns a loop so that its joins stay off the front and as far
 * from corners as can be; `more` joins beyond those needed make shorter strips.
 */
export function splitRun(
  run: PipingGroup,
  { longestMm, lossMm }: Pick<StripRules, 'longestMm' | 'lossMm'>,
  more = 0,
): StripSplit {
  const loss = given(lossMm, 'length', 'lost to a join')
  const fewest = roundUp(
    over(
      plus(run.length, times(-1, loss)),
      plus(given(longestMm, 'length', 'longest strip on this cloth'), times(-1, loss)),
    ),
    1,
    'count',
  )
  const strips = stripCount(run, more === 0 ? fewest : plus(fewest, given(more, 'count', 'joins more than needed')))
  const n = Math.max(1, strips.value)
  const each = figure({
    id: 'piping.stripLength',
    label: 'Length of each strip',
    quantity: 'length',
    line: 'cut',
    sum: over(plus(run.length, times(given(n - 1, 'count', 'joins'), loss)), given(n, 'count', 'strips')),
    rule: 'the run and its joins, shared out evenly',
  })
  return turnedClear(
    run,
    strips,
    Array.from({ length: n }, () => each),
  )
}

/**
 * Splits a run into strips of given lengths, as the lay has room for them; the last makes up what is wanted. Null where
 * they were given for another run: too short or too long together, or one longer than the cloth allows.
 */
export function splitToLay(
  run: PipingGroup,
  { longestLaidMm, lossMm }: StripRules,
  lengthsMm: readonly number[],
): StripSplit | null {
  const joined = lengthsMm.reduce((sum, mm) => sum + mm, 0) - (lengthsMm.length - 1) * lossMm
  if (Math.abs(joined - run.length.value) > SAME_RUN_MM || lengthsMm.some((mm) => mm > longestLaidMm + SAME_RUN_MM))
    return null
  const strips = stripCount(run, given(lengthsMm.length, 'count', 'as the lay has room'))
  const chosen = lengthsMm
    .slice(0, -1)
    .map((value) =>
      entered({
        id: 'piping.stripInLay',
        label: 'Length of a strip',
        quantity: 'length',
        line: 'cut',
        value,
        rule: 'as the lay has room for it',
        setBy: 'job',
        change: 'lay.strips',
      }),
    )
  const loss = times(given(lengthsMm.length - 1, 'count', 'joins'), given(lossMm, 'length', 'lost to a join'))
  const last = figure({
    id: 'piping.lastStrip',
    label: 'Length of the last strip',
    quantity: 'length',
    line: 'cut',
    sum: minus(plus(run.length, loss), ...chosen),
    rule: 'what the run and its joins want beside the others',
  })
  return turnedClear(run, strips, [...chosen, last])
}

/** Lengths are kept to a hundredth of a millimetre. */
const SAME_RUN_MM = 0.05

const stripCount = (run: PipingGroup, sum: Expression): Figure =>
  figure({
    id: 'piping.strips',
    label: run.isClosed ? 'Strips for one loop' : 'Strips for one run',
    quantity: 'count',
    sum,
    rule: 'each strip after the first loses a join',
  })

/** Joins share the way round a plate as their strips share the run. */
function turnedClear(run: PipingGroup, strips: Figure, lengths: readonly Figure[]): StripSplit {
  if (!run.isClosed) return { strips, lengths, joinsMm: [], clearMm: Infinity }
  const sewn = lengths.reduce((sum, l) => sum + l.value, 0)
  const lostEach = (sewn - run.length.value) / lengths.length
  const shares = lengths.map((l) => (l.value - lostEach) / run.length.value)
  const { places, clearMm } = joinPlaces(
    run.panel,
    shares.map((_, i) => shares.slice(0, i).reduce((sum, share) => sum + share, 0)),
  )
  return { strips, lengths, joinsMm: places, clearMm }
}

/** Strips of one length among those of a split, in their order. */
export const stripLengths = ({ lengths }: StripSplit): readonly { readonly length: Figure; readonly count: number }[] =>
  lengths.reduce<{ length: Figure; count: number }[]>((found, length) => {
    const same = found.find((f) => Math.abs(f.length.value - length.value) < SAME_RUN_MM)
    if (!same) return [...found, { length, count: 1 }]
    same.count++
    return found
  }, [])

/**
 * Joins keep so far off corners and off the middle of the front wherever the loop can be turned so. A rule of the
 * trade.
 */
export const JOIN_CLEAR_MM = 60

interface JoinPlaces {
  readonly places: readonly number[]
  readonly clearMm: number
}

/** Part of the loop, from a place on and so long. */
interface Stretch {
  readonly from: number
  readonly length: number
}

/**
 * Places round the plate from the middle of its back: clear of corners and of the middle of the front, then off the
 * front, then as far from both as can be.
 */
function joinPlaces(plate: Panel, sharesBefore: readonly number[]): JoinPlaces {
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
