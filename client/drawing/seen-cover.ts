import type { Lay } from '../../contract/index.ts'
import { turned } from '../../core/lay/index.ts'
import {
  facetsOf,
  normalOf,
  normalTo,
  onPiece,
  type Cover,
  type Panel,
  type Patch,
  type Space,
} from '../../core/cover/index.ts'
import { at, boxOf, type Point } from '../../core/outline/index.ts'

/** How a panel's piece lies on the cloth: where its origin falls, and its turn. */
export interface OnCloth {
  readonly panel: Panel
  readonly x: number
  readonly y: number
  readonly turn: number
}

/** Where a panel of a cushion is laid; without a lay its own plane is the cloth, up the roll. */
export function onCloth(lay: Lay | null, piece: string, panel: Panel): OnCloth {
  const laid = lay?.placements.find((p) => p.id === piece)
  return laid ? { panel, x: laid.x, y: laid.y, turn: laid.turn } : { panel, x: 0, y: 0, turn: 0 }
}

/** A point of a panel, on its cloth. */
export function clothPoint(p: Point, { panel, x, y, turn }: OnCloth): Point {
  const on = onPiece(panel, p)
  const [a, b] = turned(on.x, on.y, turn as 0, false)
  return at(a + x, b + y)
}

/** The point of a panel that is cut from a place of its cloth; growth is taken as even over the panel. */
export function panelPoint(x: number, y: number, cloth: OnCloth): Point {
  const [a, b] = turned(x - cloth.x, y - cloth.y, ((360 - cloth.turn) % 360) as 0, false)
  const { minX, minY, maxX, maxY } = boxOf(cloth.panel.finished)
  const [low, high] = [onPiece(cloth.panel, at(minX, minY)), onPiece(cloth.panel, at(maxX, maxY))]
  return at(
    minX + ((a - low.x) * (maxX - minX)) / (high.x - low.x),
    minY + ((b - low.y) * (maxY - minY)) / (high.y - low.y),
  )
}

/** Seen from the front right above: widths and heights to scale, depth shortened. */
const BACK = { x: Math.cos((35 * Math.PI) / 180) * 0.55, y: Math.sin((35 * Math.PI) / 180) * 0.55 }
export const seen = ({ x, y, z }: Space): Point => at(x + y * BACK.x, z + y * BACK.y)
/** Towards the eye, along which `seen` tells no places apart: what faces this way is seen. */
const EYE: Space = { x: BACK.x, y: -1, z: BACK.y }

export interface SeenFace {
  readonly key: string
  readonly patch: Patch
  readonly corners: readonly Point[]
  /** 0 for what faces up, more for what faces away from the light. */
  readonly shade: number
  readonly depth: number
}

/** What is seen of a cover, far to near: flat patches whole, bent ones in facets. */
export function seenFaces(cover: Cover): readonly SeenFace[] {
  const hidden = new Set(cover.panels.filter((p) => p.cloth === 'lining').map((p) => p.id))
  const faces = cover.patches
    .filter((p) => !hidden.has(p.panel))
    .flatMap((patch, n) => (patch.bend === 'flat' ? wholeFace(patch, n) : facetFaces(patch, n)))
  return faces.toSorted((a, b) => b.depth - a.depth)
}

function wholeFace(patch: Patch, n: number): readonly SeenFace[] {
  const { space, triangles } = facetsOf(patch, 0.5)
  const normal = normalOf(patch)
  return triangles.length > 0 && isSeen(normal)
    ? [{ key: `${patch.panel} ${n}`, patch, corners: space.map(seen), shade: shadeOf(normal), depth: depthOf(space) }]
    : []
}

function facetFaces(patch: Patch, n: number): readonly SeenFace[] {
  const { space, triangles } = facetsOf(patch, 0.8)
  return triangles.flatMap(([i, j, k], t): readonly SeenFace[] => {
    const corners = [space[i]!, space[j]!, space[k]!] as const
    const normal = normalTo(...corners)
    return isSeen(normal)
      ? [
          {
            key: `${patch.panel} ${n} ${t}`,
            patch,
            corners: corners.map(seen),
            shade: shadeOf(normal),
            depth: depthOf(corners),
          },
        ]
      : []
  })
}

const towardsEye = (p: Space): number => p.x * EYE.x + p.y * EYE.y + p.z * EYE.z
const isSeen = (n: Space): boolean => towardsEye(n) > 1e-3
const shadeOf = (n: Space): number => 0.03 + 0.14 * Math.max(0, 1 - n.z) * (0.6 + 0.4 * Math.max(0, n.x))
const depthOf = (points: readonly Space[]): number => points.reduce((sum, p) => sum - towardsEye(p), 0) / points.length

/** The pattern transform that lays the cloth, in millimetres, on a flat patch as it is seen. */
export function patternOn(
  patch: Patch,
  cloth: OnCloth,
  scale: { readonly k: number; readonly x: (mm: number) => number; readonly y: (mm: number) => number },
): string {
  const [o, u, v] = [panelPoint(0, 0, cloth), panelPoint(1, 0, cloth), panelPoint(0, 1, cloth)].map((p) =>
    seen(patch.place(p)),
  ) as [Point, Point, Point]
  const { k } = scale
  return `matrix(${(u.x - o.x) * k} ${-(u.y - o.y) * k} ${(v.x - o.x) * k} ${-(v.y - o.y) * k} ${scale.x(o.x)} ${scale.y(o.y)})`
}
