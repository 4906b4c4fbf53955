import type { Lay, LayProblem, PipingSplit, Placement, PlannedPart } from '../../contract/index.ts'
import type { PipingStrips } from '../cloth/index.ts'
import { clothFor, splitRun } from '../cover/index.ts'
import { coveredBy, instanceOf } from '../lay/index.ts'
import type { Point } from '../outline/index.ts'
import type { WorkedPlan } from '../planned/index.ts'
import { rowsBeside, stripsBeside, type LaidStrip, type StripWay, type WantedStrips } from '../strips/index.ts'

/** A lay of the panels alone. */
export type Bare = Pick<Lay, 'placements' | 'length' | 'offsets'>

/** Strips beside the panels, by which piping they are for, run by run. */
export interface Beside {
  readonly lengthMm: number
  readonly strips: ReadonlyMap<string, readonly (readonly LaidStrip[])[]>
}

/**
 * Ways of cutting the strips of piping beside panels that lie already, so many joins in a run beyond the fewest. The rows
 * that panels leave free are read once.
 */
export function besidePanels(
  panels: LayProblem,
  bare: Bare,
  piping: readonly PipingStrips[],
  stepMm: number,
): (moreJoins: number) => readonly Beside[] {
  const kinds = [...new Set(piping.map((p) => p.of))].map((of) => {
    const own = piping.filter((p) => p.of === of)
    return { ...own[0]!, count: own.reduce((sum, p) => sum + p.runs.count, 0) }
  })
  const { minX: leftMm, maxX: rightMm, maxY, obstacles } = instanceOf(panels)
  const lengthMm = Number.isFinite(maxY) ? maxY : bare.length + enoughFor(kinds, rightMm - leftMm)
  const covered = [...bare.placements.flatMap((p) => coveredBy(panels, p)), ...obstacles].map(asPoints)
  const rows = rowsBeside(covered, { leftMm, rightMm, lengthMm }, kinds.map(waysOf))
  return (moreJoins) =>
    stripsBeside(
      rows,
      kinds.map((kind) => wantedOf(kind, moreJoins, stepMm)),
      [bare.length, lengthMm],
    ).map((found) => ({ lengthMm: found.lengthMm, strips: new Map(kinds.map(({ of }, i) => [of, found.strips[i]!])) }))
}

type Kind = PipingStrips & { readonly count: number }

const waysOf = ({ shape, turns }: Kind): readonly StripWay[] =>
  turns.map((turn) => ({ turn: turn === 90 ? 90 : 0, slope: shape.climb / shape.reach, riseMm: shape.rise }))

function wantedOf({ group, rules, shape, count }: Kind, moreJoins: number, stepMm: number): WantedStrips {
  const run = {
    lengthMm: group.length.value * shape.reach,
    lossMm: rules.lossMm * shape.reach,
    longestMm: rules.longestLaidMm * shape.reach,
    mostStrips: Math.min(MOST_STRIPS, splitRun(group, rules).strips.value + moreJoins),
  }
  return {
    runs: Array.from({ length: count }, () => run),
    leastMm: LEAST_STRIP_MM * shape.reach,
    stepMm: stepMm * shape.reach,
  }
}

/** A run of more is patchwork. The contract's door has the same number; a test holds both together. */
const MOST_STRIPS = 12

/** Shorter strips are not worth their joins. */
const LEAST_STRIP_MM = 200

/** Twice what the strips take, and a strip along the roll, or the corner that a slant leaves: ample behind all panels. */
const enoughFor = (kinds: readonly Kind[], widthMm: number): number =>
  kinds.reduce((sum, { group, shape, count }) => {
    const reachMm = group.length.value * shape.reach
    return sum + reachMm + (2 * shape.rise * count * reachMm) / widthMm + shape.rise
  }, 0)

const asPoints = (ring: ArrayLike<number>): readonly Point[] =>
  Array.from({ length: ring.length / 2 }, (_, i) => ({ x: ring[2 * i]!, y: ring[2 * i + 1]! }))

/** A part whose piping is cut from a cloth, and its strips. */
export interface PipedPart {
  readonly part: PlannedPart
  readonly strips: readonly PipingStrips[]
}

/** The parts whose piping is cut from a cloth. */
export function pipedFrom({ sewn, cloth }: WorkedPlan, clothId: string): readonly PipedPart[] {
  const own = sewn.flatMap(({ part }, i) =>
    clothFor(part.cloth, 'piping').id === clothId ? [{ part, strips: cloth.strips[i]! }] : [],
  )
  return [...new Set(own.map((o) => o.part.letter))].map((letter) => {
    const designs = own.filter((o) => o.part.letter === letter)
    return { part: designs[0]!.part, strips: designs.flatMap((d) => d.strips) }
  })
}

/** What is kept with the ticket, by the letters of its parts: alike runs together. */
export const splitsOf = (piped: readonly PipedPart[], { strips }: Beside): Readonly<Record<string, PipingSplit>> =>
  Object.fromEntries(
    piped.map((own) => {
      const kinds = [...new Map(own.strips.map((p) => [p.of, p])).values()]
      const runsOf = (p: PipingStrips) => strips.get(p.of)!.map((run) => lengthsOf(p, run))
      return [own.part.letter, { kind: 'to-the-lay', runs: kinds.flatMap((p) => alikeTogether(runsOf(p), p.of)) }]
    }),
  )

const lengthsOf = ({ shape }: PipingStrips, run: readonly LaidStrip[]): number[] =>
  run.map((s) => hundredth(s.lengthMm / shape.reach))

const hundredth = (mm: number): number => Math.round(mm * 100) / 100

function alikeTogether(runs: readonly number[][], of: string) {
  const keys = [...new Set(runs.map((lengths) => lengths.join()))]
  return keys.map((key) => {
    const alike = runs.filter((lengths) => lengths.join() === key)
    return { of, count: alike.length, lengthsMm: alike[0]! }
  })
}

/** Each strip that the plan cuts takes one of the places that were found for its length. */
export function placementsOf(piping: readonly PipingStrips[], { strips }: Beside): readonly Placement[] {
  const free = new Map([...strips].map(([of, runs]) => [of, runs.flat()]))
  return piping.flatMap((own) =>
    own.cut.flatMap(({ id, qty, sewn }) =>
      Array.from({ length: qty }, (_, i): Placement => {
        const places = free.get(own.of)!
        const reachMm = sewn.value * own.shape.reach
        const at = places.findIndex((s) => Math.abs(s.lengthMm - reachMm) < SAME_STRIP_MM)
        const [place] = places.splice(at, 1)
        return { id, copy: i + 1, x: place!.at.x, y: place!.at.y, turn: place!.way.turn, flip: false }
      }),
    ),
  )
}

/** Lengths are kept to a hundredth. */
const SAME_STRIP_MM = 0.06
