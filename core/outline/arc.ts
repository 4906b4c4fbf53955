import { at, between, distance, rightOf, unit, minusPoint, type Point } from './point.ts'

/**
 * An arc between two points is told by its bulge: the tangent of a quarter of the swept angle.
 * 0 is straight, positive turns left (bows outwards on a counter-clockwise outline), 1 is a half circle.
 */
export interface Arc {
  readonly centre: Point
  /** Positive when the arc turns left, negative when it turns right. */
  readonly radius: number
  readonly startAngle: number
  /** Signed as the radius. */
  readonly sweep: number
}

/** The smallest bulge that is an arc: flatter ones rise by less than 1/20 000 of their chord. */
export const isStraight = (bulge: number | undefined): boolean => Math.abs(bulge ?? 0) < 1e-4

/** The arc from `a` to `b` by its bulge (tangent of a quarter of the angle it turns); radius in mm, angles in radians. */
export function arcBetween(a: Point, b: Point, bulge: number): Arc {
  const chord = distance(a, b)
  const towardsLeft = (chord * (1 - bulge * bulge)) / (4 * bulge)
  const right = rightOf(unit(minusPoint(b, a)))
  const middle = between(a, b, 0.5)
  const centre = at(middle.x - right.x * towardsLeft, middle.y - right.y * towardsLeft)
  return {
    centre,
    radius: (chord * (1 + bulge * bulge)) / (4 * bulge),
    startAngle: Math.atan2(a.y - centre.y, a.x - centre.x),
    sweep: 4 * Math.atan(bulge),
  }
}

/** The bulge of a chord whose arc rises by `riseMm` above it (outwards positive): rise over half the chord. */
export const bulgeOfRise = (chordMm: number, riseMm: number): number => (2 * riseMm) / chordMm

export const riseOfBulge = (chordMm: number, bulge: number): number => (bulge * chordMm) / 2

/** Point of the arc at a share of its sweep. */
export function arcPoint({ centre, radius, startAngle, sweep }: Arc, share: number): Point {
  const angle = startAngle + sweep * share
  return at(centre.x + Math.abs(radius) * Math.cos(angle), centre.y + Math.abs(radius) * Math.sin(angle))
}

/** Bulge of a stretch of an arc that covers a share of its sweep. */
export const bulgeOfShare = (bulge: number, share: number): number => Math.tan(Math.atan(bulge) * share)
