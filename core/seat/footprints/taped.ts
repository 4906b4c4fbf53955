import type { Footprint } from '../../../contract/index.ts'
import { err, ok, type Result } from '../../result/index.ts'
import { areaOf, at, distance, isSimple, turnAt, type Point } from '../../outline/index.ts'
import { valueOf } from '../dimension.ts'
import { footing, type Footing, type FootprintFault, type Mark } from './footing.ts'
import { solve, survey, type Survey, type Tape } from './survey.ts'

type Taped = Extract<Footprint, { kind: 'taped' }>

/** Corners from side lengths and diagonals, each from two tapes, then all together by least squares. */
export function tapedSurvey(shape: Taped): Result<Survey, FootprintFault> {
  const misnamed = shape.tapes.find(
    (t) => [...t.from, ...t.to].some((letter) => index(letter) >= shape.corners) || t.to.includes(t.from),
  )
  if (misnamed) return err({ code: 'tape-names', tape: nameOf(misnamed), corners: shape.corners })
  const tapes = shape.tapes.map((t): Tape => ({
    name: nameOf(t),
    from: index(t.from),
    to: (t.to.length === 1 ? [index(t.to)] : [index(t.to[0]!), index(t.to[1]!)]) as Tape['to'],
    mm: valueOf(t.length),
  }))
  const wanted = 2 * shape.corners - 3
  if (tapes.length < wanted) return err({ code: 'too-few-tapes', wanted, found: tapes.length })
  const open = openTriangle(tapes, shape.corners)
  if (open) return err({ code: 'tapes-cannot-close', tapes: open.map(({ name, mm }) => ({ name, mm })) })
  const start = bestStart(shape, tapes)
  if (typeof start === 'string') return err({ code: 'corner-not-held', corner: start })
  const found = survey(shape.corners, tapes, start)
  if (!isSimple(found.points)) return err({ code: 'outline-crosses' })
  return ok(found)
}

export function tapedFooting(shape: Taped): Result<Footing, FootprintFault> {
  const read = tapedSurvey(shape)
  if (!read.ok) return read
  const { points } = read.value
  const letters = points.map((_, i) => letter(i))
  const edges = letters.map((l, i) => `${l}${letters[(i + 1) % letters.length]!}`)
  const marks = shape.tapes.map((t, i): Mark => ({
    slot: `tapes.${i}`,
    from: points[index(t.from)]!,
    to: endPoint(points, t.to),
  }))
  return ok(footing(points, edges, letters, marks))
}

/** `AC`, or `A–BC` for a tape to the middle of side BC. */
export const nameOf = (tape: { readonly from: string; readonly to: string }): string =>
  tape.to.length === 1 ? `${tape.from}${tape.to}` : `${tape.from}–${tape.to}`

const letter = (i: number): string => String.fromCharCode(65 + i)
const index = (l: string): number => l.charCodeAt(0) - 65
const endPoint = (points: readonly Point[], to: string): Point =>
  to.length === 1
    ? points[index(to)]!
    : at(
        (points[index(to[0]!)]!.x + points[index(to[1]!)]!.x) / 2,
        (points[index(to[0]!)]!.y + points[index(to[1]!)]!.y) / 2,
      )

/** Three tapes round a triangle of which one is longer than the other two together. */
function openTriangle(tapes: readonly Tape[], corners: number): readonly Tape[] | null {
  const direct = tapes.filter((t) => t.to.length === 1)
  const of = (a: number, b: number) =>
    direct.find((t) => (t.from === a && t.to[0] === b) || (t.from === b && t.to[0] === a))
  for (let a = 0; a < corners; a++) {
    for (let b = a + 1; b < corners; b++) {
      for (let c = b + 1; c < corners; c++) {
        const three = [of(a, b), of(b, c), of(a, c)]
        if (!three.every((t) => t !== undefined)) continue
        const sum = three.reduce((total, t) => total + t!.mm, 0)
        if (three.some((t) => 2 * t!.mm > sum)) return three as readonly Tape[]
      }
    }
  }
  return null
}

/**
 * A first placing of the corners to solve from. Two tapes leave two places for a corner; all choices
 * are tried for few corners, and the one whose corners point the way they should, then the one whose
 * tapes agree best, is taken. Returns the letter of a corner that no two tapes reach.
 */
function bestStart(shape: Taped, tapes: readonly Tape[]): readonly Point[] | string {
  const choices = shape.corners <= 7 ? 2 ** (shape.corners - 2) : 1
  let best: { worth: number; points: readonly Point[] } | null = null
  let unreached = ''
  for (let choice = 0; choice < choices; choice++) {
    const placed = placeInTurn(shape, tapes, choice)
    if (typeof placed === 'string') {
      unreached = placed
      continue
    }
    const { points, isHeld } = solve(shape.corners, tapes, placed)
    if (!isHeld) continue
    const worth = wrongCorners(shape, points) * 1e6 + misfit(tapes, points)
    if (!best || worth < best.worth - 1e-6) best = { worth, points }
    if (best.worth < 1e-3) break
  }
  return best ? best.points : unreached || letter(shape.corners - 1)
}

/** The bits of `choice` turn corners to the other side of the two tapes that place them. */
function placeInTurn(shape: Taped, tapes: readonly Tape[], choice: number): readonly Point[] | string {
  const n = shape.corners
  const base = tapes.find((t) => t.from + (t.to[0] ?? 0) === 1 && t.to.length === 1)
  const points: (Point | undefined)[] = new Array<Point | undefined>(n).fill(undefined)
  points[0] = at(0, 0)
  points[1] = at(base?.mm ?? Math.max(...tapes.map((t) => t.mm)) / 2, 0)
  for (let bit = 0; bit < n - 2; bit++) {
    const next = bestReached(points, tapes)
    if (next === null) return letter(points.findIndex((p) => p === undefined))
    const [a, b] = [points[next.a]!, points[next.b]!]
    const order = next.corner > next.b === next.b > next.a || (next.corner < next.a && next.b > next.a)
    const flips = (choice >> bit) % 2 === 1
    points[next.corner] = triangulated(a, b, next.ra, next.rb, order !== flips)
  }
  return points as readonly Point[]
}

/** The unplaced corner with the best crossing of two tapes from placed corners. */
function bestReached(
  points: readonly (Point | undefined)[],
  tapes: readonly Tape[],
): { corner: number; a: number; b: number; ra: number; rb: number } | null {
  let best: { corner: number; a: number; b: number; ra: number; rb: number; worth: number } | null = null
  points.forEach((p, corner) => {
    if (p) return
    const reach = tapes.flatMap((t) => {
      if (t.to.length !== 1) return []
      if (t.from === corner && points[t.to[0]]) return [{ from: t.to[0], r: t.mm }]
      return t.to[0] === corner && points[t.from] ? [{ from: t.from, r: t.mm }] : []
    })
    for (const [i, one] of reach.entries()) {
      for (const two of reach.slice(i + 1)) {
        if (one.from === two.from) continue
        const [low, high] = one.from < two.from ? [one, two] : [two, one]
        const d = distance(points[low.from]!, points[high.from]!)
        const cos = (low.r ** 2 + high.r ** 2 - d * d) / (2 * low.r * high.r)
        const worth = 1 - Math.abs(cos)
        if (!best || worth > best.worth) best = { corner, a: low.from, b: high.from, ra: low.r, rb: high.r, worth }
      }
    }
  })
  return best
}

/** On the left of a→b when `left`; tapes too short to meet give the place between. */
function triangulated(a: Point, b: Point, ra: number, rb: number, left: boolean): Point {
  const d = distance(a, b) || 1e-9
  const along = (d * d + ra * ra - rb * rb) / (2 * d)
  const up = Math.sqrt(Math.max(0, ra * ra - along * along)) * (left ? 1 : -1)
  const [ux, uy] = [(b.x - a.x) / d, (b.y - a.y) / d]
  return at(a.x + ux * along - uy * up, a.y + uy * along + ux * up)
}

/** Corners that turn the wrong way; all do when the outline runs clockwise or crosses itself. */
function wrongCorners(shape: Taped, points: readonly Point[]): number {
  if (areaOf(points) <= 0 || !isSimple(points)) return points.length
  return points.filter((_, i) => turnAt(points, i) < 0 !== shape.hollow.includes(letter(i))).length
}

const misfit = (tapes: readonly Tape[], points: readonly Point[]): number =>
  Math.hypot(
    ...tapes.map(
      (t) =>
        t.mm -
        distance(
          points[t.from]!,
          t.to.length === 1
            ? points[t.to[0]]!
            : at((points[t.to[0]]!.x + points[t.to[1]]!.x) / 2, (points[t.to[0]]!.y + points[t.to[1]]!.y) / 2),
        ),
    ),
  )
