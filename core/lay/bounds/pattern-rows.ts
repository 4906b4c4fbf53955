import { alike, type Instance, type Item } from '../instance.ts'
import { modulo } from '../intervals.ts'
import type { Ring } from '../convex-parts.ts'
import type { Posture } from '../shape.ts'
import { ACCEPTED_MATCH_MM, ACCEPTED_OVERLAP_MM, ROUNDING_MM } from '../tolerances.ts'
import { spansAt } from './profile.ts'
import { linesTaken, type WidePieces } from './wide-pieces.ts'

/**
 * Pieces that are matched along the roll start at their places in the repeat and nowhere else. On the lines across the
 * cloth that lie at one place of it, one in each repeat, each of them is as wide as it is there, so that a number of
 * these lines is needed; where so many are needed at several places, the lay has all of these in each of so many
 * repeats but for the ends.
 */
export function patternRowsLength(instance: Instance): number {
  const { repeatAlong: repeat, groups, sheets } = instance
  if (repeat === null || sheets > 1) return 0
  return Math.max(0, ...groups.map((_, g) => rowsOfGroup(instance, g, repeat)))
}

/** Equal pieces of a group. */
interface Kind {
  readonly item: Item
  readonly count: number
}

/** More kinds, corners or repeats to a piece than a cover has go without this bound, which is had at once. */
const [MOST_KINDS, MOST_PLACES, MOST_REPEATS] = [40, 400, 100]

function kindsIn({ items }: Instance, group: number): readonly Kind[] {
  const bound = items.filter((item) => item.group === group && item.along !== null)
  return alike(bound).map((members) => ({ item: bound[members[0]!]!, count: members.length }))
}

function rowsOfGroup(instance: Instance, group: number, repeat: number): number {
  const bound = kindsIn(instance, group)
  const tallest = Math.max(0, ...bound.flatMap((k) => k.item.postures.map((p) => p.shape.height)))
  if (bound.length === 0 || bound.length > MOST_KINDS || tallest > MOST_REPEATS * repeat) return 0
  const phaseOf = (item: Item, p: Posture) => modulo(item.along! - p.anchorY, repeat)
  const places = [
    ...new Set(
      bound.flatMap(({ item }) =>
        item.postures.flatMap((p) =>
          p.shape.ring
            .filter((_, i) => i % 2 === 1)
            .map((y) => Math.round(modulo(phaseOf(item, p) + y, repeat) * 1e4) / 1e4),
        ),
      ),
    ),
  ].sort((a, b) => a - b)
  if (places.length > MOST_PLACES) return 0
  const stretches = places.map((from, i) => {
    const to = i + 1 < places.length ? places[i + 1]! : places[0]! + repeat
    return { from, to, lines: linesAt(instance, bound, phaseOf, repeat, from, to) }
  })
  const most = Math.max(...stretches.map((s) => s.lines))
  return Math.max(
    ...Array.from(
      { length: most },
      (_, n) =>
        n * repeat +
        reachOf(
          stretches.filter((s) => s.lines > n),
          repeat,
        ),
    ),
  )
}

interface Stretch {
  readonly from: number
  readonly to: number
}

/** Of one repeat, the shortest stretch that has all of these in it: all but the widest gap between them. */
function reachOf(stretches: readonly Stretch[], repeat: number): number {
  const gaps = stretches.map(({ to }, i) => {
    const next = stretches[i + 1]?.from ?? stretches[0]!.from + repeat
    return next - to
  })
  return Math.max(0, repeat - Math.max(...gaps) - 2 * ACCEPTED_MATCH_MM)
}

/** So many lines at a place of the repeat are needed for what crosses them, between two corners of anything. */
function linesAt(
  instance: Instance,
  bound: readonly Kind[],
  phaseOf: (item: Item, p: Posture) => number,
  repeat: number,
  from: number,
  to: number,
): number {
  const hair = Math.min(1e-4, (to - from) / 4)
  if (to - from < 1e-3) return 0
  const crossing = bound.map(({ item, count }): Crossing => ({
    item,
    count,
    ways: item.postures.map((posture) => {
      const on: Span[] = []
      const { ring, height } = posture.shape
      for (let y = modulo(from - phaseOf(item, posture), repeat); y < height - hair; y += repeat)
        on.push(spanBetween(ring, y + hair, y + (to - from) - hair))
      return { posture, on }
    }),
  }))
  return fewestLines(instance, crossing)
}

/** What of a piece every line has between two of them, within its box. */
interface Span {
  readonly width: number
  /** From and to, where it is one stretch on all of these lines. */
  readonly ends: readonly [from: number, to: number] | null
}

/** Equal pieces, and for each way of turning them what one has on each of the lines that it crosses. */
interface Crossing extends Kind {
  readonly ways: readonly { readonly posture: Posture; readonly on: readonly Span[] }[]
}

/** Between two lines with no corner between them edges run straight: what both have, all have. */
function spanBetween(ring: Ring, low: number, high: number): Span {
  const [a, b] = [spansAt(ring, low), spansAt(ring, high)]
  const width = Math.min(...[a, b].map((spans) => sum(spans.map(([from, to]) => to - from))))
  const [one, other] = [a[0], b[0]]
  if (a.length !== 1 || b.length !== 1 || !one || !other) return { width, ends: null }
  const ends = [Math.max(one[0], other[0]), Math.min(one[1], other[1])] as const
  return { width: Math.max(0, ends[1] - ends[0]), ends }
}

/** Lines as wide as the cloth that all this goes on. */
function fewestLines(instance: Instance, crossing: readonly Crossing[]): number {
  const waits = crossing.map((c) => waitBehind(instance, c, crossing))
  const pieces = crossing.map(({ count, ways }, i): WidePieces => {
    const beside = instance.gap - ACCEPTED_OVERLAP_MM + waits[i]!
    return { count, ways: ways.map((way) => way.on.map((s) => ({ width: s.width + beside, on: 1 }))) }
  })
  // What is last on its line waits for nothing.
  const room = instance.reachMm + instance.gap + 2 * ACCEPTED_OVERLAP_MM + Math.max(0, ...waits)
  return Math.ceil(linesTaken(pieces, room) - ROUNDING_MM)
}

/**
 * Of pieces that are all matched across the cloth as well, what stays free behind one at the least before the place of
 * the repeat where any other may begin.
 */
function waitBehind({ gap, repeatAcross }: Instance, own: Crossing, all: readonly Crossing[]): number {
  if (repeatAcross === null) return 0
  const spans = (c: Crossing) =>
    c.ways.flatMap(({ posture, on }) =>
      on.map(({ ends }) => {
        if (c.item.across === null || ends === null) return null
        const box = modulo(c.item.across - posture.anchorX, repeatAcross)
        return [box + ends[0], box + ends[1]] as const
      }),
    )
  if (all.some((c) => spans(c).includes(null))) return 0
  const waits = all.flatMap((other) =>
    other === own && own.count === 1
      ? []
      : spans(other).flatMap((next) => spans(own).map((last) => modulo(next![0] - last![1] - gap, repeatAcross))),
  )
  const least = Math.min(repeatAcross, ...waits.map((w) => (w > repeatAcross - 2 * ACCEPTED_MATCH_MM ? 0 : w)))
  return Math.max(0, least - 2 * ACCEPTED_MATCH_MM)
}

const sum = (numbers: readonly number[]): number => numbers.reduce((a, b) => a + b, 0)
