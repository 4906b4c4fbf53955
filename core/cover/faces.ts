import { areaOf, boxOf, type Outline } from '../outline/index.ts'
import type { Cover } from './cover.ts'
import type { Patch } from './patch.ts'
import { inSpace, normalTo, UP, type Space } from './space.ts'

/**
 * What is seen from above, and from the front: the largest part of a panel that faces that way; null where none does.
 */
export const topFace = (cover: Faced): Patch | null => largestFacing(cover, UP)
export const frontFace = (cover: Faced): Patch | null => largestFacing(cover, inSpace(0, -1, 0))

type Faced = Pick<Cover, 'panels' | 'patches'>

function largestFacing(cover: Faced, way: Space): Patch | null {
  const facing = cover.patches.filter((p) => p.bend !== 'bent' && dot(normalOf(p), way) > FACES && isSeen(cover, p))
  return facing.reduce<Patch | null>((best, p) => (best && areaOf(best.outline) >= areaOf(p.outline) ? best : p), null)
}

const FACES = 0.9

const isSeen = (cover: Faced, patch: Patch): boolean =>
  cover.panels.find((p) => p.id === patch.panel)!.cloth !== 'lining'

/** Square to a patch in its middle, outwards: panels are drawn right side up. */
export function normalOf({ outline, place }: { readonly outline: Outline; readonly place: Patch['place'] }): Space {
  const { minX, maxX, minY, maxY } = boxOf(outline)
  const [x, y] = [(minX + maxX) / 2, (minY + maxY) / 2]
  return normalTo(place({ x, y }), place({ x: x + STEP, y }), place({ x, y: y + STEP }))
}

const STEP = 0.1

const dot = (a: Space, b: Space): number => a.x * b.x + a.y * b.y + a.z * b.z
