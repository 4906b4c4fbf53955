import { offsetEdges } from './offset.ts'
import { areaOf, type Outline } from './outline.ts'

/** How far an edge that leans by `leanRad` stands out at a height. */
export const leanOut = (leanRad: number, heightMm: number): number => heightMm * Math.tan(leanRad)

/** The outline at a height above the foot: each edge moved outwards by its lean, met again with its neighbours. */
export const atHeight = (foot: Outline, leansRad: readonly number[], heightMm: number): Outline =>
  leansRad.every((lean) => lean === 0)
    ? foot
    : offsetEdges(
        foot,
        leansRad.map((lean) => leanOut(lean, heightMm)),
      )

/** Volume in mm³ by the prismoid rule: t/6 · (foot + 4 · middle + top); exact for straight edges. */
export function bevelVolume(foot: Outline, leansRad: readonly number[], thicknessMm: number): number {
  const area = (share: number): number => areaOf(atHeight(foot, leansRad, thicknessMm * share))
  return (thicknessMm / 6) * (area(0) + 4 * area(0.5) + area(1))
}

/** Length of a leaning side from foot to top. */
export const slantOf = (leanRad: number, thicknessMm: number): number => thicknessMm / Math.cos(leanRad)

/**
 * What a leaning slice between two heights needs of its sheet: foot and top together, each edge by whichever stands out
 * further.
 */
export const needOf = (foot: Outline, leansRad: readonly number[], fromMm: number, toMm: number): Outline =>
  leansRad.every((lean) => lean === 0)
    ? foot
    : offsetEdges(
        foot,
        leansRad.map((lean) => Math.max(leanOut(lean, fromMm), leanOut(lean, toMm))),
      )
