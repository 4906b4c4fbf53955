import type { Point } from '../../outline/index.ts'

/**
 * How a strip lies. In its own frame its ends stand upright: u runs from one to the other, v upwards, and on the bias its
 * long sides rise by `slope` for each mm of u. Turned by 90° it lies so on the cloth seen from its side.
 */
export interface StripWay {
  readonly turn: 0 | 90
  readonly slope: number
  /** How high it is where it is cut upright, mm. */
  readonly riseMm: number
}

/** Cloth between its selvedges, as long as a lay may be. */
export interface Bed {
  readonly leftMm: number
  readonly rightMm: number
  readonly lengthMm: number
}

/** A row in the frame of a strip: from u0 to u1, its lower side at v. */
export interface FreeRow {
  readonly u0: number
  readonly u1: number
  readonly v: number
}

/** A point of the cloth in the frame of a strip, sheared so that its long sides lie level. */
export function inFrame({ turn, slope }: StripWay, { x, y }: Point): Point {
  const [u, w] = turn === 0 ? [x, y] : [y, -x]
  return { x: u, y: w - slope * u }
}

/** Where the origin of a strip that begins at u of a row lies on the cloth. */
export function onTheCloth({ turn, slope }: StripWay, u: number, v: number): Point {
  const w = v + slope * u
  return turn === 0 ? { x: u, y: w } : { x: -w, y: u }
}

/** What of a row at v lies on the bed, and between which v there is any. */
export function bedFrame({ turn, slope, riseMm }: StripWay, { leftMm, rightMm, lengthMm }: Bed) {
  const [fromU, toU] = turn === 0 ? [leftMm, rightMm] : [0, lengthMm]
  const [fromW, toW] = turn === 0 ? [0, lengthMm] : [-rightMm, -leftMm]
  return {
    lowestV: fromW - slope * (slope > 0 ? toU : fromU),
    highestV: toW - riseMm - slope * (slope > 0 ? fromU : toU),
    stretchAt: (v: number): readonly [number, number] => {
      if (slope === 0) return v < fromW - HAIR_MM || v + riseMm > toW + HAIR_MM ? [0, 0] : [fromU, toU]
      const [below, above] = [(fromW - v) / slope, (toW - riseMm - v) / slope]
      return [Math.max(fromU, Math.min(below, above)), Math.min(toU, Math.max(below, above))]
    },
  }
}

const HAIR_MM = 1e-6
