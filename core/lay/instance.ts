import { flawRing } from './flaw.ts'
import type { LayPiece, LayProblem } from '../../contract/index.ts'
import { convexParts, counterClockwise, ringArea, type Ring } from './convex-parts.ts'
import { posedRing, ShapeTable, turned, type Posture, type Shape } from './shape.ts'
import { placesAtSides } from './at-side.ts'
import { held } from '../keyed/index.ts'
import { ROUNDING_MM } from './tolerances.ts'

/** One copy of one piece to be laid. */
export interface Item {
  readonly piece: string
  readonly copy: number
  readonly postures: readonly Posture[]
  readonly area: number
  /** Index of the match group, or −1. */
  readonly group: number
  /** Demanded phases of the anchor, null where there is no demand on that axis. */
  readonly across: number | null
  readonly along: number | null
}

const kindKey = ({ postures, group, across, along }: Item): string =>
  `${postures.map((p) => `${p.shape.id} ${p.anchorX} ${p.anchorY}`).join()}/${group}/${across}/${along}`

/** Items that may stand in for each other, by their indices. */
export function alike(items: readonly Item[]): readonly (readonly number[])[] {
  const byKey = new Map<string, number[]>()
  items.forEach((item, i) => {
    const key = kindKey(item)
    const known = byKey.get(key)
    if (known) known.push(i)
    else byKey.set(key, [i])
  })
  return [...byKey.values()]
}

export interface Group {
  readonly name: string
  readonly across: number | null
  readonly along: number | null
}

/**
 * A lay problem made ready for search: shapes shared, postures listed, everything that may not be covered as obstacles.
 */
export interface Instance {
  readonly items: readonly Item[]
  readonly groups: readonly Group[]
  readonly shapes: readonly Shape[]
  readonly minX: number
  readonly maxX: number
  /** Whether some piece lies on a side of the cloth, beyond its selvedge. */
  readonly hasSides: boolean
  /** As wide as pieces may lie: between the selvedges, or all of the cloth where some lie on its sides. */
  readonly reachMm: number
  /** Top of one sheet; Infinity for a roll. */
  readonly maxY: number
  readonly sheets: number
  /** Whether the problem counts sheets, be it one: then every placement names its own. */
  readonly isCounted: boolean
  readonly gap: number
  readonly repeatAcross: number | null
  readonly repeatAlong: number | null
  /** Convex rings on the cloth that no piece may cover: flaws, and all outside a remnant's outline. */
  readonly obstacles: readonly Ring[]
  readonly totalArea: number
}

/**
 * `taken`: convex rings on the cloth that are covered already. @throws RangeError never: the problem has passed
 * `readLayProblem`.
 */
export function instanceOf(problem: LayProblem, taken: readonly Ring[] = []): Instance {
  const { cloth } = problem
  const table = new ShapeTable()
  const groupNames = [...new Set(problem.pieces.flatMap((p) => (p.match ? [p.match.group] : [])))]
  const items = problem.pieces.flatMap((piece) => {
    const postures = posturesOf(piece, table, problem)
    return Array.from({ length: piece.qty }, (_, i): Item => itemOf(piece, i + 1, postures, groupNames, problem))
  })
  const outlineXs = cloth.outline?.map((p) => p[0])
  const outlineYs = cloth.outline?.map((p) => p[1])
  const maxY = Math.min(cloth.length ?? Infinity, outlineYs ? Math.max(...outlineYs) : Infinity)
  const [minX, maxX] = [
    Math.max(cloth.selvedge[0], outlineXs ? Math.min(...outlineXs) : 0),
    Math.min(cloth.width - cloth.selvedge[1], outlineXs ? Math.max(...outlineXs) : Infinity),
  ]
  const hasSides = problem.pieces.some((p) => p.sides && p.sides.length > 0)
  return {
    items,
    hasSides,
    reachMm: hasSides ? cloth.width : maxX - minX,
    groups: groupNames.map((name) => {
      const given = held(problem.groups, name)
      return { name, across: given?.across ?? null, along: given?.along ?? null }
    }),
    shapes: table.shapes,
    minX,
    maxX,
    maxY,
    sheets: cloth.count ?? 1,
    isCounted: cloth.count !== undefined,
    gap: problem.gap,
    repeatAcross: cloth.repeat.across,
    repeatAlong: cloth.repeat.along,
    obstacles: [...cloth.flaws.map(flawRing), ...(cloth.outline ? outsideOf(cloth.outline.flat()) : []), ...taken],
    totalArea: items.reduce((sum, i) => sum + i.area, 0),
  }
}

function itemOf(
  piece: LayPiece,
  copy: number,
  postures: readonly Posture[],
  groupNames: readonly string[],
  problem: LayProblem,
): Item {
  const { match } = piece
  const { repeat } = problem.cloth
  return {
    piece: piece.id,
    copy,
    postures,
    area: ringArea(counterClockwise(piece.outline.flat())),
    group: match ? groupNames.indexOf(match.group) : -1,
    across: match && repeat.across !== null ? match.across : null,
    along: match && repeat.along !== null ? match.along : null,
  }
}

/** Every allowed turn once; turns that come to the same outline and anchor are one posture. */
function posturesOf(piece: LayPiece, table: ShapeTable, problem: LayProblem): readonly Posture[] {
  const postures: Posture[] = []
  const { match } = piece
  const bindsAcross = match !== null && match.across !== null && problem.cloth.repeat.across !== null
  const bindsAlong = match !== null && match.along !== null && problem.cloth.repeat.along !== null
  for (const flip of piece.flip ? [false, true] : [false]) {
    for (const turn of piece.turns) {
      const { ring, originX, originY } = posedRing(piece.outline, turn, flip)
      const [dx, dy] = match ? turned(match.anchor[0], match.anchor[1], turn, flip) : [0, 0]
      const posture = {
        shape: table.shapeOf(ring),
        standsAt: null,
        turn,
        flip,
        originX,
        originY,
        alike: [],
        anchorX: originX + dx,
        anchorY: originY + dy,
      }
      const stands = placesAtSides(piece, turn, flip, problem.cloth.width)?.map((x) => ({ ...posture, standsAt: x }))
      if (stands) {
        postures.push(...stands)
        continue
      }
      const known = postures.findIndex(
        (p) =>
          p.shape === posture.shape &&
          (!bindsAcross || Math.abs(p.anchorX - posture.anchorX) < ROUNDING_MM) &&
          (!bindsAlong || Math.abs(p.anchorY - posture.anchorY) < ROUNDING_MM),
      )
      if (known < 0) postures.push(posture)
      else
        postures[known] = { ...postures[known]!, alike: [...postures[known]!.alike, { turn, flip, originX, originY }] }
    }
  }
  return postures
}

/** Convex rings that cover a box round the outline but for the outline itself. */
function outsideOf(outline: Ring): readonly Ring[] {
  const xs = outline.filter((_, i) => i % 2 === 0)
  const ys = outline.filter((_, i) => i % 2 === 1)
  const [x0, x1, y0, y1] = [Math.min(...xs) - 1, Math.max(...xs) + 1, Math.min(...ys) - 1, Math.max(...ys) + 1]
  return convexParts([x0, y0, x1, y0, x1, y1, x0, y1], [outline])
}
