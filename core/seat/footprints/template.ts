import type { Footprint } from '../../../contract/index.ts'
import { held } from '../../keyed/index.ts'
import {
  at,
  edgeOf,
  isSmoothAt,
  isStraight,
  keepsShape,
  offsetEdges,
  vertex,
  type Outline,
  type Point,
} from '../../outline/index.ts'
import { err, ok, type Result } from '../../result/index.ts'
import { footing, type Footing, type FootprintFault } from './footing.ts'

type Template = NonNullable<Extract<Footprint, { kind: 'points' }>['template']>

/**
 * The sewing lines of a traced panel: every edge that is a cut line moved in by its allowance, half a panel mirrored
 * over its fold. A fold is neither cut nor sewn.
 */
export function fromTemplate(traced: Footing, template: Template): Result<Footing, FootprintFault> {
  const { fold, allowanceMm } = template
  const isCut = (edge: string) => edge !== fold && (held(template.edges, edge) ?? template.lines) === 'cut'
  const net = offsetEdges(
    traced.outline,
    traced.edges.map((e) => (isCut(e) ? -allowanceMm : 0)),
  )
  if (!keepsShape(traced.outline, net)) return err({ code: 'template-swallowed', allowanceMm })
  const whole: Footing = { ...traced, outline: net }
  const over = fold === null ? -1 : traced.edges.indexOf(fold)
  if (fold === null) return ok(whole)
  if (over < 0) return err({ code: 'template-fold', edge: fold, because: 'missing' })
  return isStraight(net[over]!.bulge)
    ? ok(unfolded(whole, over))
    : err({ code: 'template-fold', edge: fold, because: 'bowed' })
}

/** Both halves of a panel of which one was traced; the mirrored edges go by the names of theirs, with a stroke. */
function unfolded({ outline, edges, corners }: Footing, over: number): Footing {
  const n = outline.length
  const [from, to] = edgeOf(outline, over)
  const half = Array.from({ length: n - 1 }, (_, k) => (over + 1 + k) % n)
  const reflect = reflectedIn(from, to)
  const kept: Outline = half.map((i) => outline[i]!)
  // Read backwards and mirrored, an edge bows outwards as before.
  const other: Outline = half.toReversed().map((i) => vertex(reflect(outline[(i + 1) % n]!), outline[i]!.bulge))
  const names = [...half.map((i) => edges[i]!), ...half.toReversed().map((i) => `${edges[i]!}′`)]
  const points = [...half.map((i) => corners[i]!), ...half.toReversed().map((i) => `${corners[(i + 1) % n]!}′`)]
  const both = [...kept, ...other]
  // An edge that meets its fold square runs on through it: it is one edge of the whole panel.
  const isThrough = (i: number) =>
    isStraight(both[i]!.bulge) && isStraight(both[before(i)]!.bulge) && isSmoothAt(both, i)
  const before = (i: number) => (i + both.length - 1) % both.length
  const stays = both.map((_, i) => !((i === 0 || i === half.length) && isThrough(i)))
  if (!stays[0]) names[names.length - 1] = names[0]!
  const only = <T>(list: readonly T[]) => list.filter((_, i) => stays[i])
  return footing(only(both), only(names), only(points), [], { curved: only(names) })
}

function reflectedIn(from: Point, to: Point): (p: Point) => Point {
  const [dx, dy] = [to.x - from.x, to.y - from.y]
  const square = dx * dx + dy * dy
  return (p) => {
    const t = ((p.x - from.x) * dx + (p.y - from.y) * dy) / square
    return at(2 * (from.x + t * dx) - p.x, 2 * (from.y + t * dy) - p.y)
  }
}
