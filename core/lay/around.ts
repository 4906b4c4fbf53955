import type { Lay, LayProblem, Placement } from '../../contract/index.ts'
import { err, ok, type Result } from '../result/index.ts'
import { convexParts, counterClockwise, type Ring } from './convex-parts.ts'
import { fillHollows } from './fill-hollows.ts'
import { lowerBound } from './bounds/index.ts'
import type { Found } from './found.ts'
import { instanceOf } from './instance.ts'
import { clearanceRing, minkowskiSum } from './no-fit.ts'
import { turned } from './shape.ts'
import { solveLay, type LayFailure, type SolveOptions } from './solve.ts'
import { held } from '../keyed/index.ts'
import { HOLLOW_MM } from './tolerances.ts'

/** One copy of one piece of a lay. */
export const placementKey = ({ id, copy }: Pick<Placement, 'id' | 'copy'>): string => `${id}#${copy}`

/** Where a point of a piece comes to lie on the cloth. */
export function onTheCloth(
  place: Pick<Placement, 'x' | 'y' | 'turn' | 'flip'>,
  x: number,
  y: number,
): readonly [number, number] {
  const [dx, dy] = turned(x, y, place.turn, place.flip)
  return [place.x + dx, place.y + dy]
}

/**
 * Lays what is not locked round the locked pieces, which stay where they are; the phases of their
 * groups stay too. The bound is that of the whole problem.
 */
export function solveAround(
  problem: LayProblem,
  lay: Pick<Lay, 'placements' | 'offsets'>,
  locked: ReadonlySet<string>,
  options: SolveOptions,
): Result<Found, LayFailure> {
  const fixed = lay.placements.filter((p) => locked.has(placementKey(p)))
  if (fixed.length === 0) return solveLay(problem, options)
  const open = openCopies(problem, fixed)
  const lockedTop = Math.max(...fixed.map((p) => topOf(problem, p)))
  const bound = lowerBound(instanceOf(problem))
  const whole = (found: Pick<Found, 'lay' | 'steps' | 'free'>): Found => {
    const placements = [...fixed, ...found.lay.placements.map((p) => ({ ...p, copy: open.get(p.id)![p.copy - 1]! }))]
    return {
      lay: {
        ...found.lay,
        length: Math.max(lockedTop, found.lay.length),
        bound: Math.min(bound.length, Math.max(lockedTop, found.lay.length)),
        placements,
        offsets: { ...lay.offsets, ...found.lay.offsets },
      },
      bound,
      steps: found.steps,
      free: found.free,
    }
  }
  const pieces = problem.pieces
    .filter((p) => open.get(p.id)!.length > 0)
    .map((p) => ({ ...p, qty: open.get(p.id)!.length }))
  if (pieces.length === 0)
    return ok(
      whole({
        lay: {
          format: 'loft-seam/lay',
          version: 1,
          length: 0,
          bound: 0,
          seed: options.seed,
          placements: [],
          offsets: {},
        },
        steps: 0,
        free: { x: 0, y: 0, width: 0, height: 0 },
      }),
    )
  const rest: LayProblem = { ...problem, groups: { ...problem.groups, ...fixedGroups(problem, lay, fixed) }, pieces }
  const { onBetter } = options
  const solved = solveLay(rest, {
    ...options,
    taken: fixed.flatMap((p) => coveredBy(problem, p)),
    ...(onBetter ? { onBetter: (f: Found) => onBetter(whole(f)) } : {}),
  })
  return solved.ok ? ok(whole(solved.value)) : err(solved.error)
}

/** Copies of each piece that are not locked. */
function openCopies(problem: LayProblem, fixed: readonly Placement[]): ReadonlyMap<string, readonly number[]> {
  const taken = new Set(fixed.map(placementKey))
  return new Map(
    problem.pieces.map(({ id, qty }) => [
      id,
      Array.from({ length: qty }, (_, i) => i + 1).filter((copy) => !taken.has(placementKey({ id, copy }))),
    ]),
  )
}

function fixedGroups(
  problem: LayProblem,
  { offsets }: Pick<Lay, 'offsets'>,
  fixed: readonly Placement[],
): LayProblem['groups'] {
  const names = new Set(fixed.flatMap((p) => problem.pieces.find((q) => q.id === p.id)?.match?.group ?? []))
  return Object.fromEntries(
    [...names].flatMap((name) => {
      const offset = held(offsets, name)
      return offset ? [[name, offset]] : []
    }),
  )
}

const outlineOf = (problem: LayProblem, place: Placement): Ring =>
  problem.pieces.find((p) => p.id === place.id)!.outline.flatMap(([x, y]) => onTheCloth(place, x, y))

const topOf = (problem: LayProblem, place: Placement): number =>
  outlineOf(problem, place).reduce((top, v, i) => (i % 2 === 1 ? Math.max(top, v) : top), 0)

/** What a piece covers where it lies, its gap with it: convex rings. */
export function coveredBy(problem: LayProblem, place: Placement): readonly Ring[] {
  const parts = convexParts(fillHollows(counterClockwise([...outlineOf(problem, place)]), HOLLOW_MM))
  return problem.gap > 0 ? parts.map((p) => minkowskiSum(p, clearanceRing(problem.gap))) : parts
}
